import { addDays, atLocalTime, type LocalDate } from '../time';
import type { StationReading, WeatherDay } from './weather';

/** The hours of the morning round: rain then, not a shower in the afternoon, spoils it. */
const MORNING = { from: 4, to: 11 };
/** So much in those hours, or in the whole day where only the day is foretold, counts as wet, mm. */
const WET_MM = { morning: 1, day: 2 };
/** Further ahead no forecast says anything of rain. */
const DAYS = 3;

/**
 * The days after `today` whose morning is foretold to be wet: by the hours where a station tells them, else by the day.
 * @example wetMornings(() => null, null, 'UTC', '2026-07-14') // []
 */
export function wetMornings(
  weatherOf: (date: LocalDate) => WeatherDay | null,
  station: StationReading | null,
  zone: string,
  today: LocalDate,
): LocalDate[] {
  const inMorning = (date: LocalDate): number | null => {
    const [from, to] = [atLocalTime(date, MORNING.from, 0, zone), atLocalTime(date, MORNING.to, 0, zone)];
    const hours = (station?.hours ?? []).filter(({ at }) => at >= from && at < to);
    return hours.length === 0 ? null : hours.reduce((sum, { rainMm }) => sum + rainMm, 0);
  };
  return Array.from({ length: DAYS }, (_, i) => addDays(today, i + 1)).filter((date) => {
    const day = weatherOf(date);
    const byHours = day?.source === 'forecast' ? inMorning(date) : null;
    if (byHours !== null) return byHours >= WET_MM.morning;
    return (day?.rainMm ?? 0) >= WET_MM.day;
  });
}
