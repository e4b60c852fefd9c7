import { mustBe, TrowelError } from '../errors';

/** A day's temperatures, the base (C), and how to reckon. */
export interface DegreeDayInput {
  readonly minC: number;
  readonly maxC: number;
  readonly baseC: number;
  /** Horizontal cut-off above. */
  readonly capC?: number | undefined;
  readonly method: 'average' | 'modified' | 'sine';
}

/**
 * Degree-days of one day, in C days, never negative. average: mean of the extremes less the base. modified: both
 * extremes first held between base and cap (the corn rule 86/50 F). sine: mean over one cosine wave of what lies
 * above the base, cut off at the cap (Baskerville & Emin 1969). Throws `maxC` when below `minC`, and by field.
 * @example degreeDays({ minC: 12, maxC: 28, baseC: 10, method: 'average' }) // 10
 */
export function degreeDays({ minC, maxC, baseC, capC, method }: DegreeDayInput): number {
  const given = { minC, maxC, baseC, capC: capC ?? 0 };
  for (const field of ['minC', 'maxC', 'baseC', 'capC'] as const)
    if (!Number.isFinite(given[field])) throw mustBe('degreeDays', field, 'a number', given[field]);
  if (maxC < minC)
    throw new TrowelError('maxC', `The warmest of the day (${maxC}) lies below the coldest (${minC}).`, {
      field: 'maxC',
    });
  if (capC !== undefined && capC <= baseC)
    throw new TrowelError('capC', `The cap (${capC}) must lie above the base (${baseC}).`, { field: 'capC' });
  const hold = (value: number) => Math.max(baseC, Math.min(value, capC ?? Infinity));
  switch (method) {
    case 'average':
      return Math.max(0, Math.min((maxC + minC) / 2, capC ?? Infinity) - baseC);
    case 'modified':
      return (hold(maxC) + hold(minC)) / 2 - baseC;
    case 'sine':
      return aboveOnWave(minC, maxC, baseC) - (capC === undefined ? 0 : aboveOnWave(minC, maxC, capC));
  }
}

/** Mean over a whole cosine wave from `minC` to `maxC` of what exceeds `threshold`. */
function aboveOnWave(minC: number, maxC: number, threshold: number): number {
  const mean = (maxC + minC) / 2;
  if (threshold >= maxC) return 0;
  if (threshold <= minC) return mean - threshold;
  const half = (maxC - minC) / 2;
  const angle = Math.acos((threshold - mean) / half);
  return ((mean - threshold) * angle + half * Math.sin(angle)) / Math.PI;
}
