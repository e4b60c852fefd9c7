export * from './sunTimes';
export * from './air';
export * from './degreeDays';
export * from './climate';
export * from './sea';
export * from './weather';
export * from './station';
export * from './heat';
