import {
  closureFacts,
  closuresFor,
  kitchenSeconds,
  kitchenTool,
  middleOf,
  seedsPerGram,
  sexesOf,
  type Closure,
  type Crop,
} from '../crops';
import { pollinationsNeeded, ratesOf, workTime, type Rate } from '../fruitset';
import type { Goal, Place, Stand, State, Variety } from '../ledger';
import { coversFor, growing, mainPatch, plantsOfStand } from '../patch';
import { daysBetween, type LocalDate } from '../time';
import { bringing, NO_PART, parentsMissing, partOf, type GoalPart } from './goalParts';
import { malesFor, SPARE_MALES } from './malesFor';
import { lastUseful, seasonOf, type Season } from './season';
import type { SumNumber } from './sumNumber';

/** over: the season has ended without it. */
export type GoalStanding = 'done' | 'on-course' | 'behind' | 'unreachable' | 'over';

/** The way from what is wanted back to tonight's tape, number by number. Counts are flowers or fruits. */
export interface GoalSum {
  readonly stand: Stand;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly goal: Goal;
  readonly season: Season;
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
  readonly doubt: SetDoubt;
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
  const season = seasonOf(state, place, stand, today);
  const useful = lastUseful(state, place, stand, today, goal.seed !== null);
  const done = bringing(state, place, stand, today, season.begins, useful.said ? useful.on : null);
  const males = malesFor(state, crop, goal);
  const setRate = ratesOf(state, place.zone).set(crop, variety.id);
  const wanted = fruitsWanted(goal, crop);
  const needed = needingAt(goal, setRate, season);
  const parents = parentsMissing(goal, done, males.value);
  const forSeed =
    wanted.fruits === 0 ? NO_PART : partOf({ wanted: wanted.fruits, ...done.seed, parents, needed });
  const forKitchen = goal.kitchenFruits
    ? partOf({ wanted: goal.kitchenFruits, ...done.kitchen, parents: [], needed })
    : NO_PART;
  const covers = coversFor(state, first, today).needed;
  const toShut = shuttingFor(
    state,
    place,
    crop,
    variety.id,
    goal,
    covers ? forSeed.pollinations : 0,
    males.value,
  );
  const pollinations = forSeed.pollinations + forKitchen.pollinations;
  const left = timeLeft(useful.on, season, today);
  const flowering = perMorning ?? plants.length * middleOf(crop.femalesADay.value);
  return {
    stand,
    variety,
    crop,
    goal,
    season,
    seeds: wanted.seeds,
    seedsPerFruit: wanted.perFruit,
    forSeed,
    forKitchen,
    mothers: done.mothers.size,
    fathers: done.fathers.size,
    setRate,
    setShare: shareOf(goal.bent.setShare, setRate),
    pollinations,
    doubt: doubtOf(goal, setRate, forSeed.left + forKitchen.left, forSeed.waiting + forKitchen.waiting),
    ...toShut,
    malesPerFemale: males,
    marks: forSeed.pollinations,
    brushes: pollinations > 0 ? 1 : 0,
    minutes: Math.round(
      forSeed.pollinations * workTime(state, crop).minutes +
        (forKitchen.pollinations * kitchenSeconds(kitchenTool(crop))) / 60 +
        toShut.minutes,
    ),
    ...left,
    perMorning: flowering,
    standing: standingOf({
      fruitsLeft: forSeed.left + forKitchen.left,
      flowers: Math.max(toShut.femalesToShut, forSeed.pollinations) + forKitchen.pollinations,
      mornings: left.morningsLeft,
      perMorning: flowering,
      over: season.over,
      guessed: goal.by === null && season.frost.from === 'guess',
    }),
  };
}

/** Seed in numbers, and the fruits that bring it: no fewer than the mothers asked for. */
function fruitsWanted(
  goal: Goal,
  crop: Crop,
): { readonly seeds: number | null; readonly perFruit: SumNumber | null; readonly fruits: number } {
  const seeds = seedsOf(goal, crop);
  const perFruit = seeds === null ? null : seedsInFruit(crop, goal);
  const fruits =
    seeds === null || !perFruit ? 0 : Math.max(Math.ceil(seeds / perFruit.value), goal.mothers ?? 1);
  return { seeds, perFruit, fruits };
}

/** Pollinations for so many more fruits, as sure as the goal asks; none once the season is over. */
function needingAt({ bent, assurance }: Goal, rate: Rate, season: Season): (fruits: number) => number {
  const { alpha, beta } =
    bent.setShare === undefined
      ? rate
      : { alpha: bent.setShare * POINT, beta: Math.max(1e-6, (1 - bent.setShare) * POINT) };
  return (fruits) => (season.over ? 0 : pollinationsNeeded({ fruitsWanted: fruits, alpha, beta, assurance }));
}

/** What not knowing the set rate costs: said beside the sum, so that it can be followed. */
export interface SetDoubt {
  /** Pollinations for the fruits still to come, if the rate were known to the point. */
  readonly known: number;
  /** And as little as it is known. */
  readonly asKnown: number;
  /** Verdicts of one's own that would halve the difference; `null` where there is none to speak of, or too many are wanted. */
  readonly toHalve: number | null;
}

/** More verdicts than this nobody waits for [M]. */
const MOST_VERDICTS = 400;

