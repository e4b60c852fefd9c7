import { mustBe, type TrowelReason } from '../errors';

const sum = (list: readonly number[]) => list.reduce((all, each) => all + each, 0);

/** Throws by field where a count is not a number from 0 up. */
function counts(where: string, field: TrowelReason, list: readonly number[]): void {
  for (const each of list)
    if (!(each >= 0 && Number.isFinite(each))) throw mustBe(where, field, 'a number, 0 or more', each);
}

/**
 * Effective size of so many fathers and so many other plants as mothers: 4 Nm Nf / (Nm + Nf) (Wright 1931). 0 where one is wanting.
 * @example effectiveSizeFromSexes(1, 10) // 3.636
 */
export function effectiveSizeFromSexes(males: number, females: number): number {
  counts('effectiveSizeFromSexes', 'males', [males]);
  counts('effectiveSizeFromSexes', 'females', [females]);
  return males + females === 0 ? 0 : (4 * males * females) / (males + females);
}

/**
 * Effective size from the gametes (seed and pollen together) that each plant gave to the next generation, some of it by selfing:
 * (N k - 1) / (k - 1 + V / k), k their mean and V their variance over the plants (Crow & Kimura 1970). 0 of none.
 * @example effectiveSizeFromContributions([2, 2, 2]) // 5
 */
export function effectiveSizeFromContributions(gametes: readonly number[]): number {
  counts('effectiveSizeFromContributions', 'gametes', gametes);
  const all = sum(gametes);
  if (all === 0) return 0;
  const mean = all / gametes.length;
  const variance = sum(gametes.map((each) => (each - mean) ** 2)) / gametes.length;
  const apart = mean - 1 + variance / mean;
  // One gamete is no plant yet, and one each spreads wider than any number of plants would.
  if (all <= 1) return 1;
  return apart <= 0 ? Infinity : (all - 1) / apart;
}

/**
 * How many plants that gave the same would stand behind as varied a lot: one over the sum of the squared shares. 0 of none.
 * @example effectiveParents([50, 50, 50, 50]) // 4
 */
export function effectiveParents(seedsPerPlant: readonly number[]): number {
  counts('effectiveParents', 'seedsPerPlant', seedsPerPlant);
  const all = sum(seedsPerPlant);
  return all === 0 ? 0 : all ** 2 / sum(seedsPerPlant.map((each) => each ** 2));
}

/**
 * Over generations of these effective sizes: their harmonic mean, and how much of the heterozygosity is left, 1 - 1/(2N) each
 * (Wright 1931). Throws `sizes` where one is not above 0.
 * @example effectiveSizeOverGenerations([6, 6, 6]).heterozygosityRetained // 0.770
 */
export function effectiveSizeOverGenerations(sizes: readonly number[]): {
  readonly harmonicMean: number;
  readonly heterozygosityRetained: number;
} {
  for (const each of sizes)
    if (!(each > 0)) throw mustBe('effectiveSizeOverGenerations', 'sizes', 'numbers above 0', each);
  return {
    harmonicMean: sizes.length === 0 ? 0 : sizes.length / sum(sizes.map((each) => 1 / each)),
    heterozygosityRetained: sizes.reduce((left, each) => left * Math.max(0, 1 - 1 / (2 * each)), 1),
  };
}

/** What so many plants keep of an allele, and how many would be needed. */
export interface AlleleCapture {
  /** That at least one of the plants has it. */
  readonly probability: number;
  /** Plants for 95 and 99 %; `Infinity` where there is no such allele. */
  readonly plantsFor95: number;
  readonly plantsFor99: number;
}

/**
 * The chance that an allele of this frequency is in at least one of so many plants drawn by chance: 1 - q^n, where q, that one plant
 * lacks it, is (1 - p)^2 + F p (1 - p). Throws by field.
 * @example alleleCapture({ alleleFrequency: 0.05, inbreeding: 0, plants: 30 }).plantsFor95 // 30
 */
export function alleleCapture({
  alleleFrequency: p,
  inbreeding,
  plants,
}: {
  readonly alleleFrequency: number;
  readonly inbreeding: number;
  readonly plants: number;
}): AlleleCapture {
  const where = 'alleleCapture';
  if (!(p >= 0 && p <= 1)) throw mustBe(where, 'alleleFrequency', 'from 0 to 1', p);
  if (!(inbreeding >= 0 && inbreeding <= 1)) throw mustBe(where, 'inbreeding', 'from 0 to 1', inbreeding);
  if (!(plants >= 0 && Number.isFinite(plants))) throw mustBe(where, 'plants', '0 or more', plants);
  const lacks = (1 - p) ** 2 + inbreeding * p * (1 - p);
  return {
    probability: plants === 0 ? 0 : 1 - lacks ** plants,
    plantsFor95: plantsFor(lacks, 0.05),
    plantsFor99: plantsFor(lacks, 0.01),
  };
}

/** The least n at which all of n plants lack it with no more than this chance. */
function plantsFor(lacks: number, chance: number): number {
  if (lacks >= 1) return Infinity;
  if (lacks <= chance) return 1;
  const n = Math.ceil(Math.log(chance) / Math.log(lacks));
  // A quotient that is whole but for its last digit may have been rounded the wrong way.
  return n > 1 && lacks ** (n - 1) <= chance ? n - 1 : lacks ** n <= chance ? n : n + 1;
}
