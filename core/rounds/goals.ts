import {
  closureFacts,
  closuresFor,
  DEFAULT_SCHOOLS,
  seedsPerGram,
  sexesOf,
  type Closure,
  type Crop,
} from '../crops';
import { fateOf, pollinationsNeeded } from '../fruitset';
import type { Goal, Place, Stand, State, Variety } from '../ledger';
import { growing, mainPatch, plantsOfStand } from '../patch';
import { usualFrost } from '../sky';
import { addDays, daysBetween, type LocalDate } from '../time';
import { ratesOf, type Rate } from './rates';
import { workTime } from './workTimes';

/** Where a number of the sum comes from. */
export type NumberFrom = 'catalogue' | 'records' | 'bent' | 'goal';

export interface SumNumber {
  readonly value: number;
  readonly from: NumberFrom;
}

export type GoalStanding = 'done' | 'on-course' | 'behind' | 'unreachable';

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

/** The way from what is wanted back to tonight's tape, number by number. Counts are flowers or fruits. */
export interface GoalSum {
  readonly stand: Stand;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly goal: Goal;
  readonly seeds: number | null;
  readonly seedsPerFruit: SumNumber | null;
  readonly forSeed: GoalPart;
  readonly forKitchen: GoalPart;
  /** Plants behind the seed fruit that has set: as mothers, as fathers. */
  readonly mothers: number;
  readonly fathers: number;
  readonly setRate: Rate;
  readonly setShare: SumNumber;
  /** Of both halves. */
  readonly pollinations: number;
  readonly wholeShare: SumNumber;
  readonly wholeRate: Rate;
  readonly closure: Closure;
  readonly femalesToShut: number;
  readonly malesPerFemale: SumNumber;
  readonly malesToShut: number;
  readonly tapeCm: number;
  readonly bags: number;
  readonly marks: number;
  readonly brushes: number;
  readonly minutes: number;
  /** The last day on which a pollination still ripens in time. */
  readonly lastUsefulOn: LocalDate | null;
  readonly morningsLeft: number | null;
  /** Females that open on a morning here, as far as known. */
  readonly perMorning: number;
  readonly standing: GoalStanding;
}

/** Females a plant opens on a morning in season, where nothing is known yet [M]. */
const FEMALES_A_PLANT = 0.25;
/** A share given by hand counts as known to the point. */
const POINT = 1e6;
/** Share of the females that open which a plan can count on: rain, slips and spoilt flowers take the rest [M]. */
const USABLE = 0.8;
/** What no effort reaches: this many times the females that open [M]. */
const OUT_OF_REACH = 2.5;

/** A goal as the form begins it. */
export const NO_GOAL: Goal = {
  kitchenFruits: null,
  seed: null,
  mothers: null,
  fathers: null,
  fatherVariety: null,
  by: null,
  precious: 'keep',
  assurance: 0.9,
  bent: {},
};

/** The frost to reckon with after `today`, or `null` where none comes. */
export function frostAfter(state: State, place: Place, today: LocalDate): LocalDate | null {
  const frostOn = mainPatch(state)?.frostOn ?? usualFrost(place);
  if (frostOn === null) return null;
  const year = Number(today.slice(0, 4));
  for (const candidate of [`${year}-${frostOn}`, `${year + 1}-${frostOn}`])
    if (candidate >= today && !candidate.endsWith('02-29')) return candidate;
  return `${year + 1}-${frostOn === '02-29' ? '03-01' : frostOn}`;
}

