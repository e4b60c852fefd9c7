export * from './Icon';
export * from './Key';
export * from './Tile';
export * from './basics';
