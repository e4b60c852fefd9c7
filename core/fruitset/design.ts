import { mustBe, type TrowelReason } from '../errors';
import { product } from './linear';

/** One flower, or several that are alike in all that the model looks at. */
export interface LogisticRow {
  readonly successes: number;
  readonly trials: number;
  /** Without the intercept, which is added; the same order in every row. */
  readonly covariates: readonly number[];
}

/** Rows as columns, centred and scaled so that a temperature weighs as much as a share: what the steps work on. */
export interface Design {
  readonly n: number;
  readonly width: number;
  readonly x: Float64Array;
  readonly successes: Float64Array;
  readonly trials: Float64Array;
  readonly centre: Float64Array;
  readonly scale: Float64Array;
}

/** Throws by field, as `logisticRegression` says. */
export function checkRows(rows: readonly LogisticRow[], cluster: readonly string[] | undefined): void {
  const wrong = (field: TrowelReason, rule: string, got: unknown) =>
    mustBe('logisticRegression', field, rule, got);
  const width = rows[0]?.covariates.length ?? 0;
  let trials = 0;
  for (const row of rows) {
    if (!Number.isInteger(row.trials) || row.trials < 0)
      throw wrong('trials', 'a whole number, 0 or more', row.trials);
    if (!Number.isInteger(row.successes) || row.successes < 0 || row.successes > row.trials)
      throw wrong('successes', `a whole number from 0 to ${row.trials}`, row.successes);
    if (row.covariates.length !== width)
      throw wrong('covariates', `${width} in every row`, row.covariates.length);
    for (const value of row.covariates)
      if (!Number.isFinite(value)) throw wrong('covariates', 'numbers', value);
    trials += row.trials;
  }
  if (trials === 0) throw wrong('rows', 'at least one trial', 0);
  if (cluster && cluster.length !== rows.length) throw wrong('cluster', 'one for each row', cluster.length);
}

/** Throws `covariates` for a column that says the same of every row. */
export function designOf(rows: readonly LogisticRow[]): Design {
  const used = rows.length;
  const width = (rows[0]?.covariates.length ?? 0) + 1;
  const x = new Float64Array(used * width);
  const successes = new Float64Array(used);
  const trials = new Float64Array(used);
  const centre = new Float64Array(width);
  const scale = new Float64Array(width).fill(1);
  rows.forEach((row, i) => {
    successes[i] = row.successes;
    trials[i] = row.trials;
    x[i * width] = 1;
    for (let j = 1; j < width; j++) x[i * width + j] = row.covariates[j - 1] as number;
  });
  for (let j = 1; j < width; j++) {
    let [total, squares] = [0, 0];
    for (let i = 0; i < used; i++) total += x[i * width + j] as number;
    const mean = total / used;
    for (let i = 0; i < used; i++) squares += ((x[i * width + j] as number) - mean) ** 2;
    const spread = Math.sqrt(squares / used);
    if (!(spread > 1e-12 * Math.max(1, Math.abs(mean))))
      throw mustBe('logisticRegression', 'covariates', `not all the same (the one at ${j - 1})`, mean);
    centre[j] = mean;
    scale[j] = spread;
    for (let i = 0; i < used; i++) x[i * width + j] = ((x[i * width + j] as number) - mean) / spread;
  }
  return { n: used, width, x, successes, trials, centre, scale };
}

/** Back from centred and scaled columns: intercept and slopes are sums of the scaled ones. */
function backing({ width, centre, scale }: Design): Float64Array[] {
  return Array.from({ length: width }, (_, i) =>
    Float64Array.from({ length: width }, (_each, j) =>
      i === 0
        ? j === 0
          ? 1
          : -(centre[j] as number) / (scale[j] as number)
        : i === j
          ? 1 / (scale[j] as number)
          : 0,
    ),
  );
}

/** Coefficients as the columns came. */
export function unscaledCoefficients(coefficients: Float64Array, design: Design): number[] {
  return backing(design).map((row) =>
    row.reduce((total, value, j) => total + value * (coefficients[j] as number), 0),
  );
}

/** A covariance as the columns came. */
export function unscaled(covariance: readonly Float64Array[], design: Design): number[][] {
  const back = backing(design);
  const transposed = back.map((row, i) => Float64Array.from(row, (_, j) => back[j]?.[i] as number));
  return product(product(back, covariance), transposed).map((row) => [...row]);
}
