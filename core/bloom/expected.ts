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

export interface DayExpected {
  readonly date: LocalDate;
  readonly mean: number;
  /** 10 % and 90 % quantiles: the smallest count whose cumulative chance reaches them. */
  readonly low80: number;
  readonly high80: number;
}

/** Chances of 0, 1, ... n successes among independent trials with chances of their own (exact, by convolution). */
export function poissonBinomial(chances: readonly number[]): number[] {
  const pmf = [1];
  for (const p of chances) {
    pmf.push(0);
    for (let k = pmf.length - 1; k >= 0; k--)
      pmf[k] = (pmf[k] as number) * (1 - p) + (k > 0 ? (pmf[k - 1] as number) * p : 0);
  }
  return pmf;
}

/** Smallest count at which the cumulative chance reaches `share`. */
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
 */
export function openingsExpected(flowers: readonly ExpectedFlower[]): DayExpected[] {
  const all = flowers.map(scenariosOf);
  const worlds = all.reduce((most, each) => Math.max(most, each.length), 0);
  const byDate = new Map<LocalDate, number[][]>();
  for (const flower of all)
    for (let world = 0; world < worlds; world++)
      for (const { date, probability } of flower[world % flower.length] ?? []) {
        let chances = byDate.get(date);
        if (!chances) byDate.set(date, (chances = Array.from({ length: worlds }, () => [])));
        chances[world]?.push(probability);
      }
  return [...byDate.entries()]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(([date, chances]) => {
      const pmf = new Array<number>(flowers.length + 1).fill(0);
      for (const world of chances)
        for (const [count, chance] of poissonBinomial(world).entries())
          pmf[count] = (pmf[count] as number) + chance / worlds;
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
