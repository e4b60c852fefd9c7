import { dueOn, isWhole, lastCheck, shutMales } from '../bloom';
import type { Crop } from '../crops';
import type { FlowerId, PlantId } from '../ids';
import { Shards, type Flower, type State } from '../ledger';
import { lastWorkIn } from '../fruitset';
import { femalesPerMale } from '../goals';
import { fatherVarietyOf, mainPatch, walkOrder, type Growing } from '../patch';
import { fitForSeed } from '../purity';
import { remembered } from '../remember';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';

/** How a stop stands. later: not open yet, come back. spoiled: torn or holed. missed: left, and why was said. */
export type StopState = 'to-do' | 'later' | 'worked' | 'spoiled' | 'lost' | 'missed';

/** One female of the round and how far she is. */
export interface Stop {
  readonly flower: Flower;
  readonly growing: Growing;
  readonly state: StopState;
  /** Worked yesterday, and stands here by the school of a second morning: worked again only if it is still fresh. */
  readonly again: boolean;
}

/** Silks take pollen for about so many days after they show (extension texts, from memory); best in the first half. */
export const SILK_DAYS = 10;

/**
 * Whether an ear under its bag has silk that can be worked on a date: shut before, silk seen, not too old.
 * @example silkReady(female, zone, '2026-07-06') // false
 */
export function silkReady(flower: Flower, zone: string, date: LocalDate): boolean {
  const age = silkAge(flower, zone, date);
  const silk = silkSeenAt(flower);
  const shut = flower.shuttings[0];
  return (
    age !== null && age >= 0 && age <= SILK_DAYS && shut !== undefined && silk !== null && shut.at <= silk
  );
}

/** When silk was first seen on an ear, or `null`. */
export function silkSeenAt(flower: Flower): string | null {
  return flower.sightings.find(({ stage }) => stage === 'open')?.at ?? null;
}

/** Days since silk was first seen; `null` before. */
export function silkAge(flower: Flower, zone: string, date: LocalDate): number | null {
  const seen = silkSeenAt(flower);
  return seen === null ? null : daysBetween(localDateOf(Date.parse(seen), zone), date);
}

/**
 * The females of one morning's (or dusk's) round, in walking order, done and to do. Corn has a round of its own.
 * @example stopsOf(state, '2026-07-06', zone, 'dawn').map(({ state: found }) => found) // ['worked']
 */
export function stopsOf(state: State, date: LocalDate, zone: string, round: 'dawn' | 'dusk'): Stop[] {
  return stopsAmong(state, date, zone, ({ crop }) => crop.family !== 'corn' && crop.clock.round === round);
}

/** The ears of a morning's corn round, done and to do. */
export function earStops(state: State, date: LocalDate, zone: string): Stop[] {
  return stopsAmong(state, date, zone, ({ crop }) => crop.family === 'corn');
}

function stopsAmong(state: State, date: LocalDate, zone: string, wanted: (each: Growing) => boolean): Stop[] {
  const stops: Stop[] = [];
  for (const each of walkOrder(state)) {
    if (!wanted(each)) continue;
    for (const id of state.flowersOf.get(each.plant.id) ?? []) {
      const flower = state.flowers.get(id);
      if (!flower || flower.sex !== 'female' || flower.shuttings.length === 0) continue;
      const found = stateOn(state, flower, each.crop, zone, date);
      if (found)
        stops.push({
          flower,
          growing: each,
          state: found,
          again: isAgain(state, flower, each.crop, zone, date),
        });
    }
  }
  return stops;
}

