import type { Crop } from '../crops';
import type { Flower } from '../ledger';
import { daysBetween, localDateOf, type LocalDate } from '../time';

/**
 * What became of a worked female.
 * waiting: no verdict yet. set: plainly growing on the crop's verdict day or later, or harvested.
 * lost-later: set, then lost; the pollination had taken. dropped: failed before it was set, whatever the cause.
 */
export type Fate = 'waiting' | 'set' | 'lost-later' | 'dropped';

/** The garden day on which a female was first worked, or `null` if it never was. */
export function workedOn(flower: Flower, zone: string): LocalDate | null {
  const first = flower.pollinations[0];
  return first ? localDateOf(Date.parse(first.at), zone) : null;
}

interface KnownFate {
  readonly crop: Crop;
  readonly zone: string;
  readonly fate: Fate | null;
}

// A flower's view never changes: years of them are asked again with every tap.
const known = new WeakMap<Flower, KnownFate>();

/** `null` for a flower that was never worked (or is male). Days are calendar days in `zone`. */
export function fateOf(flower: Flower, crop: Crop, zone: string): Fate | null {
  if (flower.sex === 'male' || flower.pollinations.length === 0) return null;
  const found = known.get(flower);
  if (found?.crop === crop && found.zone === zone) return found.fate;
  const fate = fateFrom(flower, crop, zone);
  known.set(flower, { crop, zone, fate });
  return fate;
}

function fateFrom(flower: Flower, crop: Crop, zone: string): Fate | null {
  const day0 = workedOn(flower, zone);
  if (day0 === null) return null;
  const dayOf = (at: string) => daysBetween(day0, localDateOf(Date.parse(at), zone));
  const lastDay = lastLookDay(crop);
  let setAt: string | null = null;
  let failedAt: string | null = null;
  for (const look of flower.looks) {
    const day = dayOf(look.at);
    if (look.result === 'growing') {
      // A fruit called yellow on day 3 that plainly grows on day 5 did take: the later look decides.
      if (day >= crop.verdictDay.value) {
        setAt ??= look.at;
        failedAt = null;
      }
    } else if (look.result !== 'same' || day >= lastDay) failedAt ??= look.at;
  }
  if (flower.harvested) setAt ??= flower.harvested.at;
  if (flower.lost) failedAt ??= flower.lost.at;
  if (failedAt !== null && flower.harvested === null)
    return setAt !== null && setAt < failedAt ? 'lost-later' : 'dropped';
  return setAt === null ? 'waiting' : 'set';
}

export function lastLookDay(crop: Crop): number {
  return crop.looks.value[crop.looks.value.length - 1]?.day ?? crop.verdictDay.value;
}

export interface LookDue {
  /** Days since pollination, today. */
  readonly day: number;
  /** The scheduled day that is owed. */
  readonly scheduled: number;
  readonly expect: string;
  /** Whether this look decides between set and dropped. */
  readonly verdict: boolean;
}

/** The look a flower is owed on `today`, or `null`. Only flowers still waiting are owed one. */
export function lookDue(flower: Flower, crop: Crop, zone: string, today: LocalDate): LookDue | null {
  if (fateOf(flower, crop, zone) !== 'waiting') return null;
  const day0 = workedOn(flower, zone) as LocalDate;
  const day = daysBetween(day0, today);
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
  return owed;
}
