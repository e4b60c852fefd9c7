import { DateTime, IANAZone } from 'luxon';
import { TrowelError } from './errors';

/** An instant as text, always `YYYY-MM-DDTHH:mm:ss.sssZ`, so that text order is time order. */
export type Instant = string;
/** A garden day, `YYYY-MM-DD`, in the zone of the patch. */
export type LocalDate = string;

/** A clock is passed to whatever needs the time: the real one, or the demo's. */
export interface Clock {
  /** Epoch milliseconds. */
  now(): number;
}

const INSTANT = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z$/;
const LOCAL_DATE = /^\d{4}-\d{2}-\d{2}$/;

/**
 * Epoch ms as an instant.
 * @example toInstant(0) // '1970-01-01T00:00:00.000Z'
 */
export function toInstant(epochMs: number): Instant {
  return new Date(epochMs).toISOString();
}

/**
 * Whether a text is an instant, and one that exists.
 * @example isInstant('2026-02-30T05:00:00.000Z') // false
 */
export function isInstant(text: string): boolean {
  // Date.parse takes 31 February for 3 March; only a real day comes back as it went in.
  const epochMs = INSTANT.test(text) ? Date.parse(text) : Number.NaN;
  return !Number.isNaN(epochMs) && toInstant(epochMs) === text;
}

/**
 * Whether a text is a day of the calendar.
 * @example isLocalDate('2026-02-30') // false
 */
export function isLocalDate(text: string): boolean {
  return LOCAL_DATE.test(text) && DateTime.fromISO(text, { zone: 'utc' }).isValid;
}

/**
 * Whether a text names a time zone known here.
 * @example isZone('Europe/Ljubljana') // true
 */
export function isZone(zone: string): boolean {
  return IANAZone.isValidZone(zone);
}

// Midnight and every change of a zone's offset fall on a quarter of an hour, so one look-up serves the whole
// quarter. A list of 30 000 flowers would otherwise spend most of its time in Intl and in making text. Not `remembered`: a zone and an
// instant have one answer for ever.
const QUARTER_MS = 15 * 60_000;
const quartersByZone = new Map<
  string,
  Map<number, { readonly date: LocalDate; readonly forenoon: boolean }>
>();

/** Five seasons hold some 175 000 quarters. */
const MOST_QUARTERS = 300_000;
let quartersKnown = 0;

function quarterOf(epochMs: number, zone: string): { readonly date: LocalDate; readonly forenoon: boolean } {
  let quarters = quartersByZone.get(zone);
  if (!quarters) {
    if (!isZone(zone)) throw new TrowelError('zone', `There is no time zone "${zone}".`, { field: 'zone' });
    quartersByZone.set(zone, (quarters = new Map()));
  }
  const quarter = Math.floor(epochMs / QUARTER_MS);
  let found = quarters.get(quarter);
  if (found === undefined) {
    // A server is asked about any day of any zone: earlier answers must not fill its memory.
    if (++quartersKnown > MOST_QUARTERS) {
      for (const each of quartersByZone.values()) each.clear();
      quartersKnown = 1;
    }
    const start = quarter * QUARTER_MS;
    const local = new Date(start + offsetMsAt(start, zone)).toISOString();
    quarters.set(quarter, (found = { date: local.slice(0, 10), forenoon: local.slice(11, 13) < '12' }));
  }
  return found;
}

/**
 * The garden day of an instant in an IANA zone. Throws `zone` for an unknown zone.
 * @example localDateOf(Date.UTC(2026, 6, 14, 23), 'Europe/Ljubljana') // '2026-07-15'
 */
export function localDateOf(epochMs: number, zone: string): LocalDate {
  return quarterOf(epochMs, zone).date;
}

/**
 * Whether the clock of a zone shows a time before noon. Throws `zone` for an unknown zone.
 * @example isForenoon(Date.UTC(2026, 6, 14, 11), 'Europe/Ljubljana') // false
 */
export function isForenoon(epochMs: number, zone: string): boolean {
  return quarterOf(epochMs, zone).forenoon;
}

