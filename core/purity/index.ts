export * from './fitForSeed';
export * from './marks';
export * from './onTool';
export * from './gradeProof';
export * from './growOut';
export * from './chain';
export * from './lotProof';
export * from './report';
