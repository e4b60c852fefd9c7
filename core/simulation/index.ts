export * from './demo';
export { closureAtDawn, lookOn, weatherOn, type Weather } from './truth';
export { trueOutcome } from './growers';
