import type { SurvivalStep } from '@core/fruitset';

/** A share that holds from a day on. */
export interface Level {
  readonly day: number;
  readonly share: number;
}

/** The curve as levels from day 0 to the last day: each holds until the next. */
export function levels(steps: readonly SurvivalStep[], lastDay: number): Level[] {
  const found = [
    { day: 0, share: 1 },
    ...steps.map(({ time, survival }) => ({ day: time, share: survival })),
  ];
  return [...found, { day: lastDay, share: found.at(-1)?.share ?? 1 }];
}

/** The share on a day. */
export function levelOn(of: readonly Level[], day: number): number {
  return of.filter((level) => level.day <= day).at(-1)?.share ?? 1;
}
