import { useMemo } from 'react';
import { useQuery } from '@tanstack/react-query';
import type { WeatherOf } from '@core/bloom';
import {
  isKnownWeather,
  simulatedStation,
  weatherOn,
  wetMornings,
  type Coordinates,
  type StationReading,
  type WeatherDay,
  type WeatherStation,
} from '@core/sky';
import { addDays, type LocalDate } from '@core/time';
import type { Patch } from '@core/ledger';
import { useGarden } from '../garden/garden';

const HOUR = 3_600_000;

/** The made-up station: asked of the server, computed here where there is no network. Both give the same. */
const simulated: WeatherStation = {
  async read(place, now) {
    try {
      const query = new URLSearchParams({
        latitude: String(place.latitude),
        longitude: String(place.longitude),
        zone: place.zone,
        now: String(now),
      });
      const response = await fetch(`/api/station?${query.toString()}`, { signal: AbortSignal.timeout(3000) });
      if (response.ok) return (await response.json()) as StationReading;
    } catch {
      // No network, or a server that only hands out files.
    }
    return simulatedStation(place, now);
  },
};

export interface Weather {
  readonly weatherOf: WeatherOf;
  readonly station: StationReading | null;
  /** Mean temperatures of the days somebody measured or foretold, for the forecast of openings. */
  readonly temperatures: readonly { readonly date: LocalDate; readonly meanC: number }[];
  /** The mornings that are foretold to be wet. */
  readonly wet: readonly LocalDate[];
}

// Several parts of a screen ask at once; one answer for all keeps what hangs on it from being worked out again.
let latest: {
  readonly noted: unknown;
  readonly reading: StationReading | null;
  readonly latitude: number;
  readonly longitude: number;
  readonly today: LocalDate;
  readonly weather: Weather;
} | null = null;

/** The patch's weather from all that is known: notes and files in the log, the station where one is chosen. */
export function useWeather(): Weather {
  const { patch, place, now, today, prefs, demo } = useGarden();
  const on = demo !== null || prefs.station === 'simulated';
  const hour = Math.floor(now / HOUR) * HOUR;
  const { latitude, longitude, zone } = place;
  const { data: station = null } = useQuery({
    queryKey: ['station', latitude, longitude, zone, hour],
    enabled: on,
    queryFn: () => simulated.read({ latitude, longitude, zone }, hour),
    staleTime: Infinity,
    networkMode: 'always',
    placeholderData: (before) => before,
  });
  const noted = patch?.weather;
  return useMemo(
    () => weatherFrom(noted ?? NOTHING, on ? station : null, { latitude, longitude, zone }, today),
    [noted, station, on, latitude, longitude, zone, today],
  );
}

const NOTHING: Patch['weather'] = {};

function weatherFrom(
  noted: Patch['weather'],
  reading: StationReading | null,
  { latitude, longitude, zone }: Coordinates & { readonly zone: string },
  today: LocalDate,
): Weather {
  if (
    latest &&
    latest.noted === noted &&
    latest.reading === reading &&
    latest.latitude === latitude &&
    latest.longitude === longitude &&
    latest.today === today
  )
    return latest.weather;
  const known = new Map<LocalDate, WeatherDay>();
  const weatherOf: WeatherOf = (date) => {
    let day = known.get(date);
    if (!day) known.set(date, (day = weatherOn({ latitude, longitude }, date, noted, reading)));
    return day;
  };
  const temperatures = Array.from({ length: 16 }, (_, i) => addDays(today, i - 9)).flatMap((date) => {
    const day = weatherOf(date);
    return day && isKnownWeather(day) ? [{ date, meanC: day.meanC }] : [];
  });
  const wet = wetMornings(weatherOf, reading, zone, today);
  const weather: Weather = { weatherOf, station: reading, temperatures, wet };
  latest = { noted, reading, latitude, longitude, today, weather };
  return weather;
}
