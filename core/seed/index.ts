export * from './lots';
