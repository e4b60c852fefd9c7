export * from './sumNumber';
export * from './malesFor';
export * from './goals';
export { type GoalPart } from './goalParts';
export * from './season';
export * from './tonight';
export * from './foresight';
