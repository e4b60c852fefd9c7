export * from './morning';
