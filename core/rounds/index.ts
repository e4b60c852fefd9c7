export * from './stops';
export * from './next';
export * from './eveningEntry';
export * from './dawn';
export * from './steps';
export * from './stopWork';
export * from './card';
export * from './progress';
