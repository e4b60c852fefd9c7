import { flowersADay, middleOf } from '../crops';
import type { State } from '../ledger';
import { daysBetween, type LocalDate } from '../time';
import { flowersOn, type Growing } from './garden';

/** How the flowers of one plant stand by sex, over the season so far. */
export interface SexCount {
  readonly females: number;
  /** Shut or noted one by one, and those counted in colour on an evening: each male is in colour for one evening. */
  readonly males: number;
}

/**
 * Females and males that were written down of a plant.
 * @example sexCount(state, mother) // { females: 1, males: 0 }
 */
export function sexCount(state: State, { plant }: Growing): SexCount {
  const flowers = flowersOn(state, plant.id);
  return {
    females: flowers.filter(({ sex }) => sex === 'female').length,
    males:
      flowers.filter(({ sex }) => sex === 'male').length +
      plant.males.reduce((sum, { stage, count }) => sum + (stage === 'coloured' ? count : 0), 0),
  };
}

/**
 * Females (or perfect flowers, or ears) that a plant usually opens on a date: by its age, unless it has been seen in flower or nobody
 * said when it was planted.
 * @example openingOn(state, mother, '2026-07-06') // 0.2
 */
export function openingOn(state: State, { plant, crop }: Growing, date: LocalDate): number {
  const known = plant.plantedOn === null || plant.tallies.length > 0 || flowersOn(state, plant.id).length > 0;
  return known ? middleOf(crop.femalesADay.value) : flowersADay(crop, daysBetween(plant.plantedOn, date));
}
