/** A symmetric matrix as L L', the lower half row by row. `rank` below its width: some columns hang on others. */
export interface Factor {
  readonly width: number;
  readonly lower: Float64Array;
  readonly rank: number;
}

/** What is left of a column, against its length, when it hangs on those before it. */
const NOTHING = 1e-11;

/** Cholesky's decomposition of a symmetric, not negative matrix given by its lower half, row by row. */
export function decompose(matrix: Float64Array, width: number): Factor {
  const lower = new Float64Array(width * width);
  let rank = 0;
  for (let i = 0; i < width; i++) {
    for (let j = 0; j <= i; j++) {
      let rest = matrix[i * width + j] as number;
      for (let k = 0; k < j; k++) rest -= (lower[i * width + k] as number) * (lower[j * width + k] as number);
      if (i !== j) {
        const pivot = lower[j * width + j] as number;
        lower[i * width + j] = pivot > 0 ? rest / pivot : 0;
      } else if (rest > NOTHING * (matrix[i * width + i] as number) && rest > 0) {
        lower[i * width + i] = Math.sqrt(rest);
        rank++;
      }
    }
  }
  return { width, lower, rank };
}

/** The `x` of `matrix x = right`, for a matrix of full rank. */
export function solve({ width, lower }: Factor, right: Float64Array): Float64Array {
  const x = Float64Array.from(right);
  for (let i = 0; i < width; i++) {
    let rest = x[i] as number;
    for (let k = 0; k < i; k++) rest -= (lower[i * width + k] as number) * (x[k] as number);
    x[i] = rest / (lower[i * width + i] as number);
  }
  for (let i = width - 1; i >= 0; i--) {
    let rest = x[i] as number;
    for (let k = i + 1; k < width; k++) rest -= (lower[k * width + i] as number) * (x[k] as number);
    x[i] = rest / (lower[i * width + i] as number);
  }
  return x;
}

/** The product of two square matrices. */
export function product(a: readonly Float64Array[], b: readonly Float64Array[]): Float64Array[] {
  return a.map((row) =>
    Float64Array.from(row, (_, k) =>
      row.reduce((total, value, j) => total + value * (b[j]?.[k] as number), 0),
    ),
  );
}
