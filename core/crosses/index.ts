export * from './crosses';
export * from './fathers';
export * from './visits';
export * from './selfing';
export { standing, type CrossFlower } from './crossFlower';