function stateOn(state: State, flower: Flower, crop: Crop, zone: string, date: LocalDate): StopState | null {
  const worked = flower.pollinations.some(({ at }) => localDateOf(Date.parse(at), zone) === date);
  if (worked) return 'worked';
  const check = lastCheck(flower);
  const checkedToday = check !== null && localDateOf(Date.parse(check.at), zone) === date;
  if (checkedToday && check.result === 'not-open') return 'later';
  if (flower.pollinations.length > 0)
    // Looked at again and left, whatever was found: that settles it.
    return isAgain(state, flower, crop, zone, date) && !checkedToday && !flower.lost ? 'to-do' : null;
  if (crop.family === 'corn' ? !silkReady(flower, zone, date) : dueOn(state, flower, crop, zone) !== date)
    return null;
  if (flower.lost || (checkedToday && check.result === 'gone')) return 'lost';
  if (flower.missed || flower.left) return 'missed';
  return checkedToday && !isWhole(check.result) ? 'spoiled' : 'to-do';
}

/** Whether a flower was first worked the morning before, and the patch works what is still fresh a second morning. */
function isAgain(state: State, flower: Flower, crop: Crop, zone: string, date: LocalDate): boolean {
  if (crop.family === 'corn' || crop.clock.round === 'dusk') return false;
  if (mainPatch(state)?.schools.mornings !== 'second') return false;
  const earlier = flower.pollinations.filter(({ at }) => localDateOf(Date.parse(at), zone) < date);
  return (
    earlier.length > 0 && earlier.every(({ at }) => localDateOf(Date.parse(at), zone) === addDays(date, -1))
  );
}

/** A plant whose males could serve a stop. */
export interface FatherOffer {
  readonly growing: Growing;
  /** Shut, whole, unused males of that plant that open on this day. */
  readonly free: readonly FlowerId[];
  /** How many were shut for this day in all. */
  readonly shut: number;
  /** Of these: have served as many females as they may; torn, gone, not open or without pollen. */
  readonly used: number;
  readonly spoiled: number;
  readonly selfing: boolean;
}

/**
 * Fathers for one female: shut males of the same variety (of the father's, in a cross) that open on `date`, other
 * plants first and those with most males left in front; the plant's own last, or left out, by the school. Males
 * that gave their pollen away, torn or gone are not free.
 */
export function fathersFor(
  state: State,
  stop: Stop,
  date: LocalDate,
  zone: string,
  selfing: string,
): FatherOffer[] {
  const { plant } = stop.growing;
  const wanted = fatherVarietyOf(stop.growing);
  const uses = maleUses(state, date, zone);
  const most = femalesPerMale(state, stop.growing.crop);
  const offers: FatherOffer[] = [];
  for (const each of walkOrder(state)) {
    if (each.variety.id !== wanted) continue;
    const own = each.plant.id === plant.id;
    if (own && selfing === 'never') continue;
    const shut = shutMales(state, each, date, zone);
    const good = shut.filter((male) => givesPollen(state, male, date, zone));
    const free = good
      .filter((male) => (uses.get(male.id) ?? 0) < most)
      // What is in hand goes first, then what has served least.
      .sort(
        (a, b) =>
          Number(inHand(b, date, zone)) - Number(inHand(a, date, zone)) ||
          (uses.get(a.id) ?? 0) - (uses.get(b.id) ?? 0),
      );
    if (shut.length > 0)
      offers.push({
        growing: each,
        free: free.map(({ id }) => id),
        shut: shut.length,
        used: good.length - free.length,
        spoiled: shut.length - good.length,
        selfing: own,
      });
  }
  const rank = (offer: FatherOffer) => (offer.selfing && selfing !== 'allowed' ? 1 : 0);
  return offers.sort((a, b) => rank(a) - rank(b) || b.free.length - a.free.length);
}

/**
 * Whether a male can give pollen for seed on a date: nothing speaks against it, and it is not known to be shut that day.
 * @example givesPollen(state, male, '2026-07-06', zone) // true
 */
export function givesPollen(state: State, male: Flower, date: LocalDate, zone: string): boolean {
  const check = lastCheck(male);
  const shutToday = check?.result === 'not-open' && localDateOf(Date.parse(check.at), zone) >= date;
  return !shutToday && fitForSeed(male, state).verdict !== 'unfit';
}

