import type { Flower, State } from '../ledger';
import type { Planted } from '../patch';
import { daysBetween, localDateOf } from '../time';
import { remembered } from '../remember';
import { workedOn } from './fate';
import { allTrials } from './trialTable';

/** Sizes of a variety's fruits on one day after the pollination. */
export interface UsualSize {
  readonly day: number;
  readonly count: number;
  /** Median, mm, and the middle half. */
  readonly medianMm: number;
  readonly lowMm: number;
  readonly highMm: number;
}

/** One measured size of one fruit. */
export interface MeasuredSize {
  readonly day: number;
  readonly sizeMm: number;
}

/**
 * The sizes written down of a fruit, by days after its pollination.
 * @example sizesOf(female, zone) // []
 */
export function sizesOf(flower: Flower, zone: string): MeasuredSize[] {
  const day0 = workedOn(flower, zone);
  if (day0 === null) return [];
  return flower.looks.flatMap(({ at, sizeMm }) =>
    sizeMm === null ? [] : [{ day: daysBetween(day0, localDateOf(Date.parse(at), zone)), sizeMm }],
  );
}

/** Fewer sizes than this on a day are nothing usual [M]. */
const ENOUGH = 3;

/** What a variety's fruits usually measure on each day, by the grower's own records of those that set; days with fewer than three are left out. */
export const usualSizes = remembered(
  'sizes',
  (state: Planted & Pick<State, 'flowers'>, variety: string, zone: string) => ({
    flowers: state.flowers,
    trials: allTrials(state, zone),
    variety,
    zone,
  }),
  ({ flowers, trials, variety, zone }): readonly UsualSize[] => {
    const byDay = new Map<number, number[]>();
    for (const trial of trials) {
      if (trial.variety !== variety || !trial.facts?.set) continue;
      const flower = flowers.get(trial.id as Flower['id']);
      for (const { day, sizeMm } of flower ? sizesOf(flower, zone) : [])
        byDay.set(day, [...(byDay.get(day) ?? []), sizeMm]);
    }
    return [...byDay]
      .filter(([, sizes]) => sizes.length >= ENOUGH)
      .sort(([a], [b]) => a - b)
      .map(([day, sizes]) => {
        const sorted = [...sizes].sort((a, b) => a - b);
        const at = (share: number) => quantile(sorted, share);
        return { day, count: sizes.length, medianMm: at(0.5), lowMm: at(0.25), highMm: at(0.75) };
      });
  },
);

/** Of sorted values, as R's default (type 7). */
function quantile(sorted: readonly number[], share: number): number {
  const at = (sorted.length - 1) * share;
  const [low, high] = [sorted[Math.floor(at)] as number, sorted[Math.ceil(at)] as number];
  return low + (high - low) * (at - Math.floor(at));
}
