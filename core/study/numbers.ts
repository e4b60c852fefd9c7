import type { Case } from './cases';

/** What a case says as a number; `null` where nobody wrote it down. */
export const NUMBERS = ['minutes', 'maxC', 'dewPointC', 'males', 'lobes', 'load'] as const;
export type CaseNumber = (typeof NUMBERS)[number];

/** A number of a case, or its day (days since 1970). */
export function localNumber(each: Case, what: string): number | null {
  if (what === 'date') return Date.parse(each.trial.on) / 86_400_000;
  return (NUMBERS as readonly string[]).includes(what) ? each[what as CaseNumber] : null;
}
