export * from './crosses';
export * from './fathers';
export * from './visits';
export { standing, type CrossFlower } from './crossFlower';