/**
 * How far the clock of a zone is ahead of UTC at an instant, ms.
 * @example offsetMsAt(Date.UTC(2026, 6, 14), 'Europe/Ljubljana') / 3_600_000 // 2
 */
export function offsetMsAt(epochMs: number, zone: string): number {
  return IANAZone.create(zone).offset(epochMs) * 60_000;
}

/** Some fifty years of days, each with one number for ever. */
const MOST_DAYS = 20_000;
const dayNumbers = new Map<LocalDate, number>();

function dayNumber(date: LocalDate): number {
  let found = dayNumbers.get(date);
  if (found === undefined) {
    if (dayNumbers.size >= MOST_DAYS) dayNumbers.clear();
    dayNumbers.set(date, (found = Date.parse(`${date}T00:00:00Z`) / 86_400_000));
  }
  return found;
}

/**
 * Whole calendar days from `a` to `b` (negative when `b` is earlier). Not 24-hour periods.
 * @example daysBetween('2026-03-28', '2026-03-30') // 2
 */
export function daysBetween(a: LocalDate, b: LocalDate): number {
  return dayNumber(b) - dayNumber(a);
}

/**
 * The day so many calendar days later, or earlier below nought.
 * @example addDays('2028-02-28', 1) // '2028-02-29'
 */
export function addDays(date: LocalDate, days: number): LocalDate {
  return new Date(Date.parse(`${date}T00:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
}

/**
 * Epoch ms of a wall-clock time on a garden day. A time skipped in spring gives the instant an hour later on the
 * clock; of a time that comes twice in autumn, the first (luxon's rule).
 * @example new Date(atLocalTime('2026-07-14', 5, 5, 'Europe/Ljubljana')).toISOString() // '2026-07-14T03:05:00.000Z'
 */
export function atLocalTime(date: LocalDate, hour: number, minute: number, zone: string): number {
  const time = DateTime.fromISO(date, { zone }).set({ hour, minute, second: 0, millisecond: 0 });
  if (!time.isValid) throw new TrowelError('date', `"${date}" in ${zone} is not a date.`, { field: 'date' });
  return time.toMillis();
}

/**
 * `05:41` or `5:41 am` in the zone of the patch.
 * @example clockText(Date.UTC(2026, 6, 14, 16, 5), 'Europe/Ljubljana') // '18:05'
 */
export function clockText(epochMs: number, zone: string, hour12 = false): string {
  return DateTime.fromMillis(epochMs, { zone, locale: 'en-GB' })
    .toFormat(hour12 ? 'h:mm a' : 'HH:mm')
    .toLowerCase();
}

/**
 * `Tuesday 14 July`.
 * @example dayText('2026-07-14') // 'Tuesday 14 July'
 */
export function dayText(date: LocalDate): string {
  return DateTime.fromISO(date, { zone: 'utc', locale: 'en-GB' }).toFormat('cccc d LLLL');
}

/**
 * `14 July`.
 * @example shortDayText('2026-07-14') // '14 July'
 */
export function shortDayText(date: LocalDate): string {
  return DateTime.fromISO(date, { zone: 'utc', locale: 'en-GB' }).toFormat('d LLLL');
}

/**
 * `Tue 14`.
 * @example weekdayText('2026-07-14') // 'Tue 14'
 */
export function weekdayText(date: LocalDate): string {
  return DateTime.fromISO(date, { zone: 'utc', locale: 'en-GB' }).toFormat('ccc d');
}

/**
 * The day of the week, 1 = Monday to 7 = Sunday.
 * @example weekdayOf('2026-07-14') // 2
 */
export const weekdayOf = (date: LocalDate): number => daysBetween(weekStart(date), date) + 1;

/**
 * The Monday of a day's week.
 * @example weekStart('2026-07-14') // '2026-07-13'
 */
export function weekStart(date: LocalDate): LocalDate {
  // The first of January 1970 was a Thursday.
  return addDays(date, -((((dayNumber(date) + 3) % 7) + 7) % 7));
}
