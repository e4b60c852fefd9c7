import type { Crop } from '../crops';
import { pollinationsNeeded, type Rate } from '../fruitset';
import type { Goal } from '../ledger';
import { morningsPlan } from '../planning';
import { betaOf } from './doubt';
import type { GoalPart, MissingParents } from './goalParts';

/** A goal over the mornings that are left: what is worked before the first look, and what that is good for. */
export interface GoalPlan {
  /** Pollinations before what they brought is seen; the whole sum would be `GoalPart.pollinations`. */
  readonly now: number;
  /** The chance to reach the goal if it is followed, look after look. */
  readonly chance: number;
  /** The same if nothing is worked tomorrow. */
  readonly without: number;
  /** The same if all that opens tomorrow is worked. */
  readonly withAll: number;
  /** What one flower more now adds to the chance. */
  readonly oneMore: number;
  /** Pollinations over all mornings, on average. */
  readonly expected: number;
}

/** What a plan asks for. */
interface Wanted {
  readonly missing: number;
  readonly waiting: number;
}

/** Share of the flowers that can be worked which are: rain, slips and males that are missing take the rest [M]. */
const USABLE = 0.92;
/** Where nothing ends the season that anybody knows of, so many mornings are counted on [M]. */
export const OPEN_END = 40;
/** More than two looks to come are reckoned as one: they add little, and take long to reckon. */
const MOST_LOOKS = 3;

/** Nothing is wanted, or nothing can be done. */
export const nothingToPlan = (chance: 0 | 1): GoalPlan => ({
  now: 0,
  chance,
  without: chance,
  withAll: chance,
  oneMore: 0,
  expected: 0,
});

/**
 * The plan of a goal's half, or of both halves together: for its fruits and, each by itself, for parents still missing, the one that asks for
 * most. A flower shut tonight is worked tomorrow and judged on its verdict day, so that looks are that far apart.
 */
export function planOfGoal(
  { parents, ...fruits }: Wanted & { readonly parents: readonly MissingParents[] },
  {
    crop,
    goal,
    rate,
    ahead,
    perMorning,
  }: {
    readonly crop: Crop;
    readonly goal: Goal;
    readonly rate: Pick<Rate, 'alpha' | 'beta'>;
    /** The part of each morning's flowers that will be worked (`morningsAhead`), tomorrow's first, to the last useful one. */
    readonly ahead: readonly number[];
    /** Flowers of a morning that can be worked: of those that open, what stays shut until then. */
    readonly perMorning: number;
  },
): GoalPlan {
  const known = betaOf(goal, rate);
  const { assurance } = goal;
  const planOf = ({ missing, waiting }: Wanted, from: number) => {
    const plain = pollinationsNeeded({ fruitsWanted: missing, ...known, assurance });
    const supplies = suppliesOf(ahead.slice(from), perMorning * USABLE, crop.verdictDay.value + 1);
    return morningsPlan({
      missing,
      waiting,
      ...known,
      supplies,
      assurance,
      most: Math.max(0, plain - waiting),
    });
  };
  const plans = [fruits, ...parents.map((each) => ({ missing: each.fruits, waiting: each.waiting }))]
    .filter(({ missing }) => missing > 0)
    .map((wanted): GoalPlan => {
      const { flowers: now, chance, chances, expected } = planOf(wanted, 0);
      const at = (flowers: number) => chances[Math.min(flowers, chances.length - 1)] ?? chance;
      return {
        now,
        chance,
        expected,
        // Nobody is better off for a morning less.
        without: now === 0 ? chance : Math.min(chance, planOf(wanted, 1).chance),
        withAll: Math.max(chance, at(Math.max(now, Math.round(perMorning * (ahead[0] ?? 0))))),
        oneMore: Math.max(0, at(now + 1) - at(now)),
      };
    });
  return plans.reduce(
    (all, each) => ({
      now: Math.max(all.now, each.now),
      chance: Math.min(all.chance, each.chance),
      without: Math.min(all.without, each.without),
      withAll: Math.min(all.withAll, each.withAll),
      oneMore: Math.max(all.oneMore, each.oneMore),
      expected: Math.max(all.expected, each.expected),
    }),
    nothingToPlan(1),
  );
}

/** Flowers that can be worked before each look, on average; the mornings past the last look go with it. */
function suppliesOf(ahead: readonly number[], each: number, apart: number): number[] {
  const looks = Math.min(MOST_LOOKS, Math.max(1, Math.ceil(ahead.length / apart)));
  return Array.from({ length: looks }, (_, i) => {
    const until = i < looks - 1 ? (i + 1) * apart : ahead.length;
    return each * ahead.slice(i * apart, until).reduce((sum, share) => sum + share, 0);
  });
}

/** What both halves of a goal want together. */
export const bothHalves = (
  forSeed: Pick<GoalPart, 'wanted' | 'set' | 'waiting'>,
  forKitchen: Pick<GoalPart, 'wanted' | 'set' | 'waiting'>,
): Wanted => ({
  missing: Math.max(0, forSeed.wanted - forSeed.set) + Math.max(0, forKitchen.wanted - forKitchen.set),
  waiting: forSeed.waiting + forKitchen.waiting,
});
