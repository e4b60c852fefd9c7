export * from './csv';
export * from './json';
export * from './tables';
