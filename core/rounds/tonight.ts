import { type VarietyOutlook } from '../bloom';
import { closuresFor, type Closure } from '../crops';
import type { Flower, Health, Place, State } from '../ledger';
import { mainPatch, walkOrder, type Growing } from '../patch';
import { addDays, type LocalDate } from '../time';
import { closureOf, goalSum, TAPE_CM } from './goals';
import { nextMarkIn } from './marks';
import { bearsFruit, ratesOf } from './rates';
import { roundDateOf, shutMales } from './stops';

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
/** Spare males for each variety [M]. */
const SPARES = 1;
const SHUT_MINUTES = 0.7;
const PLANT_MINUTES = 1;

export interface ToShut {
  readonly flower: Flower;
  readonly chance: number;
  readonly worth: number;
}

export interface PlantTonight {
  readonly growing: Growing;
  readonly females: readonly ToShut[];
  readonly males: number;
}

export interface VarietyTonight {
  readonly variety: string;
  readonly name: string;
  readonly growing: Growing;
  /** `null`: no goal, all that open are shut. */
  readonly femalesWanted: number | null;
  readonly females: number;
  /** Left open although likely: enough for the goal, or the mother is sick. */
  readonly leftOut: number;
  readonly malesWanted: number;
  readonly males: number;
  readonly shutAlready: { readonly females: number; readonly males: number };
}

export interface Pockets {
  readonly tapeCm: number;
  readonly bags: readonly { readonly closure: Closure; readonly count: number }[];
  readonly marks: number;
  readonly firstMark: string;
  readonly brushes: number;
}

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
 * spread over the plants of the variety. A seed stand without a goal shuts every likely female. Ranks: [M].
 */
export function tonightPlan(
  state: State,
  place: Place,
  date: LocalDate,
  outlook: readonly VarietyOutlook[],
): TonightPlan {
  const tomorrow = addDays(date, 1);
  const plants = new Map<string, { growing: Growing; females: ToShut[]; males: number }>();
  const at = (growing: Growing) => {
    const found = plants.get(growing.plant.id) ?? { growing, females: [], males: 0 };
    plants.set(growing.plant.id, found);
    return found;
  };
  const order = walkOrder(state);
  const varieties: VarietyTonight[] = [];
  const rates = ratesOf(state, place.zone);
  for (const view of outlook) {
    const standing = order.filter(({ variety }) => variety.id === view.variety);
    const first = standing[0];
    if (!first || first.crop.family !== 'cucurbit') continue;
    const seed = standing.filter(({ stand }) => stand.reason !== 'fruit');
    if (seed.length === 0) continue;
    const wanted = wantedTonight(state, place, date, seed, view);
    const already = shutFor(state, seed, tomorrow, place.zone);
    const chanceOf = (forecast: VarietyOutlook['buds'][number]['forecast']) =>
      forecast.find((each) => each.date === tomorrow)?.probability ?? 0;
    const candidates = view.buds.flatMap(
      ({ flower, growing, sex, forecast }): (ToShut & { growing: Growing })[] => {
        const chance = chanceOf(forecast);
        if (!flower || sex !== 'female' || flower.shuttings.length > 0 || chance < SHUT_FROM) return [];
        if (growing.stand.reason === 'fruit') return [];
        const load = (state.flowersOf.get(growing.plant.id) ?? []).filter((id) => {
          const other = state.flowers.get(id);
          return other !== undefined && bearsFruit(other, growing.crop, place.zone);
        }).length;
        const health = growing.plant.health === null ? UNLOOKED : BY_HEALTH[growing.plant.health];
        const low = flower.node !== null && flower.node < LOW_NODE ? 0.8 : 1;
        return [{ flower, growing, chance, worth: chance * health * BY_LOAD ** load * low }];
      },
    );
    const taken = choose(candidates, wanted === null ? Infinity : Math.max(0, wanted - already.females));
    for (const { growing, ...each } of taken) at(growing).females.push(each);

    const females = taken.length + already.females;
    const closure = closureOf(state, first.crop);
    const whole = rates.whole(first.crop, view.variety, closure).mean;
    const perFemale = first.stand.goal?.bent.malesPerFemale ?? Number(mainPatch(state)?.schools.males ?? 2);
    const malesWanted = females === 0 ? 0 : Math.ceil((females * perFemale) / whole) + SPARES;
    const males = spreadMales(view, standing, Math.max(0, malesWanted - already.males), chanceOf);
    for (const [growing, count] of males) at(growing).males += count;
    varieties.push({
      variety: view.variety,
      name: view.name,
      growing: first,
      femalesWanted: wanted,
      females: taken.length,
      leftOut: candidates.length - taken.length,
      malesWanted,
      males: [...males.values()].reduce((a, b) => a + b, 0),
      shutAlready: already,
    });
  }
  const listed = order.flatMap(({ plant }) => plants.get(plant.id) ?? []);
  return {
    date,
    plants: listed,
    varieties,
    pockets: pocketsFor(state, listed),
    minutes: Math.ceil(
      listed.reduce(
        (sum, { females, males }) => sum + PLANT_MINUTES + (females.length + males) * SHUT_MINUTES,
        0,
      ),
    ),
  };
}

