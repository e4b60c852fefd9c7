import type { Season } from '../bloom';
import { pollinationsNeeded, type Rate } from '../fruitset';
import type { Goal } from '../ledger';

/** A share given by hand counts as known exactly. */
const POINT = 1e6;

/**
 * What is known of the set rate, as a beta distribution: the grower's own number where there is one.
 * @example betaOf({ bent: {} }, { alpha: 12, beta: 8 }) // { alpha: 12, beta: 8 }
 */
export const betaOf = (
  { bent }: Pick<Goal, 'bent'>,
  { alpha, beta }: Pick<Rate, 'alpha' | 'beta'>,
): Pick<Rate, 'alpha' | 'beta'> =>
  bent.setShare === undefined
    ? { alpha, beta }
    : { alpha: bent.setShare * POINT, beta: Math.max(1e-6, (1 - bent.setShare) * POINT) };

/**
 * Pollinations for so many more fruits, as sure as the goal asks; none once the season is over.
 * @example needingAt({ bent: {}, assurance: 0.9 }, { alpha: 12, beta: 8 }, { over: false })(5) // 13
 */
export function needingAt(
  { bent, assurance }: Pick<Goal, 'bent' | 'assurance'>,
  rate: Pick<Rate, 'alpha' | 'beta'>,
  season: Pick<Season, 'over'>,
): (fruits: number) => number {
  const { alpha, beta } = betaOf({ bent }, rate);
  return (fruits) => (season.over ? 0 : pollinationsNeeded({ fruitsWanted: fruits, alpha, beta, assurance }));
}

/** What not knowing the set rate costs: said beside the sum, so that it can be followed. */
export interface SetDoubt {
  /** Pollinations for the fruits still to come, if the rate were known exactly. */
  readonly known: number;
  /** And with the rate as uncertain as it is. */
  readonly asKnown: number;
  /** Verdicts of one's own that would halve the difference; `null` where there is none to speak of, or too many are wanted. */
  readonly toHalve: number | null;
}

/** More verdicts than this nobody waits for [M]. */
const MOST_VERDICTS = 400;

/**
 * What the sum would be if the rate were known, and what it would take to halve the difference; `waiting` flowers stand already.
 * @example doubtOf({ bent: {}, assurance: 0.9 }, { alpha: 12, beta: 8 }, 5, 0).asKnown // 13
 */
export function doubtOf(
  goal: Pick<Goal, 'bent' | 'assurance'>,
  { alpha, beta }: Pick<Rate, 'alpha' | 'beta'>,
  fruits: number,
  waiting: number,
): SetDoubt {
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
