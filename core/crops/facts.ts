/**
 * How much a number is worth. P: common practice, no published source. H: handbook or standard, from memory.
 * S: scientific paper, from memory. M: our modelling choice, which the grower's own records should replace.
 */
export type Standing = 'P' | 'H' | 'S' | 'M';

/** A fact of the trade with its standing and where it was read. */
export interface Fact<T> {
  readonly value: T;
  readonly standing: Standing;
  readonly source: string;
}

/** The least and the most that is usual; which unit, the field says. */
export type Range = readonly [least: number, most: number];

/** A fact of common practice, without a published source. */
export const practice = <T>(value: T, note = ''): Fact<T> => ({
  value,
  standing: 'P',
  source: note ? `common practice: ${note}` : 'common practice',
});

/** A fact of a handbook or standard, recalled from memory. */
export const handbook = <T>(value: T, source: string): Fact<T> => ({
  value,
  standing: 'H',
  source: `${source}, from memory`,
});

/** A fact of a scientific paper, recalled from memory. */
export const paper = <T>(value: T, source: string): Fact<T> => ({
  value,
  standing: 'S',
  source: `${source}, from memory`,
});

/** A modelling choice of ours, which growers can change and their records replace. */
export const ours = <T>(value: T, why: string): Fact<T> => ({
  value,
  standing: 'M',
  source: `our modelling choice: ${why}`,
});