/** How many females of a variety its stands' goals still need; `null` where a seed stand has no goal. */
function wantedTonight(
  state: State,
  place: Place,
  date: LocalDate,
  seed: readonly Growing[],
  view: VarietyOutlook,
): number | null {
  let sum = 0;
  const mean =
    view.days.length === 0
      ? null
      : view.days.reduce((all, { females }) => all + females.mean, 0) / view.days.length;
  for (const stand of new Map(seed.map(({ stand: each }) => [each.id, each])).values()) {
    if (!stand.goal?.seed) return null;
    const found = goalSum(state, place, stand, date, mean);
    if (!found) return null;
    // Past the last useful day nothing ripens: no tape for it.
    sum += found.morningsLeft === 0 ? 0 : found.femalesToShut;
  }
  return sum;
}

function shutFor(state: State, growings: readonly Growing[], date: LocalDate, zone: string) {
  let females = 0;
  let males = 0;
  for (const growing of growings) {
    males += shutMales(state, growing, date, zone).length;
    for (const id of state.flowersOf.get(growing.plant.id) ?? []) {
      const flower = state.flowers.get(id);
      if (flower?.sex === 'female' && !flower.lost && roundDateOf(flower, growing.crop, zone) === date)
        females++;
    }
  }
  return { females, males };
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

/** Males in turn from each plant that has some to open, sick plants left out. */
function spreadMales(
  view: VarietyOutlook,
  standing: readonly Growing[],
  wanted: number,
  chanceOf: (forecast: VarietyOutlook['buds'][number]['forecast']) => number,
): Map<Growing, number> {
  const likely = new Map<string, number>();
  for (const { sex, growing, forecast, flower } of view.buds)
    if (sex === 'male' && (flower === null || flower.shuttings.length === 0))
      likely.set(growing.plant.id, (likely.get(growing.plant.id) ?? 0) + chanceOf(forecast));
  const able = standing.filter(({ plant }) => plant.health !== 'sick');
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

function pocketsFor(state: State, plants: readonly PlantTonight[]): Pockets {
  const bags = new Map<Closure, number>();
  let tapeCm = 0;
  let females = 0;
  const brushes = new Set<string>();
  for (const { growing, females: shut, males } of plants) {
    const wanted = closureOf(state, growing.crop);
    for (const [sex, count] of [
      ['female', shut.length],
      ['male', males],
    ] as const) {
      const possible = closuresFor(growing.crop, sex);
      const closure = possible.includes(wanted) ? wanted : (possible[0] as Closure);
      if (closure === 'tape') tapeCm += count * TAPE_CM;
      else if (count > 0) bags.set(closure, (bags.get(closure) ?? 0) + count);
    }
    // Shut again in the morning with fresh tape.
    if (wanted === 'tape') tapeCm += shut.length * TAPE_CM;
    females += shut.length;
    if (shut.length > 0) brushes.add(growing.variety.id);
  }
  return {
    tapeCm,
    bags: [...bags].map(([closure, count]) => ({ closure, count })),
    marks: females,
    firstMark: nextMarkIn(state),
    brushes: brushes.size,
  };
}
