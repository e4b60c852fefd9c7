import { betaQuantile, normalQuantile } from '../distributions';
import { mustBe } from '../errors';

/** Bounds of a share, 0..1. */
export interface Interval {
  readonly low: number;
  readonly high: number;
}

/** The three intervals that are offered for a share. */
export type IntervalMethod = 'wilson' | 'clopper-pearson' | 'jeffreys';

/** Which interval, and how sure. */
export interface IntervalOptions {
  readonly method: IntervalMethod;
  /** Two-sided, strictly between 0 and 1. */
  readonly confidence: number;
}

/**
 * Two-sided interval for a share, `successes` of `trials`. No trials: 0 to 1, nothing is known.
 * Wilson: the score interval without continuity correction (R: `prop.test(correct = FALSE)`).
 * Clopper-Pearson: exact, from beta quantiles (R: `binom.test`).
 * Jeffreys: beta(1/2, 1/2) posterior, limits 0 and 1 at the ends (Brown, Cai & DasGupta 2001).
 * Throws `successes`, `trials` or `confidence` for values out of range.
 * @example proportionInterval(8, 10, { method: 'wilson', confidence: 0.95 }) // { low: 0.490, high: 0.943 }
 */
export function proportionInterval(
  successes: number,
  trials: number,
  { method, confidence }: IntervalOptions,
): Interval {
  checkCounts(successes, trials, confidence);
  if (trials === 0) return { low: 0, high: 1 };
  const tail = (1 - confidence) / 2;
  const failures = trials - successes;
  switch (method) {
    case 'wilson':
      return wilson(successes, trials, tail);
    case 'clopper-pearson':
      return {
        low: successes === 0 ? 0 : betaQuantile(tail, successes, failures + 1),
        high: failures === 0 ? 1 : betaQuantile(1 - tail, successes + 1, failures),
      };
    case 'jeffreys':
      return {
        low: successes === 0 ? 0 : betaQuantile(tail, successes + 0.5, failures + 0.5),
        high: failures === 0 ? 1 : betaQuantile(1 - tail, successes + 0.5, failures + 0.5),
      };
  }
}

/**
 * One-sided exact upper limit for a share (Clopper-Pearson). No trials: 1. Throws as `proportionInterval`.
 * @example upperBound(0, 60, 0.95) // 0.049
 */
export function upperBound(successes: number, trials: number, confidence: number): number {
  checkCounts(successes, trials, confidence);
  return successes === trials ? 1 : betaQuantile(confidence, successes + 1, trials - successes);
}

function wilson(successes: number, trials: number, tail: number): Interval {
  return scoreInterval(successes / trials, trials, -normalQuantile(tail));
}

/**
 * Wilson's score interval of a share of so many trials, which need not be whole, to `reach` standard errors either side.
 * @example scoreInterval(0.8, 10, 1.96) // { low: 0.490, high: 0.943 }
 */
export function scoreInterval(share: number, trials: number, reach: number): Interval {
  const spread = (reach * reach) / trials;
  const centre = (share + spread / 2) / (1 + spread);
  const half =
    (reach / (1 + spread)) *
    Math.sqrt((share * (1 - share)) / trials + (reach * reach) / (4 * trials * trials));
  // At the ends the limits are exactly 0 and 1; rounding must not push them past.
  return {
    low: share === 0 ? 0 : Math.max(0, centre - half),
    high: share === 1 ? 1 : Math.min(1, centre + half),
  };
}

function checkCounts(successes: number, trials: number, confidence: number): void {
  if (!Number.isInteger(trials) || trials < 0)
    throw mustBe('proportionInterval', 'trials', 'a whole number, 0 or more', trials);
  if (!Number.isInteger(successes) || successes < 0 || successes > trials)
    throw mustBe('proportionInterval', 'successes', `a whole number from 0 to ${trials}`, successes);
  if (!(confidence > 0 && confidence < 1))
    throw mustBe('proportionInterval', 'confidence', 'between 0 and 1', confidence);
}
