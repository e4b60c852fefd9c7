import { GRADES, rangeOf, sharesOf, type Grade, type ProofInput, type Share } from './gradeProof';
import { averaged } from './shares';

/** One fruit of a lot: its evidence, and how much seed it gives (any measure; the same for all). */
export interface LotFruit {
  readonly chain: ProofInput;
  readonly seeds: number;
}

/**
 * The foreign share of seed mixed from several fruits, each by its seed: one that went wrong is one among many.
 * @example lotShare([{ chain: { links: [], way: 'by-hand', pressure: null }, seeds: 100 }]).high // 0
 */
export function lotShare(fruits: readonly LotFruit[]): Share {
  return rangeOf(averaged(fruits.map(({ chain, seeds }) => ({ weight: seeds, shares: sharesOf(chain) }))));
}

/**
 * A lot is as good as the weakest of its fruits; `null` of none.
 * @example weakestGrade(['sound', 'fair', 'good']) // 'fair'
 */
export function weakestGrade(grades: readonly Grade[]): Grade | null {
  return grades.reduce<Grade | null>(
    (worst, grade) => (worst === null || GRADES.indexOf(grade) > GRADES.indexOf(worst) ? grade : worst),
    null,
  );
}
