export * from './transport';
export * from './route';
export * from './matching';
export * from './mornings';
export * from './plan';
export * from './planQuestion';
export { CLEANING_S, WALK_M_PER_S } from './planTables';
