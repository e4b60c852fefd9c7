import { mustBe, type TrowelReason } from '../errors';

/** Throws where `value` is not a whole number from `least` up. */
function whole(where: string, field: TrowelReason, value: number, least = 0): void {
  if (!Number.isInteger(value) || value < least)
    throw mustBe(where, field, `a whole number, ${least} or more`, value);
}

/**
 * Of what an F1 is heterozygous for, how much the filial generation Fn still is on average, each selfed: 1/2^(n - 1).
 * @example heterozygosityOf(6) // 0.03125
 */
export function heterozygosityOf(filial: number): number {
  whole('heterozygosityOf', 'filial', filial, 1);
  return 2 ** (1 - filial);
}

/**
 * Share of plants of Fn in which all of so many genes that the parents differed in are fixed: (1 - 1/2^(n - 1))^k, unlinked.
 * @example fixedShare(8, 10) // 0.925
 */
export function fixedShare(filial: number, genes: number): number {
  whole('fixedShare', 'genes', genes);
  return (1 - heterozygosityOf(filial)) ** genes;
}

/**
 * The first filial generation of which at least such a share of plants is fixed in all of so many genes.
 * @example filialUntilTrue(3, 0.9) // 6
 */
export function filialUntilTrue(genes: number, share = 0.9): number {
  if (!(share > 0 && share < 1)) throw mustBe('filialUntilTrue', 'share', 'between 0 and 1', share);
  let filial = 1;
  while (fixedShare(filial, genes) < share) filial++;
  return filial;
}

/**
 * Share of the recurrent parent after so many backcrosses of the F1: 1 - 1/2^(n + 1), on average.
 * @example recurrentShare(2) // 0.875
 */
export function recurrentShare(backcrosses: number): number {
  whole('recurrentShare', 'backcrosses', backcrosses);
  return 1 - 2 ** -(backcrosses + 1);
}

/** What is looked for in an F2: shows only where both copies have it, or where one is enough. */
export type Shows = 'recessive' | 'dominant';

/** Share of the plants of an F2 that show all of so many unlinked genes: a quarter each, or three quarters. */
export function showingShare(genes: number, shows: Shows): number {
  whole('showingShare', 'genes', genes, 1);
  return (shows === 'recessive' ? 0.25 : 0.75) ** genes;
}

/**
 * How many plants of an F2 to grow to have, with this confidence, at least one that shows all of so many genes:
 * ln(1 - confidence) / ln(1 - share), rounded up.
 * @example plantsToFind({ genes: 2, shows: 'recessive' }) // 47
 */
export function plantsToFind({
  genes,
  shows,
  confidence = 0.95,
}: {
  readonly genes: number;
  readonly shows: Shows;
  readonly confidence?: number;
}): number {
  if (!(confidence > 0 && confidence < 1))
    throw mustBe('plantsToFind', 'confidence', 'between 0 and 1', confidence);
  const share = showingShare(genes, shows);
  return Math.ceil(Math.log1p(-confidence) / Math.log1p(-share) - 1e-9);
}
