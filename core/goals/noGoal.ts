import type { Goal } from '../ledger';

/** A goal as the form begins it. */
export const NO_GOAL: Goal = {
  kitchenFruits: null,
  seed: null,
  mothers: null,
  fathers: null,
  fatherVariety: null,
  by: null,
  precious: 'keep',
  assurance: 0.9,
  bent: {},
};
