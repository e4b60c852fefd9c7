import { seasonOf, type Season } from '../bloom';
import { coneShuts, kitchenTool, laterVisits, selfsUnderCover, type Crop } from '../crops';
import { kitchenPace, lastTool, ratesOf, workTime, type Rate } from '../fruitset';
import type { Goal, Place, Plant, Stand, State, Variety } from '../ledger';
import { coversFor, growing, mainPatch, plantsOfStand, type Growing } from '../patch';
import type { LocalDate } from '../time';
import { doubtOf, needingAt, type SetDoubt } from './doubt';
import {
  bringing,
  NO_PART,
  parentsMissing,
  partOf,
  type Bringing,
  type GoalPart,
  type MissingParents,
} from './goalParts';
import { fruitsWanted } from './fruitsWanted';
import { bothHalves, nothingToPlan, planOfGoal, type GoalPlan } from './goalPlan';
import { malesFor } from './malesFor';
import { openingRate } from './openings';
import { lastUseful } from './season';
import { selfingFor, shuttingFor, type Shutting } from './shutting';
import { shareOf, type SumNumber } from './sumNumber';
import { mornings, timeLeft, type TimeLeft } from './timeLeft';

/** over: the season has ended without it. */
export type GoalStanding = 'done' | 'on-course' | 'behind' | 'unreachable' | 'over';

/** The way from what is wanted back to tonight's tape, number by number. Counts are flowers or fruits. */
export interface GoalSum extends Shutting, TimeLeft {
  readonly stand: Stand;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly goal: Goal;
  readonly season: Season;
  readonly seeds: number | null;
  readonly seedsPerFruit: SumNumber | null;
  readonly forSeed: GoalPart;
  readonly forKitchen: GoalPart;
  /** Fruit of a plant that fruits without pollen, meant for seed: it grows, and whether there is seed in it nobody knows yet. */
  readonly seedUnknown: number;
  /** Of those that have set: so young that they may still fall. */
  readonly young: number;
  /** Plants behind the seed fruit that has set: as mothers, as fathers. */
  readonly mothers: number;
  readonly fathers: number;
  readonly setRate: Rate;
  readonly setShare: SumNumber;
  /** Of both halves: what would do without another look. */
  readonly pollinations: number;
  /** Over the mornings left, look after look. */
  readonly plan: GoalPlan;
  /** Of the females to shut: those to be out before the next look shows more. */
  readonly shutNow: number;
  readonly doubt: SetDoubt;
  readonly malesPerFemale: SumNumber;
  readonly marks: number;
  readonly brushes: number;
  readonly minutes: number;
  /** Of the mornings left: somebody comes. */
  readonly morningsComing: number | null;
  /** Females that open on a morning here, as far as known. */
  readonly perMorning: number;
  /** Of these: there is time to work them. */
  readonly inTime: number;
  readonly standing: GoalStanding;
}

/** What is known besides the record. */
export interface KnownAhead {
  /** Females that open on a morning here, where somebody knows better than the record. */
  readonly perMorning?: number | null;
  /** The mornings that are foretold to be wet (`wetMornings`). */
  readonly wet?: readonly LocalDate[];
}

/**
 * The sum of one stand's goal; `null` without a goal that asks for anything.
 * @example goalSum(state, place, stand, '2026-07-13') // null
 */
