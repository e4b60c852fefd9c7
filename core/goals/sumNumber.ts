/** Where a number of the sum comes from. */
export type NumberFrom = 'catalogue' | 'records' | 'bent' | 'goal';

export interface SumNumber {
  readonly value: number;
  readonly from: NumberFrom;
}
