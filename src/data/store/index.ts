export { memoryBox, type Box } from './port';
export { browserNeighbours, noNeighbours, type Neighbours } from './neighbours';
export { LedgerStore, type Ledger, type StoreOptions, type Tap } from './ledgerStore';
export { PracticeStore } from './practiceStore';
