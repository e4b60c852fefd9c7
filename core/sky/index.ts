export * from './sunTimes';
