export { inbreeding, kinship, type PedigreeRow } from './pedigree';
export * from './effectiveSize';
export * from './generations';
