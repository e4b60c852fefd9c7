import type { Crop } from '../crops';
import type { Flower } from '../ledger';
import { daysBetween, localDateOf, type LocalDate } from '../time';
import { remembered } from '../remember';

/**
 * What became of a worked female.
 * waiting: no verdict yet, and still to be had. not-looked-at: the days of the verdict and a grace have passed without one; it may
 * have set or not, and nothing may be counted on. set: plainly growing on the crop's verdict day or later, or harvested.
 * lost-later: set, then lost; the pollination had taken. dropped: failed before it was set, whatever the cause.
 */
export type Fate = 'waiting' | 'not-looked-at' | 'set' | 'lost-later' | 'dropped';

/** After the last look that the crop asks for, a verdict is waited for so many days more [M]. */
export const GRACE_DAYS = 7;

/**
 * The garden day on which a female was first worked, or left to the insects on purpose; `null` if neither.
 * @example workedOn(female, zone) // '2026-07-06'
 */
export function workedOn(flower: Flower, zone: string): LocalDate | null {
  const first = flower.pollinations[0] ?? flower.left;
  return first ? localDateOf(Date.parse(first.at), zone) : null;
}

/** What the looks at a worked female say, whatever day it is. Days are counted from the first pollination. */
export interface FateFacts {
  readonly day0: LocalDate;
  /** The look (or harvest) that shows it set, and the last one before that showed nothing of it. */
  readonly set: { readonly at: string; readonly day: number; readonly after: number } | null;
  readonly failed: { readonly at: string; readonly day: number; readonly after: number } | null;
  /** The day of the last look; 0 without one. */
  readonly looked: number;
  readonly picked: { readonly at: string; readonly day: number } | null;
}

/**
 * Whether a fruit hung on its plant at an instant: plainly set by then, and neither lost nor picked yet.
 * @example hungAt(trials[0].facts, '2026-07-13T04:00:00.000Z') // true
 */
export function hungAt({ set, failed, picked }: FateFacts, at: string): boolean {
  return set !== null && set.at <= at && !(failed && failed.at <= at) && !(picked && picked.at <= at);
}

/** `null` for a flower that was never worked (or is male). */
export function fateFacts(flower: Flower, crop: Crop, zone: string): FateFacts | null {
  return flower.sex === 'male' || (flower.pollinations.length === 0 && !flower.left)
    ? null
    : factsOf(flower, crop, zone);
}

// A flower's view never changes in place, and years of them are asked for with every tap.
const factsOf = remembered(
  'fate',
  (flower: Flower, crop: Crop, zone: string) => ({ flower, crop, zone }),
  factsFrom,
);

function factsFrom({
  flower,
  crop,
  zone,
}: {
  readonly flower: Flower;
  readonly crop: Crop;
  readonly zone: string;
}): FateFacts | null {
  const day0 = workedOn(flower, zone);
  if (day0 === null) return null;
  const dayOf = (at: string) => daysBetween(day0, localDateOf(Date.parse(at), zone));
  const lastDay = lastLookDay(crop);
  let set: FateFacts['set'] = null;
  let failed: FateFacts['failed'] = null;
  let after = 0;
  for (const { at, result } of flower.looks) {
    const day = dayOf(at);
    const seen = { at, day, after };
    if (result === 'growing' || result === 'bent') {
      // A fruit called yellow on day 3 that plainly grows on day 5 did take: the later look decides.
      if (day >= crop.verdictDay.value) {
        set ??= seen;
        failed = null;
      }
    } else if (result === 'same') {
      // One that never grew is not going to; one that has grown and stops is ripening.
      if (set === null && day >= lastDay) failed ??= seen;
    } else if (result === 'gone' || day >= crop.verdictDay.value) {
      // Yellow before the day of the verdict is only noted: some come round, and one given up says its cause.
      failed ??= seen;
    }
    after = day;
  }
  const looked = after;
  const of = ({ at }: { at: string }) => ({ at, day: dayOf(at), after });
  if (flower.harvested) set ??= of(flower.harvested);
  if (flower.lost) failed ??= of(flower.lost);
  const picked = flower.harvested && { at: flower.harvested.at, day: dayOf(flower.harvested.at) };
  return { day0, set, failed: flower.harvested ? null : failed, looked, picked };
}

