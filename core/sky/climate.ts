import { daysBetween, type LocalDate } from '../time';
import { seaAround } from './sea';
import type { Coordinates } from './sunTimes';

/** The usual temperatures of a day, C. */
export interface ClimateDay {
  readonly minC: number;
  readonly maxC: number;
}

/** Half the daily range of an ordinary fair day inland, and what the sea round about takes off it, C [M]. */
const HALF_RANGE_C = 6;
const SEA_EVENS_C = 3;

/** The usual share of the year that has gone, shifted half a year south of the equator. `warmest`: the day of the northern year. */
function season(latitude: number, date: LocalDate, warmest: number): number {
  const day = daysBetween(`${date.slice(0, 4)}-01-01`, date) + 1;
  return Math.cos((2 * Math.PI * (day - (latitude >= 0 ? warmest : warmest - 183))) / 365.25);
}

/**
 * What a day is like at a latitude, whatever lies round the place: a plain curve [M] for what is simulated, and for the wide guess of a frost.
 * @example latitudeDay({ latitude: 46.2 }, '2026-07-14') // { minC: 15.118, maxC: 27.118 }
 */
export function latitudeDay({ latitude }: Pick<Coordinates, 'latitude'>, date: LocalDate): ClimateDay {
  const yearly = 27 - 0.0075 * latitude * latitude;
  const mean = yearly + 0.22 * Math.abs(latitude) * season(latitude, date, 200);
  return { minC: mean - HALF_RANGE_C, maxC: mean + HALF_RANGE_C };
}

/**
 * What a day is usually like at a place near sea level: a year's mean and a swing round it, both by the latitude and by how much of what
 * lies round the place, and up the wind from it, is sea; the sea is late, too. The form is ours; the numbers were fitted to the monthly
 * means of 46 places from memory [M]. Of twelve others every month comes within 4 C (`climate.test.ts`). Up to 10 off in the middle of
 * America and of Asia and in the far north, 6 where cold water runs along a coast; hills are not considered.
 * @example climateDay({ latitude: 51.5, longitude: -0.1 }, '2026-07-15') // { minC: 13.758, maxC: 24.166 }
 */
export function climateDay({ latitude, longitude }: Coordinates, date: LocalDate): ClimateDay {
  const { around, west, east } = seaAround({ latitude, longitude });
  const poleward = Math.abs(latitude) / 45;
  const yearly = 25.7 + poleward * poleward * (-13.3 + 7.6 * around - 6.5 * east);
  const swing = poleward * (18.7 - 7.9 * west - 3.3 * around - 3.8 * poleward);
  const mean = yearly + swing * season(latitude, date, 198 + 16 * around);
  const half = HALF_RANGE_C - SEA_EVENS_C * around;
  return { minC: mean - half, maxC: mean + half };
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
      if (latitudeDay({ latitude }, dateOf(days)).minC < limitC || days === 182) return days;
  };
  const early = Math.max(firstUnder(INLAND_C), Math.min(firstUnder(DUE_C), SEPTEMBER));
  const found = { early: dateOf(early).slice(5), late: dateOf(firstUnder(COAST_C)).slice(5) };
  FROSTS.set(latitude, found);
  return found;
}