export function goalSum(
  state: State,
  place: Place,
  stand: Stand,
  today: LocalDate,
  { perMorning = null, wet = [] }: KnownAhead = {},
): GoalSum | null {
  const found = summed(state, stand);
  if (!found) return null;
  const { goal, plants, first } = found;
  const { crop, variety } = first;
  const selfs = stand.reason === 'seed' && selfsUnderCover(crop);
  const { season, useful, done } = soFar(state, place, stand, today);
  const males = malesFor(state, crop, goal);
  const setRate = ratesOf(state, place.zone).set(crop, variety.id);
  const wanted = fruitsWanted(goal, crop);
  // What selfs has its own plant for a father.
  const asked = selfs ? { ...goal, fathers: null } : goal;
  const parents = parentsMissing(asked, done, males.value);
  const { forSeed, forKitchen } = halvesOf(asked, wanted.fruits, done, parents, setRate, season);
  const brought = selfs ? null : males.value;
  const work = handWork(state, place, first, goal, today, { forSeed, forKitchen }, brought);
  const left = timeLeft(useful.on, season, today);
  const flowering = perMorning ?? openingRate(state, place, plants, today, left.morningsLeft);
  const whole = forSeed.wanted > 0 ? work.wholeShare.value : 1;
  const { ahead, inTime } = mornings(state, first, today, { ...left, plants: plants.length, flowering, wet });
  const of = { crop, goal, rate: setRate, ahead, perMorning: inTime * whole };
  const plans = plansOf(forSeed, forKitchen, forSeed.wanted > 0 ? parents : [], season, of);
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
    ...broughtBy(done),
    setRate,
    setShare: shareOf(goal.bent.setShare, setRate),
    pollinations: forSeed.pollinations + forKitchen.pollinations,
    doubt: doubtOf(goal, setRate, forSeed.left + forKitchen.left, forSeed.waiting + forKitchen.waiting),
    ...work,
    malesPerFemale: males,
    ...left,
    morningsComing: left.morningsLeft && ahead.filter((share) => share > 0).length,
    perMorning: flowering,
    inTime,
    plan: plans.whole,
    shutNow: toShutNow(plans.seed.now, work),
    standing: standingOf(forSeed.left + forKitchen.left, plans.whole, goal, season),
  };
}

/** The season of a stand, until when work still ripens in it, and what it has brought. */
function soFar(state: State, place: Place, stand: Stand, today: LocalDate) {
  const season = seasonOf(state, place, stand, today);
  const useful = lastUseful(state, place, stand, today, (stand.goal?.seed ?? null) !== null);
  const ripens = (forSeed: boolean) => {
    const { said, on } = lastUseful(state, place, stand, today, forSeed);
    return said ? on : null;
  };
  const done = bringing(state, place, stand, today, season.begins, {
    seed: ripens(true),
    kitchen: ripens(false),
  });
  return { season, useful, done };
}

/** A stand with a goal that asks for something, and its plants; `null` for any other. */
function summed(
  state: State,
  { id, goal }: Stand,
): { readonly goal: Goal; readonly plants: readonly Plant[]; readonly first: Growing } | null {
  const plants = plantsOfStand(state, id).filter(({ ended, offType }) => !ended && !offType);
  const first = plants[0] ? growing(state, plants[0].id) : null;
  if (!goal || !first || (goal.seed === null && goal.kitchenFruits === null)) return null;
  // What has no rounds has no sum: beans, peas and lettuce self, and stand here for their distances alone.
  return first.crop.family === 'quiet' ? null : { goal, plants, first };
}

const broughtBy = ({ seedUnknown, young, mothers, fathers }: Bringing) => ({
  seedUnknown,
  young,
  mothers: mothers.size,
  fathers: fathers.size,
});

/** What is shut, marked and brushed, and how long it takes; `males` for one female, `null` where flowers self under their cover. */
function handWork(
  state: State,
  place: Place,
  first: Growing,
  goal: Goal,
  today: LocalDate,
  { forSeed, forKitchen }: { readonly forSeed: GoalPart; readonly forKitchen: GoalPart },
  males: number | null,
): Shutting & Pick<GoalSum, 'marks' | 'brushes' | 'minutes'> {
  const { crop, stand, variety } = first;
  const selfs = males === null;
  const withoutBags = selfs && coneShuts(variety) && mainPatch(state)?.schools.cones === 'open';
  const covers = coversFor(state, first, today).needed && !withoutBags;
  const toShut = covers ? forSeed.pollinations : 0;
  const shutting = selfs
    ? selfingFor(state, place, crop, variety.id, goal, toShut)
    : shuttingFor(state, place, crop, variety.id, goal, toShut, males);
  const byHand = selfs ? NO_PART : forSeed;
  return {
    ...shutting,
    // Of what selfs each fruit is marked as its bag comes off; else each flower as it is worked.
    marks: selfs ? forSeed.left : forSeed.pollinations,
    brushes: byHand.pollinations + forKitchen.pollinations > 0 ? 1 : 0,
    minutes: Math.round(minutesFor(state, crop, stand, byHand, forKitchen) + shutting.minutes),
  };
}

