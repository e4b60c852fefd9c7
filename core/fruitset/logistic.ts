import { mustBe } from '../errors';
import { checkRows, designOf, unscaled, unscaledCoefficients, type Design, type LogisticRow } from './design';
import { decompose, product, solve, type Factor } from './linear';

/**
 * Whether a maximum exists (Albert & Anderson 1984). complete: some sum of covariates parts all successes from all failures. quasi: it
 * parts them but for some that lie on the border. In both cases coefficients run off to infinity, and none is to be believed.
 */
export type Separation = 'none' | 'quasi' | 'complete';

/** A fitted model, on the scale of log odds; intercept first. */
export interface LogisticFit {
  readonly coefficients: readonly number[];
  /** From the model, flowers independent of each other. Infinity where there is separation. */
  readonly standardErrors: readonly number[];
  readonly covariance: readonly (readonly number[])[];
  /** With flowers of one cluster going together; only where clusters were given. */
  readonly robustErrors?: readonly number[];
  readonly robustCovariance?: readonly (readonly number[])[];
  readonly deviance: number;
  readonly nullDeviance: number;
  readonly separation: Separation;
}

const MOST_STEPS = 60;
/** Log odds past which a flower's chance is certain to five digits: only separation drives all of them there. */
const FAR = 12;

/**
 * Logistic regression by maximum likelihood (R: `glm(family = binomial)`; iteratively reweighted least squares, McCullagh & Nelder 1989).
 *
 *   ln(p / (1 - p)) = b0 + b1 x1 + ... ;  deviance = 2 sum(y ln(y/mu) + (n-y) ln((n-y)/(n-mu)))
 *
 * `cluster` names each row's plant: errors are then robust to flowers of one plant going together (the sandwich, with G / (G - 1) for
 * G clusters; R: `sandwich::vcovCL(type = "HC0")`). Throws `rows` without a trial, `successes`, `trials` and `covariates` that are no
 * numbers or hang on each other, `cluster` of another length.
 * @example logisticRegression([{ successes: 8, trials: 10, covariates: [0] }, { successes: 3, trials: 10, covariates: [1] }]).coefficients // [1.386, -2.234]
 */
export function logisticRegression(
  rows: readonly LogisticRow[],
  { cluster }: { readonly cluster?: readonly string[] } = {},
): LogisticFit {
  checkRows(rows, cluster);
  const design = designOf(rows);
  const { coefficients, factor, separation } = climb(design);
  const mu = fitted(design, coefficients);
  const bread = inverse(factor, design.width);
  const robust = cluster && separation === 'none' ? sandwich(design, mu, bread, cluster) : undefined;
  const total = sum(design.successes) / sum(design.trials);
  const covariance = unscaled(bread, design);
  const robustCovariance = robust && unscaled(robust, design);
  const errors = (of: readonly (readonly number[])[]) =>
    of.map((row, i) => (separation === 'none' ? Math.sqrt(Math.max(0, row[i] as number)) : Infinity));
  return {
    coefficients: unscaledCoefficients(coefficients, design),
    standardErrors: errors(covariance),
    covariance,
    ...(robustCovariance && { robustErrors: errors(robustCovariance), robustCovariance }),
    deviance: devianceOf(design, (i) => mu[i] as number),
    nullDeviance: devianceOf(design, (i) => (design.trials[i] as number) * total),
    separation,
  };
}

