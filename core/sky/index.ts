export * from './sunTimes';
export * from './air';
export * from './degreeDays';
