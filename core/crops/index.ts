export * from './facts';
export * from './types';
export * from './catalogue';
export * from './neighbours';
export * from './advice';
export * from './schools';
export * from './seedWeights';
export * from './closures';
