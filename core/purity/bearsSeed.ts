import type { Flower } from '../ledger';

/** Whether a flower became, or may still become, a fruit whose seed is wanted. */
export function bearsSeed(flower: Flower): boolean {
  const { sex, pollinations, lost, harvested, looks, left, mark } = flower;
  if (sex === 'male' || lost || harvested?.harvestFor === 'kitchen') return false;
  if (harvested) return true;
  // Left to bees or insects it is a fruit for seed once somebody put a mark on it.
  const forSeed =
    pollinations.at(-1)?.purpose === 'seed' || (pollinations.length === 0 && left !== null && mark !== null);
  if (!forSeed) return false;
  return !['yellowing', 'gone'].includes(looks.at(-1)?.result ?? '');
}
