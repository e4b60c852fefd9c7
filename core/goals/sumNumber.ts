/** Where a number of the sum comes from. */
export type NumberFrom = 'catalogue' | 'records' | 'bent' | 'goal';

/** A number of the sum and where it comes from: own records, the catalogue, the grower's word. */
export interface SumNumber {
  readonly value: number;
  readonly from: NumberFrom;
}
