export * from './tagSizes';
