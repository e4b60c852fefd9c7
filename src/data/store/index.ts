export { memoryBox, type Box } from './port';
export { browserNeighbours, noNeighbours, type Neighbours } from './neighbours';
export { LedgerStore, type StoreOptions } from './ledgerStore';
export { LogReader, type Ledger, type ReaderOptions, type Tap } from './logReader';
export { PracticeStore } from './practiceStore';
