import { closuresFor, seedsPerGram, sexesOf, type Closure, type Crop } from '../crops';
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

/** The way from what is wanted back to tonight's tape, number by number. Counts are flowers or fruits. */
export interface GoalSum {
  readonly stand: Stand;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly goal: Goal;
  readonly seeds: number | null;
  readonly seedsPerFruit: SumNumber | null;
  /** Ripe fruits for seed and for the kitchen. */
  readonly fruitsForSeed: number;
  readonly fruitsForKitchen: number;
  readonly setAlready: number;
  readonly waiting: number;
  readonly setRate: Rate;
  readonly setShare: SumNumber;
  /** Still to be made, over and above those waiting. Infinity = out of reach. */
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

/** Tape for one closure, two turns and tabs [M]. */
export const TAPE_CM = 12;
/** Females a plant opens on a morning in season, where nothing is known yet [M]. */
const FEMALES_A_PLANT = 0.25;

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
  const fruitsForSeed =
    seeds === null || !perFruit
      ? 0
      : Math.max(Math.ceil(seeds / perFruit.value), goal.mothers ?? 1, goal.fathers ? 1 : 0);
  const fruitsForKitchen = goal.kitchenFruits ?? 0;
  const { set, waiting } = counted(state, place, stand, crop, fruitsForSeed > 0, fruitsForKitchen > 0);

  const setRate = rates.set(crop, variety.id);
  const bentSet = goal.bent.setShare;
  const shape =
    bentSet === undefined
      ? setRate
      : { alpha: bentSet * POINT, beta: Math.max(1e-6, (1 - bentSet) * POINT), mean: bentSet };
  const left = Math.max(0, fruitsForSeed + fruitsForKitchen - set);
  const total = pollinationsNeeded({
    fruitsWanted: left,
    alpha: shape.alpha,
    beta: shape.beta,
    assurance: goal.assurance,
  });
  const pollinations = Math.max(0, total - waiting);

  const forSeed = fruitsForSeed > 0;
  const wholeRate = rates.whole(crop, variety.id, closure);
  const wholeShare: SumNumber = !forSeed
    ? { value: 1, from: 'catalogue' }
    : goal.bent.wholeShare !== undefined
      ? { value: goal.bent.wholeShare, from: 'bent' }
      : { value: wholeRate.mean, from: wholeRate.own.n + wholeRate.crop.n > 0 ? 'records' : 'catalogue' };
  // Kitchen flowers need no closure: only the seed's share of the work is shut.
  const seedShare = forSeed ? fruitsForSeed / (fruitsForSeed + fruitsForKitchen) : 0;
  const seedPollinations = Math.ceil(pollinations * seedShare);
  const femalesToShut = forSeed ? Math.ceil(seedPollinations / wholeShare.value) : 0;
  const schoolMales = Number(mainPatch(state)?.schools.males ?? 2);
  const malesPerFemale: SumNumber =
    goal.bent.malesPerFemale !== undefined
      ? { value: goal.bent.malesPerFemale, from: 'bent' }
      : { value: crop.family === 'corn' ? 1 : schoolMales, from: 'goal' };
  const malesToShut =
    forSeed && sexesOf(crop).length > 1
      ? Math.ceil((seedPollinations * malesPerFemale.value) / wholeShare.value) +
        (seedPollinations > 0 ? 1 : 0)
      : forSeed
        ? seedPollinations
        : 0;
  const shut = femalesToShut + malesToShut;
  const taped = closure === 'tape';

  const until = goal.by ?? frostAfter(state, place, today);
  const ripens = forSeed ? crop.daysToSeed : (crop.daysToEat ?? crop.daysToSeed);
  const lastUsefulOn = until && ripens ? addDays(until, -ripens.value[1]) : null;
  const morningsLeft = lastUsefulOn === null ? null : Math.max(0, daysBetween(today, lastUsefulOn));
  const flowering = perMorning ?? plants.length * FEMALES_A_PLANT;
  const need = forSeed ? femalesToShut + (pollinations - seedPollinations) : pollinations;
  const standing: GoalStanding =
    left === 0
      ? 'done'
      : need === 0
        ? 'on-course'
        : morningsLeft === 0 ||
            need === Infinity ||
            (morningsLeft !== null && need > flowering * 2.5 * morningsLeft)
          ? 'unreachable'
          : morningsLeft !== null && need > flowering * 0.8 * morningsLeft
            ? 'behind'
            : 'on-course';
  return {
    stand,
    variety,
    crop,
    goal,
    seeds,
    seedsPerFruit: perFruit,
    fruitsForSeed,
    fruitsForKitchen,
    setAlready: set,
    waiting,
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
    malesPerFemale,
    malesToShut,
    tapeCm: taped ? (shut + seedPollinations) * TAPE_CM : 0,
    bags: taped ? 0 : shut,
    marks: seedPollinations,
    brushes: pollinations > 0 ? 1 : 0,
    minutes: Math.round(pollinations * workTime(state, crop).minutes + shut * 0.7),
    lastUsefulOn,
    morningsLeft,
    perMorning: flowering,
    standing,
  };
}

/** A share given by hand counts as known to the point. */
const POINT = 1e6;

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

function counted(state: State, place: Place, stand: Stand, crop: Crop, seed: boolean, kitchen: boolean) {
  let set = 0;
  let waiting = 0;
  for (const plant of plantsOfStand(state, stand.id))
    for (const id of state.flowersOf.get(plant.id) ?? []) {
      const flower = state.flowers.get(id);
      const last = flower?.pollinations[flower.pollinations.length - 1];
      if (!flower || !last) continue;
      if (last.purpose === 'seed' ? !seed : !kitchen) continue;
      const fate = fateOf(flower, crop, place.zone);
      if (fate === 'set') set++;
      if (fate === 'waiting') waiting++;
    }
  return { set, waiting };
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
