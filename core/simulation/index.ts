export * from './setting';
export * from './demo';
export * from './rehearsal';
export * from './learner';
export { closureAtDawn, lookOn, weatherOn, type Weather } from './truth';
export { trueOutcome } from './growers';
export * from './contamination';
export * from './fatherChoice';
