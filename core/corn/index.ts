export * from './corn';