/** What a fit says of one more flower: its chance of setting, with bounds. */
export interface Predicted {
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/**
 * The chance of setting at given covariates, bounded on the scale of log odds (Wald) by the robust errors where there are any.
 * `reach` is the number of standard errors to either side: 1.96 for 95 %, more where there are few clusters (`studentReach`).
 * @example predictedShare({ coefficients: [0, 1], covariance: [[0.04, 0], [0, 0]] }, [1], 1.96).share // 0.731
 */
export function predictedShare(
  fit: Pick<LogisticFit, 'coefficients' | 'covariance'> & Partial<Pick<LogisticFit, 'robustCovariance'>>,
  covariates: readonly number[],
  reach: number,
): Predicted {
  const x = [1, ...covariates];
  const along = x.reduce((total, value, i) => total + value * (fit.coefficients[i] as number), 0);
  const covariance = fit.robustCovariance ?? fit.covariance;
  let variance = 0;
  for (const [i, a] of x.entries())
    for (const [j, b] of x.entries()) variance += a * b * (covariance[i]?.[j] as number);
  const off = reach * Math.sqrt(Math.max(0, variance));
  return { share: expit(along), low: expit(along - off), high: expit(along + off) };
}

interface Climbed {
  readonly coefficients: Float64Array;
  readonly factor: Factor;
  readonly separation: Separation;
}

/** Newton's steps, halved where one would go downhill, until the likelihood stands still; or until it is plain that it never will. */
function climb(design: Design): Climbed {
  const { width } = design;
  let here = lookAt(design, new Float64Array(width));
  let last: Float64Array = new Float64Array(width);
  let { factor } = here;
  if (factor.rank < width)
    throw mustBe('logisticRegression', 'covariates', 'independent of each other', 'some that are not');
  for (let step = 0; step < MOST_STEPS; step++) {
    // Certain of everything: nothing is left to climb by.
    if (here.factor.rank < width) break;
    factor = here.factor;
    last = solve(factor, here.score);
    const from = here;
    const go = (share: number) =>
      lookAt(
        design,
        from.coefficients.map((b, j) => b + share * (last[j] as number)),
      );
    let share = 1;
    let next = go(share);
    while (next.missing > from.missing + 1e-9 * (from.missing + 0.1) && share > 1e-6) next = go((share /= 2));
    here = next;
    if (Math.abs(from.missing - next.missing) <= 1e-15 * (next.missing + 0.1)) break;
  }
  return {
    coefficients: here.coefficients,
    factor: here.factor.rank < width ? factor : here.factor,
    separation: separationOf(design, here.coefficients, last),
  };
}

/** The likelihood at some coefficients (as -2 ln, so less is better), its slope, and its curve decomposed: one pass over the rows. */
function lookAt({ n, width, x, successes, trials }: Design, coefficients: Float64Array) {
  const information = new Float64Array(width * width);
  const score = new Float64Array(width);
  let missing = 0;
  for (let i = 0; i < n; i++) {
    const start = i * width;
    let along = 0;
    for (let j = 0; j < width; j++) along += (x[start + j] as number) * (coefficients[j] as number);
    const small = Math.exp(-Math.abs(along));
    const p = along >= 0 ? 1 / (1 + small) : small / (1 + small);
    const times = trials[i] as number;
    const won = successes[i] as number;
    missing += 2 * (times * (Math.max(0, along) + Math.log1p(small)) - won * along);
    const weight = times * p * (1 - p);
    const off = won - times * p;
    for (let j = 0; j < width; j++) {
      const xj = x[start + j] as number;
      score[j] = (score[j] as number) + off * xj;
      const wx = weight * xj;
      for (let k = 0; k <= j; k++)
        information[j * width + k] = (information[j * width + k] as number) + wx * (x[start + k] as number);
    }
  }
  return { coefficients, factor: decompose(information, width), score, missing };
}

/**
 * A vector that leaves every success on one side and every failure on the other is itself the proof of separation. Where all are far
 * out, the coefficients are that vector; where some stay on the border, the direction of the last step is.
 */
function separationOf(design: Design, coefficients: Float64Array, last: Float64Array): Separation {
  const { n, width, x, successes, trials } = design;
  const dot = (i: number, b: Float64Array) => {
    let along = 0;
    for (let j = 0; j < width; j++) along += (x[i * width + j] as number) * (b[j] as number);
    return along;
  };
  let [far, complete, quasi] = [false, true, true];
  let most = 0;
  for (let i = 0; i < n; i++) most = Math.max(most, Math.abs(dot(i, last)));
  for (let i = 0; i < n; i++) {
    const [won, lost] = [successes[i] as number, (trials[i] as number) - (successes[i] as number)];
    if (won + lost === 0) continue;
    const along = dot(i, coefficients);
    const moved = dot(i, last) / (most || 1);
    far ||= Math.abs(along) > FAR;
    if ((won > 0 && along <= 0) || (lost > 0 && along >= 0)) complete = false;
    if ((won > 0 && moved < -1e-4) || (lost > 0 && moved > 1e-4)) quasi = false;
  }
  // At a maximum the last step is rounding; where there is none, each goes on by about one.
  if (!far || most < 0.1) return 'none';
  return complete ? 'complete' : quasi ? 'quasi' : 'none';
}

function fitted({ n, width, x, trials }: Design, coefficients: Float64Array): Float64Array {
  const mu = new Float64Array(n);
  for (let i = 0; i < n; i++) {
    let along = 0;
    for (let j = 0; j < width; j++) along += (x[i * width + j] as number) * (coefficients[j] as number);
    mu[i] = (trials[i] as number) * expit(along);
  }
  return mu;
}

function devianceOf({ n, successes, trials }: Design, muOf: (row: number) => number): number {
  const part = (seen: number, expected: number) => (seen === 0 ? 0 : seen * Math.log(seen / expected));
  let total = 0;
  for (let i = 0; i < n; i++) {
    const [won, times, mu] = [successes[i] as number, trials[i] as number, muOf(i)];
    total += part(won, mu) + part(times - won, times - mu);
  }
  return 2 * total;
}

/** The spread of the clusters' slopes between two slices of the model's own covariance (Liang & Zeger 1986). */
function sandwich(
  { n, width, x, successes }: Design,
  mu: Float64Array,
  bread: readonly Float64Array[],
  cluster: readonly string[],
): Float64Array[] {
  const scores = new Map<string, Float64Array>();
  for (let i = 0; i < n; i++) {
    const name = cluster[i] as string;
    let score = scores.get(name);
    if (!score) scores.set(name, (score = new Float64Array(width)));
    const off = (successes[i] as number) - (mu[i] as number);
    for (let j = 0; j < width; j++) score[j] = (score[j] as number) + off * (x[i * width + j] as number);
  }
  const groups = scores.size;
  const few = groups > 1 ? groups / (groups - 1) : 1;
  const meat = Array.from({ length: width }, () => new Float64Array(width));
  for (const score of scores.values())
    for (let j = 0; j < width; j++)
      for (let k = 0; k < width; k++)
        (meat[j] as Float64Array)[k] =
          ((meat[j] as Float64Array)[k] as number) + few * (score[j] as number) * (score[k] as number);
  return product(product(bread, meat), bread);
}

function inverse(factor: Factor, width: number): Float64Array[] {
  return Array.from({ length: width }, (_, j) =>
    solve(
      factor,
      Float64Array.from({ length: width }, (_each, k) => (j === k ? 1 : 0)),
    ),
  );
}

const expit = (logOdds: number) => 1 / (1 + Math.exp(-logOdds));
const sum = (values: Float64Array) => values.reduce((total, value) => total + value, 0);