/** The sum of one stand's goal; `null` without a goal that asks for anything. `perMorning` as the outlook has it. */
export function goalSum(
  state: State,
  place: Place,
  stand: Stand,
  today: LocalDate,
  perMorning: number | null = null,
): GoalSum | null {
  const { goal } = stand;
  const plants = plantsOfStand(state, stand.id).filter(({ ended }) => !ended);
  const variety = state.varieties.get(stand.variety);
  const first = plants[0] ? growing(state, plants[0].id) : null;
  if (!goal || !variety || !first || (goal.seed === null && goal.kitchenFruits === null)) return null;
  const { crop } = first;
  const rates = ratesOf(state, place.zone);
  const closure = closureOf(state, crop);

  const seeds = goal.seed
    ? goal.seed.unit === 'seeds'
      ? goal.seed.amount
      : goal.seed.amount * (seedsPerGram(crop.id)?.value ?? 1)
    : null;
  const perFruit = seeds === null ? null : seedsInFruit(crop, goal);
  const males = malesFor(state, crop, goal);
  const done = counted(state, place, stand, crop, addDays(today, -SEASON_DAYS));

  const setRate = rates.set(crop, variety.id);
  const bentSet = goal.bent.setShare;
  const shape =
    bentSet === undefined
      ? setRate
      : { alpha: bentSet * POINT, beta: Math.max(1e-6, (1 - bentSet) * POINT), mean: bentSet };
  const part = (wanted: number, set: number, waiting: number, least = 0): GoalPart => {
    const left = Math.max(0, wanted - set, least);
    const { alpha, beta } = shape;
    const all = pollinationsNeeded({ fruitsWanted: left, alpha, beta, assurance: goal.assurance });
    return { wanted, set, waiting, left, pollinations: Math.max(0, all - waiting) };
  };
  const wantedForSeed =
    seeds === null || !perFruit ? 0 : Math.max(Math.ceil(seeds / perFruit.value), goal.mothers ?? 1);
  const forSeed =
    wantedForSeed === 0
      ? part(0, 0, 0)
      : part(
          wantedForSeed,
          done.seed.set,
          done.seed.waiting,
          // Ten fruits of one mother are no five mothers; a fruit has as many fathers as males.
          Math.max(
            (goal.mothers ?? 0) - done.mothers,
            Math.ceil(((goal.fathers ?? 0) - done.fathers) / males.value),
          ),
        );
  const forKitchen = goal.kitchenFruits
    ? part(goal.kitchenFruits, done.kitchen.set, done.kitchen.waiting)
    : part(0, 0, 0);
  const pollinations = forSeed.pollinations + forKitchen.pollinations;

  const wholeRate = rates.whole(crop, variety.id, closure);
  const wholeShare: SumNumber =
    goal.bent.wholeShare !== undefined
      ? { value: goal.bent.wholeShare, from: 'bent' }
      : { value: wholeRate.mean, from: wholeRate.own.n + wholeRate.crop.n > 0 ? 'records' : 'catalogue' };
  const femalesToShut = Math.ceil(forSeed.pollinations / wholeShare.value);
  const malesToShut =
    forSeed.pollinations === 0
      ? 0
      : Math.ceil((forSeed.pollinations * males.value) / wholeShare.value) + SPARE_MALES;
  const shut = femalesToShut + malesToShut;
  const { tapeCm, minutes } = closureFacts(closure);

  const until = goal.by ?? frostAfter(state, place, today);
  const ripens = wantedForSeed > 0 ? crop.daysToSeed : (crop.daysToEat ?? crop.daysToSeed);
  const lastUsefulOn = until && ripens ? addDays(until, -ripens.value[1]) : null;
  const morningsLeft = lastUsefulOn === null ? null : Math.max(0, daysBetween(today, lastUsefulOn) + 1);
  const flowering = perMorning ?? plants.length * FEMALES_A_PLANT;
  return {
    stand,
    variety,
    crop,
    goal,
    seeds,
    seedsPerFruit: perFruit,
    forSeed,
    forKitchen,
    mothers: done.mothers,
    fathers: done.fathers,
    setRate,
    setShare: {
      value: shape.mean,
      from: bentSet !== undefined ? 'bent' : setRate.own.n + setRate.crop.n > 0 ? 'records' : 'catalogue',
    },
    pollinations,
    wholeShare,
    wholeRate,
    closure,
    femalesToShut,
    malesPerFemale: males,
    malesToShut,
    // Once in the evening, and the females again in the morning.
    tapeCm: (shut + forSeed.pollinations) * tapeCm,
    bags: tapeCm > 0 ? 0 : shut,
    marks: forSeed.pollinations,
    brushes: pollinations > 0 ? 1 : 0,
    minutes: Math.round(pollinations * workTime(state, crop).minutes + shut * minutes.value),
    lastUsefulOn,
    morningsLeft,
    perMorning: flowering,
    standing: standingOf(
      forSeed.left + forKitchen.left,
      femalesToShut + forKitchen.pollinations,
      morningsLeft,
      flowering,
    ),
  };
}

