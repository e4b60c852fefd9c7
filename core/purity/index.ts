export * from './fitForSeed';
export * from './marks';
export * from './onTool';
