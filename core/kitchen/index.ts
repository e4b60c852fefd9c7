export * from './openFemales';
export * from './kitchenRound';
