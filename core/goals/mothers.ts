import { dueOn, type Forecast, type VarietyOutlook } from '../bloom';
import type { Crop } from '../crops';
import { bearsFruit, ratesOf, workTime } from '../fruitset';
import type { Flower, Health, Place, Stand, State } from '../ledger';
import { coversFor, fatherVarietyOf, type Growing } from '../patch';
import { addDays, type LocalDate } from '../time';
import { adviceIn, wantedTonight, type Aim, type Circumstances, type RainAdvice } from './aim';
import { femalesPerMale, malesFor } from './malesFor';
import { nextRoundOf } from './mornings';
import { closureOf } from './shutting';

/** From this chance of opening tomorrow on a bud is shut tonight [M]: tape is cheaper than a morning missed. */
const SHUT_FROM = 0.35;
/** What a mother is worth by her health [M]; a sick plant is no mother. */
const BY_HEALTH: Readonly<Record<Health, number>> = { healthy: 1, doubtful: 0.4, sick: 0 };
const UNLOOKED = 0.85;
/** Each fruit on the plant makes the next less likely to stay [M]; each flower taken on a plant makes room for another mother. */
const BY_LOAD = 0.7;
const BY_SHARE = 0.75;
/** Below this node a fruit lies on a young vine and holds it back [M]. */
const LOW_NODE = 5;

/** A female to be shut tonight: the chance that she opens tomorrow, and what she is worth. */
export interface ToShut {
  readonly flower: Flower;
  readonly chance: number;
  readonly worth: number;
}

/** The females of one stand this evening. */
export interface Mothers {
  readonly variety: string;
  readonly wanted: number | null;
  readonly aim: Aim | null;
  readonly circumstances: Circumstances;
  /** What comes of rain; `null`: none is foretold, or it makes no difference to anything seen so far. */
  readonly rain: RainAdvice | null;
  readonly crop: Crop;
  readonly stand: Stand;
  /** Shut already, one entry for each flower. */
  readonly shut: readonly Growing[];
  readonly taken: readonly (ToShut & { growing: Growing })[];
  readonly leftOut: number;
  readonly noTime: number;
  /** What working one of its flowers takes tomorrow. */
  readonly minutesEach: number;
}

/** With what they ask of the males. */
export interface WithMales extends Mothers {
  /** Males that these females (and those shut already) ask for, by father's variety. */
  readonly malesFor: ReadonlyMap<string, number>;
}

/** The females of one variety's seed and cross stands, each stand by its own goal: what one has enough of another may lack. */
export function mothersTonight(
  state: State,
  place: Place,
  date: LocalDate,
  order: readonly Growing[],
  view: VarietyOutlook,
  wet: readonly LocalDate[],
): Mothers[] {
  const seed = order.filter(
    (each) =>
      each.variety.id === view.variety &&
      each.stand.reason !== 'fruit' &&
      each.crop.family === 'cucurbit' &&
      // A flower that nothing else can reach is worked as it opens.
      coversFor(state, each, date).needed,
  );
  return [...new Set(seed.map(({ stand }) => stand.id))].map((id) => {
    const standing = seed.filter(({ stand }) => stand.id === id);
    return mothersOfStand(state, place, date, standing, view, wet);
  });
}

/** The females of one stand. */
function mothersOfStand(
  state: State,
  place: Place,
  date: LocalDate,
  standing: readonly Growing[],
  view: VarietyOutlook,
  wet: readonly LocalDate[],
): Mothers {
  const { crop, stand } = standing[0] as Growing;
  const { wanted, wereItDry, aim, circumstances } = wantedTonight(state, place, date, stand, crop, wet);
  const candidates = view.buds.flatMap(
    ({ flower, growing, sex, forecast }): (ToShut & { growing: Growing })[] => {
      const chance = chanceTonight(forecast, date, crop);
      if (!flower || sex !== 'female' || flower.shuttings.length > 0 || chance < SHUT_FROM) return [];
      if (growing.stand.id !== stand.id) return [];
      const load = (state.flowersOf.get(growing.plant.id) ?? []).filter((id) => {
        const other = state.flowers.get(id);
        return other !== undefined && bearsFruit(other, crop, place.zone, date);
      }).length;
      const health = growing.plant.health === null ? UNLOOKED : BY_HEALTH[growing.plant.health];
      const low = flower.node !== null && flower.node < LOW_NODE ? 0.8 : 1;
      return [{ flower, growing, chance, worth: chance * health * BY_LOAD ** load * low }];
    },
  );
  const shut = femalesShutFor(state, standing, nextRoundOf(crop, date), place.zone);
  const upTo = (most: number | null) =>
    choose(candidates, most === null ? Infinity : Math.max(0, most - shut.length));
  const taken = upTo(wanted);
  return {
    variety: view.variety,
    wanted,
    aim,
    circumstances,
    rain: wereItDry === undefined ? null : adviceIn(taken.length, upTo(wereItDry).length),
    crop,
    stand,
    shut,
    taken,
    leftOut: candidates.length - taken.length,
    noTime: 0,
    minutesEach: workTime(state, crop).minutes,
  };
}

