import { mustBe, TrowelError } from '../errors';

/** Successes and trials of one group: a plant, a tool, a father. */
export interface Counted {
  readonly id: string;
  /** Successes of `n` trials. */
  readonly k: number;
  readonly n: number;
}

/** What the groups have in common, and each one's rate drawn towards it. */
export interface ShrunkenRates {
  readonly mean: number;
  /** Correlation of two trials of one group; 0 without overdispersion. */
  readonly rho: number;
  /** The beta that the groups' rates come from; `null` without overdispersion. */
  readonly alpha: number | null;
  readonly beta: number | null;
  /** Posterior mean of each group. */
  readonly rates: readonly { readonly id: string; readonly rate: number }[];
}

/**
 * Rates of several groups (plants, varieties), each drawn towards the mean of all the more the fewer trials it has:
 * empirical Bayes with a beta-binomial. moments: Kleinman 1973 with weights n. likelihood: the maximum of the
 * beta-binomial likelihood. Without more spread than chance makes, every rate is the mean. Throws `groups` when
 * there is no trial, `k` or `n` when they are no counts.
 * @example shrunkenRates([{ id: 'a', k: 9, n: 10 }, { id: 'b', k: 2, n: 10 }], { method: 'moments' }).rates.map(({ rate }) => rate) // [0.900, 0.200]
 */
export function shrunkenRates(
  groups: readonly Counted[],
  { method }: { readonly method: 'moments' | 'likelihood' },
): ShrunkenRates {
  for (const { id, k, n } of groups) {
    if (!Number.isInteger(n) || n < 0)
      throw mustBe('shrunkenRates', 'n', 'a whole number, 0 or more', `${n} for ${id}`);
    if (!Number.isInteger(k) || k < 0 || k > n)
      throw mustBe('shrunkenRates', 'k', `a whole number from 0 to ${n}`, `${k} for ${id}`);
  }
  const tried = groups.filter(({ n }) => n > 0);
  const trials = tried.reduce((sum, { n }) => sum + n, 0);
  if (trials === 0)
    throw new TrowelError('groups', 'There is no trial to take a rate from.', { field: 'groups' });
  const pooled = tried.reduce((sum, { k }) => sum + k, 0) / trials;
  const prior =
    pooled === 0 || pooled === 1
      ? null
      : method === 'moments'
        ? byMoments(tried, pooled, trials)
        : byLikelihood(tried, pooled);
  if (!prior)
    return {
      mean: pooled,
      rho: 0,
      alpha: null,
      beta: null,
      rates: groups.map(({ id }) => ({ id, rate: pooled })),
    };
  const { alpha, beta } = prior;
  return {
    mean: alpha / (alpha + beta),
    rho: 1 / (alpha + beta + 1),
    alpha,
    beta,
    rates: groups.map(({ id, k, n }) => ({ id, rate: (k + alpha) / (n + alpha + beta) })),
  };
}

interface Beta {
  readonly alpha: number;
  readonly beta: number;
}

const MOST_RHO = 0.999;

function byMoments(groups: readonly Counted[], p: number, trials: number): Beta | null {
  const spread = groups.reduce((sum, { k, n }) => sum + n * (k / n - p) ** 2, 0);
  const squares = groups.reduce((sum, { n }) => sum + n * n, 0);
  const free = groups.length - 1;
  const rho = (spread / (p * (1 - p)) - free) / (trials - squares / trials - free);
  if (!(rho > 0)) return null;
  // Few groups that differ much can give more than 1, which no correlation is.
  const size = (1 - Math.min(rho, MOST_RHO)) / Math.min(rho, MOST_RHO);
  return { alpha: p * size, beta: (1 - p) * size };
}

/** Beyond this the beta is as good as a point: no overdispersion. */
const POINT = 1e5;

function logLikelihood(groups: readonly Counted[], alpha: number, beta: number): number {
  // Sums of logs, not differences of log-gammas: for a nearly certain rate those lose every digit.
  let sum = 0;
  for (const { k, n } of groups) {
    for (let i = 0; i < k; i++) sum += Math.log(alpha + i);
    for (let i = 0; i < n - k; i++) sum += Math.log(beta + i);
    for (let i = 0; i < n; i++) sum -= Math.log(alpha + beta + i);
  }
  return sum;
}

/** Nested golden sections: for each size of the beta its best mean, then the best size. */
function byLikelihood(groups: readonly Counted[], pooled: number): Beta | null {
  const bestMean = (size: number) =>
    golden((p) => logLikelihood(groups, p * size, (1 - p) * size), 1e-6, 1 - 1e-6, 1e-11);
  const profile = (logSize: number) => {
    const size = Math.exp(logSize);
    const p = bestMean(size);
    return logLikelihood(groups, p * size, (1 - p) * size);
  };
  // The profile may lie flat far out; the best of a coarse net is refined.
  const least = Math.log(1e-3);
  const most = Math.log(POINT * 10);
  const steps = 60;
  let at = 0;
  let best = -Infinity;
  for (let i = 0; i <= steps; i++) {
    const value = profile(least + ((most - least) * i) / steps);
    if (value > best) {
      best = value;
      at = i;
    }
  }
  const width = (most - least) / steps;
  const logSize = golden(profile, least + (at - 1) * width, least + (at + 1) * width, 1e-9);
  const size = Math.exp(logSize);
  const binomial = groups.reduce(
    (sum, { k, n }) => sum + (k ? k * Math.log(pooled) : 0) + (n - k ? (n - k) * Math.log(1 - pooled) : 0),
    0,
  );
  if (size > POINT || profile(logSize) <= binomial + 1e-9) return null;
  const p = bestMean(size);
  return { alpha: p * size, beta: (1 - p) * size };
}

const GOLD = (Math.sqrt(5) - 1) / 2;

/** Where a function with one peak is highest between `low` and `high`. */
function golden(f: (x: number) => number, low: number, high: number, tolerance: number): number {
  let a = low;
  let b = high;
  let c = b - GOLD * (b - a);
  let d = a + GOLD * (b - a);
  let fc = f(c);
  let fd = f(d);
  while (b - a > tolerance) {
    if (fc >= fd) {
      b = d;
      d = c;
      fd = fc;
      fc = f((c = b - GOLD * (b - a)));
    } else {
      a = c;
      c = d;
      fc = fd;
      fd = f((d = a + GOLD * (b - a)));
    }
  }
  return (a + b) / 2;
}
