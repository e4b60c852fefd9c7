export * from './lots';
export * from './overview';
