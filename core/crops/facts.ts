/**
 * How much a number is worth. P: common practice, no published source. H: handbook or standard, from memory.
 * S: scientific paper, from memory. M: our modelling choice, which the grower's own records should replace.
 */
export type Standing = 'P' | 'H' | 'S' | 'M';

export interface Fact<T> {
  readonly value: T;
  readonly standing: Standing;
  readonly source: string;
}

export type Range = readonly [least: number, most: number];

export const practice = <T>(value: T, note = ''): Fact<T> => ({
  value,
  standing: 'P',
  source: note ? `common practice: ${note}` : 'common practice',
});

export const handbook = <T>(value: T, source: string): Fact<T> => ({
  value,
  standing: 'H',
  source: `${source}, from memory`,
});

export const paper = <T>(value: T, source: string): Fact<T> => ({
  value,
  standing: 'S',
  source: `${source}, from memory`,
});

export const ours = <T>(value: T, why: string): Fact<T> => ({
  value,
  standing: 'M',
  source: `our modelling choice: ${why}`,
});
