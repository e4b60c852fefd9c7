export type { Ground, Ring } from '../patch';
export * from './distance';
export * from './bloom';
export * from './needed';
export * from './pressure';
export { kindOf, type Rival } from './rivals';
export * from './about';
export * from './answer';
export * from './waysOut';
