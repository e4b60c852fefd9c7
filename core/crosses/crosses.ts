import { gardenDay } from '../bloom';
import { VISITS_A_DAY, type Closure, type Tool } from '../crops';
import type { Draft, Flower, Place, State } from '../ledger';
import { walkOrder, type Growing } from '../patch';
import { fitForSeed } from '../purity';
import { addDays, localDateOf, type LocalDate } from '../time';

/** Hours between two of them [M]. */
export const HOURS_BETWEEN = 3;
/** A stigma laid bare takes pollen for about so many days, where the catalogue says nothing [M]. */
const RECEPTIVE_DAYS = 2;
const HOUR = 3_600_000;
/** Visits lie between this long after sunrise (dew off) and before sunset [M]. */
const AFTER_SUNRISE_H = 2.5;
const BEFORE_SUNSET_H = 1;

/** The first moment from `time` on that lies in the working part of a day. */
function byDay(place: Place, time: number): number {
  const day = gardenDay(place, localDateOf(time, place.zone));
  const from = day.sunrise + AFTER_SUNRISE_H * HOUR;
  if (time <= day.sunset - BEFORE_SUNSET_H * HOUR) return Math.max(time, from);
  return gardenDay(place, addDays(day.date, 1)).sunrise + AFTER_SUNRISE_H * HOUR;
}

/** A flower of a cross, with the plant it grows on. */
export interface CrossFlower {
  readonly flower: Flower;
  readonly growing: Growing;
}

/** An emasculated flower, and when pollen is next brought to it. */
export interface Mother extends CrossFlower {
  readonly visits: number;
  readonly visitsToday: number;
  /** When pollen is next due, epoch ms; `null` when she has had enough. */
  readonly nextAt: number | null;
}

/** What crosses of perfect flowers ask for on one day. */
export interface CrossDay {
  /** Buds at the right stage: petals and anthers out, then pollen or a bag. */
  readonly toEmasculate: readonly CrossFlower[];
  /** Buds of the father's variety to bag today for tomorrow. */
  readonly fathersToBag: readonly CrossFlower[];
  readonly fatherBagsWanted: number;
  /** Bagged father flowers that are open today. */
  readonly fathersReady: readonly CrossFlower[];
  readonly mothers: readonly Mother[];
  /** Fruit plainly forms: the bag comes off, the mark goes on. */
  readonly bagsOff: readonly CrossFlower[];
  /** Cross stands whose father's variety is not chosen or does not grow here. */
  readonly withoutFather: readonly Growing[];
}

