import type { WeatherDay } from '../sky';
import type { GardenDay } from './morning';

/** The warmest of a day comes this long after solar noon [M]. */
const WARMEST_AFTER_NOON_MS = 2 * 3_600_000;

/**
 * When the air reaches `limitC` on a morning that is coldest at sunrise and warmest two hours after solar noon, along half a
 * cosine between [M]; epoch ms. From first light where it never was colder; `null` where that day stays below.
 */
export function warmFrom(
  { minC, maxC }: Pick<WeatherDay, 'minC' | 'maxC'>,
  day: Pick<GardenDay, 'firstLight' | 'sunrise' | 'solarNoon'>,
  limitC: number,
): number | null {
  if (minC >= limitC) return day.firstLight;
  if (maxC < limitC) return null;
  const share = Math.acos(1 - (2 * (limitC - minC)) / (maxC - minC)) / Math.PI;
  return day.sunrise + share * (day.solarNoon + WARMEST_AFTER_NOON_MS - day.sunrise);
}
