import { seasonOf } from '../bloom';
import { cropOf, daysToEatOf, type Crop } from '../crops';
import type { Flower, Place, Stand, State } from '../ledger';
import { shelterOn } from '../patch';
import { daysToRipenBy } from './ripening';
import { addDays, localDateOf, type LocalDate } from '../time';

/** The last day on which a pollination still ripens in time. */
export interface LastUseful {
  /** `null`: nothing ends the season that anybody knows of. */
  readonly on: LocalDate | null;
  /** The day by which it must be ripe: wanted, or the first frost. */
  readonly until: LocalDate | null;
  /** Somebody said that day; a frost that is only guessed rules nothing out. */
  readonly said: boolean;
}

/** Squash picked at this age or older ripens on indoors, 3-8 weeks at 15-20 C (common practice). Warm days: some 320 over 10 C [M]. */
const RIPENS_INDOORS_FROM_DAYS = 40;

/**
 * How many days a fruit so old still wants at the least before its seed can be ripe; squash finishes indoors. `null`: none, or nobody
 * keeps seed of the crop. Common practice.
 * @example daysUntilSeed(cropOf('squash-maxima'), 14) // 26
 */
export function daysUntilSeed(crop: Crop, day: number): number | null {
  const usual = crop.daysToSeed?.value[0];
  if (usual === undefined) return null;
  const least = crop.id.startsWith('squash') ? Math.min(usual, RIPENS_INDOORS_FROM_DAYS) : usual;
  return day < least ? least - day : null;
}

/**
 * Until when a pollination of a stand still brings ripe seed (or fruit to eat): the day wanted or the first frost, less the late end
 * of the crop's days to ripe, longer in the cool of autumn; squash for seed may finish indoors. Common practice.
 * @example lastUseful(state, place, stand, '2026-07-13') // { on: '2026-08-03', until: '2026-09-12', said: false }
 */
export function lastUseful(
  state: State,
  place: Place,
  stand: Stand,
  today: LocalDate,
  forSeed: boolean = stand.reason !== 'fruit',
): LastUseful {
  const variety = state.varieties.get(stand.variety);
  const season = seasonOf(state, place, stand, today);
  const by = stand.goal?.by ?? null;
  const until = by ?? season.frost.early;
  const said = by !== null || season.frost.from === 'said';
  if (!variety) return { on: null, until, said };
  const crop = cropOf(variety.crop);
  const ripens = forSeed
    ? (crop.daysToSeed ?? crop.daysToEat)
    : (daysToEatOf(crop, variety.traits) ?? crop.daysToSeed);
  if (!ripens || until === null) return { on: null, until, said };
  const late = ripens.value[1];
  // A frost only ends it outdoors; by a day that was wanted it must be ripe.
  const indoors = by === null && forSeed && crop.id.startsWith('squash');
  const usual = indoors ? Math.min(late, RIPENS_INDOORS_FROM_DAYS) : late;
  const days = ripeningDays(state, place, stand, until, usual);
  return { on: addDays(until, -days), until, said };
}

/** Days to ripe on the plant; under a roof the air outside says nothing of how warm it is. */
function ripeningDays(state: State, place: Place, stand: Stand, until: LocalDate, usualDays: number): number {
  const bed = state.beds.get(stand.bed);
  const roof = bed && shelterOn(bed, until)?.shelter;
  const warm = roof === 'tunnel' || roof === 'closed-house' || roof === 'indoors';
  return warm ? usualDays : daysToRipenBy(place, until, usualDays);
}

/** A pollination for seed that came too late to ripen, and the day it would have had to come by. */
export interface TooLate {
  readonly by: LocalDate;
  readonly until: LocalDate;
}

/**
 * Whether seed of this flower can't ripen in time by a day that somebody said; `null`: it can, or nobody knows.
 * @example tooLateForSeed(state, place, female, stand, '2026-07-13') // null
 */
export function tooLateForSeed(
  state: State,
  place: Place,
  flower: Flower,
  stand: Stand,
  today: LocalDate,
): TooLate | null {
  const worked = flower.pollinations.filter(({ purpose }) => purpose === 'seed').at(-1);
  if (!worked || flower.lost) return null;
  const { on, until, said } = lastUseful(state, place, stand, today, true);
  const late = said && on !== null && until !== null && localDateOf(Date.parse(worked.at), place.zone) > on;
  return late ? { by: on, until } : null;
}