/**
 * Whether a male was looked at that morning and taken: its pollen is in the hands of whoever recorded it.
 * @example inHand(male, '2026-07-06', zone) // true
 */
export function inHand(male: Flower, date: LocalDate, zone: string): boolean {
  const check = lastCheck(male);
  return check?.result === 'whole' && localDateOf(Date.parse(check.at), zone) === date;
}

/** The males used on a day in the pollinations of some hundred flowers, once for each; kept for as long as none of them changes. */
const usedIn = remembered(
  'used males',
  (part: ReadonlyMap<unknown, Flower>, date: LocalDate, zone: string) => ({ part, date, zone }),
  ({ part, date, zone }) => {
    // A male opens on one day: what was written before the day before cannot name it.
    const since = addDays(date, -1);
    const used: FlowerId[] = [];
    for (const { pollinations } of part.values())
      for (const { at, fathers } of pollinations) {
        if (at < since || localDateOf(Date.parse(at), zone) !== date) continue;
        for (const father of fathers) used.push(...father.flowers);
      }
    return used;
  },
);

/**
 * How many females each male has served, in pollinations of `date`.
 * @example maleUses(state, '2026-07-06', zone).get(male.id) // 1
 */
export function maleUses(state: State, date: LocalDate, zone: string): ReadonlyMap<FlowerId, number> {
  const uses = new Map<FlowerId, number>();
  const since = addDays(date, -1);
  for (const part of Shards.of(state.flowers).parts)
    if (lastWorkIn(part) >= since)
      for (const id of usedIn(part, date, zone)) uses.set(id, (uses.get(id) ?? 0) + 1);
  return uses;
}

/** The males that the matching of the whole round has for one female, by plant: it knows who else needs them. */
export function matchedFathers(
  state: State,
  pairs: readonly { readonly female: string; readonly male: string }[],
  flower: FlowerId,
): ReadonlyMap<PlantId, number> {
  const matched = new Map<PlantId, number>();
  for (const { female, male } of pairs) {
    const father = female === flower ? state.flowers.get(male)?.plant : undefined;
    if (father) matched.set(father, (matched.get(father) ?? 0) + 1);
  }
  return matched;
}

/**
 * The fathers and males to start from: `wanted` males, spread over as many plants as have one free.
 * @example suggestFathers([{ growing: mother, free: ['flower:1', 'flower:2'], selfing: false }], 2).get(mother.plant.id) // 2
 */
export function suggestFathers(
  offers: readonly Pick<FatherOffer, 'growing' | 'free' | 'selfing'>[],
  wanted: number,
): ReadonlyMap<PlantId, number> {
  const chosen = new Map<PlantId, number>();
  const others = offers.filter((offer) => !offer.selfing);
  const from = others.some((offer) => offer.free.length > 0) ? others : offers;
  let left = wanted;
  for (let taken = true; taken && left > 0;) {
    taken = false;
    for (const { growing, free } of from) {
      const have = chosen.get(growing.plant.id) ?? 0;
      if (left === 0 || have >= free.length) continue;
      chosen.set(growing.plant.id, have + 1);
      left--;
      taken = true;
    }
  }
  return chosen;
}

/** Minutes a round takes: each crop's time for a female (the catalogue's, or as learnt), and the walk from plant to plant. */
export function roundMinutes(
  stops: readonly Stop[],
  minutesOf: (crop: Crop) => number = (crop) => crop.minutesPerFemale.value,
): number {
  const plants = new Set(stops.map(({ growing }) => growing.plant.id));
  const work = stops.reduce((sum, { growing }) => sum + minutesOf(growing.crop), 0);
  return Math.round(work + plants.size * WALK_MIN);
}

/** From one plant to the next on a home patch [M]. */
const WALK_MIN = 0.4;

/** A crop that opens later than this before a round's end is not held to that end [M]. */
export const LATE_OPENER_MIN = 10;