/** No more females than tomorrow's minutes allow, of all stands together; the least worth are left open. */
export function inTime(mothers: readonly Mothers[], minutes: number | null): readonly Mothers[] {
  if (minutes === null) return mothers;
  let left = minutes - mothers.reduce((sum, { shut, minutesEach }) => sum + shut.length * minutesEach, 0);
  const kept = new Set<ToShut>();
  const all = mothers.flatMap(({ taken, minutesEach }) => taken.map((each) => ({ each, minutesEach })));
  for (const { each, minutesEach } of all.sort((a, b) => b.each.worth - a.each.worth)) {
    if (minutesEach > left) continue;
    left -= minutesEach;
    kept.add(each);
  }
  return mothers.map((of) => {
    const taken = of.taken.filter((each) => kept.has(each));
    const noTime = of.taken.length - taken.length;
    return { ...of, taken, noTime, leftOut: of.leftOut + noTime };
  });
}

/** With the males that these females and those shut already ask for, by the father's variety. */
export function withMales(state: State, place: Place, mothers: readonly Mothers[]): WithMales[] {
  return mothers.map((of) => {
    const { crop, variety, taken, shut } = of;
    const whole = ratesOf(state, place.zone).whole(crop, variety, closureOf(state, crop)).mean;
    const males = new Map<string, number>();
    for (const growing of [...taken.map((each) => each.growing), ...shut]) {
      const father = fatherVarietyOf(growing);
      const serves = crop.family === 'corn' ? 1 : femalesPerMale(state, crop);
      const each = malesFor(state, crop, growing.stand.goal).value / whole / serves;
      males.set(father, (males.get(father) ?? 0) + each);
    }
    return { ...of, malesFor: males };
  });
}

/** The chance that a bud opens at the next round: tomorrow; of dusk crops this evening or the next. */
export function chanceTonight(forecast: Forecast, date: LocalDate, crop: Crop): number {
  const on = (day: LocalDate) => forecast.find((each) => each.date === day)?.probability ?? 0;
  return on(addDays(date, 1)) + (crop.clock.round === 'dusk' ? on(date) : 0);
}

/** The plants of the females shut already for a day, one entry for each flower. */
function femalesShutFor(
  state: State,
  growings: readonly Growing[],
  date: LocalDate,
  zone: string,
): Growing[] {
  return growings.flatMap((growing) =>
    (state.flowersOf.get(growing.plant.id) ?? []).flatMap((id) => {
      const flower = state.flowers.get(id);
      return flower?.sex === 'female' && !flower.lost && dueOn(state, flower, growing.crop, zone) === date
        ? growing
        : [];
    }),
  );
}

/** The best by worth, where every one taken on a plant makes the plant's others worth less. */
function choose<T extends ToShut & { growing: Growing }>(candidates: readonly T[], most: number): T[] {
  const left = candidates.filter(({ worth }) => worth > 0);
  const taken: T[] = [];
  const on = new Map<string, number>();
  const now = (each: T) => each.worth * BY_SHARE ** (on.get(each.growing.plant.id) ?? 0);
  while (left.length > 0 && taken.length < most) {
    const best = left.reduce((a, b) => (now(b) > now(a) ? b : a));
    left.splice(left.indexOf(best), 1);
    taken.push(best);
    on.set(best.growing.plant.id, (on.get(best.growing.plant.id) ?? 0) + 1);
  }
  return taken;
}
