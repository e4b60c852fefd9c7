import { DEFAULT_SCHOOLS, sexesOf, type Crop } from '../crops';
import type { Goal, State } from '../ledger';
import { mainPatch } from '../patch';
import type { SumNumber } from './sumNumber';

/**
 * Males for one female: the goal's own number, one tassel for an ear, one bagged father for a perfect flower, else the school's:
 * a number, or the middle of what the catalogue says for the crop.
 * @example malesFor(state, crop, null) // { value: 2, from: 'catalogue' }
 */
export function malesFor(state: State, crop: Crop, goal: Goal | null): SumNumber {
  if (goal?.bent.malesPerFemale !== undefined) return { value: goal.bent.malesPerFemale, from: 'bent' };
  if (crop.family === 'corn' || sexesOf(crop).length === 1) return { value: 1, from: 'catalogue' };
  const school = Number(mainPatch(state)?.schools.males ?? DEFAULT_SCHOOLS.males);
  if (Number.isFinite(school)) return { value: Math.min(4, Math.max(1, school)), from: 'goal' };
  const [low, high] = crop.malesPerFemale.value;
  return { value: Math.floor((low + high) / 2), from: 'catalogue' };
}

/** Spare males for each variety [M]. */
export const SPARE_MALES = 1;

/** Ears that the pollen of one good tassel bag does for [M]: several, as growers say. As many bags as ears are still put on. */
export const EARS_A_BAG = 3;

/**
 * How many females one male may serve, as the patch works; what a good tassel bag holds does for several ears.
 * @example femalesPerMale(state, crop) // 1
 */
export function femalesPerMale(state: State, crop: Crop): number {
  if (crop.family === 'corn') return EARS_A_BAG;
  return Math.max(1, Math.floor(Number(mainPatch(state)?.schools.sharing ?? 1)));
}
