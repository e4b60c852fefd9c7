export * from './distance';
export * from './needed';
export * from './pressure';
export * from './answer';
export * from './waysOut';
