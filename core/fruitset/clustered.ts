import { studentReach } from '../distributions';
import { mustBe } from '../errors';
import { proportionInterval, scoreInterval } from './interval';
import type { Counted } from './shrinkage';

/** A share of flowers that stand on several plants, bounded with the plant as the unit. */
export interface ClusteredShare {
  readonly set: number;
  readonly judged: number;
  readonly plants: number;
  /** `null` without any verdict, as are the bounds. */
  readonly share: number | null;
  readonly low: number;
  readonly high: number;
  /** How many times the variance is that of as many flowers each on a plant of its own; 1 where that can't be told (one plant). */
  readonly designEffect: number;
}

/**
 * Flowers of one plant go together: twenty on one plant say less than twenty on twenty. The variance of the share comes from how the
 * plants differ (ratio estimator; Rao & Scott 1992); the score interval is taken with as many flowers as that is worth, and with
 * Student's t of plants - 1. Never narrower than if every flower stood for itself; one plant alone gets just that.
 *
 *   v = m / (m - 1) * sum((k - share n)^2) / N^2 ;  designEffect = v / (share (1 - share) / N)
 *
 * Throws by field.
 * @example clusteredShare([{ id: 'a', k: 9, n: 10 }, { id: 'b', k: 1, n: 10 }, { id: 'c', k: 5, n: 10 }], 0.95).designEffect // 6.4
 */
export function clusteredShare(plants: readonly Counted[], confidence: number): ClusteredShare {
  if (!(confidence > 0 && confidence < 1))
    throw mustBe('clusteredShare', 'confidence', 'between 0 and 1', confidence);
  for (const { id, k, n } of plants)
    if (!Number.isInteger(n) || n < 0 || !Number.isInteger(k) || k < 0 || k > n)
      throw mustBe('clusteredShare', 'k', 'whole numbers, k of n', `${k} of ${n} for ${id}`);
  const judgedPlants = plants.filter(({ n }) => n > 0);
  const m = judgedPlants.length;
  const set = judgedPlants.reduce((sum, { k }) => sum + k, 0);
  const judged = judgedPlants.reduce((sum, { n }) => sum + n, 0);
  const counts = { set, judged, plants: m };
  if (judged === 0) return { ...counts, share: null, low: 0, high: 1, designEffect: 1 };
  const share = set / judged;
  const plain = proportionInterval(set, judged, { method: 'wilson', confidence });
  if (m < 2) return { ...counts, share, ...plain, designEffect: 1 };
  const spread = judgedPlants.reduce((sum, { k, n }) => sum + (k - share * n) ** 2, 0);
  const variance = ((m / (m - 1)) * spread) / judged ** 2;
  const alone = (share * (1 - share)) / judged;
  // Plants alike by chance may give less than 1: the bounds below stop at those of single flowers.
  const ratio = alone > 0 && variance > 0 ? variance / alone : 1;
  const found = scoreInterval(share, judged / ratio, studentReach(confidence, m - 1));
  return {
    ...counts,
    share,
    low: Math.min(plain.low, found.low),
    high: Math.max(plain.high, found.high),
    designEffect: Math.max(1, ratio),
  };
}
