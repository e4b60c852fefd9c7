import type { Crop } from '../crops';
import type { CheckResult, Flower } from '../ledger';
import { addDays, isForenoon, localDateOf, type LocalDate } from '../time';

/**
 * The garden day on which a shut flower is expected to open: for dawn crops the morning after it was shut (a flower shut before
 * noon counts for that same day), for dusk crops the same evening; a day later for a green bud in a bag. A flower found not open
 * yet moves to the day after that look. `null` for a flower never shut. By the clock of the garden, not by hours gone: on the night of a clock change these differ.
 * @example roundDateOf(female, crop, zone) // '2026-07-06'
 */
export function roundDateOf(flower: Flower, crop: Crop, zone: string): LocalDate | null {
  // A tassel sheds for days and gets a fresh bag each afternoon: the last one counts.
  const shut =
    crop.family === 'corn' && flower.sex === 'male' ? flower.shuttings.at(-1) : flower.shuttings[0];
  if (!shut) return null;
  const shutMs = Date.parse(shut.at);
  const shutOn = localDateOf(shutMs, zone);
  // A tassel that is bagged in the forenoon stood open that morning: its bag counts from the next on.
  const thatDay = crop.clock.round === 'dusk' || (isForenoon(shutMs, zone) && crop.family !== 'corn');
  const next = thatDay ? shutOn : addDays(shutOn, 1);
  const expected = baggedGreen(flower) ? addDays(next, 1) : next;
  const check = lastCheck(flower);
  if (check?.result !== 'not-open') return expected;
  const later = addDays(localDateOf(Date.parse(check.at), zone), 1);
  return later > expected ? later : expected;
}

/** A bag may go on a green bud a day ahead of the evening before it opens (common practice); tape may not. */
function baggedGreen({ shuttings, sightings }: Flower): boolean {
  const shut = shuttings[0];
  const seen = sightings.filter(({ at }) => shut !== undefined && at <= shut.at).at(-1);
  return seen?.stage === 'green' && (shut?.closure === 'mesh-bag' || shut?.closure === 'cloth-bag');
}

/**
 * The garden day whose evening a moment belongs to: the hours till noon are still yesterday's night.
 * @example eveningOf(Date.UTC(2026, 6, 14, 2), 'Europe/Ljubljana') // '2026-07-13'
 */
export function eveningOf(at: number, zone: string): LocalDate {
  const date = localDateOf(at, zone);
  return isForenoon(at, zone) ? addDays(date, -1) : date;
}

/** The latest look at a closure in the morning; `null` where nobody looked. */
export function lastCheck(flower: Flower): { readonly at: string; readonly result: CheckResult } | null {
  return flower.checks[flower.checks.length - 1] ?? null;
}

/**
 * Whether a closure found like this kept everything out; "not open yet" says that it did so far.
 * @example isWhole('torn') // false
 */
export function isWhole(result: CheckResult): boolean {
  return result === 'whole' || result === 'not-open';
}
