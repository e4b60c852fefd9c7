export * from './fitForSeed';
