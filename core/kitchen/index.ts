export * from './kitchenRound';
