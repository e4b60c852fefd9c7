import { cropOf, setsByItself } from '../crops';
import { outcomeOn, trialsOfStand, type Trial } from '../fruitset';
import type { FlowerId } from '../ids';
import type { Goal, Place, Stand, State } from '../ledger';
import { fitForSeed } from '../purity';
import { daysBetween, localDateOf, type LocalDate } from '../time';

/** One half of a goal: the fruits for seed, or those for the kitchen. */
export interface GoalPart {
  /** Fruits asked for. */
  readonly wanted: number;
  readonly set: number;
  /** Worked, and no verdict yet. */
  readonly waiting: number;
  /** Fruits still to come, those waiting included. */
  readonly left: number;
  /** Pollinations still to be made, over and above those waiting. Infinity = out of reach. */
  readonly pollinations: number;
}

/** A part of a goal that wants nothing. */
export const NO_PART: GoalPart = { wanted: 0, set: 0, waiting: 0, left: 0, pollinations: 0 };

/** Fruits by which parents that are still missing would come in, and flowers waiting now that would bring some of them. */
export interface MissingParents {
  readonly fruits: number;
  readonly waiting: number;
}

/**
 * A half of a goal from what is wanted, what has set and what waits. Enough pollinations for the fruits and, each by itself, for the
 * mothers and for the fathers still missing: ten fruits of one mother are no five mothers, and a flower waiting on a plant that is a
 * mother already brings no new one. `needed` gives the pollinations for so many fruits.
 * @example partOf({ wanted: 10, set: 4, waiting: 2, parents: [], needed: (fruits) => 2 * fruits }).left // 6
 */
export function partOf({
  wanted,
  set,
  waiting,
  parents,
  needed,
}: {
  wanted: number;
  set: number;
  waiting: number;
  parents: readonly MissingParents[];
  needed: (fruits: number) => number;
}): GoalPart {
  const missing = Math.max(0, wanted - set);
  const demands = [{ fruits: missing, waiting }, ...parents];
  return {
    wanted,
    set,
    waiting,
    left: Math.max(0, ...demands.map(({ fruits }) => fruits)),
    pollinations: Math.max(0, ...demands.map((each) => needed(each.fruits) - each.waiting)),
  };
}

/** What a stand has brought this season, and what waits. */
export interface Bringing {
  readonly seed: { readonly set: number; readonly waiting: number };
  readonly kitchen: { readonly set: number; readonly waiting: number };
  /** Of the waiting seed fruit: what grows, and would without pollen. */
  readonly seedUnknown: number;
  /** Of those that have set: so young that they may still fall. */
  readonly young: number;
  /** Plants behind the seed fruit that has set. */
  readonly mothers: ReadonlySet<string>;
  readonly fathers: ReadonlySet<string>;
  /** Plants behind the seed flowers that wait. */
  readonly mothersWaiting: ReadonlySet<string>;
  readonly fathersWaiting: ReadonlySet<string>;
}

/** A fruit up to this day after its pollination may still be given up (common practice: yellow, shrivelling, dropped by day 7 to 10). */
const FALLS_UNTIL_DAY = 10;

/** The days after which a flower worked for seed, or for the kitchen, does not ripen any more; `null`: nothing is ruled out. */
export interface RipensUntil {
  readonly seed: LocalDate | null;
  readonly kitchen: LocalDate | null;
}

/**
 * Reads the stand's trials since a day. What was meant for seed and is not fit for it counts for the kitchen: it can be eaten. What
 * nobody looked at in time is counted on no longer; seed that came too late to ripen is fruit for the kitchen, and what is too late to be
 * eaten ripe counts for nothing before it is picked. Where fruit grows
 * without pollen, a growing one is no seed fruit yet: it waits until it is opened.
 */
export function bringing(
  state: State,
  place: Place,
  stand: Stand,
  today: LocalDate,
  since: LocalDate,
  ripensUntil: RipensUntil = { seed: null, kitchen: null },
): Bringing {
  const seed = { set: 0, waiting: 0 };
  const kitchen = { set: 0, waiting: 0 };
  const [mothers, fathers, mothersWaiting, fathersWaiting] = [0, 1, 2, 3].map(() => new Set<string>()) as [
    Set<string>,
    Set<string>,
    Set<string>,
    Set<string>,
  ];
  const variety = state.varieties.get(stand.variety);
  const alone = variety !== undefined && setsByItself(cropOf(variety.crop), variety.system);
  let seedUnknown = 0;
  let young = 0;
  for (const trial of trialsOfStand(state, stand.id, place.zone)) {
    if (trial.until < since) continue;
    const found = outcomeOn(trial, today);
    const late = (until: LocalDate | null) => until !== null && trial.on > until;
    const into = isForSeed(state, trial) && !late(ripensUntil.seed) ? seed : kitchen;
    if (into === kitchen && late(ripensUntil.kitchen) && found !== 'harvested') continue;
    const unknown = alone && into === seed && found === 'set';
    if (unknown) seedUnknown += trial.worked;
    const outcome = unknown ? 'waiting' : found;
    if (outcome === 'waiting') into.waiting += trial.worked;
    else if (outcome === 'set' || outcome === 'harvested') {
      into.set += trial.set ?? trial.worked;
      if (outcome === 'set' && daysBetween(trial.on, today) <= FALLS_UNTIL_DAY)
        young += trial.set ?? trial.worked;
    } else continue;
    if (into === kitchen || trial.plant === null) continue;
    (outcome === 'waiting' ? mothersWaiting : mothers).add(trial.plant);
    for (const { plant } of trial.fathers) (outcome === 'waiting' ? fathersWaiting : fathers).add(plant);
  }
  // What was picked was there, whether its flower was ever written down or not.
  const picked = stand.picked
    .filter(({ at }) => localDateOf(Date.parse(at), place.zone) >= since)
    .reduce((sum, { count }) => sum + count, 0);
  kitchen.set = Math.max(kitchen.set, picked);
  return { seed, kitchen, seedUnknown, young, mothers, fathers, mothersWaiting, fathersWaiting };
}

function isForSeed(state: State, trial: Trial): boolean {
  const flower = trial.purpose === 'seed' ? state.flowers.get(trial.id as FlowerId) : undefined;
  return flower !== undefined && fitForSeed(flower, state).verdict !== 'unfit';
}

/** What the mothers and the fathers asked for still want; a fruit has as many fathers as males. */
export function parentsMissing(goal: Goal, done: Bringing, malesPerFemale: number): MissingParents[] {
  const fresh = (waiting: ReadonlySet<string>, known: ReadonlySet<string>) =>
    [...waiting].filter((plant) => !known.has(plant)).length;
  return [
    {
      fruits: Math.max(0, (goal.mothers ?? 0) - done.mothers.size),
      waiting: fresh(done.mothersWaiting, done.mothers),
    },
    {
      fruits: Math.max(0, Math.ceil(((goal.fathers ?? 0) - done.fathers.size) / malesPerFemale)),
      waiting: Math.ceil(fresh(done.fathersWaiting, done.fathers) / malesPerFemale),
    },
  ];
}
