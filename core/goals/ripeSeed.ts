import { seasonOf, type Season } from '../bloom';
import { fateOf, workedOn } from '../fruitset';
import type { Flower, Place, State } from '../ledger';
import { alongTheWalk, shelterOn, type Growing } from '../patch';
import { bearsSeed } from '../purity';
import { daysBetween, type LocalDate } from '../time';
import { daysUntilSeed } from './season';

/** From so many days before a frost that was named its seed fruit is told of [M]. */
const FROST_DAYS = 3;

/**
 * A seed fruit that wants to be taken in. ripe: its usual days to ripe seed are full. frost: one that was named comes or has come, and it
 * is still out.
 */
export interface RipeSeed {
  readonly flower: Flower;
  readonly growing: Growing;
  /** Days since its pollination. */
  readonly day: number;
  readonly why: 'ripe' | 'frost';
  /** The frost, where that is why. */
  readonly frostOn: LocalDate | null;
  /** Days that it still wants at the least; squash finishes them indoors. `null`: none. */
  readonly wants: number | null;
}

/**
 * What one fruit for seed asks for on a day; `null`: nothing, or it is none.
 * @example ripeNow(state, place, female, mother, '2026-07-13') // null
 */
export function ripeNow(
  state: State,
  place: Place,
  flower: Flower,
  growing: Growing,
  today: LocalDate,
  season: Season = seasonOf(state, place, growing.stand, today),
): RipeSeed | null {
  const { crop, bed } = growing;
  const worked = workedOn(flower, place.zone);
  const usual = crop.daysToSeed?.value[0];
  if (worked === null || usual === undefined || flower.harvested || !bearsSeed(flower)) return null;
  // What nobody saw grow may be none.
  if (fateOf(flower, crop, place.zone, today) !== 'set') return null;
  const day = daysBetween(worked, today);
  const found = { flower, growing, day, wants: daysUntilSeed(crop, day) };
  const { late, from } = season.frost;
  const roof = shelterOn(bed, today)?.shelter;
  const outdoors = roof !== 'closed-house' && roof !== 'indoors';
  if (outdoors && from === 'said' && late !== null && daysBetween(today, late) <= FROST_DAYS)
    return { ...found, why: 'frost', frostOn: late };
  return day >= usual ? { ...found, why: 'ripe', frostOn: null } : null;
}

/**
 * The seed fruit to be taken in, in walking order.
 * @example ripeSeed(state, place, '2026-07-13') // []
 */
export function ripeSeed(state: State, place: Place, today: LocalDate): RipeSeed[] {
  const seasons = new Map<string, Season>();
  return alongTheWalk(state, (flower, growing) => {
    // Of thousands of flowers few are seed fruit: that is asked first.
    if (flower.harvested || flower.pollinations.length === 0 || !bearsSeed(flower)) return null;
    const { stand } = growing;
    const season = seasons.get(stand.id) ?? seasonOf(state, place, stand, today);
    seasons.set(stand.id, season);
    return ripeNow(state, place, flower, growing, today, season);
  });
}
