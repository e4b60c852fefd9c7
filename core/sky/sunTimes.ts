import { getTimes } from 'suncalc';
import { TrowelError } from '../errors';
import type { LocalDate } from '../time';
import { isLocalDate } from '../time';

/** Degrees north and east. */
export interface Coordinates {
  readonly latitude: number;
  readonly longitude: number;
}

/** The sun of one day; `null` where it does not rise or set. */
export interface SunTimes {
  readonly civilDawn: Date | null;
  readonly sunrise: Date | null;
  readonly solarNoon: Date | null;
  readonly sunset: Date | null;
  readonly civilDusk: Date | null;
}

/**
 * Sun times of one garden day: those around the solar noon nearest 12:00 local mean time (UTC = 12 h -
 * longitude / 15) of `date`, so that the UTC day may differ from `date`. Sunrise and sunset: upper limb, 34
 * arcmin refraction; civil: sun's centre at -6 degrees. `null` where there is no such crossing (polar day and
 * night: ordinary, the interface says so). Height and hills are not considered. From the suncalc package.
 * Throws `latitude`, `longitude` or `date` for values out of range.
 * @example sunTimes({ latitude: 70, longitude: 20 }, '2026-06-21').sunset // null
 */
export function sunTimes({ latitude, longitude }: Coordinates, date: LocalDate): SunTimes {
  if (!(latitude >= -90 && latitude <= 90)) {
    throw new TrowelError('latitude', `Latitude ${latitude} is not between -90 and 90.`, {
      field: 'latitude',
    });
  }
  if (!(longitude >= -180 && longitude <= 180)) {
    throw new TrowelError('longitude', `Longitude ${longitude} is not between -180 and 180.`, {
      field: 'longitude',
    });
  }
  if (!isLocalDate(date)) throw new TrowelError('date', `"${date}" is not a date.`, { field: 'date' });
  const localMeanNoon = Date.parse(`${date}T12:00:00Z`) - (longitude / 15) * 3_600_000;
  const times = getTimes(new Date(localMeanNoon), latitude, longitude);
  return {
    civilDawn: times.dawn,
    sunrise: times.sunrise,
    solarNoon: times.solarNoon,
    sunset: times.sunset,
    civilDusk: times.dusk,
  };
}
