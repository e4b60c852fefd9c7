export * from './crosses';
