import { middleOf, seedsInOne, seedsPerGram, type Crop } from '../crops';
import type { Goal } from '../ledger';
import type { SumNumber } from './sumNumber';

/** Seed in numbers, and the fruits that bring it: no fewer than the mothers asked for. */
export function fruitsWanted(
  goal: Goal,
  crop: Crop,
): { readonly seeds: number | null; readonly perFruit: SumNumber | null; readonly fruits: number } {
  const seeds = seedsOf(goal, crop);
  const perFruit = seeds === null ? null : seedsInFruit(crop, goal);
  const fruits =
    seeds === null || !perFruit ? 0 : Math.max(Math.ceil(seeds / perFruit.value), goal.mothers ?? 1);
  return { seeds, perFruit, fruits };
}

function seedsOf({ seed }: Goal, crop: Crop): number | null {
  if (seed === null) return null;
  if (seed.unit === 'seeds') return seed.amount;
  const perGram = seedsPerGram(crop.id);
  return seed.amount * (perGram ? middleOf(perGram.value) : 1);
}

/** A careful number: a third of the way up the catalogue's range, unless the grower says. */
function seedsInFruit(crop: Crop, goal: Goal): SumNumber | null {
  if (goal.bent.seedsPerFruit !== undefined) return { value: goal.bent.seedsPerFruit, from: 'bent' };
  const range = seedsInOne(crop)?.value;
  return range ? { value: Math.round(range[0] + (range[1] - range[0]) / 3), from: 'catalogue' } : null;
}
