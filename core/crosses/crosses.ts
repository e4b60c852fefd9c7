import { gardenDay } from '../bloom';
import { VISITS_A_DAY, type Crop } from '../crops';
import type { Flower, Place, State } from '../ledger';
import { walkOrder, type Growing } from '../patch';
import { fitForSeed } from '../purity';
import { addDays, localDateOf, type LocalDate } from '../time';
import { fathersOf, type FatherSide } from './fathers';
import { byDay, HOUR, seenAtStage, standing, type CrossFlower } from './crossFlower';

/** Hours between two visits with a brush [M]. */
export const HOURS_BETWEEN = 3;
/** A stigma laid bare takes pollen for about so many days, where the catalogue says nothing [M]. */
const RECEPTIVE_DAYS = 2;

/** An emasculated flower, and when pollen is next brought to it. */
export interface Mother extends CrossFlower {
  readonly visits: number;
  readonly visitsToday: number;
  /** When pollen is next due, epoch ms; `null` when she has had enough. */
  readonly nextAt: number | null;
  /** The last day on which her stigma takes pollen for certain, by the crop. */
  readonly takesUntil: LocalDate;
  /** From this day on a look tells whether she took. */
  readonly lookFrom: LocalDate;
}

/** A mother that came to nothing, her bag still on. over: no pollen came while her stigma took it. spoiled: her bag let something in. */
export interface LostMother extends CrossFlower {
  readonly why: 'over' | 'spoiled';
}

/** What the crosses of one stand ask for on a day. */
export interface CrossStand {
  readonly growing: Growing;
  readonly plants: readonly Growing[];
  /** `null`: not chosen yet, or it does not grow here. */
  readonly father: FatherSide | null;
  /** Buds at the right stage: petals and anthers out, then the bag. */
  readonly toEmasculate: readonly CrossFlower[];
  /** Those that still get pollen, the next due first. */
  readonly mothers: readonly Mother[];
  /** Those that had their pollen: till it shows whether they took. */
  readonly waiting: readonly Mother[];
  readonly lost: readonly LostMother[];
  /** Fruit plainly forms: the bag comes off. */
  readonly bagsOff: readonly CrossFlower[];
}

/**
 * Crosses of perfect flowers (tomato, pepper, aubergine, potato, strawberry), stand by stand in walking order: every mother from her
 * bud to her fruit is in one of the lists, whatever became of her.
 */
export function crossDay(state: State, place: Place, date: LocalDate): CrossStand[] {
  const order = walkOrder(state);
  const stands = new Map<string, Growing[]>();
  for (const each of order) {
    if (!each.crop.flowers.perfect || each.stand.reason !== 'cross') continue;
    stands.set(each.stand.id, [...(stands.get(each.stand.id) ?? []), each]);
  }
  return [...stands.values()].map((plants) => standDay(state, place, date, order, plants));
}

function standDay(
  state: State,
  place: Place,
  date: LocalDate,
  order: readonly Growing[],
  plants: readonly Growing[],
): CrossStand {
  const growing = plants[0] as Growing;
  const toEmasculate: CrossFlower[] = [];
  const mothers: Mother[] = [];
  const waiting: Mother[] = [];
  const lost: LostMother[] = [];
  const bagsOff: CrossFlower[] = [];
  for (const each of plants)
    for (const flower of standing(state, each)) {
      if (flower.emasculated === null) {
        if (seenAtStage(flower, 'coloured', date, place.zone) && flower.pollinations.length === 0)
          toEmasculate.push({ flower, growing: each });
        continue;
      }
      if (flower.looks.some(({ result }) => result === 'growing' || result === 'bent')) {
        if (flower.coverOffAt === null) bagsOff.push({ flower, growing: each });
        continue;
      }
      if (flower.coverOffAt !== null) continue;
      const mother = motherOf(flower, each, place, date);
      if (fitForSeed(flower, state).verdict === 'unfit') lost.push({ flower, growing: each, why: 'spoiled' });
      else if (mother.nextAt !== null) mothers.push(mother);
      else if (mother.visits > 0) waiting.push(mother);
      else lost.push({ flower, growing: each, why: 'over' });
    }
  mothers.sort((a, b) => (a.nextAt ?? Infinity) - (b.nextAt ?? Infinity));
  const coming = toEmasculate.length + mothers.length;
  return {
    growing,
    plants,
    father: fathersOf(state, place, date, order, growing.stand.goal?.fatherVariety ?? null, coming),
    toEmasculate,
    mothers,
    waiting,
    lost,
    bagsOff,
  };
}

function motherOf(flower: Flower, growing: Growing, place: Place, date: LocalDate): Mother {
  const on = (at: string) => localDateOf(Date.parse(at), place.zone);
  const emasculated = flower.emasculated?.at as string;
  const takesUntil = addDays(on(emasculated), growing.crop.stigmaDays?.value[0] ?? RECEPTIVE_DAYS);
  const last = flower.pollinations.at(-1);
  return {
    flower,
    growing,
    visits: flower.pollinations.length,
    visitsToday: flower.pollinations.filter(({ at }) => on(at) === date).length,
    nextAt: takesUntil < date ? null : nextVisit(flower, place, date),
    takesUntil,
    lookFrom: addDays(on(last?.at ?? emasculated), firstLook(growing.crop)),
  };
}

const firstLook = (crop: Crop): number => crop.looks.value[0]?.day ?? crop.verdictDay.value;

/** When pollen is next due, by daylight; `null` when she has had enough. */
function nextVisit(flower: Flower, place: Place, date: LocalDate): number | null {
  const last = flower.pollinations.at(-1);
  // A cone pushed over the stigma stays there: one visit is enough.
  if (last?.tool === 'anthers' || flower.pollinations.length >= VISITS_A_DAY) return null;
  const due = last
    ? Date.parse(last.at) + HOURS_BETWEEN * HOUR
    : Date.parse(flower.emasculated?.at as string);
  // Missed yesterday, it is due this morning.
  const sinceDawn = Math.max(due, gardenDay(place, date).sunrise);
  return last || sinceDawn > due ? byDay(place, sinceDawn) : due;
}
