import { mustBe, type TrowelError } from '../errors';

/** How many fruits are wanted, how sure to be of them, and what is known of the set rate. */
export interface PollinationsWanted {
  readonly fruitsWanted: number;
  /** The set rate as a beta distribution: what is known of it. */
  readonly alpha: number;
  readonly beta: number;
  /** How sure to be, between 0 and 1. */
  readonly assurance: number;
}

/** More flowers than any patch has; past it the goal is out of reach. */
export const MOST_POLLINATIONS = 100_000;

/**
 * The least number of pollinations that gives at least `fruitsWanted` fruits with probability `assurance` or more,
 * when the set rate is only known as a beta distribution (beta-binomial tail, summed exactly). 0 wanted needs 0;
 * Infinity past 100 000. Throws by field.
 * @example pollinationsNeeded({ fruitsWanted: 5, alpha: 12, beta: 8, assurance: 0.9 }) // 13
 */
export function pollinationsNeeded({ fruitsWanted, alpha, beta, assurance }: PollinationsWanted): number {
  if (!Number.isInteger(fruitsWanted) || fruitsWanted < 0)
    throw wrong('fruitsWanted', 'a whole number, 0 or more', fruitsWanted);
  if (!(alpha > 0 && Number.isFinite(alpha))) throw wrong('alpha', 'above 0', alpha);
  if (!(beta > 0 && Number.isFinite(beta))) throw wrong('beta', 'above 0', beta);
  if (!(assurance > 0 && assurance < 1)) throw wrong('assurance', 'between 0 and 1', assurance);
  if (fruitsWanted === 0) return 0;
  const enough = (n: number) => chanceOfAtLeast(fruitsWanted, n, alpha, beta) >= assurance;
  let high = fruitsWanted;
  while (!enough(high)) {
    if (high >= MOST_POLLINATIONS) return Infinity;
    high = Math.min(MOST_POLLINATIONS, high * 2);
  }
  let low = fruitsWanted - 1;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (middle < fruitsWanted || !enough(middle)) low = middle;
    else high = middle;
  }
  return high;
}

/**
 * P(at least `wanted` of `n`) under a beta-binomial.
 * @example chanceOfAtLeast(5, 12, 12, 8) // 0.894
 */
export function chanceOfAtLeast(wanted: number, n: number, alpha: number, beta: number): number {
  if (wanted <= 0) return 1;
  if (wanted > n) return 0;
  // The shorter side is summed, by the ratio of neighbours from one exact term: none of n, and from there up, as logarithms.
  const below = wanted <= n / 2;
  let k = below ? wanted - 1 : wanted;
  let log = 0;
  for (let i = 0; i < n; i++) log += Math.log((beta + i) / (alpha + beta + i));
  for (let i = 1; i <= k; i++) log += Math.log(((n - i + 1) * (i - 1 + alpha)) / (i * (n - i + beta)));
  let term = Math.exp(log);
  let sum = term;
  if (below) {
    for (; k > 0; k--) {
      term *= (k * (n - k + beta)) / ((n - k + 1) * (k - 1 + alpha));
      sum += term;
    }
    return Math.min(1, Math.max(0, 1 - sum));
  }
  for (; k < n; k++) {
    term *= ((n - k) * (k + alpha)) / ((k + 1) * (n - k - 1 + beta));
    sum += term;
  }
  return Math.min(1, sum);
}

function wrong(
  field: 'fruitsWanted' | 'alpha' | 'beta' | 'assurance',
  rule: string,
  got: number,
): TrowelError {
  return mustBe('pollinationsNeeded', field, rule, got);
}
