import { seededRandom, type Random } from '../random';
import type { LocalDate } from '../time';
import {
  calendarFrom,
  forecastOpening,
  onCalendar,
  openingAlpha,
  type BudSeen,
  type Forecast,
} from './forecast';

/**
 * A flower to count: its forecast, a bud to forecast, or several forecasts, one for each way the season may be (every
 * flower then has as many, and the first of each belong together).
 */
export type ExpectedFlower =
  Forecast | BudSeen | { readonly forecast: Forecast } | { readonly scenarios: readonly Forecast[] };

/** How many flowers open on a day: the mean, and the range that holds it four times of five. */
export interface DayExpected {
  readonly date: LocalDate;
  readonly mean: number;
  /** 10 % and 90 % quantiles: the smallest count whose cumulative chance reaches them. */
  readonly low80: number;
  readonly high80: number;
}

/**
 * Chances of 0, 1, ... n successes among independent trials with chances of their own (exact, by convolution).
 * @example poissonBinomial([0.5, 0.5]) // [0.25, 0.5, 0.25]
 */
export function poissonBinomial(chances: readonly number[]): number[] {
  const pmf = [1];
  for (const p of chances) {
    pmf.push(0);
    for (let k = pmf.length - 1; k >= 0; k--)
      pmf[k] = (pmf[k] as number) * (1 - p) + (k > 0 ? (pmf[k - 1] as number) * p : 0);
  }
  return pmf;
}

/** Chances of the counts from `from` on; what lies outside is too unlikely to matter. */
interface Span {
  readonly from: number;
  readonly chances: readonly number[];
}

/** Chances under this are left out at the ends: far below what a quantile or a mean could show. */
const NEGLIGIBLE = 1e-15;

function trimmed(from: number, chances: readonly number[]): Span {
  let first = 0;
  let end = chances.length;
  while (first < end - 1 && (chances[first] as number) < NEGLIGIBLE) first++;
  while (end > first + 1 && (chances[end - 1] as number) < NEGLIGIBLE) end--;
  return { from: from + first, chances: chances.slice(first, end) };
}

/** The binomial distribution, each chance from its neighbour's, outwards from the likeliest count: no power underflows. */
function binomial(trials: number, p: number): Span {
  if (p <= 0 || p >= 1) return { from: p <= 0 ? 0 : trials, chances: [1] };
  const mode = Math.min(trials, Math.floor((trials + 1) * p));
  const odds = p / (1 - p);
  const chances = new Array<number>(trials + 1).fill(0);
  chances[mode] = 1;
  let sum = 1;
  for (let k = mode; k < trials && (chances[k] as number) > NEGLIGIBLE; k++)
    sum += chances[k + 1] = ((chances[k] as number) * odds * (trials - k)) / (k + 1);
  for (let k = mode; k > 0 && (chances[k] as number) > NEGLIGIBLE; k--)
    sum += chances[k - 1] = ((chances[k] as number) * k) / (odds * (trials - k + 1));
  return trimmed(
    0,
    chances.map((chance) => chance / sum),
  );
}

function together(a: Span, b: Span): Span {
  const chances = new Array<number>(a.chances.length + b.chances.length - 1).fill(0);
  for (const [i, x] of a.chances.entries())
    for (let j = 0; j < b.chances.length; j++)
      chances[i + j] = (chances[i + j] as number) + x * (b.chances[j] as number);
  return trimmed(a.from + b.from, chances);
}

/**
 * Smallest count at which the cumulative chance reaches `share`.
 * @example quantileOf([0.25, 0.5, 0.25], 0.9) // 2
 */
export function quantileOf(pmf: readonly number[], share: number): number {
  let sum = 0;
  for (const [count, chance] of pmf.entries()) {
    sum += chance;
    // Rounding must not push a share that is met exactly on to the next count.
    if (sum >= share - 1e-12) return count;
  }
  return pmf.length - 1;
}

function scenariosOf(flower: ExpectedFlower): readonly Forecast[] {
  if ('scenarios' in flower) return flower.scenarios;
  if ('forecast' in flower) return [flower.forecast];
  return ['stage' in flower ? forecastOpening(flower) : flower];
}

/**
 * How many of the flowers open on each date: exact Poisson-binomial of independent flowers; with scenarios, the
 * even mixture of the exact distributions of each, which keeps flowers of one season together.
 * @example openingsExpected([]) // []
 */
export function openingsExpected(flowers: readonly ExpectedFlower[]): DayExpected[] {
  // Buds counted together are one and the same: thirty males are a binomial of thirty, not thirty flowers.
  const same = new Map<ExpectedFlower, number>();
  for (const flower of flowers) same.set(flower, (same.get(flower) ?? 0) + 1);
  const all = [...same].map(([flower, count]) => ({ scenarios: scenariosOf(flower), count }));
  const worlds = all.reduce((most, { scenarios }) => Math.max(most, scenarios.length), 0);
  const byDate = new Map<LocalDate, Span[]>();
  for (const { scenarios, count } of all)
    for (let world = 0; world < worlds; world++)
      for (const { date, probability } of scenarios[world % scenarios.length] ?? []) {
        let spans = byDate.get(date);
        if (!spans)
          byDate.set(date, (spans = Array.from({ length: worlds }, () => ({ from: 0, chances: [1] }))));
        spans[world] = together(spans[world] as Span, binomial(count, probability));
      }
  return [...byDate.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([date, spans]) => {
      const pmf = new Array<number>(flowers.length + 1).fill(0);
      for (const { from, chances } of spans)
        for (const [i, chance] of chances.entries())
          pmf[from + i] = (pmf[from + i] as number) + chance / worlds;
      return {
        date,
        mean: pmf.reduce((sum, chance, count) => sum + chance * count, 0),
        low80: quantileOf(pmf, 0.1),
        high80: quantileOf(pmf, 0.9),
      };
    });
}

/** A draw from a gamma distribution with scale 1 (Marsaglia and Tsang 2000; below shape 1 by their boost). */
export function gammaDraw(random: Random, shape: number): number {
  if (shape < 1) return gammaDraw(random, shape + 1) * Math.pow(1 - random(), 1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / Math.sqrt(9 * d);
  for (;;) {
    const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const v = (1 + c * normal) ** 3;
    if (v > 0 && Math.log(1 - random()) < 0.5 * normal * normal + d - d * v + d * Math.log(v)) return d * v;
  }
}

/** Ways the season may be: enough that a range hardly moves from run to run. */
export const WORLDS = 80;

/**
 * Forecasts of one bud in each of `WORLDS` draws of what is not yet known about its kind. Buds of one kind (same crop,
 * variety, sex and stage, same records) share the draws, so counts of them range as widely as they should.
 */
export function openingScenarios(bud: BudSeen, seed = 1, worlds = WORLDS): Forecast[] {
  if (bud.stage === 'open' || bud.stage === 'spent')
    return Array.from({ length: worlds }, () => forecastOpening(bud));
  const calendar = calendarFrom(bud.seenOn, bud.temperatures);
  return alphaDraws(openingAlpha(bud), seed, worlds).map((chances) => onCalendar(chances, calendar));
}

/** Draws from a Dirichlet distribution, the same for the same seed. */
export function alphaDraws(alpha: readonly number[], seed: number, worlds = WORLDS): number[][] {
  const random = seededRandom(seed);
  return Array.from({ length: worlds }, () => {
    const draws = alpha.map((value) => (value > 0 ? gammaDraw(random, value) : 0));
    const sum = draws.reduce((a, b) => a + b, 0);
    return draws.map((draw) => draw / sum);
  });
}