/** What the facts come to on a garden day. */
export function fateOn(
  { day0, set, failed }: Pick<FateFacts, 'day0' | 'set' | 'failed'>,
  crop: Crop,
  today: LocalDate,
): Fate {
  if (failed !== null) return set !== null && set.at < failed.at ? 'lost-later' : 'dropped';
  if (set !== null) return 'set';
  return daysBetween(day0, today) > lastLookDay(crop) + GRACE_DAYS ? 'not-looked-at' : 'waiting';
}

/**
 * `null` for a flower that was never worked (or is male). Days are calendar days in `zone`.
 * @example fateOf(female, crop, zone, '2026-07-13') // 'set'
 */
export function fateOf(flower: Flower, crop: Crop, zone: string, today: LocalDate): Fate | null {
  const facts = fateFacts(flower, crop, zone);
  return facts && fateOn(facts, crop, today);
}

/**
 * Days after pollination on which a fruit of this crop is owed its last look.
 * @example lastLookDay(cropOf('squash-maxima')) // 8
 */
export function lastLookDay(crop: Crop): number {
  return crop.looks.value[crop.looks.value.length - 1]?.day ?? crop.verdictDay.value;
}

/**
 * The days after pollination on which a look at this crop tells something.
 * @example lookDays(cropOf('tomato')) // [4, 7, 12]
 */
export function lookDays(crop: Crop): readonly number[] {
  return crop.looks.value.map(({ day }) => day);
}

/**
 * By this day a fruit is ripe and gone, or there never was one: nothing is left to look at.
 * @example ripeDay(cropOf('squash-maxima')) // 75
 */
export function ripeDay({ daysToSeed, daysToEat, looks }: Crop): number {
  return Math.max(
    daysToSeed?.value[1] ?? 0,
    daysToEat?.value[1] ?? 0,
    ...looks.value.map(({ day }) => day + GRACE_DAYS),
  );
}

/** A look that is owed at a pollinated flower. */
export interface LookDue {
  /** Days since pollination, today. */
  readonly day: number;
  /** The scheduled day that is owed. */
  readonly scheduled: number;
  readonly expect: string;
  /** Whether this look decides between set and dropped. */
  readonly verdict: boolean;
}

/**
 * The look a flower is owed on `today`, or `null`. Only flowers without a verdict are owed one, late as it may be, until it must be ripe.
 * @example lookDue(female, crop, zone, '2026-07-13') // null
 */
export function lookDue(flower: Flower, crop: Crop, zone: string, today: LocalDate): LookDue | null {
  const fate = fateOf(flower, crop, zone, today);
  if (fate !== 'waiting' && fate !== 'not-looked-at') return null;
  const day0 = workedOn(flower, zone) as LocalDate;
  const day = daysBetween(day0, today);
  if (day > ripeDay(crop)) return null;
  const lastLooked = flower.looks.reduce(
    (latest, look) => Math.max(latest, daysBetween(day0, localDateOf(Date.parse(look.at), zone))),
    -1,
  );
  let owed: LookDue | null = null;
  for (const { day: scheduled, expect } of crop.looks.value) {
    if (scheduled <= day && lastLooked < scheduled) {
      owed = { day, scheduled, expect, verdict: day >= crop.verdictDay.value };
    }
  }
  // Past all that were scheduled one look is still owed, until there is a verdict.
  if (fate === 'not-looked-at' && !owed)
    return lastLooked < day ? { day, scheduled: day, expect: 'set or not: look now', verdict: true } : null;
  return owed;
}

/** From this day on a pumpkin that took is plainly big (common practice: the size of a ball on day 14). */
const BALL_DAY = 12;

/** What to see on a day after the pollination, if it took; before the first look, that it is too early to tell. */
export function expectOn(crop: Crop, day: number): string {
  const looks = crop.looks.value;
  const first = looks[0]?.day ?? crop.verdictDay.value;
  if (day < Math.min(2, first))
    return `Too early: a flower is shut and limp on day ${Math.max(0, day)} whether it took or not. The first look that tells is on day ${first}.`;
  if (day < first) return `Early yet: the first look that tells is on day ${first}.`;
  if (crop.id.startsWith('squash') && day >= BALL_DAY)
    return 'By day 14 a pumpkin is the size of a ball; what still stands small has been given up.';
  return [...looks].reverse().find((look) => look.day <= day)?.expect ?? '';
}