function doubtOf(goal: Goal, { alpha, beta }: Rate, fruits: number, waiting: number): SetDoubt {
  const { assurance, bent } = goal;
  const mean = bent.setShare ?? alpha / (alpha + beta);
  // Over and above those that wait on the plants, as in the sum.
  const need = (verdicts: number) =>
    Math.max(
      0,
      pollinationsNeeded({
        fruitsWanted: fruits,
        alpha: alpha + verdicts * mean,
        beta: Math.max(1e-6, beta + verdicts * (1 - mean)),
        assurance,
      }) - waiting,
    );
  const known = need(POINT);
  const asKnown = bent.setShare === undefined ? need(0) : known;
  const cost = asKnown - known;
  if (cost < 2 || !Number.isFinite(cost)) return { known, asKnown, toHalve: null };
  let verdicts = 5;
  while (need(verdicts) - known > cost / 2 && verdicts <= MOST_VERDICTS) verdicts += 5;
  return { known, asKnown, toHalve: verdicts > MOST_VERDICTS ? null : verdicts };
}

/** A share of the sum: the grower's own, what the records say, or the usual. */
function shareOf(bent: number | undefined, { mean, own, crop }: Rate): SumNumber {
  if (bent !== undefined) return { value: bent, from: 'bent' };
  return { value: mean, from: own.n + crop.n > 0 ? 'records' : 'catalogue' };
}

/** What is shut for so many pollinations for seed: closures that do not stay whole come on top, and a spare male. */
function shuttingFor(
  state: State,
  place: Place,
  crop: Crop,
  variety: string,
  goal: Goal,
  pollinations: number,
  males: number,
): Pick<
  GoalSum,
  'closure' | 'wholeRate' | 'wholeShare' | 'femalesToShut' | 'malesToShut' | 'tapeCm' | 'bags' | 'minutes'
> {
  const closure = closureOf(state, crop);
  const wholeRate = ratesOf(state, place.zone).whole(crop, variety, closure);
  const wholeShare = shareOf(goal.bent.wholeShare, wholeRate);
  const femalesToShut = Math.ceil(pollinations / wholeShare.value);
  const malesToShut =
    pollinations === 0 ? 0 : Math.ceil((pollinations * males) / wholeShare.value) + SPARE_MALES;
  const shut = femalesToShut + malesToShut;
  const { tapeCm, minutes } = closureFacts(closure);
  return {
    closure,
    wholeRate,
    wholeShare,
    femalesToShut,
    malesToShut,
    // Once in the evening, and the females again in the morning.
    tapeCm: (shut + pollinations) * tapeCm,
    bags: tapeCm > 0 ? 0 : shut,
    minutes: shut * minutes.value,
  };
}

/** How many mornings are left on which a pollination still ripens in time. */
function timeLeft(
  lastUsefulOn: LocalDate | null,
  season: Season,
  today: LocalDate,
): Pick<GoalSum, 'lastUsefulOn' | 'morningsLeft'> {
  if (season.over) return { lastUsefulOn, morningsLeft: 0 };
  return {
    lastUsefulOn,
    morningsLeft: lastUsefulOn === null ? null : Math.max(0, daysBetween(today, lastUsefulOn) + 1),
  };
}

/** How a goal stands: flowers still needed against mornings left and females that open on each. */
function standingOf({
  fruitsLeft,
  flowers,
  mornings,
  perMorning,
  over,
  guessed,
}: {
  fruitsLeft: number;
  flowers: number;
  mornings: number | null;
  perMorning: number;
  over: boolean;
  guessed: boolean;
}): GoalStanding {
  if (fruitsLeft === 0) return 'done';
  if (over) return 'over';
  if (flowers === 0) return 'on-course';
  if (flowers === Infinity) return 'unreachable';
  if (mornings === null) return 'on-course';
  // A frost that is only guessed makes nothing hopeless: the grower may know better.
  if (mornings === 0 || flowers > OUT_OF_REACH * perMorning * mornings)
    return guessed ? 'behind' : 'unreachable';
  return flowers > USABLE * perMorning * mornings ? 'behind' : 'on-course';
}

/** What flowers of this crop are shut with here: as the patch has chosen, where the crop can take that. */
export function closureOf(state: State, crop: Crop): Closure {
  const wanted = (mainPatch(state)?.schools.closure ?? 'tape') as Closure;
  const possible = closuresFor(crop, sexesOf(crop)[0] ?? 'female');
  return possible.includes(wanted) ? wanted : (possible[0] as Closure);
}

function seedsOf({ seed }: Goal, crop: Crop): number | null {
  if (seed === null) return null;
  if (seed.unit === 'seeds') return seed.amount;
  const perGram = seedsPerGram(crop.id);
  return seed.amount * (perGram ? middleOf(perGram.value) : 1);
}

/** A careful number: a third of the way up the catalogue's range, unless the grower says. */
function seedsInFruit(crop: Crop, goal: Goal): SumNumber | null {
  if (goal.bent.seedsPerFruit !== undefined) return { value: goal.bent.seedsPerFruit, from: 'bent' };
  const range = crop.seedsPerFruit?.value;
  return range ? { value: Math.round(range[0] + (range[1] - range[0]) / 3), from: 'catalogue' } : null;
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
