import { addDays, type LocalDate } from '../time';
import { remembered } from '../remember';

/** Mean temperature of one day, C. */
export interface DayTemperature {
  readonly date: LocalDate;
  readonly meanC: number;
}

/** Mean temperature at which a bud keeps the catalogue's days [M], and below which it stands still [M]. */
const REFERENCE_C = 20;
const BASE_C = 8;
/** A day counts for no less and no more than this, however cold or hot [M]: buds do not stop, nor double. */
const SLOWEST = 0.45;
const QUICKEST = 1.6;

/**
 * How much of a reference day's growth a day of this mean temperature brings.
 * @example growthRate(20) // 1
 */
export function growthRate(meanC: number): number {
  return Math.min(QUICKEST, Math.max(SLOWEST, (meanC - BASE_C) / (REFERENCE_C - BASE_C)));
}

const growthByDate = remembered(
  'growth',
  (temperatures: readonly DayTemperature[]) => ({ temperatures }),
  ({ temperatures }) => new Map(temperatures.map(({ date, meanC }) => [date, growthRate(meanC)])),
);

/**
 * Reference days of growth gone by `0, 1, ... days` days after the evening of `seenOn`; a day not known counts as one.
 * @example growthAfter('2026-07-05', 2) // [0, 1, 2]
 */
export function growthAfter(
  seenOn: LocalDate,
  days: number,
  temperatures?: readonly DayTemperature[],
): readonly number[] {
  const rates = temperatures && temperatures.length > 0 ? growthByDate(temperatures) : null;
  const sums = [0];
  for (let ahead = 1; ahead <= days; ahead++)
    sums.push((sums[ahead - 1] as number) + (rates?.get(addDays(seenOn, ahead)) ?? 1));
  return sums;
}
