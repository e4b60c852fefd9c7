export * from './stops';
export * from './next';
export * from './marks';
