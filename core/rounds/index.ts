export * from './stops';
export * from './next';
export * from './marks';
export * from './transport';
export * from './route';
export * from './matching';
export * from './plan';
