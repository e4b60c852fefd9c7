import type { Mornings, State } from '../ledger';
import { addDays, weekdayOf, type LocalDate } from '../time';
import { mainPatch } from './garden';

const EVERY: Mornings = { weekdays: null, minutes: null, told: {} };

/** When somebody can come; every morning, for as long as it takes, where nobody said. */
export const morningsOf = (state: Pick<State, 'patches'>): Mornings => mainPatch(state)?.mornings ?? EVERY;

/**
 * Whether somebody can come on a morning: what was said of that morning stands before what was said of its day of the week.
 * @example comesOn({ weekdays: [6, 7], minutes: null, told: { '2026-07-14': true } }, '2026-07-14') // true
 */
export const comesOn = ({ weekdays, told }: Mornings, date: LocalDate): boolean =>
  told[date] ?? (weekdays === null || weekdays.includes(weekdayOf(date)));

/**
 * The mornings of a run of days on which nobody can come.
 * @example awayFrom({ weekdays: null, minutes: null, told: { '2026-07-16': false } }, '2026-07-15', 3) // ['2026-07-16']
 */
export const awayFrom = (mornings: Mornings, from: LocalDate, days: number): LocalDate[] =>
  Array.from({ length: days }, (_, i) => addDays(from, i)).filter((date) => !comesOn(mornings, date));
