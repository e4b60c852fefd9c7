import { cropOf, type Crop, type CropId } from '../crops';
import type { ClockNote, Place, State, Where } from '../ledger';
import { isKnownWeather, type WeatherDay } from '../sky';
import { localDateOf, type LocalDate } from '../time';
import { remembered } from '../remember';
import { mainPatch } from '../patch';
import { gardenDay, openWindow, type GardenDay, type OpenWindow } from './morning';
import { eveningOf } from './roundDay';
import { warmFrom } from './warmMorning';

const MINUTE = 60_000;

/** Gives the weather of a day; days nobody measured come as the climate's. */
export type WeatherOf = (date: LocalDate) => WeatherDay | null;
/** For those who know no weather: every day is as usual. */
export const NO_WEATHER: WeatherOf = () => null;

/** Minutes by which openings, closings and the insects differ from the plain clock at this patch. */
export interface ClockShift {
  readonly opensMin: number;
  readonly closesMin: number;
  readonly notes: number;
}

/** A note moves the clock as if this many said that the plain one is right [M]. */
const SHIFT_PRIOR = 2;
/** Notes further off than this are asked about when they are made, and move the clock no further than this [M]. */
const MOST_SHIFT_MIN = 150;

/** Heat shuts flowers sooner: minutes for each C of the day's warmest above 28, and at most [M]. */
const HEAT = { fromC: 28, perC: 9, most: 120 };
/** A cool cloudy day keeps them open longer [M]. */
const CLOUD = { fromPct: 60, most: 90, belowC: 24 };
/** A cold night delays opening: minutes for each C below 14, and at most [M]. */
const COLD = { belowC: 14, perC: 5, most: 60 };
/** Honeybees wait for warmth: minutes for each C of the night below 13; in rain all stay away longer [M]. */
const INSECTS = { belowC: 13, perC: 5, most: 50, rain: 45 };
/** Where no sunrise wakes them they fly from this warmth on, C [M]. */
const FLYING_C = { honeybees: 12, bumblebees: 8, 'squash-bees': 12 } as const;
/** How long before first light squash bees are about (general texts, from memory; the number [M]). */
const BEFORE_LIGHT_MIN = 30;
type Insects = keyof typeof FLYING_C;

/**
 * Minutes by which the day's weather moves opening and closing.
 * @example weatherShift(crop, null) // { opensMin: 0, closesMin: 0 }
 */
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

/** When the insects of this patch begin, epoch ms, by the sun and the weather; before what its notes say. */
function insectsBegin(insects: Insects, day: GardenDay, weather: WeatherDay | null): number {
  const known = weather && isKnownWeather(weather) ? weather : null;
  const rain = (weather?.rainMm ?? 0) >= 2 ? INSECTS.rain * MINUTE : 0;
  if (!day.fromSun) {
    if (!known) return day.insectsFrom;
    // A day that stays too cold for them still has its warmest hour.
    return (warmFrom(known, day, FLYING_C[insects]) ?? day.solarNoon) + rain;
  }
  if (insects === 'bumblebees') return day.firstLight + rain;
  if (insects === 'squash-bees') return day.firstLight - BEFORE_LIGHT_MIN * MINUTE + rain;
  const cold = known ? Math.min(INSECTS.most, Math.max(0, INSECTS.belowC - known.minC) * INSECTS.perC) : 0;
  return day.insectsFrom + cold * MINUTE + rain;
}

const insectsOf = (state: Pick<State, 'patches'>): Insects =>
  (mainPatch(state)?.schools.insects ?? 'honeybees') as Insects;

/** A morning (or dusk) as this patch knows it: the sun, the weather, and what its growers noted before. */
export interface BloomDay {
  readonly day: GardenDay;
  readonly weather: WeatherDay | null;
  /** Half-width of the uncertainty of openings and closings, minutes: wide without weather, narrow with notes. */
  readonly spreadMin: number;
  window(crop: Crop): OpenWindow;
  /** When it is warm enough for the crop's anthers; `null` where that is before the flower opens, or not known. */
  pollen(crop: Crop): ColdPollen | null;
}

/** A morning that begins too cold for the anthers of a crop, though its flowers may be open. */
export interface ColdPollen {
  readonly limitC: number;
  /** Epoch ms; `null`: not at all that day. */
  readonly from: number | null;
}

/** When something noted by the clock usually happens on a day, by sun and weather alone. */
function usualTime(
  crop: Crop,
  what: ClockNote,
  day: GardenDay,
  weather: WeatherDay | null,
  insects: Insects,
): number {
  if (what === 'insects') return insectsBegin(insects, day, weather);
  const plain = openWindow(crop, day);
  const shift = weatherShift(crop, weather);
  return what === 'opened' ? plain.opens + shift.opensMin * MINUTE : plain.closes + shift.closesMin * MINUTE;
}

