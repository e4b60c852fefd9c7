export * from './garden';
export * from './layout';
export * from './shelter';
export * from './flowering';
export * from './earth';
export * from './places';
export * from './grounds';
export * from './moves';
