import { selfsUnderCover } from '../crops';
import {
  gardenDay,
  inFlower,
  bloomDayOf,
  NO_WEATHER,
  type GardenDay,
  type OpenWindow,
  type WeatherOf,
  shutMales,
} from '../bloom';
import { lookDue, trialOf, type LookDue, workTime } from '../fruitset';
import type { PlantId } from '../ids';
import type { Flower, Place, State } from '../ledger';
import {
  alongTheWalk,
  beesAtWork,
  coversFor,
  fatherVarietyOf,
  mainPatch,
  walkOrder,
  type Growing,
} from '../patch';
import { markMissing } from '../purity';
import { addDays, localDateOf, type LocalDate } from '../time';
import { femalesPerMale } from '../goals';
import { givesPollen, LATE_OPENER_MIN, maleUses, roundMinutes, stopsOf, type Stop } from './stops';

const MINUTE = 60_000;
/** An evening walk begins no earlier than this long before sunset [M]: earlier, tomorrow's buds don't show yet. */
const WALK_BEFORE_SUNSET_MIN = 180;
/** Looking over and shutting, per plant [M]. */
const WALK_MINUTES_PER_PLANT = 1.5;
/** From so long before the flowers of the night open their round comes first [M]. */
const DUSK_FIRST_MIN = 45;

/** The round of one dawn or dusk. */
export interface PollinationRound {
  readonly kind: 'dawn' | 'dusk';
  readonly date: LocalDate;
  readonly stops: readonly Stop[];
  readonly toDo: readonly Stop[];
  readonly males: number;
  readonly fatherPlants: number;
  /** Work on the flowers that open before the end. */
  readonly minutes: number;
  /** Flowers that only open about the end or after it: their closures keep insects out till then. */
  readonly afterEnd: readonly Stop[];
  /** When the first of those opens; `null` without any. */
  readonly afterEndFrom: number | null;
  readonly window: OpenWindow;
  /** When the last of those still to do has shut. */
  readonly until: number;
  /** The latest start that still ends before the insects (dawn) or while one can see (dusk); never before the first opens. */
  readonly startBy: number;
  /** When the round should be over: insects at dawn, darkness at dusk. */
  readonly end: number;
  readonly insectsFrom: number;
}

/** The walk of one evening. */
export interface EveningWalk {
  readonly kind: 'walk';
  readonly date: LocalDate;
  readonly plants: readonly Growing[];
  /** Plants whose goal is met: not on the way, for whoever wants to see them. */
  readonly rest: readonly Growing[];
  /** Plants somebody already looked over this evening. */
  readonly walked: readonly PlantId[];
  readonly minutes: number;
  readonly startsAt: number;
  readonly startBy: number;
  readonly endsAt: number;
}

/** What comes next: a round or a walk. */
export type Round = PollinationRound | EveningWalk;

/** The pollination round of one day, or `null` when no female was shut for it. */
export function pollinationRound(
  state: State,
  place: Place,
  date: LocalDate,
  kind: 'dawn' | 'dusk',
  weatherOf: WeatherOf = NO_WEATHER,
): PollinationRound | null {
  const stops = stopsOf(state, date, place.zone, kind);
  if (stops.length === 0) return null;
  const morning = bloomDayOf(state, place, date, weatherOf);
  const { day } = morning;
  const toDo = stops.filter((stop) => stop.state === 'to-do' || stop.state === 'later');
  const windows = stops.map(({ growing: { crop } }) => morning.window(crop));
  const window = {
    opens: Math.min(...windows.map(({ opens }) => opens)),
    bestUntil: Math.max(...windows.map(({ bestUntil }) => bestUntil)),
    closes: Math.max(...windows.map(({ closes }) => closes)),
  };
  // At dusk no bee sets the end, but the light does: an hour past the last of it [M].
  const end = kind === 'dawn' ? day.insectsFrom : day.lastLight + 60 * MINUTE;
  const opensAt = ({ growing: { crop } }: Stop) => morning.window(crop).opens;
  const afterEnd = toDo.filter((stop) => opensAt(stop) + LATE_OPENER_MIN * MINUTE >= end);
  const inTime = afterEnd.length === toDo.length ? toDo : toDo.filter((stop) => !afterEnd.includes(stop));
  const minutes = roundMinutes(inTime, (crop) => workTime(state, crop).minutes);
  const varieties = new Set(stops.map(({ growing }) => fatherVarietyOf(growing)));
  const uses = maleUses(state, date, place.zone);
  let males = 0;
  let fatherPlants = 0;
  for (const each of walkOrder(state)) {
    if (!varieties.has(each.variety.id)) continue;
    // What gave its pollen, or is torn, is there no more.
    const found = shutMales(state, each, date, place.zone).filter(
      (male) =>
        givesPollen(state, male, date, place.zone) &&
        (uses.get(male.id) ?? 0) < femalesPerMale(state, each.crop),
    ).length;
    males += found;
    if (found > 0) fatherPlants++;
  }
  return {
    kind,
    date,
    stops,
    toDo,
    males,
    fatherPlants,
    minutes,
    afterEnd: inTime === toDo ? [] : afterEnd,
    afterEndFrom: inTime === toDo || afterEnd.length === 0 ? null : Math.min(...afterEnd.map(opensAt)),
    window,
    until: Math.max(0, ...toDo.map(({ growing: { crop } }) => morning.window(crop).closes)),
    startBy: Math.max(window.opens, end - minutes * MINUTE),
    end,
    insectsFrom: day.insectsFrom,
  };
}

