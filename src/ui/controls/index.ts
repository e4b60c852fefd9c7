export * from './Icon';
export * from './Button';
export * from './Tile';
export * from './basics';
export * from './DateField';
export { PAUSE_MS } from './pause';
