import { dueOn, isWhole, shutMales, windowNow, type BloomDay } from '../bloom';
import type { Draft, Flower, MissedWhy, State } from '../ledger';
import { femalesPerMale } from '../goals';
import { fatherVarietyOf, reasonFor, walkOrder, type Growing } from '../patch';
import { addDays, type LocalDate } from '../time';
import { fathersFor, givesPollen, maleUses, type Stop } from './stops';

/** What passed longer ago than this is not asked about any more [M]. */
const ASKED_DAYS = 3;

/** A female that was shut and whose hours went by without a word of what became of her. */
export interface LeftFlower {
  readonly flower: Flower;
  readonly growing: Growing;
  /** The day she was to be worked. */
  readonly date: LocalDate;
}

/**
 * The shut females of the last days whose flowers have shut again, and of which nobody wrote what became: asked about once, as a
 * flower not reached is no failure of the pollination. `dayOf` gives the bloom of a date.
 */
export function leftFlowers(
  state: State,
  zone: string,
  now: number,
  today: LocalDate,
  dayOf: (date: LocalDate) => BloomDay,
): LeftFlower[] {
  const since = addDays(today, -ASKED_DAYS);
  return walkOrder(state).flatMap((growing) => {
    const { crop, plant } = growing;
    if (crop.family === 'corn' || crop.flowers.perfect) return [];
    return (state.flowersOf.get(plant.id) ?? []).flatMap((id): LeftFlower[] => {
      const flower = state.flowers.get(id);
      if (!flower || flower.sex !== 'female' || flower.shuttings.length === 0) return [];
      if (flower.pollinations.length > 0 || flower.lost || flower.missed || flower.harvested) return [];
      if (flower.left) return [];
      if (flower.checks.some(({ result }) => !isWhole(result))) return [];
      const date = dueOn(state, flower, crop, zone);
      if (date === null || date < since || date > today) return [];
      return windowNow(dayOf(date).window(crop), now) === 'over' ? [{ flower, growing, date }] : [];
    });
  });
}

/** What became of a flower that was left, as its facts; `worked` says no more than that. */
export function leftDrafts(
  { flower, growing }: Pick<LeftFlower, 'flower' | 'growing'>,
  what: MissedWhy | 'torn' | 'worked',
): Draft[] {
  if (what === 'torn') return [{ kind: 'closureChecked', flower: flower.id, result: 'torn' }];
  if (what === 'worked') {
    const purpose = reasonFor(flower, growing) === 'fruit' ? 'kitchen' : 'seed';
    return [{ kind: 'pollinated', flower: flower.id, fathers: [], purpose }];
  }
  return [{ kind: 'missed', flower: flower.id, why: what }];
}

/**
 * Why a female has no father. own-only: the males there are stand on her own plant, and the patch never uses those. never-shut: no
 * male of the variety was shut for that day. used: each has served as many as it may. spoiled: torn, gone or without pollen.
 */
export type NoFather = 'own-only' | 'never-shut' | 'used' | 'spoiled';

/** Why no father is on offer for a stop; `null` where one is. */
export function whyNoFather(
  state: State,
  stop: Stop,
  date: LocalDate,
  zone: string,
  selfing: string,
): NoFather | null {
  const free = (school: string) =>
    fathersFor(state, stop, date, zone, school).some((offer) => offer.free.length > 0);
  if (free(selfing)) return null;
  if (free('allowed')) return 'own-only';
  const wanted = fatherVarietyOf(stop.growing);
  const males = walkOrder(state)
    .filter(({ variety }) => variety.id === wanted)
    .flatMap((each) => shutMales(state, each, date, zone));
  if (males.length === 0) return 'never-shut';
  const uses = maleUses(state, date, zone);
  const most = femalesPerMale(state, stop.growing.crop);
  const used = males.some((male) => givesPollen(state, male, date, zone) && (uses.get(male.id) ?? 0) >= most);
  return used ? 'used' : 'spoiled';
}