interface WalkOptions {
  readonly kitchen?: boolean;
  /** Plants whose goal is met. */
  readonly done?: readonly string[];
}

/**
 * The evening walk of one day: what is to be shut for seed, vines before all. Corn, crosses and kitchen plants have rounds of their
 * own; where there are no vines they are here all the same, for whoever opens the walk. With `kitchen` it is the vines of the kitchen
 * round instead, looked over for tomorrow's females. `null` where there is nothing to look at. Plants whose goal is met (`done`) are not
 * waited for, unless they are all there is.
 */
export function eveningWalk(
  state: State,
  place: Place,
  date: LocalDate,
  { kitchen = false, done = [] }: WalkOptions = {},
): EveningWalk | null {
  const all = walkOrder(state).filter((each) =>
    kitchen ? workedAsItOpens(state, each, date) : hasSeedWork(state, each),
  );
  const vines = all.filter(({ crop }) => crop.family === 'cucurbit');
  // What has had its season is walked past, whether somebody noted its end or not.
  const flowering = inFlower(state, place, date);
  const standing = (vines.length > 0 || kitchen ? vines : all).filter((each) => flowering(each) !== 'over');
  if (standing.length === 0) return null;
  const isDone = ({ plant }: Growing) => done.includes(plant.id);
  const [plants, rest] = standing.every(isDone)
    ? [standing, []]
    : [standing.filter((each) => !isDone(each)), standing.filter(isDone)];
  const day = gardenDay(place, date);
  const startsAt = day.sunset - WALK_BEFORE_SUNSET_MIN * MINUTE;
  const endsAt = day.lastLight + 60 * MINUTE;
  const from = new Date(startsAt).toISOString();
  const to = new Date(endsAt).toISOString();
  const walked = plants
    .filter(({ plant }) => walkedBetween(state, plant.id, from, to))
    .map(({ plant }) => plant.id);
  const minutes = Math.ceil((plants.length - walked.length) * WALK_MINUTES_PER_PLANT);
  return {
    kind: 'walk',
    date,
    plants,
    rest,
    walked,
    minutes,
    startsAt,
    startBy: day.lastLight - minutes * MINUTE,
    endsAt,
  };
}

/** For the fruit, or where no cover is needed: its flowers are worked as they open. */
function workedAsItOpens(state: State, each: Growing, date: LocalDate): boolean {
  const { reason, goal } = each.stand;
  if (reason === 'fruit' || (goal?.kitchenFruits ?? 0) > 0) return true;
  const { needed, shelter } = coversFor(state, each, date);
  return !needed && !beesAtWork(shelter);
}

/** Whether it stands in a cage whose bees do the work, and are all that come to it. */
export function leftToBees(state: State, each: Growing, date: LocalDate): boolean {
  const { needed, shelter } = coversFor(state, each, date);
  return !needed && beesAtWork(shelter);
}

/** Grown for seed or a cross, or with a flower that is. */
function hasSeedWork(state: State, { plant, stand }: Growing): boolean {
  return (
    stand.reason !== 'fruit' ||
    (state.flowersOf.get(plant.id) ?? []).some((id) => (state.flowers.get(id)?.reason ?? 'fruit') !== 'fruit')
  );
}

function walkedBetween(state: State, plantId: PlantId, from: string, to: string): boolean {
  const within = (at: string | null | undefined) => at !== null && at !== undefined && at >= from && at <= to;
  const plant = state.plants.get(plantId);
  if (within(plant?.healthAt) || within(plant?.passedAt) || plant?.males.some(({ at }) => within(at)))
    return true;
  return (state.flowersOf.get(plantId) ?? []).some((id) => {
    const flower = state.flowers.get(id);
    return flower?.sightings.some(({ at }) => within(at)) || flower?.shuttings.some(({ at }) => within(at));
  });
}