/** Spare males for each variety [M]. */
export const SPARE_MALES = 1;

/** How a goal stands: flowers still needed against mornings left and females that open on each. */
function standingOf(
  fruitsLeft: number,
  flowers: number,
  mornings: number | null,
  perMorning: number,
): GoalStanding {
  if (fruitsLeft === 0) return 'done';
  if (flowers === 0) return 'on-course';
  if (flowers === Infinity) return 'unreachable';
  if (mornings === null) return 'on-course';
  if (mornings === 0 || flowers > OUT_OF_REACH * perMorning * mornings) return 'unreachable';
  return flowers > USABLE * perMorning * mornings ? 'behind' : 'on-course';
}

/**
 * Males for one female: the goal's own number, one tassel for an ear, one bagged father for a perfect flower, else the school's:
 * a number, or the middle of what the catalogue says for the crop.
 */
export function malesFor(state: State, crop: Crop, goal: Goal | null): SumNumber {
  if (goal?.bent.malesPerFemale !== undefined) return { value: goal.bent.malesPerFemale, from: 'bent' };
  if (crop.family === 'corn' || sexesOf(crop).length === 1) return { value: 1, from: 'catalogue' };
  const school = Number(mainPatch(state)?.schools.males ?? DEFAULT_SCHOOLS.males);
  if (Number.isFinite(school)) return { value: Math.min(4, Math.max(1, school)), from: 'goal' };
  const [low, high] = crop.malesPerFemale.value;
  return { value: Math.floor((low + high) / 2), from: 'catalogue' };
}

export function closureOf(state: State, crop: Crop): Closure {
  const wanted = (mainPatch(state)?.schools.closure ?? 'tape') as Closure;
  const possible = closuresFor(crop, sexesOf(crop)[0] ?? 'female');
  return possible.includes(wanted) ? wanted : (possible[0] as Closure);
}

/** A careful number: a third of the way up the catalogue's range, unless the grower says. */
function seedsInFruit(crop: Crop, goal: Goal): SumNumber | null {
  if (goal.bent.seedsPerFruit !== undefined) return { value: goal.bent.seedsPerFruit, from: 'bent' };
  const range = crop.seedsPerFruit?.value;
  return range ? { value: Math.round(range[0] + (range[1] - range[0]) / 3), from: 'catalogue' } : null;
}

/** Older work belongs to another season: strawberries stand for years. */
const SEASON_DAYS = 300;

/** What a stand has brought this season, by purpose. Tallied kitchen flowers have no verdict: they count as waiting. */
function counted(state: State, place: Place, stand: Stand, crop: Crop, since: LocalDate) {
  const seed = { set: 0, waiting: 0 };
  const kitchen = { set: 0, waiting: 0 };
  const mothers = new Set<string>();
  const fathers = new Set<string>();
  for (const plant of plantsOfStand(state, stand.id)) {
    for (const { at, flowers } of plant.tallies) if (at >= since) kitchen.waiting += flowers;
    for (const id of state.flowersOf.get(plant.id) ?? []) {
      const flower = state.flowers.get(id);
      const last = flower?.pollinations[flower.pollinations.length - 1];
      if (!flower || !last || last.at < since) continue;
      const into = last.purpose === 'seed' ? seed : kitchen;
      const fate = fateOf(flower, crop, place.zone);
      if (fate === 'waiting') into.waiting++;
      if (fate !== 'set') continue;
      into.set++;
      if (into === kitchen) continue;
      mothers.add(plant.id);
      for (const father of last.fathers) fathers.add(father.plant);
    }
  }
  return { seed, kitchen, mothers: mothers.size, fathers: fathers.size };
}

/** Every stand's goal, with its sum. */
export function goalSums(
  state: State,
  place: Place,
  today: LocalDate,
  perMorning: (stand: Stand) => number | null = () => null,
): GoalSum[] {
  return [...state.stands.values()].flatMap(
    (stand) => goalSum(state, place, stand, today, perMorning(stand)) ?? [],
  );
}
