export { memoryBox, type Box } from './port';
export { browserNeighbours, noNeighbours, type Neighbours } from './neighbours';
export { LedgerStore, type StoreOptions } from './ledgerStore';
export type { Ledger, Tap } from './ledger';
export { LogReader, type ReaderOptions } from './logReader';
export { PracticeStore } from './practiceStore';