/** It has a round of its own (corn, crosses, trusses under bags), in which all that is found on it is written down. */
const hasOwnRound = ({ crop, stand }: Growing): boolean =>
  crop.family === 'corn' ||
  crop.family === 'nightshade' ||
  (stand.reason === 'seed' && selfsUnderCover(crop)) ||
  (crop.flowers.perfect !== undefined && stand.reason === 'cross');

/** The walk that a day asks for: `null` also where every plant on it has a round of its own, is left to bees, or has it too cold to flower. */
function walkDue(state: State, place: Place, date: LocalDate, done: readonly string[]): EveningWalk | null {
  const walk = eveningWalk(state, place, date, { done });
  const flowering = inFlower(state, place, date);
  return walk?.plants.every(
    (each) => hasOwnRound(each) || leftToBees(state, each, date) || flowering(each) !== 'on',
  )
    ? null
    : walk;
}

/**
 * What comes next, soonest first: this morning's round while its flowers are open, tonight's walk, this dusk's
 * round, tomorrow's dawn. Empty on a patch without plants, or where all of them have rounds of their own. `done`: plants whose goal is
 * met, which no walk waits for.
 */
export function nextRounds(
  state: State,
  place: Place,
  now: number,
  weatherOf: WeatherOf = NO_WEATHER,
  done: readonly string[] = [],
): Round[] {
  const today = localDateOf(now, place.zone);
  const rounds: Round[] = [];
  const add = (round: PollinationRound | null) => {
    // Each crop has its own hours: what is left of a round may be over, though another of its crops is open still.
    if (round && round.toDo.length > 0 && now < round.until) rounds.push(round);
  };
  add(pollinationRound(state, place, addDays(today, -1), 'dusk', weatherOf));
  add(pollinationRound(state, place, today, 'dawn', weatherOf));
  const walk = walkDue(state, place, today, done);
  const walkOpen = walk !== null && walk.walked.length < walk.plants.length && now < walk.endsAt;
  if (walk && walkOpen) rounds.push(walk);
  const dusk = pollinationRound(state, place, today, 'dusk', weatherOf);
  // Flowers of the night don't wait for the end of the walk.
  const before = rounds.indexOf(walk as Round);
  add(dusk);
  if (dusk && before >= 0 && rounds.at(-1) === dusk && now >= dusk.window.opens - DUSK_FIRST_MIN * MINUTE)
    rounds.splice(before, 0, rounds.pop() as Round);
  const tomorrow = pollinationRound(state, place, addDays(today, 1), 'dawn', weatherOf);
  add(tomorrow);
  if (!walkOpen && !tomorrow) {
    const next = walkDue(state, place, addDays(today, 1), done);
    if (next) rounds.push(next);
  }
  return rounds;
}

/** A fruit that waits to be looked at. */
export interface OwedLook {
  readonly flower: Flower;
  readonly growing: Growing;
  readonly due: LookDue;
}

/**
 * Looks owed today in walking order, on each plant the longest overdue first.
 * @example looksDue(state, zone, '2026-07-13').length // 0
 */
export function looksDue(state: State, zone: string, today: LocalDate): OwedLook[] {
  const owed: OwedLook[] = [];
  for (const growing of walkOrder(state)) {
    const here: OwedLook[] = [];
    for (const id of state.flowersOf.get(growing.plant.id) ?? []) {
      const flower = state.flowers.get(id);
      const facts = flower && trialOf(flower, growing, zone)?.facts;
      if (!facts || facts.set || facts.failed) continue;
      const due = lookDue(flower, growing.crop, zone, today);
      if (due) here.push({ flower, growing, due });
    }
    owed.push(...here.sort((a, b) => b.due.day - a.due.day || (a.flower.id < b.flower.id ? -1 : 1)));
  }
  return owed;
}

/**
 * Seed fruits without the mark they ought to carry, in walking order: asked for until it is on.
 * @example marksMissing(state).length // 0
 */
export function marksMissing(state: State): { readonly flower: Flower; readonly growing: Growing }[] {
  const whenGrowing = mainPatch(state)?.schools.marking === 'when-growing';
  return alongTheWalk(state, (flower, growing) =>
    markMissing(flower, whenGrowing) ? { flower, growing } : null,
  );
}

/** First light, sun and insects of the day that matters at `now`, for the dawn band. */
export function bandDay(place: Place, now: number): GardenDay {
  const today = gardenDay(place, localDateOf(now, place.zone));
  const sinceSunset = now > today.sunset;
  return sinceSunset ? gardenDay(place, addDays(today.date, 1)) : today;
}
