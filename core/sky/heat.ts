import { heatIndex, humidityFromDewPoint } from './air';
import type { WeatherDay } from './weather';

/** Three steps of care in heat. */
export type HeatCare = 'caution' | 'extreme-caution' | 'danger';

/**
 * How careful a person must be in the heat of the day: the bands of the US National Weather Service's heat index (27,
 * 32 and 41 C; from memory), in the shade. Full sun and tunnels are hotter. Where nobody
 * knows the dew point, the night's coldest stands for it (FAO Irrigation and Drainage Paper 56, from memory): `null` below the bands.
 * @example heatCare({ minC: 24, maxC: 38, dewPointC: 22 }) // { care: 'danger', feelsC: 43.353 }
 */
export function heatCare(
  day: Pick<WeatherDay, 'minC' | 'maxC' | 'dewPointC'>,
): { readonly care: HeatCare; readonly feelsC: number } | null {
  const dewPointC = Math.min(day.dewPointC ?? day.minC, day.maxC);
  const humidity = Math.min(100, humidityFromDewPoint(day.maxC, dewPointC));
  const feelsC = heatIndex(day.maxC, humidity);
  if (feelsC < 27) return null;
  return { care: feelsC >= 41 ? 'danger' : feelsC >= 32 ? 'extreme-caution' : 'caution', feelsC };
}
