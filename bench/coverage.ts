import {
  clusteredShare,
  compareShares,
  dropCurve,
  logisticRegression,
  proportionInterval,
  type FollowedFruit,
  type Trial,
} from '../core/fruitset';
import { seededRandom, type Random } from '../core/random';
import { studentReach } from '../core/distributions';

const percent = (share: number) => `${(share * 100).toFixed(1)} %`;

/** A plant's own rate about a mean: normal on the log-odds scale. */
function plantRate(random: Random, mean: number, spread: number): number {
  const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return 1 / (1 + Math.exp(-(mean + spread * normal)));
}

const binomial = (random: Random, n: number, p: number) => {
  let k = 0;
  for (let i = 0; i < n; i++) if (random() < p) k++;
  return k;
};

/** Plants of one side, with the flowers worked on each and those that set. */
function side(random: Random, plants: number, mean: number, spread: number) {
  return Array.from({ length: plants }, (_, i) => {
    const n = 4 + Math.floor(random() * 12);
    return { id: String(i), n, k: binomial(random, n, plantRate(random, mean, spread)) };
  });
}

/** The mean share over plants, by so many of them. */
function trueShare(mean: number, spread: number): number {
  const random = seededRandom(99);
  let total = 0;
  for (let i = 0; i < 200_000; i++) total += plantRate(random, mean, spread);
  return total / 200_000;
}

/** How often 95 % intervals hold the truth where flowers of one plant go together: ours, and those that take every flower as independent. */
export function coverage(runs: number, plants: number, mean: number, spread: number, seed = 1) {
  const random = seededRandom(seed);
  const truth = trueShare(mean, spread);
  const hits = { ours: 0, naive: 0, difference: 0, naiveDifference: 0 };
  for (let run = 0; run < runs; run++) {
    const [one, two] = [side(random, plants, mean, spread), side(random, plants, mean, spread)];
    const [a, b] = [clusteredShare(one, 0.95), clusteredShare(two, 0.95)];
    const naive = proportionInterval(a.set, a.judged, { method: 'wilson', confidence: 0.95 });
    const other = proportionInterval(b.set, b.judged, { method: 'wilson', confidence: 0.95 });
    if (a.low <= truth && truth <= a.high) hits.ours++;
    if (naive.low <= truth && truth <= naive.high) hits.naive++;
    const found = compareShares(a, b);
    const plain = compareShares({ ...a, ...naive }, { ...b, ...other });
    if (found.low <= 0 && found.high >= 0) hits.difference++;
    if (plain.low <= 0 && plain.high >= 0) hits.naiveDifference++;
  }
  const share = (n: number) => n / runs;
  return {
    ours: share(hits.ours),
    naive: share(hits.naive),
    difference: share(hits.difference),
    naiveDifference: share(hits.naiveDifference),
  };
}

/** How often the robust and the plain 95 % bounds of a slope hold it, where plants differ. The slope is of the plant (a tool for each). */
export function slopeCoverage(runs: number, plants: number, spread: number, seed = 2) {
  const random = seededRandom(seed);
  let [robust, naive, fits] = [0, 0, 0];
  for (let run = 0; run < runs; run++) {
    const rows = Array.from({ length: plants }, (_, i) => {
      const n = 4 + Math.floor(random() * 12);
      return {
        successes: binomial(random, n, plantRate(random, 0.8, spread)),
        trials: n,
        covariates: [i % 2],
      };
    });
    const fit = logisticRegression(rows, { cluster: rows.map((_, i) => String(i)) });
    if (fit.separation !== 'none') continue;
    fits++;
    const slope = Math.abs(fit.coefficients[1] ?? 0);
    if (slope <= studentReach(0.95, plants - 2) * (fit.robustErrors?.[1] ?? 0)) robust++;
    if (slope <= 1.96 * (fit.standardErrors[1] ?? 0)) naive++;
  }
  return { robust: robust / fits, naive: naive / fits };
}

/** Drops at known moments, seen at looks every few days: what the two curves say of day 7 against the truth. */
export function lookBias(runs: number, everyDays: number, seed = 3) {
  const random = seededRandom(seed);
  let [early, late, truth, inside] = [0, 0, 0, 0];
  for (let run = 0; run < runs; run++) {
    let left = 0;
    const fruits = Array.from({ length: 60 }, (): FollowedFruit => {
      const drops = random() < 0.4 ? 1 + random() * 9 : Infinity;
      if (drops > 7) left++;
      let [after, by, end] = [0, 0, null as 'pollen' | null];
      for (let day = 1 + Math.floor(random() * everyDays); day < 16 && end === null; day += everyDays) {
        by = day;
        if (drops <= day) end = 'pollen';
        else after = day;
      }
      return { trial: {} as Trial, after, by, end };
    });
    const curve = dropCurve(fruits);
    const at = (steps: typeof curve.latest) => steps.filter(({ time }) => time <= 7).at(-1)?.survival ?? 1;
    const [low, high] = [at(curve.earliest), at(curve.latest)];
    early += low;
    late += high;
    truth += left / 60;
    if (low <= left / 60 + 1e-9 && left / 60 <= high + 1e-9) inside++;
  }
  return { earliest: (early - truth) / runs, latest: (late - truth) / runs, inside: inside / runs };
}

/** Prints how well the intervals hold, ours beside those that take every flower as independent. */
export function benchCoverage(runs: number): void {
  console.log(
    'coverage of 95 % intervals, flowers of a plant going together (ours | every flower for itself)',
  );
  for (const [plants, mean, spread] of [
    [2, 0.8, 0.6],
    [3, 0.8, 0.6],
    [3, 0.8, 1],
    [6, 0.8, 0.6],
    [12, 0.8, 0.6],
    [12, 0.8, 1],
    [25, 1.4, 0.8],
    [12, 0.8, 0],
  ] as const) {
    const { ours, naive, difference, naiveDifference } = coverage(runs, plants, mean, spread);
    const slope = slopeCoverage(runs, plants * 2, spread);
    console.log(
      `  ${plants} plants, spread ${spread}: share ${percent(ours)} | ${percent(naive)}; difference ${percent(difference)} | ${percent(naiveDifference)}; slope ${percent(slope.robust)} | ${percent(slope.naive)}`,
    );
  }
  console.log(
    'still hanging on day 7, against the truth: drop taken at the last look before | at the look that found it',
  );
  for (const every of [1, 2, 3, 5]) {
    const { earliest, latest, inside } = lookBias(runs, every);
    console.log(
      `  a look every ${every} days: ${percent(earliest)} | ${percent(latest)}; the truth lies between them in ${percent(inside)}`,
    );
  }
}
