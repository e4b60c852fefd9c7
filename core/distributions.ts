import gammaShare from '@stdlib/math-base-special-gammainc';
import quantileOfBeta from '@stdlib/stats-base-dists-beta-quantile';
import quantileOfNormal from '@stdlib/stats-base-dists-normal-quantile';
import densityOfT from '@stdlib/stats-base-dists-t-pdf';

/**
 * The value that a beta(`alpha`, `beta`) stays below with the given chance.
 * @example betaQuantile(0.95, 1, 60) // 0.04870
 */
export function betaQuantile(chance: number, alpha: number, beta: number): number {
  return quantileOfBeta(chance, alpha, beta);
}

/**
 * The value that a standard normal stays below with the given chance.
 * @example normalQuantile(0.975) // 1.95996
 */
export function normalQuantile(chance: number): number {
  return quantileOfNormal(chance, 0, 1);
}

/**
 * The chance that a chi-square of so many degrees of freedom is at least `value`.
 * @example chiSquareTail(3.8415, 1) // 0.0500
 */
export function chiSquareTail(value: number, degreesOfFreedom: number): number {
  return value <= 0 ? 1 : gammaShare(value / 2, degreesOfFreedom / 2, true, true);
}

/**
 * Student's t that lies at least this far from 0 with the chance 1 - `confidence` (two-sided), by the beta.
 * @example studentReach(0.95, 4) // 2.7764
 */
export function studentReach(confidence: number, degreesOfFreedom: number): number {
  const share = quantileOfBeta(1 - confidence, degreesOfFreedom / 2, 0.5);
  return Math.sqrt((degreesOfFreedom * (1 - share)) / share);
}

/**
 * Density of Student's t.
 * @example studentDensity(0, 4) // 0.375
 */
export function studentDensity(value: number, degreesOfFreedom: number): number {
  return densityOfT(value, degreesOfFreedom);
}
