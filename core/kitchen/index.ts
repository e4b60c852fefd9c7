export * from './openFemales';
export * from './kitchenRound';
export * from './leaving';
