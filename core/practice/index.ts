export * from './types';
export * from './records';
export * from './merge';
export * from './questions';
export * from './spacing';
export * from './results';
export * from './children';
