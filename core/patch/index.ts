export * from './garden';
export * from './layout';
