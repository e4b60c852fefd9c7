import { cropOf, type Crop, type CropId } from '../crops';
import type { Place, State } from '../ledger';
import { isKnownWeather, type WeatherDay } from '../sky';
import { localDateOf, type LocalDate } from '../time';
import { remembered } from '../remember';
import { gardenDay, openWindow, type GardenDay, type OpenWindow } from './morning';
import { eveningOf } from './roundDay';

const MINUTE = 60_000;

/** Gives the weather of a day; days nobody measured come as the climate's. */
export type WeatherOf = (date: LocalDate) => WeatherDay | null;
export const NO_WEATHER: WeatherOf = () => null;

/** Minutes by which openings, closings and the insects differ from the plain clock at this patch. */
export interface ClockShift {
  readonly opensMin: number;
  readonly closesMin: number;
  readonly notes: number;
}

/** A note moves the clock as if this many said that the plain one is right [M]. */
const SHIFT_PRIOR = 2;
/** Notes further off than this are a slip of the clock, not of the flower [M]. */
const MOST_SHIFT_MIN = 150;

/** Heat shuts flowers sooner: minutes for each C of the day's warmest above 28, and at most [M]. */
const HEAT = { fromC: 28, perC: 9, most: 120 };
/** A cool cloudy day keeps them open longer [M]. */
const CLOUD = { fromPct: 60, most: 90, belowC: 24 };
/** A cold night delays opening: minutes for each C below 14, and at most [M]. */
const COLD = { belowC: 14, perC: 5, most: 60 };
/** Insects wait for warmth: minutes for each C of the night below 13; in rain they stay away longer [M]. */
const INSECTS = { belowC: 13, perC: 5, most: 50, rain: 45 };

/** Minutes by which the day's weather moves opening and closing. */
export function weatherShift(
  crop: Crop,
  weather: WeatherDay | null,
): { opensMin: number; closesMin: number } {
  if (!weather || !isKnownWeather(weather) || crop.clock.round === 'dusk')
    return { opensMin: 0, closesMin: 0 };
  const heat = Math.min(HEAT.most, Math.max(0, weather.maxC - HEAT.fromC) * HEAT.perC);
  const cloud =
    weather.cloudPct !== null && weather.maxC < CLOUD.belowC
      ? (CLOUD.most * Math.max(0, weather.cloudPct - CLOUD.fromPct)) / (100 - CLOUD.fromPct)
      : 0;
  return {
    opensMin: Math.min(COLD.most, Math.max(0, COLD.belowC - weather.minC) * COLD.perC),
    closesMin: cloud - heat,
  };
}

function insectsShift(weather: WeatherDay | null): number {
  if (!weather || !isKnownWeather(weather)) return 0;
  const cold = Math.min(INSECTS.most, Math.max(0, INSECTS.belowC - weather.minC) * INSECTS.perC);
  return cold + ((weather.rainMm ?? 0) >= 2 ? INSECTS.rain : 0);
}

/** A morning (or dusk) as this patch knows it: the sun, the weather, and what its growers noted before. */
export interface Morning {
  readonly day: GardenDay;
  readonly weather: WeatherDay | null;
  /** Half-width of the uncertainty of openings and closings, minutes: wide without weather, narrow with notes. */
  readonly spreadMin: number;
  window(crop: Crop): OpenWindow;
}

/**
 * What "open at / shut at / insects at" notes say beyond sun and weather, by crop: their mean difference in minutes, drawn
 * towards none.
 */
export const clockShifts = remembered(
  (state: State, place: Place, weatherOf: WeatherOf = NO_WEATHER) => [
    state.stands,
    state.varieties,
    place.latitude,
    place.longitude,
    place.zone,
    weatherOf,
  ],
  (state, place, weatherOf = NO_WEATHER) => shiftsFrom(state, place, weatherOf),
);

function shiftsFrom(
  state: State,
  place: Place,
  weatherOf: WeatherOf,
): ReadonlyMap<CropId | 'insects', ClockShift> {
  const sums = new Map<CropId | 'insects', { opens: number[]; closes: number[] }>();
  for (const stand of state.stands.values()) {
    const variety = state.varieties.get(stand.variety);
    if (!variety) continue;
    const crop = cropOf(variety.crop);
    for (const { at, what } of stand.clock) {
      const time = Date.parse(at);
      const date =
        crop.clock.round === 'dusk' && what !== 'insects'
          ? eveningOf(time, place.zone)
          : localDateOf(time, place.zone);
      const day = gardenDay(place, date);
      const weather = weatherOf(date);
      const shift = weatherShift(crop, weather);
      const plain = openWindow(crop, day);
      const off =
        what === 'insects'
          ? time - day.insectsFrom - insectsShift(weather) * MINUTE
          : what === 'opened'
            ? time - plain.opens - shift.opensMin * MINUTE
            : time - plain.closes - shift.closesMin * MINUTE;
      if (Math.abs(off) > MOST_SHIFT_MIN * MINUTE) continue;
      const about = what === 'insects' ? 'insects' : crop.id;
      const list = sums.get(about) ?? { opens: [], closes: [] };
      (what === 'shut' ? list.closes : list.opens).push(off / MINUTE);
      sums.set(about, list);
    }
  }
  const shrunk = (list: readonly number[]) => list.reduce((a, b) => a + b, 0) / (list.length + SHIFT_PRIOR);
  return new Map(
    [...sums].map(([about, { opens, closes }]): [CropId | 'insects', ClockShift] => [
      about,
      { opensMin: shrunk(opens), closesMin: shrunk(closes), notes: opens.length + closes.length },
    ]),
  );
}

/** The morning of a date: sunrise, windows and insects as sun, weather and the grower's own notes have them. */
export function morningOf(
  state: State,
  place: Place,
  date: LocalDate,
  weatherOf: WeatherOf = NO_WEATHER,
): Morning {
  const plain = gardenDay(place, date);
  const weather = weatherOf(date);
  const shifts = clockShifts(state, place, weatherOf);
  const insects = insectsShift(weather) + (shifts.get('insects')?.opensMin ?? 0);
  const day = { ...plain, insectsFrom: plain.insectsFrom + insects * MINUTE };
  const notes = [...shifts.values()].reduce((sum, each) => sum + each.notes, 0);
  const unknown = weather && isKnownWeather(weather) ? weather.spreadC * 4 : 40;
  return {
    day,
    weather,
    spreadMin: Math.round(10 + unknown / Math.sqrt(1 + notes / 2)),
    window(crop) {
      const base = openWindow(crop, day);
      const shift = weatherShift(crop, weather);
      const own = shifts.get(crop.id);
      const opens = base.opens + (shift.opensMin + (own?.opensMin ?? 0)) * MINUTE;
      // However hot, a flower that opens is open for a while.
      const closes = Math.max(
        opens + 45 * MINUTE,
        base.closes + (shift.closesMin + (own?.closesMin ?? 0)) * MINUTE,
      );
      return { opens, closes };
    },
  };
}
