import { LOOP_DAYS } from '../crops';
import type { Flower, State } from '../ledger';
import { growing, type Growing } from '../patch';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';
import { recentlyWorked } from './closuresDue';

/** A marked fruit whose loop is to be looked at: the stalk thickens, and what was loose cuts in. */
export interface LoopDue {
  readonly flower: Flower;
  readonly growing: Growing;
  /** The day that came, counted from the marking. */
  readonly days: number;
}

/** Later than this a fruit is picked, or nobody will look any more. */
const UNTIL_DAYS = 60;

/** The fruits whose loops are to be looked at, two and four weeks after they were marked (common practice). */
export function loopsDue(state: State, zone: string, today: LocalDate): LoopDue[] {
  return recentlyWorked(state, addDays(today, -UNTIL_DAYS)).flatMap((flower): LoopDue[] => {
    const days = loopDue(flower, today, zone);
    const found = days === null ? null : growing(state, flower.plant);
    return days !== null && found ? [{ flower, growing: found, days }] : [];
  });
}

/**
 * Which of those days has come and was not kept: a look that read the mark since then keeps it. `null`: none.
 * @example loopDue(female, '2026-07-20', 'UTC') // 14
 */
export function loopDue(
  { marking, lost, harvested, looks }: Flower,
  today: LocalDate,
  zone: string,
): number | null {
  const failed = ['yellowing', 'gone'].includes(looks.at(-1)?.result ?? '');
  if (!marking || lost || harvested || failed) return null;
  const on = localDateOf(Date.parse(marking.at), zone);
  const read = Math.max(
    0,
    ...looks.flatMap(({ at, markRead }) =>
      markRead ? [daysBetween(on, localDateOf(Date.parse(at), zone))] : [],
    ),
  );
  const gone = daysBetween(on, today);
  return LOOP_DAYS.findLast((days) => gone >= days && read < days) ?? null;
}
