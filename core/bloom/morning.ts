import type { Crop } from '../crops';
import { sunTimes, type Coordinates, type SunTimes } from '../sky';
import { addDays, atLocalTime, type LocalDate } from '../time';

/** Minutes after sunrise at which honeybees begin on an ordinary morning [H]. */
const INSECTS_AFTER_SUNRISE_MIN = 60;
const MINUTE = 60_000;
/** Half of a day where the sun does not rise or set, and its twilight: flowers keep a day there too [M]. */
const HALF_DAY_MIN = 480;
const TWILIGHT_MIN = 30;

/** The fixed points of one garden day, epoch ms. */
export interface GardenDay {
  readonly date: LocalDate;
  readonly firstLight: number;
  readonly sunrise: number;
  readonly solarNoon: number;
  readonly sunset: number;
  readonly lastLight: number;
  readonly nextSunrise: number;
  readonly insectsFrom: number;
  /** `false` where the sun does not rise or set that day: the times then hang on solar noon, and the screen says so. */
  readonly fromSun: boolean;
}

/**
 * A garden day at a place. Where the sun doesn't cross the horizon its day is reckoned eight hours either side of solar noon [M],
 * as flowers under the midnight sun still keep a day.
 * @example new Date(gardenDay(place, '2026-07-06').sunrise).toISOString() // '2026-07-06T03:17:07.486Z'
 */
export function gardenDay(place: Coordinates & { readonly zone: string }, date: LocalDate): GardenDay {
  const today = sunTimes(place, date);
  const tomorrow = sunTimes(place, addDays(date, 1));
  const noonOf = ({ solarNoon }: SunTimes, on: LocalDate) =>
    solarNoon?.getTime() ?? atLocalTime(on, 12, 0, place.zone);
  const solarNoon = noonOf(today, date);
  const sunrise = today.sunrise?.getTime() ?? solarNoon - HALF_DAY_MIN * MINUTE;
  const sunset = today.sunset?.getTime() ?? solarNoon + HALF_DAY_MIN * MINUTE;
  return {
    date,
    sunrise,
    solarNoon,
    sunset,
    firstLight: today.civilDawn?.getTime() ?? sunrise - TWILIGHT_MIN * MINUTE,
    lastLight: today.civilDusk?.getTime() ?? sunset + TWILIGHT_MIN * MINUTE,
    nextSunrise: tomorrow.sunrise?.getTime() ?? noonOf(tomorrow, addDays(date, 1)) - HALF_DAY_MIN * MINUTE,
    insectsFrom: sunrise + INSECTS_AFTER_SUNRISE_MIN * MINUTE,
    fromSun: today.sunrise !== null && today.sunset !== null,
  };
}

/** Epoch ms. */
export interface OpenWindow {
  readonly opens: number;
  /** Until then it takes pollen best; never after `closes`. */
  readonly bestUntil: number;
  /** By then it has shut, or its pollen is spent. */
  readonly closes: number;
}

/**
 * When a crop's flowers of that day are open: dawn crops from sunrise till about solar noon, dusk crops through the night.
 * @example new Date(openWindow(crop, gardenDay(place, '2026-07-06')).closes).toISOString() // '2026-07-06T08:06:24.914Z'
 */
export function openWindow(crop: Crop, day: GardenDay): OpenWindow {
  const { clock } = crop;
  if (clock.round === 'dusk') {
    const closes = day.nextSunrise + clock.shutAfterSunriseMin.value * MINUTE;
    return { opens: day.sunset + clock.opensMin.value * MINUTE, bestUntil: closes, closes };
  }
  return {
    opens: Math.max(day.firstLight, day.sunrise + clock.opensMin.value * MINUTE),
    bestUntil: day.solarNoon - clock.bestBeforeNoonMin.value * MINUTE,
    closes: day.solarNoon - clock.shutBeforeNoonMin.value * MINUTE,
  };
}
