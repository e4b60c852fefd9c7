export * from './types';
export * from './key';
export * from './measure';
export * from './words';
export * from './trial';
export * from './terms';
