import { dueOn, type Forecast, type VarietyOutlook, shutMales } from '../bloom';
import { closureFacts, closuresFor, type Closure, type Crop, type Sex } from '../crops';
import type { Flower, Health, Place, Stand, State } from '../ledger';
import { coversFor, fatherVarietyOf, morningsOf, walkOrder, type Growing } from '../patch';
import { addDays, type LocalDate } from '../time';
import { bearsFruit, ratesOf, workTime } from '../fruitset';
import { circumstancesOf, together, wantedTonight, type Aim, type Circumstances } from './aim';
import { nextRoundOf } from './mornings';
import { closureOf } from './shutting';
import { femalesPerMale, malesFor, SPARE_MALES } from './malesFor';

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
/** Finding a plant and looking it over [M]. */
const PLANT_MINUTES = 1;

/** A female to be shut tonight: the chance that she opens tomorrow, and what she is worth. */
export interface ToShut {
  readonly flower: Flower;
  readonly chance: number;
  readonly worth: number;
}

/** What to shut on one plant. */
export interface PlantTonight {
  readonly growing: Growing;
  readonly females: readonly ToShut[];
  readonly males: number;
}

/** A variety's part of the evening: as a mother, as a father, or both. */
export interface VarietyTonight extends Circumstances {
  readonly variety: string;
  readonly name: string;
  /** Before the next look; `null`: no goal, all that open are shut. */
  readonly femalesWanted: number | null;
  /** How the goals behind that stand; `null` where a stand has none. */
  readonly aim: Aim | null;
  readonly females: number;
  /** Left open although likely: enough for the goal, or the mother is sick. */
  readonly leftOut: number;
  /** Of these: they would take longer than a morning may. */
  readonly noTime: number;
  readonly malesWanted: number;
  readonly males: number;
  readonly shutAlready: { readonly females: number; readonly males: number };
}

/** What to take along. */
export interface Pockets {
  readonly tapeCm: number;
  readonly bags: readonly { readonly closure: Closure; readonly count: number }[];
  readonly marks: number;
  readonly brushes: number;
}

/** The evening walk planned: what to shut where, what to take, how long it lasts. */
export interface TonightPlan {
  readonly date: LocalDate;
  readonly plants: readonly PlantTonight[];
  readonly varieties: readonly VarietyTonight[];
  readonly pockets: Pockets;
  readonly minutes: number;
}

/**
 * Which flowers to shut this evening, on which plant: females likely to open tomorrow, as many as the stand's goal still
 * needs, healthiest mothers first, with fruit load and place on the vine considered and mothers spread; males for them
 * (of the father's variety in a cross) spread over its plants. A seed stand without a goal shuts every likely female. Of
 * crops that open at dusk what opens this evening counts too. Ranks: [M].
 */
export function tonightPlan(
  state: State,
  place: Place,
  date: LocalDate,
  outlook: readonly VarietyOutlook[],
  wet: readonly LocalDate[] = [],
): TonightPlan {
  const order = walkOrder(state);
  const asked = outlook.flatMap((view) => mothersTonight(state, place, date, order, view, wet));
  const mothers = withMales(state, place, inTime(asked, morningsOf(state).minutes));
  const needed = new Map<string, number>();
  for (const { malesFor: males } of mothers)
    for (const [variety, count] of males) needed.set(variety, (needed.get(variety) ?? 0) + count);
  const fathers = new Map(
    [...needed].map(([variety, count]) => [
      variety,
      fathersTonight(state, place, date, order, variety, Math.ceil(count) + SPARE_MALES, outlook),
    ]),
  );
  const onPlant = new Map<string, { growing: Growing; females: ToShut[]; males: number }>();
  const at = (growing: Growing) => {
    const found = onPlant.get(growing.plant.id) ?? { growing, females: [], males: 0 };
    onPlant.set(growing.plant.id, found);
    return found;
  };
  for (const { taken } of mothers) for (const { growing, ...each } of taken) at(growing).females.push(each);
  for (const { given } of fathers.values()) for (const [growing, count] of given) at(growing).males += count;
  const plants = order.flatMap(({ plant }) => onPlant.get(plant.id) ?? []);
  const names = new Set([...mothers.map(({ variety }) => variety), ...fathers.keys()]);
  return {
    date,
    plants,
    varieties: [...names].map((variety): VarietyTonight => {
      const stands = mothers.filter((each) => each.variety === variety);
      const sum = (of: (stand: Mothers) => number) => stands.reduce((all, stand) => all + of(stand), 0);
      const father = fathers.get(variety);
      const endless = stands.some(({ wanted }) => wanted === null);
      return {
        variety,
        name: state.varieties.get(variety)?.name ?? variety,
        femalesWanted: endless ? null : sum(({ wanted }) => wanted ?? 0),
        aim: endless ? null : together(stands.flatMap(({ aim }) => aim ?? [])),
        females: sum(({ taken }) => taken.length),
        leftOut: sum(({ leftOut }) => leftOut),
        noTime: sum(({ noTime }) => noTime),
        ...circumstancesOf(stands.map(({ circumstances }) => circumstances)),
        malesWanted: father?.wanted ?? 0,
        males: father ? [...father.given.values()].reduce((a, b) => a + b, 0) : 0,
        shutAlready: { females: sum(({ shut }) => shut.length), males: father?.already ?? 0 },
      };
    }),
    pockets: pocketsFor(state, plants),
    minutes: Math.ceil(plants.reduce((sum, each) => sum + PLANT_MINUTES + shuttingMinutes(state, each), 0)),
  };
}

