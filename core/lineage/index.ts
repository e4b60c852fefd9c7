export { inbreeding, kinship, type PedigreeRow } from './pedigree';
export * from './effectiveSize';
export * from './generations';
export * from './descent';
export * from './generation';
export * from './mixing';
export * from './fathers';
export * from './growOut';
export * from './tree';
