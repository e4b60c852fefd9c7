import { LOOP_DAYS } from '../crops';
import type { Flower, State } from '../ledger';
import { alongTheWalk, type Growing } from '../patch';
import { daysBetween, localDateOf, type LocalDate } from '../time';

/** A marked fruit whose loop is to be looked at: the stalk thickens, and what was loose cuts in. */
export interface LoopDue {
  readonly flower: Flower;
  readonly growing: Growing;
  /** The day that came, counted from the marking. */
  readonly days: number;
}

/**
 * The fruits whose loops are to be looked at, two and four weeks after they were marked (common practice); in walking order. An ear of
 * corn has none: its tag hangs on a stalk that is full-grown when the silk shows.
 */
export function loopsDue(state: State, zone: string, today: LocalDate): LoopDue[] {
  return alongTheWalk(state, (flower, growing) => {
    const days = growing.crop.family === 'corn' ? null : loopDue(flower, today, zone);
    return days === null ? null : { flower, growing, days };
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
