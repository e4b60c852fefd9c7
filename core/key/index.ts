export * from './types';
export * from './key';
export * from './trial';
