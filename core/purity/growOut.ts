import { mustBe } from '../errors';

/**
 * How many plants must be grown, none of them off-type, to be so sure that the true share of off-types is no more than that: the
 * least n with 1 - (1 - confidence)^(1/n) <= maxOffTypeShare, the one-sided exact bound (Clopper and Pearson 1934). Throws by field.
 * @example growOutSize({ maxOffTypeShare: 0.05, confidence: 0.95 }) // 59
 */
export function growOutSize({
  maxOffTypeShare,
  confidence,
}: {
  readonly maxOffTypeShare: number;
  readonly confidence: number;
}): number {
  const given = { maxOffTypeShare, confidence };
  for (const field of ['maxOffTypeShare', 'confidence'] as const)
    if (!(given[field] > 0 && given[field] < 1))
      throw mustBe('growOutSize', field, 'between 0 and 1', given[field]);
  const n = Math.ceil(Math.log1p(-confidence) / Math.log1p(-maxOffTypeShare));
  const enough = (plants: number) => -Math.expm1(Math.log1p(-confidence) / plants) <= maxOffTypeShare;
  // A quotient that is whole but for its last digit may have been rounded the wrong way.
  return n > 1 && enough(n - 1) ? n - 1 : enough(n) ? n : n + 1;
}