/** Crosses of tomato, pepper, aubergine and potato: stands grown for a cross, with a father variety in their goal. */
export function crossDay(state: State, place: Place, date: LocalDate): CrossDay {
  const order = walkOrder(state);
  const crosses = order.filter(({ crop, stand }) => crop.flowers.perfect && stand.reason === 'cross');
  const toEmasculate: CrossFlower[] = [];
  const mothers: Mother[] = [];
  const bagsOff: CrossFlower[] = [];
  const fatherVarieties = new Set<string>();
  const withoutFather = new Map<string, Growing>();
  const varietiesHere = new Set(order.map(({ variety }) => variety.id as string));
  const on = (at: string) => localDateOf(Date.parse(at), place.zone);
  for (const growing of crosses) {
    const father = growing.stand.goal?.fatherVariety ?? null;
    if (father === null || !varietiesHere.has(father)) withoutFather.set(growing.stand.id, growing);
    else fatherVarieties.add(father);
    for (const flower of flowersOf(state, growing)) {
      if (flower.emasculatedAt === null) {
        if (isAt(flower, 'coloured', date, place.zone) && flower.pollinations.length === 0)
          toEmasculate.push({ flower, growing });
        continue;
      }
      if (flower.looks.some(({ result }) => result === 'growing' || result === 'bent')) {
        if (flower.coverOffAt === null) bagsOff.push({ flower, growing });
        continue;
      }
      if (fitForSeed(flower, state).verdict === 'unfit') continue;
      const mother = motherOf(flower, growing, place, date, on);
      if (mother) mothers.push(mother);
    }
  }
  const fathers = order.filter(({ variety }) => fatherVarieties.has(variety.id));
  const fathersToBag: CrossFlower[] = [];
  const fathersReady: CrossFlower[] = [];
  for (const growing of fathers)
    for (const flower of flowersOf(state, growing)) {
      if (flower.emasculatedAt !== null || flower.pollinations.length > 0) continue;
      const shut = flower.shuttings[0];
      if (!shut && isAt(flower, 'coloured', date, place.zone)) fathersToBag.push({ flower, growing });
      // It opens the day after the bag went on, and its pollen serves for as long as the crop's lives.
      const lives = growing.crop.pollenDays?.value[1] ?? 1;
      const fresh = shut && on(shut.at) < date && on(shut.at) >= addDays(date, -1 - lives);
      if (fresh && fitForSeed(flower, state).verdict !== 'unfit') fathersReady.push({ flower, growing });
    }
  const coming = toEmasculate.length + mothers.filter(({ nextAt }) => nextAt !== null).length;
  return {
    toEmasculate,
    fathersToBag,
    fatherBagsWanted: coming === 0 ? 0 : Math.max(0, coming * 2 - fathersReady.length),
    fathersReady,
    mothers: mothers.sort((a, b) => (a.nextAt ?? Infinity) - (b.nextAt ?? Infinity)),
    bagsOff,
    withoutFather: [...withoutFather.values()],
  };
}

/**
 * The facts of one visit to a mother: pollen of a bagged father's flower, the bag on again; the mark with the first visit, where
 * one is given. A father's flower serves several dabs.
 */
export function visitDrafts(
  mother: CrossFlower,
  father: CrossFlower,
  tool: Tool,
  bag: Closure,
  mark: string | null,
): Draft[] {
  const flower = mother.flower.id;
  return [
    {
      kind: 'pollinated',
      flower,
      fathers: [{ plant: father.growing.plant.id, males: 1, flowers: [father.flower.id] }],
      tool,
      shutAgain: bag,
      purpose: 'seed',
    },
    ...(mark === null ? [] : [{ kind: 'marked' as const, flower, mark }]),
  ];
}

function flowersOf(state: State, { plant }: Growing): Flower[] {
  return (state.flowersOf.get(plant.id) ?? []).flatMap((id) => {
    const flower = state.flowers.get(id);
    return flower && flower.sex === 'perfect' && !flower.lost && !flower.harvested ? [flower] : [];
  });
}

/** Whether a bud was last seen at a stage, today or yesterday. */
function isAt(flower: Flower, stage: string, date: LocalDate, zone: string): boolean {
  const last = flower.sightings[flower.sightings.length - 1];
  return last?.stage === stage && localDateOf(Date.parse(last.at), zone) >= addDays(date, -1);
}

function motherOf(
  flower: Flower,
  growing: Growing,
  place: Place,
  date: LocalDate,
  on: (at: string) => LocalDate,
): Mother | null {
  const emasculated = flower.emasculatedAt as string;
  if (addDays(on(emasculated), growing.crop.stigmaDays?.value[0] ?? RECEPTIVE_DAYS) < date) return null;
  const today = flower.pollinations.filter(({ at }) => on(at) === date).length;
  const last = flower.pollinations[flower.pollinations.length - 1];
  // A cone pushed over the stigma stays there: one visit is enough.
  const enough = last?.tool === 'anthers' || flower.pollinations.length >= VISITS_A_DAY;
  const due = last ? Date.parse(last.at) + HOURS_BETWEEN * HOUR : Date.parse(emasculated);
  // Missed yesterday, it is due this morning.
  const sinceDawn = Math.max(due, gardenDay(place, date).sunrise);
  const nextAt = enough ? null : last || sinceDawn > due ? byDay(place, sinceDawn) : due;
  return { flower, growing, visits: flower.pollinations.length, visitsToday: today, nextAt };
}
