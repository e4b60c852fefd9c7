// What tests get for fast-check (jest.config.js): few runs from fixed seeds, so that `npm test` never fails by chance, and many from
// new ones in `npm run acceptance`. A failure prints its seed; SEED=... runs it again.
// By its path: its name leads here.
const fc = require('../node_modules/fast-check/lib/cjs/fast-check.js');

const FULL = process.env.FULL === '1';
const SEED = process.env.SEED;
const FEW = 40;
const MANY_TIMES = 10;

/** The parameters of an `assert`, for the size that is asked for. */
function sized(parameters = {}) {
  const { numRuns, ...others } = parameters;
  if (!FULL) return { seed: 1, ...others, numRuns: Math.min(numRuns ?? FEW, FEW) };
  const { seed: _fixed, ...free } = others;
  return { ...free, ...(SEED ? { seed: Number(SEED) } : {}), numRuns: MANY_TIMES * (numRuns ?? 100) };
}

module.exports = {
  ...fc,
  default: undefined,
  assert: (property, parameters) => fc.assert(property, sized(parameters)),
};
module.exports.default = module.exports;
