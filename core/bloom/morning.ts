import type { Crop } from '../crops';
import { sunTimes, type Coordinates } from '../sky';
import { addDays, atLocalTime, type LocalDate } from '../time';

/** Minutes after sunrise at which insects begin on an ordinary morning [M]; the grower's notes replace it later. */
const INSECTS_AFTER_SUNRISE_MIN = 60;
const MINUTE = 60_000;

/** The fixed points of one garden day, epoch ms. */
export interface GardenDay {
  readonly date: LocalDate;
  readonly firstLight: number;
  readonly sunrise: number;
  readonly sunset: number;
  readonly lastLight: number;
  readonly nextSunrise: number;
  readonly insectsFrom: number;
  /** `false` where the sun does not rise or set that day: the times are then clock times, and the screen says so. */
  readonly fromSun: boolean;
}

/**
 * A garden day at a place. Where the sun doesn't cross the horizon the clock stands in (first light 04:30,
 * sunrise 05:00, sunset 21:00, last light 21:30 local [M]), as flowers under the midnight sun still keep a day.
 */
export function gardenDay(place: Coordinates & { readonly zone: string }, date: LocalDate): GardenDay {
  const today = sunTimes(place, date);
  const tomorrow = sunTimes(place, addDays(date, 1));
  const clock = (hour: number, minute = 0, on = date) => atLocalTime(on, hour, minute, place.zone);
  const sunrise = today.sunrise?.getTime() ?? clock(5);
  const sunset = today.sunset?.getTime() ?? clock(21);
  return {
    date,
    sunrise,
    sunset,
    firstLight: today.civilDawn?.getTime() ?? (today.sunrise ? sunrise - 30 * MINUTE : clock(4, 30)),
    lastLight: today.civilDusk?.getTime() ?? (today.sunset ? sunset + 30 * MINUTE : clock(21, 30)),
    nextSunrise: tomorrow.sunrise?.getTime() ?? clock(5, 0, addDays(date, 1)),
    insectsFrom: sunrise + INSECTS_AFTER_SUNRISE_MIN * MINUTE,
    fromSun: today.sunrise !== null && today.sunset !== null,
  };
}

export interface OpenWindow {
  readonly opens: number;
  readonly closes: number;
}

/** When a crop's flowers of that day are open, epoch ms: dawn crops from sunrise on, dusk crops through the night. */
export function openWindow(crop: Crop, day: GardenDay): OpenWindow {
  const { round, opensMin, closesAfterSunriseMin } = crop.clock;
  return round === 'dawn'
    ? {
        opens: Math.max(day.firstLight, day.sunrise + opensMin.value * MINUTE),
        closes: day.sunrise + closesAfterSunriseMin.value * MINUTE,
      }
    : {
        opens: day.sunset + opensMin.value * MINUTE,
        closes: day.nextSunrise + closesAfterSunriseMin.value * MINUTE,
      };
}
