import { bloomSpan, cropOf, type Crop } from '../crops';
import type { Place, Plant, Stand, State } from '../ledger';
import { flowersOn, mainPatch, plantsOfStand, shelterOn } from '../patch';
import { climateDay, usualFrost } from '../sky';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';

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
export function frostAfter(state: Pick<State, 'patches'>, place: Place, day: LocalDate): FirstFrost {
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

/** The tables that say how a stand's season goes. */
export type SeasonTables = Pick<
  State,
  'patches' | 'beds' | 'stands' | 'plants' | 'varieties' | 'flowers' | 'flowersOf'
>;

/** Older work of a plant that stands for years belongs to another season [M]. */
const YEARLY_DAYS = 300;
/** What goes into a stand within so many days is planted for one season [M]: sown again in June, it is still this year's. */
const PLANTING_DAYS = 200;
/** After a frost that was named a plant that stands for years rests this long, however mild it is [M]. */
const REST_DAYS = 60;
/** Usual mean temperature from which these plants flower outdoors, C [M]; a tunnel is warmer by so much [M]. */
const FLOWERS_FROM_C = { strawberry: 8, other: 13 } as const;
const TUNNEL_GIVES_C = 3;
/** Silk and shed of a block are over so long after the first of them: they last about two weeks (common practice), and some are late [M]. */
const CORN_DAYS = 35;
/** A flower written down so lately says that the season is on [M]. */
const LATELY_DAYS = 14;

const plantedDay = ({ plantedOn, addedAt }: Plant, zone: string): LocalDate =>
  plantedOn ?? localDateOf(Date.parse(addedAt), zone);

/** The first day of the stand's latest planting: last year's plants, whose end nobody noted, do not make this year's old. */
function plantedLast(plants: readonly Plant[], zone: string): LocalDate | null {
  const days = plants.map((plant) => plantedDay(plant, zone)).sort();
  const last = days[days.length - 1];
  return last === undefined ? null : (days.find((day) => day >= addDays(last, -PLANTING_DAYS)) ?? last);
}

/** Whether it is usually too cold for a crop to flower where it stands. Nobody knows how warm a house is. */
function tooCold(state: SeasonTables, place: Place, stand: Stand, crop: Crop, date: LocalDate): boolean {
  const bed = state.beds.get(stand.bed);
  const shelter = bed && shelterOn(bed, date)?.shelter;
  if (shelter === 'indoors' || shelter === 'closed-house') return false;
  const { minC, maxC } = climateDay(place, date);
  const limit = crop.family === 'strawberry' ? FLOWERS_FROM_C.strawberry : FLOWERS_FROM_C.other;
  return (minC + maxC) / 2 + (shelter === 'tunnel' ? TUNNEL_GIVES_C : 0) < limit;
}

/** Whether somebody wrote down a flower of one of these plants on or after a day. */
function flowerSince(
  state: Pick<State, 'flowers' | 'flowersOf'>,
  plants: readonly Plant[],
  since: LocalDate,
  zone: string,
): boolean {
  const late = ({ at }: { readonly at: string }) => localDateOf(Date.parse(at), zone) >= since;
  return plants.some(
    ({ id, tallies }) =>
      tallies.some(late) || flowersOn(state, id).some(({ sightings }) => sightings.some(late)),
  );
}

/**
 * The season of a stand. An annual has one, from its planting to the first frost after it: the day after, the season is over and no next
 * year's begins. A frost that is only guessed ends nothing before its latest day, and then only where it has grown too cold. What
 * stands for years rests after its frost until it is warm again.
 * @example seasonOf(state, place, stand, '2026-07-13').over // false
 */
export function seasonOf(state: SeasonTables, place: Place, stand: Stand, today: LocalDate): Season {
  const variety = state.varieties.get(stand.variety);
  const crop = variety && cropOf(variety.crop);
  const bed = state.beds.get(stand.bed);
  const indoors = bed !== undefined && shelterOn(bed, today)?.shelter === 'indoors';
  const plants = plantsOfStand(state, stand.id);
  const frostAt = (day: LocalDate): FirstFrost =>
    indoors ? { early: null, late: null, from: 'unknown' } : frostAfter(state, place, day);
  const past = ({ late, from }: FirstFrost, rests: number): boolean =>
    late !== null &&
    today > late &&
    ((from === 'said' && daysBetween(late, today) <= rests) ||
      (crop !== undefined &&
        tooCold(state, place, stand, crop, today) &&
        !flowerSince(state, plants, addDays(late, 1), place.zone)));
  if (crop && crop.perennial !== null) {
    const begins = addDays(today, -YEARLY_DAYS);
    const last = frostAt(addDays(today, -366));
    if (past(last, REST_DAYS)) return { begins, frost: last, over: true };
    return { begins, frost: frostAt(addDays(today, -1)), over: false };
  }
  const begins = plantedLast(plants, place.zone) ?? today;
  const frost = frostAt(begins);
  const old =
    today > addDays(begins, ANNUAL_DAYS) &&
    !flowerSince(state, plants, addDays(today, -LATELY_DAYS), place.zone);
  return { begins, frost, over: old || past(frost, Infinity) };
}

/** on: it can flower. not-now: too cold as yet, or for now, or its bloom has gone by. over: what was planted has had its season. */
export type Flowering = 'on' | 'not-now' | 'over';

/**
 * Whether a stand can be in flower on a day, so that rounds and walks of it are worth naming: the one rule of the season, for every crop and
 * reason. A flower that was written down lately says that it is.
 * @example floweringOf(state, place, stand, '2026-07-06') // 'on'
 */
export function floweringOf(state: SeasonTables, place: Place, stand: Stand, date: LocalDate): Flowering {
  return floweringIn(state, place, stand, date, seasonOf(state, place, stand, date));
}

function floweringIn(
  state: SeasonTables,
  place: Place,
  stand: Stand,
  date: LocalDate,
  { over, frost }: Season,
): Flowering {
  const plants = plantsOfStand(state, stand.id);
  const lately = (since: LocalDate) => flowerSince(state, plants, since, place.zone);
  const variety = state.varieties.get(stand.variety);
  const crop = variety && cropOf(variety.crop);
  const recent = addDays(date, -LATELY_DAYS);
  if (over) {
    const thawed = frost.late !== null && frost.late < date ? addDays(frost.late, 1) : recent;
    if (lately(thawed > recent ? thawed : recent)) return 'on';
    // What stands for years rests, and comes again.
    return crop && crop.perennial !== null ? 'not-now' : 'over';
  }
  const away =
    crop !== undefined &&
    (tooCold(state, place, stand, crop, date) ||
      (crop.family === 'corn' && cornIsPast(state, plants, crop, date, place.zone)));
  return away && !lately(recent) ? 'not-now' : 'on';
}

/** Whether a block of corn has had its short bloom: by the first silk or shed that was written down, or by its days from planting. */
function cornIsPast(
  state: Pick<State, 'flowers' | 'flowersOf'>,
  plants: readonly Plant[],
  crop: Crop,
  date: LocalDate,
  zone: string,
): boolean {
  const latest = bloomSpan(crop)?.firstAfter[1];
  const old =
    latest !== undefined &&
    plants.every(
      ({ plantedOn }) => plantedOn !== null && daysBetween(plantedOn, date) > latest + LATELY_DAYS,
    );
  return old || flowered(state, plants, addDays(date, -CORN_DAYS), zone);
}

/** Whether a flower of these plants stood open before a day. */
function flowered(
  state: Pick<State, 'flowers' | 'flowersOf'>,
  plants: readonly Plant[],
  before: LocalDate,
  zone: string,
): boolean {
  return plants.some(({ id }) =>
    flowersOn(state, id).some(({ sightings }) =>
      sightings.some(({ stage, at }) => stage === 'open' && localDateOf(Date.parse(at), zone) < before),
    ),
  );
}

/** Whether a plant is in flower on a date, each stand asked once: last year's of a stand that was planted anew has had its season. */
export function inFlower(
  state: SeasonTables,
  place: Place,
  date: LocalDate,
): (growing: { readonly stand: Stand; readonly plant: Plant }) => Flowering {
  const known = new Map<string, { readonly is: Flowering; readonly begins: LocalDate | null }>();
  const about = (stand: Stand) => {
    const variety = state.varieties.get(stand.variety);
    const annual = variety !== undefined && cropOf(variety.crop).perennial === null;
    const season = seasonOf(state, place, stand, date);
    return { is: floweringIn(state, place, stand, date, season), begins: annual ? season.begins : null };
  };
  return ({ stand, plant }) => {
    const found = known.get(stand.id) ?? about(stand);
    known.set(stand.id, found);
    return found.begins !== null && plantedDay(plant, place.zone) < found.begins ? 'over' : found.is;
  };
}
