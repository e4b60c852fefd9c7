import { daysBetween, type LocalDate } from '../time';
import type { Coordinates } from './sunTimes';

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
 */
export function climateDay({ latitude }: Pick<Coordinates, 'latitude'>, date: LocalDate): ClimateDay {
  const yearly = 27 - 0.0075 * latitude * latitude;
  const mean = yearly + 0.22 * Math.abs(latitude) * season(latitude, date);
  return { minC: mean - HALF_RANGE_C, maxC: mean + HALF_RANGE_C };
}

/**
 * The day of the year (`MM-DD`) of the first autumn frost to reckon with at a latitude [M], or `null` where none comes:
 * the first on which the usual night falls under 4 C (clear nights by the ground are colder than the curve).
 */
export function usualFrost({ latitude }: Pick<Coordinates, 'latitude'>): string | null {
  const from = latitude >= 0 ? 213 : 32;
  for (let day = from; day < from + 183; day++) {
    const date = new Date(Date.UTC(2025, 0, 1) + ((day - 1) % 365) * 86_400_000).toISOString().slice(0, 10);
    if (climateDay({ latitude }, date).minC < 4) return date.slice(5);
  }
  return null;
}
