export * from './interval';
export * from './fate';
export * from './tally';
