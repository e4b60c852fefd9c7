import type { Rate } from '../fruitset';

/** Where a number of the sum comes from. */
export type NumberFrom = 'catalogue' | 'records' | 'bent' | 'goal';

/** A number of the sum and where it comes from: own records, the catalogue, the grower's word. */
export interface SumNumber {
  readonly value: number;
  readonly from: NumberFrom;
}

/**
 * A share of the sum: the grower's own, what the records say, or the usual.
 * @example shareOf(0.5, { mean: 0.7, own: { k: 0, n: 0 }, crop: { k: 0, n: 0 } }) // { value: 0.5, from: 'bent' }
 */
export function shareOf(
  bent: number | undefined,
  { mean, own, crop }: Pick<Rate, 'mean' | 'own' | 'crop'>,
): SumNumber {
  if (bent !== undefined) return { value: bent, from: 'bent' };
  return { value: mean, from: own.n + crop.n > 0 ? 'records' : 'catalogue' };
}
