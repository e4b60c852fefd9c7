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

/** How alike flowers of one plant usually are (their correlation), for how many plants that counts beside those seen, and how sure it is as degrees of freedom [M]. */
const USUAL = { rho: 0.1, weight: 4, spare: 12 } as const;

/**
 * Flowers of one plant go together: twenty on one plant say less than twenty on twenty. The variance of the share comes from how the
 * plants differ (ratio estimator; Rao & Scott 1992), pooled with how they usually do, since two or three plants hardly tell; the score
 * interval is taken with as many flowers as that is worth, and with Student's t. Never narrower than if every flower stood for itself;
 * one plant alone gets just that, and it speaks of that plant.
 *
 *   seen = m / (m - 1) * sum((k - share n)^2) / N^2 ;  usual = share (1 - share) / N * (1 + rho (sum(n^2) / N - 1))
 *   v = ((m - 1) seen + w usual) / (m - 1 + w) ;  designEffect = v / (share (1 - share) / N) ;  t of m - 1 + 12
 *
 * Throws by field.
 * @example clusteredShare([{ id: 'a', k: 9, n: 10 }, { id: 'b', k: 1, n: 10 }, { id: 'c', k: 5, n: 10 }], 0.95).designEffect // 3.400
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
  const seen = ((m / (m - 1)) * spread) / judged ** 2;
  const alone = (share * (1 - share)) / judged;
  const size = judgedPlants.reduce((sum, { n }) => sum + n * n, 0) / judged;
  const usual = 1 + USUAL.rho * (size - 1);
  const pooled = m - 1 + USUAL.weight;
  // Plants alike by chance may give less than 1: the bounds below stop at those of single flowers.
  const ratio = ((m - 1) * (alone > 0 ? seen / alone : 1) + USUAL.weight * usual) / pooled;
  const found = scoreInterval(share, judged / ratio, studentReach(confidence, m - 1 + USUAL.spare));
  return {
    ...counts,
    share,
    low: Math.min(plain.low, found.low),
    high: Math.max(plain.high, found.high),
    designEffect: Math.max(1, ratio),
  };
}
