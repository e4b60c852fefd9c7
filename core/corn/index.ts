export * from './corn';
export * from './scouting';
export * from './chain';
