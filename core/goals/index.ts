export * from './sumNumber';
export * from './malesFor';
export * from './goals';
export { type SetDoubt } from './doubt';
export * from './shutting';
export { type GoalPart } from './goalParts';
export * from './season';
export * from './tonight';
export * from './foresight';
