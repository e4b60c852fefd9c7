export * from './data/laterParts';

/** Every screen but the first: their code comes together, and with it what the first can stand without. */
export const screens = require.context(
  './app',
  true,
  /^\.\/(?!_layout\.tsx$|index\.tsx$|demo\.tsx$|.*\.test\.).*\.tsx$/,
);
