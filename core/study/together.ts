import { localNumber } from './numbers';
import type { Case } from './cases';

/** What may have changed between two groups besides that by which they were parted. */
export const CIRCUMSTANCES = [
  'date',
  'minutes',
  'maxC',
  'males',
  'load',
  'variety',
  'plant',
  'how',
  'by',
] as const;
export type Circumstance = (typeof CIRCUMSTANCES)[number];

/** Groups this far apart in something, in spreads or as shares, are told to differ in it [M]. */
const FAR_SPREADS = 0.8;
const FAR_SHARE = 0.6;
/** With fewer cases that know of it, nothing is said. */
const LEAST = 5;

/**
 * In what two groups differ besides: a difference in set may be due to any of these. Numbers count where their means lie 0.8 spreads
 * apart (a large difference, Cohen 1988), names where less than 40 % of one side is found on the other. By what they were `parted` they differ of course.
 */
export function changedTogether(
  a: readonly Case[],
  b: readonly Case[],
  parted: readonly Circumstance[] = [],
): Circumstance[] {
  return CIRCUMSTANCES.filter((what) => !parted.includes(what)).filter((what) =>
    what === 'variety' || what === 'plant' || what === 'how' || what === 'by'
      ? namesApart(a, b, what)
      : numbersApart(a, b, what),
  );
}

function numbersApart(a: readonly Case[], b: readonly Case[], what: Circumstance): boolean {
  const [one, two] = [a, b].map((side) => side.flatMap((each) => localNumber(each, what) ?? []));
  if (!one || !two || one.length < LEAST || two.length < LEAST) return false;
  const [first, second] = [moments(one), moments(two)];
  const spread = Math.sqrt((first.variance + second.variance) / 2);
  const apart = Math.abs(first.mean - second.mean);
  return spread > 0 ? apart / spread >= FAR_SPREADS : apart > 0;
}

function moments(values: readonly number[]): { mean: number; variance: number } {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return { mean, variance: values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length };
}

function namesApart(
  a: readonly Case[],
  b: readonly Case[],
  what: 'variety' | 'plant' | 'how' | 'by',
): boolean {
  const [one, two] = [a, b].map((side) => {
    const shares = new Map<string, number>();
    let known = 0;
    for (const { trial } of side) {
      const name = trial[what];
      if (name === null) continue;
      known += trial.worked;
      shares.set(name, (shares.get(name) ?? 0) + trial.worked);
    }
    return { shares, known };
  });
  if (!one || !two || one.known < LEAST || two.known < LEAST) return false;
  let common = 0;
  for (const [name, count] of one.shares)
    common += Math.min(count / one.known, (two.shares.get(name) ?? 0) / two.known);
  return 1 - common >= FAR_SHARE;
}
