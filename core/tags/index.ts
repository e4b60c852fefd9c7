export * from './tagPdf';