/** The garden day that a note made at `time` is about: a night-opening crop's belongs to the evening it began. */
function noteDay(crop: Crop, what: ClockNote, time: number, zone: string): LocalDate {
  return crop.clock.round === 'dusk' && what !== 'insects' ? eveningOf(time, zone) : localDateOf(time, zone);
}

/**
 * Minutes by which a note made now is off from what is usual, where that is more than a flower's or an insect's doing (2.5 hours):
 * to be asked about. `null` where it is not.
 */
export function clockDoubt(
  state: State,
  place: Place,
  crop: Crop,
  what: ClockNote,
  now: number,
  weatherOf: WeatherOf = NO_WEATHER,
): number | null {
  const date = noteDay(crop, what, now, place.zone);
  const usual = usualTime(crop, what, gardenDay(place, date), weatherOf(date), insectsOf(state));
  const offMin = Math.round((now - usual) / MINUTE);
  return Math.abs(offMin) > MOST_SHIFT_MIN ? offMin : null;
}

/**
 * What "open at / shut at / insects at" notes say beyond sun and weather, by crop: their mean difference in minutes, drawn
 * towards none.
 */
export const clockShifts = remembered(
  'clock',
  (
    { stands, varieties, patches }: Pick<State, 'stands' | 'varieties' | 'patches'>,
    { latitude, longitude, zone }: Place,
    weatherOf: WeatherOf = NO_WEATHER,
  ) => ({ stands, varieties, patches, latitude, longitude, zone, weatherOf }),
  shiftsFrom,
);

function shiftsFrom({
  weatherOf,
  latitude,
  longitude,
  zone,
  ...state
}: Pick<State, 'stands' | 'varieties' | 'patches'> & Where & { readonly weatherOf: WeatherOf }): ReadonlyMap<
  CropId | 'insects',
  ClockShift
> {
  const place = { latitude, longitude, zone };
  const insects = insectsOf(state);
  const sums = new Map<CropId | 'insects', { opens: number[]; closes: number[] }>();
  for (const stand of state.stands.values()) {
    const variety = state.varieties.get(stand.variety);
    if (!variety) continue;
    const crop = cropOf(variety.crop);
    for (const { at, what } of stand.clock) {
      const time = Date.parse(at);
      const date = noteDay(crop, what, time, place.zone);
      const day = gardenDay(place, date);
      const weather = weatherOf(date);
      const usual = usualTime(crop, what, day, weather, insects);
      const most = MOST_SHIFT_MIN * MINUTE;
      const off = Math.max(-most, Math.min(most, time - usual));
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

/**
 * The morning of a date: sunrise, windows and insects as sun, weather and the grower's own notes have them.
 * @example new Date(bloomDayOf(state, place, '2026-07-06').window(crop).closes).toISOString() // '2026-07-06T08:06:24.914Z'
 */
export function bloomDayOf(
  state: Pick<State, 'stands' | 'varieties' | 'patches'>,
  place: Place,
  date: LocalDate,
  weatherOf: WeatherOf = NO_WEATHER,
): BloomDay {
  const plain = gardenDay(place, date);
  const weather = weatherOf(date);
  const shifts = clockShifts(state, place, weatherOf);
  const insectsFrom =
    insectsBegin(insectsOf(state), plain, weather) + (shifts.get('insects')?.opensMin ?? 0) * MINUTE;
  const day = { ...plain, insectsFrom };
  const notes = [...shifts.values()].reduce((sum, each) => sum + each.notes, 0);
  const unknown = weather && isKnownWeather(weather) ? weather.spreadC * 4 : 40;
  const window = (crop: Crop): OpenWindow => {
    const base = openWindow(crop, day);
    const shift = weatherShift(crop, weather);
    const own = shifts.get(crop.id);
    const opens = base.opens + (shift.opensMin + (own?.opensMin ?? 0)) * MINUTE;
    const later = (shift.closesMin + (own?.closesMin ?? 0)) * MINUTE;
    // However hot, a flower that opens is open for a while.
    const closes = Math.max(opens + 45 * MINUTE, base.closes + later);
    return { opens, closes, bestUntil: Math.min(closes, Math.max(opens, base.bestUntil + later)) };
  };
  return {
    day,
    weather,
    spreadMin: Math.round(10 + unknown / Math.sqrt(1 + notes / 2)),
    window,
    pollen(crop) {
      const limit = crop.pollenFromC;
      if (!limit || !weather || !isKnownWeather(weather)) return null;
      const from = warmFrom(weather, day, limit.value);
      return from !== null && from <= window(crop).opens ? null : { limitC: limit.value, from };
    },
  };
}
