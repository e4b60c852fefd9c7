import { cropOf, daysToEatOf, type Crop } from '../crops';
import type { Flower, Place, Stand, State } from '../ledger';
import { mainPatch, plantsOfStand, shelterOn } from '../patch';
import { usualFrost } from '../sky';
import { daysToRipenBy } from './ripening';
import { addDays, localDateOf, type LocalDate } from '../time';

/** said: the grower's own date. guess: from the latitude. unknown: nobody said, and the latitude tells nothing. */
export type FrostFrom = 'said' | 'guess' | 'unknown';

/** The first frost of autumn as a range of days, and who says so. */
export interface FirstFrost {
  /** The day to reckon with: the grower's, or the early end of the guess. */
  readonly early: LocalDate | null;
  readonly late: LocalDate | null;
  readonly from: FrostFrom;
}

/** Without a frost to end it, an annual is over after so many days [M]. */
const ANNUAL_DAYS = 330;

/** The first frost after a day. */
export function frostAfter(state: State, place: Place, day: LocalDate): FirstFrost {
  const said = mainPatch(state)?.frostOn ?? null;
  if (said !== null) {
    const on = nextOn(said, day);
    return { early: on, late: on, from: 'said' };
  }
  const guess = usualFrost(place);
  if (guess === null) return { early: null, late: null, from: 'unknown' };
  const late = nextOn(guess.late, day);
  // The early end that belongs to that late end, though the day may lie between the two.
  const early = nextOn(guess.early, addDays(late, -200));
  return { early, late, from: 'guess' };
}

/** The first `MM-DD` after a day. */
function nextOn(monthDay: string, day: LocalDate): LocalDate {
  const year = Number(day.slice(0, 4));
  for (const candidate of [year, year + 1]) {
    const leap = new Date(Date.UTC(candidate, 1, 29)).getUTCMonth() === 1;
    const on = `${candidate}-${monthDay === '02-29' && !leap ? '03-01' : monthDay}`;
    if (on > day) return on;
  }
  return `${year + 1}-${monthDay}`;
}

/** The days a stand has for setting fruit. */
export interface Season {
  /** When the first plant of the stand was put in; of one that stands for years, when this year's season began. */
  readonly begins: LocalDate;
  readonly frost: FirstFrost;
  /** The frost has come (or the year is out): what an annual has not brought by now it will not bring. */
  readonly over: boolean;
}

/** Older work of a plant that stands for years belongs to another season [M]. */
const YEARLY_DAYS = 300;

/** What goes into a stand within so many days is planted for one season [M]: sown again in June, it is still this year's. */
const PLANTING_DAYS = 200;

/** The first day of the stand's latest planting: last year's plants, whose end nobody noted, do not make this year's old. */
function plantedLast(state: State, stand: Stand, zone: string): LocalDate | null {
  const days = plantsOfStand(state, stand.id)
    .map(({ plantedOn, addedAt }) => plantedOn ?? localDateOf(Date.parse(addedAt), zone))
    .sort();
  const last = days[days.length - 1];
  return last === undefined ? null : (days.find((day) => day >= addDays(last, -PLANTING_DAYS)) ?? last);
}

/**
 * The season of a stand. An annual has one, from its planting to the first frost after it: the day after, the season is over and
 * no next year's begins. Only a date that was said can end it so; a guess ends nothing.
 */
export function seasonOf(state: State, place: Place, stand: Stand, today: LocalDate): Season {
  const variety = state.varieties.get(stand.variety);
  const perennial = variety !== undefined && cropOf(variety.crop).perennial !== null;
  if (perennial)
    return {
      begins: addDays(today, -YEARLY_DAYS),
      frost: frostAfter(state, place, addDays(today, -1)),
      over: false,
    };
  const begins = plantedLast(state, stand, place.zone) ?? today;
  const frost = frostAfter(state, place, begins);
  const frosted = frost.from === 'said' && frost.late !== null && today > frost.late;
  return { begins, frost, over: frosted || today > addDays(begins, ANNUAL_DAYS) };
}

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
