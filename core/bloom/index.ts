export * from './morning';
export * from './forecast';
export * from './expected';
export * from './warmth';
export * from './budRecords';
export * from './outlook';
export * from './doubts';
