import { daysBetween, type LocalDate } from '../time';
import type { Coordinates } from './sunTimes';

/** The usual temperatures of a day, C. */
export interface ClimateDay {
  readonly minC: number;
  readonly maxC: number;
}

/** Half the daily range of an ordinary fair day [M]. */
const HALF_RANGE_C = 6;

/** The usual share of the year that has gone, shifted half a year south of the equator; peak warmth near day 200. */
function season(latitude: number, date: LocalDate): number {
  const day = daysBetween(`${date.slice(0, 4)}-01-01`, date) + 1;
  return Math.cos((2 * Math.PI * (day - (latitude >= 0 ? 200 : 17))) / 365.25);
}

/**
 * What a day is usually like at a latitude, near sea level: a plain curve [M] that stands in while nothing is known.
 * At 46 degrees about 15 to 27 C in mid-July. Height, sea and hills are not considered.
 * @example climateDay({ latitude: 46.2 }, '2026-07-14') // { minC: 15.118, maxC: 27.118 }
 */
export function climateDay({ latitude }: Pick<Coordinates, 'latitude'>, date: LocalDate): ClimateDay {
  const yearly = 27 - 0.0075 * latitude * latitude;
  const mean = yearly + 0.22 * Math.abs(latitude) * season(latitude, date);
  return { minC: mean - HALF_RANGE_C, maxC: mean + HALF_RANGE_C };
}

/** Poleward of this a frost comes every autumn, and latitude alone is good for a guess [M]. */
const FROST_FROM_LATITUDE = 40;

/** Usual night by which a hollow inland may have its first frost already, and by which the mildest coast has had it, C [M]. */
const INLAND_C = 11;
const COAST_C = 1;
/** Usual night at which frost is due wherever one is, C [M]: in the far north that comes before September. */
const DUE_C = 6;
const SEPTEMBER = 31;

/** Asked for every stand with every tap. A sum of the latitude alone: nothing makes it stale, so it needs no key of tables. */
const FROSTS = new Map<number, { readonly early: string; readonly late: string }>();

/**
 * Between which days of the year (`MM-DD`) the first autumn frost may be looked for at a latitude, where nobody said [M]. Wide, as height,
 * sea and hollows put it weeks either way: inland at 45-50 degrees it may come from early September on, at a coast in November (general
 * texts, from memory). `null` nearer the equator than 40 degrees: there latitude tells nothing, neither a day nor that no frost comes.
 * @example usualFrost({ latitude: 46.2 }) // { early: '09-12', late: '11-11' }
 */
export function usualFrost({
  latitude,
}: Pick<Coordinates, 'latitude'>): { readonly early: string; readonly late: string } | null {
  if (Math.abs(latitude) < FROST_FROM_LATITUDE) return null;
  const known = FROSTS.get(latitude);
  if (known) return known;
  // From the height of summer on.
  const from = latitude >= 0 ? 213 : 32;
  const dateOf = (days: number) =>
    new Date(Date.UTC(2025, 0, 1) + ((from + days - 1) % 365) * 86_400_000).toISOString().slice(0, 10);
  const firstUnder = (limitC: number): number => {
    for (let days = 0; ; days++)
      if (climateDay({ latitude }, dateOf(days)).minC < limitC || days === 182) return days;
  };
  const early = Math.max(firstUnder(INLAND_C), Math.min(firstUnder(DUE_C), SEPTEMBER));
  const found = { early: dateOf(early).slice(5), late: dateOf(firstUnder(COAST_C)).slice(5) };
  FROSTS.set(latitude, found);
  return found;
}
