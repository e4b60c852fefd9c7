import { mustBe } from '../errors';
import { proportionInterval } from './interval';

/** Fisher's exact test of a table of two by two. */
export interface FisherTest {
  /** Two-sided: the chance of a table as rare as this one, or rarer, with the same margins. */
  readonly pValue: number;
  /** Of the sample, `ad / bc`; Infinity where nothing failed on one side, `null` where it is 0 / 0. */
  readonly oddsRatio: number | null;
}

/** Tables as rare as the one seen, within rounding, count as rarer (as R's `fisher.test` does). */
const AS_RARE = 1 + 1e-7;

/**
 * Fisher's exact test, two-sided: `a` of `a + b` against `c` of `c + d` (Fisher 1922; two-sided by the probabilities of the tables).
 * Throws `counts` for what is no whole number from 0 on.
 * @example fisherExact(3, 1, 1, 3) // { pValue: 0.486, oddsRatio: 9.000 }
 */
export function fisherExact(a: number, b: number, c: number, d: number): FisherTest {
  for (const [name, value] of Object.entries({ a, b, c, d }))
    if (!Number.isInteger(value) || value < 0)
      throw mustBe('fisherExact', 'counts', `${name}: a whole number, 0 or more`, value);
  const [first, second, hits] = [a + b, c + d, a + c];
  const logOf = logFactorials(first + second);
  const choose = (n: number, k: number) =>
    (logOf[n] as number) - (logOf[k] as number) - (logOf[n - k] as number);
  const chance = (x: number) =>
    Math.exp(choose(first, x) + choose(second, hits - x) - choose(first + second, hits));
  const seen = chance(a);
  let pValue = 0;
  for (let x = Math.max(0, hits - second); x <= Math.min(first, hits); x++) {
    const p = chance(x);
    if (p <= seen * AS_RARE) pValue += p;
  }
  const [yes, no] = [a * d, b * c];
  return { pValue: Math.min(1, pValue), oddsRatio: no > 0 ? yes / no : yes > 0 ? Infinity : null };
}

/** ln 0!, ln 1! ... ln n!. */
function logFactorials(n: number): Float64Array {
  const logs = new Float64Array(n + 1);
  for (let i = 2; i <= n; i++) logs[i] = (logs[i - 1] as number) + Math.log(i);
  return logs;
}

/** A difference of two shares and its bounds, -1..1. */
export interface ShareDifference {
  readonly difference: number;
  readonly low: number;
  readonly high: number;
}

/**
 * The difference of two shares, `k1` of `n1` less `k2` of `n2`, with an interval from their Wilson intervals (Newcombe 1998, method 10).
 * Throws `trials` below 1, and as `proportionInterval`.
 * @example differenceInterval(56, 70, 48, 80, 0.95) // { difference: 0.200, low: 0.052, high: 0.334 }
 */
export function differenceInterval(
  k1: number,
  n1: number,
  k2: number,
  n2: number,
  confidence: number,
): ShareDifference {
  for (const [name, value] of Object.entries({ n1, n2 }))
    if (!Number.isInteger(value) || value < 1)
      throw mustBe('differenceInterval', 'trials', `${name}: a whole number, 1 or more`, value);
  const one = proportionInterval(k1, n1, { method: 'wilson', confidence });
  const two = proportionInterval(k2, n2, { method: 'wilson', confidence });
  const [p1, p2] = [k1 / n1, k2 / n2];
  const difference = p1 - p2;
  return {
    difference,
    low: Math.max(-1, difference - Math.hypot(p1 - one.low, two.high - p2)),
    high: Math.min(1, difference + Math.hypot(one.high - p1, p2 - two.low)),
  };
}
