export * from './fitForSeed';
export * from './marks';