interface Mothers {
  readonly variety: string;
  readonly wanted: number | null;
  readonly aim: Aim | null;
  readonly circumstances: Circumstances;
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

interface WithMales extends Mothers {
  /** Males that these females (and those shut already) ask for, by father's variety. */
  readonly malesFor: ReadonlyMap<string, number>;
}

/** The females of one variety's seed and cross stands, each stand by its own goal: what one has enough of another may lack. */
function mothersTonight(
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
  const { wanted, aim, circumstances } = wantedTonight(state, place, date, stand, crop, wet);
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
  const taken = choose(candidates, wanted === null ? Infinity : Math.max(0, wanted - shut.length));
  return {
    variety: view.variety,
    wanted,
    aim,
    circumstances,
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
function inTime(mothers: readonly Mothers[], minutes: number | null): readonly Mothers[] {
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
function withMales(state: State, place: Place, mothers: readonly Mothers[]): WithMales[] {
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

interface Fathers {
  readonly wanted: number;
  readonly already: number;
  readonly given: ReadonlyMap<Growing, number>;
}

/** The males of one variety, over all its plants, whatever they are grown for. */
function fathersTonight(
  state: State,
  place: Place,
  date: LocalDate,
  order: readonly Growing[],
  variety: string,
  wanted: number,
  outlook: readonly VarietyOutlook[],
): Fathers {
  const standing = order.filter((growing) => growing.variety.id === variety);
  const view = outlook.find((each) => each.variety === variety) ?? null;
  const already = standing.reduce(
    (sum, growing) => sum + shutMales(state, growing, nextRoundOf(growing.crop, date), place.zone).length,
    0,
  );
  return { wanted, already, given: spreadMales(view, standing, Math.max(0, wanted - already), date) };
}

/** The chance that a bud opens at the next round: tomorrow; of dusk crops this evening or the next. */
function chanceTonight(forecast: Forecast, date: LocalDate, crop: Crop): number {
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

/** Males in turn from each plant that has some to open; sick plants and off-types are left out. */
function spreadMales(
  view: VarietyOutlook | null,
  standing: readonly Growing[],
  wanted: number,
  date: LocalDate,
): Map<Growing, number> {
  const likely = new Map<string, number>();
  for (const { sex, growing, forecast, flower } of view?.buds ?? [])
    if (sex === 'male' && (flower === null || flower.shuttings.length === 0))
      likely.set(
        growing.plant.id,
        (likely.get(growing.plant.id) ?? 0) + chanceTonight(forecast, date, growing.crop),
      );
  const able = standing.filter(({ plant }) => plant.health !== 'sick' && plant.offType === null);
  // Where no males were counted any plant may have one: the walk will tell.
  const uncounted = [...likely.values()].every((sum) => sum < 0.5);
  const given = new Map<Growing, number>();
  let left = wanted;
  for (let more = true; more && left > 0;) {
    more = false;
    for (const growing of able) {
      const has = given.get(growing) ?? 0;
      if (left === 0 || has >= (uncounted ? 4 : Math.ceil(likely.get(growing.plant.id) ?? 0))) continue;
      given.set(growing, has + 1);
      left--;
      more = true;
    }
  }
  return given;
}

/** What a flower of a sex is shut with, by the school and what its crop allows. */
function closureFor(state: State, { crop }: Growing, sex: Sex): Closure {
  const wanted = closureOf(state, crop);
  const possible = closuresFor(crop, sex);
  return possible.includes(wanted) ? wanted : (possible[0] as Closure);
}

function shuttingMinutes(state: State, { growing, females, males }: PlantTonight): number {
  const each = (sex: Sex) => closureFacts(closureFor(state, growing, sex)).minutes.value;
  return females.length * each('female') + males * each('male');
}

function pocketsFor(state: State, plants: readonly PlantTonight[]): Pockets {
  const bags = new Map<Closure, number>();
  let tapeCm = 0;
  let females = 0;
  const brushes = new Set<string>();
  for (const { growing, females: shut, males } of plants) {
    const add = (closure: Closure, count: number, again: number) => {
      const tape = closureFacts(closure).tapeCm;
      // Females are shut again in the morning with fresh tape; a bag goes back on.
      tapeCm += (count + again) * tape;
      if (tape === 0 && count > 0) bags.set(closure, (bags.get(closure) ?? 0) + count);
    };
    add(closureFor(state, growing, 'female'), shut.length, shut.length);
    add(closureFor(state, growing, 'male'), males, 0);
    females += shut.length;
    if (shut.length > 0) brushes.add(fatherVarietyOf(growing));
  }
  return {
    tapeCm,
    bags: [...bags].map(([closure, count]) => ({ closure, count })),
    marks: females,
    brushes: brushes.size,
  };
}