/** The two halves of a goal: what each wants, has and still needs. */
function halvesOf(
  goal: Goal,
  seedFruits: number,
  done: Bringing,
  parents: readonly MissingParents[],
  rate: Rate,
  season: Season,
): { readonly forSeed: GoalPart; readonly forKitchen: GoalPart } {
  const needed = needingAt(goal, rate, season);
  return {
    forSeed: seedFruits === 0 ? NO_PART : partOf({ wanted: seedFruits, ...done.seed, parents, needed }),
    forKitchen: goal.kitchenFruits
      ? partOf({ wanted: goal.kitchenFruits, ...done.kitchen, parents: [], needed })
      : NO_PART,
  };
}

/** Minutes of pollinating still to come, each half at its own pace. */
function minutesFor(state: State, crop: Crop, stand: Stand, forSeed: GoalPart, forKitchen: GoalPart): number {
  return (
    forSeed.pollinations *
      (workTime(state, crop).minutes + laterVisits(crop, stand.reason, lastTool(state, crop))) +
    (forKitchen.pollinations * kitchenPace(state, crop.id, kitchenTool(crop)).seconds) / 60
  );
}

/** The plan of what is for seed, which is shut, and that of the whole goal. */
function plansOf(
  forSeed: GoalPart,
  forKitchen: GoalPart,
  parents: readonly MissingParents[],
  season: Season,
  of: Parameters<typeof planOfGoal>[1],
): { readonly seed: GoalPlan; readonly whole: GoalPlan } {
  const none = nothingToPlan(forSeed.left + forKitchen.left === 0 ? 1 : 0);
  if (season.over) return { seed: none, whole: none };
  const fruits = bothHalves(forSeed, NO_PART);
  const seed = forSeed.wanted > 0 ? planOfGoal({ ...fruits, parents }, of) : nothingToPlan(1);
  return { seed, whole: planOfGoal({ ...bothHalves(forSeed, forKitchen), parents }, of) };
}

/** Closures for the pollinations before the next look; never more than the sum has in all. */
const toShutNow = (pollinations: number, { femalesToShut, wholeShare, underCover }: Shutting): number =>
  Math.min(femalesToShut, Math.ceil(pollinations / (underCover ?? 1) / wholeShare.value));

/** What is called behind is reached less than half the time, what can't be reached hardly ever. */
const BEHIND = 0.5;
const UNREACHABLE = 0.02;

/** How a goal stands, by its chance. */
function standingOf(
  fruitsLeft: number,
  { now, chance }: GoalPlan,
  goal: Goal,
  { over, frost }: Season,
): GoalStanding {
  const guessed = goal.by === null && frost.from === 'guess';
  if (fruitsLeft === 0) return 'done';
  if (over) return 'over';
  if (now === 0 && chance >= goal.assurance) return 'on-course';
  // A frost that is only guessed makes nothing hopeless: the grower may know better.
  if (chance < UNREACHABLE) return guessed ? 'behind' : 'unreachable';
  return chance < BEHIND ? 'behind' : 'on-course';
}

/** Every stand's goal, with its sum. */
export function goalSums(state: State, place: Place, today: LocalDate, known: KnownAhead = {}): GoalSum[] {
  return [...state.stands.values()].flatMap((stand) => goalSum(state, place, stand, today, known) ?? []);
}
