export * from './morning';
export * from './forecast';
export * from './expected';
export * from './warmth';
