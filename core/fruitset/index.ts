export * from './interval';
export * from './fate';
export * from './trials';
export * from './trialTable';
export { groupTrials } from './groups';
export * from './tally';
export * from './shrinkage';
export * from './needs';
