export * from './Icon';
export * from './Button';
export * from './Tile';
export * from './basics';
export * from './DateField';
