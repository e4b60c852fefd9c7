import ical, { ICalAlarmType, ICalCalendarMethod } from 'ical-generator';
import { DateTime } from 'luxon';
import { TrowelError } from '../errors';
import { isInstant, isLocalDate, isZone, type Instant, type LocalDate } from '../time';

/** One entry of a calendar: at a time of the patch's own clock, or whole days. */
export interface CalendarEntry {
  /** Stays the same for the same round: a calendar that takes the file again changes its entry and adds none. */
  readonly uid: string;
  /** When the entry was made or last changed, UTC. Rises with each change. */
  readonly stamp: Instant | string;
  /** `YYYY-MM-DDTHH:mm` on the clock of `timeZone`, or `YYYY-MM-DD` when `allDay`. */
  readonly start: string;
  readonly timeZone?: string;
  readonly minutes?: number;
  readonly allDay?: boolean;
  /** The last day of an all-day entry, itself included. */
  readonly lastDay?: LocalDate;
  readonly summary: string;
  readonly description?: string;
  readonly location?: string;
  readonly categories?: readonly string[];
  /** Minutes before the start at which to ring. */
  readonly alarmsMin?: readonly number[];
  /** Counts up with each change, so that a later file wins. */
  readonly sequence?: number;
}

/**
 * An iCalendar file (RFC 5545; times in UTC, so that no reader needs our zone). Throws `uid` when one is missing or comes
 * twice, `start`, `timeZone`, `lastDay` or `minutes` when they are no time.
 */
export function toCalendar(entries: readonly CalendarEntry[]): string {
  const calendar = ical({
    prodId: { company: 'Steady Trowel', product: 'rounds', language: 'EN' },
    method: ICalCalendarMethod.PUBLISH,
  });
  const seen = new Set<string>();
  for (const entry of entries) {
    if (entry.uid === '' || seen.has(entry.uid))
      throw new TrowelError('uid', `The uid "${entry.uid}" is empty or comes twice.`, { field: 'uid' });
    seen.add(entry.uid);
    const { start, end } = span(entry);
    const stamp = DateTime.fromISO(entry.stamp, { zone: 'utc' });
    if (!stamp.isValid && !isInstant(entry.stamp))
      throw new TrowelError('stamp', `"${entry.stamp}" is no time.`, { field: 'stamp' });
    const event = calendar.createEvent({
      id: entry.uid,
      stamp,
      start,
      end,
      allDay: entry.allDay ?? false,
      summary: entry.summary,
      description: entry.description ?? null,
      location: entry.location ?? null,
      sequence: entry.sequence ?? 0,
      categories: (entry.categories ?? []).map((name) => ({ name })),
    });
    for (const minutes of entry.alarmsMin ?? [])
      event.createAlarm({
        type: ICalAlarmType.display,
        triggerBefore: minutes * 60,
        description: entry.summary,
      });
  }
  return calendar.toString();
}

function span(entry: CalendarEntry): { start: DateTime; end: DateTime } {
  if (entry.allDay) {
    const last = entry.lastDay ?? entry.start;
    for (const [field, value] of [
      ['start', entry.start],
      ['lastDay', last],
    ] as const)
      if (!isLocalDate(value)) throw new TrowelError(field, `"${value}" is no date.`, { field });
    if (last < entry.start)
      throw new TrowelError('lastDay', 'The last day lies before the first.', { field: 'lastDay' });
    return {
      start: DateTime.fromISO(entry.start, { zone: 'utc' }),
      end: DateTime.fromISO(last, { zone: 'utc' }).plus({ days: 1 }),
    };
  }
  const zone = entry.timeZone ?? 'UTC';
  if (!isZone(zone))
    throw new TrowelError('timeZone', `There is no time zone "${zone}".`, { field: 'timeZone' });
  const start = DateTime.fromISO(entry.start, { zone });
  if (!start.isValid) throw new TrowelError('start', `"${entry.start}" is no time.`, { field: 'start' });
  const minutes = entry.minutes ?? 0;
  if (!(minutes >= 0)) throw new TrowelError('minutes', 'Minutes must be 0 or more.', { field: 'minutes' });
  return { start: start.toUTC(), end: start.plus({ minutes }).toUTC() };
}
