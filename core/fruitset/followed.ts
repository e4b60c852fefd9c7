import { cropOf } from '../crops';
import type { LossCause } from '../ledger';
import { daysBetween, localDateOf, type Instant, type LocalDate } from '../time';
import { ripeDay } from './fate';
import { cumulativeIncidence, kaplanMeier, type Followed, type SurvivalStep } from './survival';
import type { Trial } from './trials';

/** What fruits drop of, as kinds that one can see apart in a picture. */
export const DROP_KINDS = ['pollen', 'load', 'rot', 'pest', 'weather', 'accident', 'unknown'] as const;
export type DropKind = (typeof DROP_KINDS)[number];

/** The ends that a followed fruit can come to. */
export type FruitEnd = DropKind | 'harvested' | 'plant-ended';

/** Which kind a cause is of. */
export const KIND_OF_CAUSE: Readonly<Record<LossCause, DropKind>> = {
  'not-pollinated': 'pollen',
  'poorly-pollinated': 'pollen',
  'too-much-fruit': 'load',
  'blossom-end-rot': 'rot',
  'wet-rot': 'rot',
  rot: 'rot',
  borer: 'pest',
  pest: 'pest',
  heat: 'weather',
  drought: 'weather',
  frost: 'weather',
  weather: 'weather',
  'knocked-off': 'accident',
  'picked-by-mistake': 'accident',
  unknown: 'unknown',
};

/** In days after the pollination, between which the end of a flower came; with no end, nothing more is known. */
export interface Course {
  /** The last day on which it was still seen there. */
  readonly after: number;
  /** The day on which its end was seen; the same as `after` where it is still there. */
  readonly by: number;
  readonly end: FruitEnd | null;
}

/** One worked flower followed. */
export interface FollowedFruit extends Course {
  readonly trial: Trial;
}

/**
 * How a trial is followed; `null` for one that nobody looked at, which is missing and no drop, and for groups, which have no days.
 * Without a verdict a fruit counts for as long as it was last seen. One that set is looked at no more: it hangs until today, or is
 * ripe, as its loss would have been written down. To stop at its last look would leave only the doubtful ones under watch.
 * @param endedAt when its plant came to its end; `null` while it stands
 * @example followedFruit(trials[0], null, zone, '2026-07-13').by // 7
 */
export function followedFruit(
  trial: Trial,
  endedAt: Instant | null,
  zone: string,
  today: LocalDate,
): FollowedFruit | null {
  const { facts } = trial;
  if (facts === null) return null;
  const { failed, picked, looked, day0, set } = facts;
  if (failed !== null)
    return { trial, after: failed.after, by: failed.day, end: KIND_OF_CAUSE[trial.cause ?? 'unknown'] };
  if (picked !== null)
    return { trial, after: Math.min(looked, picked.day), by: picked.day, end: 'harvested' };
  if (endedAt !== null) {
    const day = daysBetween(day0, localDateOf(Date.parse(endedAt), zone));
    // What was written after the plant's end is of no plant: the look stands.
    if (day >= looked) return { trial, after: looked, by: day, end: 'plant-ended' };
  }
  const until =
    set === null ? looked : Math.max(looked, Math.min(daysBetween(day0, today), ripeDay(cropOf(trial.crop))));
  return until > 0 ? { trial, after: until, by: until, end: null } : null;
}

/** A look a day before the pollination is a slip of the pen: such a fruit is followed from the day it was worked. */
const fromDay0 = (day: number) => Math.max(0, day);

/** The drop curve drawn twice, as a drop falls somewhere between two looks: at the look that found it, and right after the one before. */
export interface DropCurve {
  readonly followed: number;
  readonly dropped: number;
  /** As if each fell on the day it was found gone. */
  readonly latest: readonly SurvivalStep[];
  /** As if each fell right after it was last seen. */
  readonly earliest: readonly SurvivalStep[];
}

/**
 * Shares still hanging by the day, with 95 % log-log bounds; harvest and the end of a plant end the following.
 * @example dropCurve([{ after: 3, by: 5, end: 'pollen' }, { after: 9, by: 9, end: null }]).latest[0].survival // 0.5
 */
export function dropCurve(fruits: readonly Course[]): DropCurve {
  const at = (which: 'after' | 'by') =>
    fruits.map(({ after, by, end }): Followed => {
      const event = isDrop(end);
      return { time: fromDay0(event ? (which === 'by' ? by : after) : by), event };
    });
  return {
    followed: fruits.length,
    dropped: fruits.filter(({ end }) => isDrop(end)).length,
    latest: kaplanMeier(at('by'), { confidence: 0.95 }).steps,
    earliest: kaplanMeier(at('after'), { confidence: 0.95 }).steps,
  };
}

/** Whether an end is a drop, and not a harvest or the plant's. */
export function isDrop(end: FruitEnd | null): boolean {
  return end !== null && end !== 'harvested' && end !== 'plant-ended';
}

/** What has become of the fruits by a day: shares that add up to 1 with `remaining`. */
export interface FateOnDay {
  readonly day: number;
  readonly remaining: number;
  readonly byEnd: Readonly<Partial<Record<FruitEnd, number>>>;
}

/**
 * The shares at every day on which an end was seen, from day 0 on (cumulative incidence: what is not followed to its end drops out).
 * @example fatesByDay([{ after: 3, by: 5, end: 'pollen' }, { after: 9, by: 9, end: null }])[1].remaining // 0.5
 */
export function fatesByDay(fruits: readonly Course[]): FateOnDay[] {
  const { steps } = cumulativeIncidence(fruits.map(({ by, end }) => ({ time: fromDay0(by), cause: end })));
  return [
    { day: 0, remaining: 1, byEnd: {} },
    ...steps
      .filter(({ time }) => time > 0 || steps.length > 0)
      .map(({ time, remaining, byCause }) => ({
        day: time,
        remaining,
        byEnd: Object.fromEntries(
          Object.entries(byCause).map(([end, { incidence }]) => [end, incidence]),
        ) as FateOnDay['byEnd'],
      })),
  ];
}

/**
 * How many are still followed at each of some days: what a curve rests on there.
 * @example atRiskOn([{ after: 3, by: 5, end: 'pollen' }, { after: 9, by: 9, end: null }], [0, 7]) // [2, 1]
 */
export function atRiskOn(fruits: readonly Course[], days: readonly number[]): number[] {
  return days.map((day) => fruits.filter(({ by }) => fromDay0(by) >= day).length);
}
