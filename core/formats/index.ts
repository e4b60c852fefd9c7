export * from './calendar';
export * from './cardHtml';
export * from './roundCalendar';
export * from './csv';
export * from './json';
export * from './tables';
export { fileSchema } from './fileSchema';
export * from './labelHtml';
export * from './weekHtml';
