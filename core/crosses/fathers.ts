import type { Place, State } from '../ledger';
import type { Growing } from '../patch';
import { fitForSeed } from '../purity';
import { addDays, localDateOf, type LocalDate } from '../time';
import { seenAtStage, standing, type CrossFlower } from './crossFlower';

/** Father buds that are bagged for each mother of the next days [M]. */
const FOR_A_MOTHER = 2;

/** A bagged father's flower that is open, and how long its pollen serves. */
export interface ReadyFather extends CrossFlower {
  /** The last day on which its pollen, kept dry in the bag, is good. */
  readonly goodUntil: LocalDate;
}

/** The father's side of one cross on a day. */
export interface FatherSide {
  readonly variety: string;
  readonly name: string;
  /** Its plants, on which buds are looked for. */
  readonly plants: readonly Growing[];
  /** Buds seen about to open, without a bag. */
  readonly toBag: readonly CrossFlower[];
  /** Bagged today: their pollen serves from tomorrow. */
  readonly bagged: readonly CrossFlower[];
  readonly ready: readonly ReadyFather[];
  /** Bags still wanted today. */
  readonly wanted: number;
}

/** Fathers of a cross: `coming` mothers want pollen. `null` where the father is not chosen, or does not grow here. */
export function fathersOf(
  state: State,
  place: Place,
  date: LocalDate,
  order: readonly Growing[],
  variety: string | null,
  coming: number,
): FatherSide | null {
  const plants = order.filter(({ variety: { id }, plant }) => id === variety && plant.offType === null);
  const name = plants[0]?.variety.name;
  if (variety === null || name === undefined) return null;
  const toBag: CrossFlower[] = [];
  const bagged: CrossFlower[] = [];
  const ready: ReadyFather[] = [];
  for (const growing of plants)
    for (const flower of standing(state, growing)) {
      if (flower.emasculated !== null || flower.pollinations.length > 0) continue;
      const shut = flower.shuttings[0];
      if (!shut) {
        if (seenAtStage(flower, 'coloured', date, place.zone)) toBag.push({ flower, growing });
        continue;
      }
      if (fitForSeed(flower, state).verdict === 'unfit') continue;
      const shutOn = localDateOf(Date.parse(shut.at), place.zone);
      // It opens the day after the bag went on, and its pollen serves for as long as the crop's surely lives: in a bag it is not dry.
      const goodUntil = addDays(shutOn, 1 + (growing.crop.pollenDays?.value[0] ?? 1));
      if (shutOn >= date) bagged.push({ flower, growing });
      else if (goodUntil >= date) ready.push({ flower, growing, goodUntil });
    }
  const wanted = coming === 0 ? 0 : Math.max(0, coming * FOR_A_MOTHER - ready.length - bagged.length);
  return { variety, name, plants, toBag, bagged, ready, wanted };
}
