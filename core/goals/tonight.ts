import { inFlower, type VarietyOutlook } from '../bloom';
import { closureFacts, closuresFor, type Closure, type Sex } from '../crops';
import type { PlantId } from '../ids';
import type { Place, State } from '../ledger';
import { fatherVarietyOf, morningsOf, walkOrder, type Growing } from '../patch';
import type { LocalDate } from '../time';
import { rainOf, together, type Aim, type Circumstances, type RainAdvice } from './aim';
import { fathersTonight, type Fathers } from './fathers';
import { SPARE_MALES } from './malesFor';
import { inTime, mothersTonight, withMales, type Mothers, type ToShut, type WithMales } from './mothers';
import { closureOf } from './shutting';

/** Finding a plant and looking it over [M]. */
const PLANT_MINUTES = 1;

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
  /** `null`: none is foretold, or it makes no difference. */
  readonly rain: RainAdvice | null;
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
  /** Plants of stands whose goal is met and of which nothing is wanted tonight: they come last. */
  readonly done: readonly PlantId[];
  /** Nothing is to be shut tonight, and nothing was: the dawn asks for nothing of all that is in flower. */
  readonly restAtDawn: boolean;
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
  const fathers = new Map(
    [...malesNeeded(mothers)].map(([variety, { count, plants: bearing }]) => {
      const ask = { wanted: Math.ceil(count) + SPARE_MALES, mothers: bearing };
      return [variety, fathersTonight(state, place, date, order, variety, ask, outlook)];
    }),
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
  const done = doneWith(order, mothers, onPlant);
  return {
    date,
    plants,
    done,
    restAtDawn: restsAtDawn(state, place, date, order, mothers, fathers),
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
        ...(stands[0]?.circumstances ?? NOBODY_AWAY),
        rain: rainOf(stands.map(({ rain }) => rain)),
        malesWanted: father?.wanted ?? 0,
        males: father ? [...father.given.values()].reduce((a, b) => a + b, 0) : 0,
        shutAlready: { females: sum(({ shut }) => shut.length), males: father?.already ?? 0 },
      };
    }),
    pockets: pocketsFor(state, plants),
    minutes: Math.ceil(plants.reduce((sum, each) => sum + PLANT_MINUTES + shuttingMinutes(state, each), 0)),
  };
}

/** How many males of each variety these females ask for, and the plants that bear them. */
function malesNeeded(
  mothers: readonly WithMales[],
): ReadonlyMap<string, { readonly count: number; readonly plants: ReadonlySet<PlantId> }> {
  const needed = new Map<string, { count: number; plants: Set<PlantId> }>();
  for (const { malesFor: males, taken, shut } of mothers)
    for (const [variety, count] of males) {
      const found = needed.get(variety) ?? { count: 0, plants: new Set() };
      for (const { plant } of [...taken.map(({ growing }) => growing), ...shut]) found.plants.add(plant.id);
      needed.set(variety, { ...found, count: found.count + count });
    }
  return needed;
}

/** Of a variety that is only asked for its males. */
const NOBODY_AWAY: Circumstances = { nobodyComes: false, awaySoon: [] };

/** The plants of stands whose goal is met, but for those of which something is wanted. */
function doneWith(
  order: readonly Growing[],
  mothers: readonly Mothers[],
  wanted: ReadonlyMap<string, unknown>,
): PlantId[] {
  const met = new Set(
    mothers.filter(({ aim, wanted: more }) => aim?.met && more === 0).map(({ stand }) => stand.id),
  );
  return order
    .filter(({ stand, plant }) => met.has(stand.id) && !wanted.has(plant.id))
    .map(({ plant }) => plant.id);
}

/** Whether nobody need get up: all that is in flower is shut before it opens, and tonight none of it is, or was. */
function restsAtDawn(
  state: State,
  place: Place,
  date: LocalDate,
  order: readonly Growing[],
  mothers: readonly Mothers[],
  fathers: ReadonlyMap<string, Fathers>,
): boolean {
  if (mothers.length === 0) return false;
  // Who is away has no bed to stay in.
  if (
    mothers.some(
      ({ wanted, shut, circumstances }) => wanted !== 0 || shut.length > 0 || circumstances.nobodyComes,
    )
  )
    return false;
  if ([...fathers.values()].some(({ already }) => already > 0)) return false;
  const stands = new Set(mothers.map(({ stand }) => stand.id));
  const flowering = inFlower(state, place, date);
  return order.every((each) =>
    stands.has(each.stand.id) ? !each.stand.goal?.kitchenFruits : flowering(each) !== 'on',
  );
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
