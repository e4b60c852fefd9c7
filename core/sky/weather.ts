import { addDays, type LocalDate } from '../time';
import { climateDay } from './climate';
import type { Coordinates } from './sunTimes';

/** One hour of a forecast. */
export interface WeatherHour {
  /** Epoch ms. */
  readonly at: number;
  readonly temperatureC: number;
  readonly humidityPct: number;
  readonly rainMm: number;
  readonly cloudPct: number;
  readonly windMPerS: number;
  /** Where it blows from, degrees clockwise from north. */
  readonly windFromDeg: number;
}

/** A day as the station measured it. */
export interface StationDay {
  readonly date: LocalDate;
  readonly minC: number;
  readonly maxC: number;
  readonly rainMm: number;
  readonly dewPointC: number;
  readonly cloudPct: number;
  readonly windFromDeg: number;
  /** 0 = measured; 1 = foretold for the next day, and so on. */
  readonly leadDays: number;
}

/** What a weather station tells: the last days and the next three. A real one fills the same. */
export interface StationReading {
  readonly name: string;
  readonly simulated: boolean;
  readonly at: number;
  readonly hours: readonly WeatherHour[];
  readonly days: readonly StationDay[];
}

/** What stands between the app and a weather station: a real one fits in here. */
export interface WeatherStation {
  read(place: Coordinates & { readonly zone: string }, now: number): Promise<StationReading>;
}

/** Where a day's weather comes from. */
export type WeatherSource = 'hand' | 'file' | 'station' | 'forecast' | 'climate';

/** The weather of a day, from whatever is known best. */
export interface WeatherDay {
  readonly date: LocalDate;
  readonly minC: number;
  readonly maxC: number;
  readonly meanC: number;
  /** How far off the temperatures may well be (80 %), C. */
  readonly spreadC: number;
  readonly rainMm: number | null;
  readonly dewPointC: number | null;
  readonly cloudPct: number | null;
  readonly windFromDeg: number | null;
  readonly source: WeatherSource;
}

/** A day's weather as somebody or something noted it; `null`: not noted. */
export interface Noted {
  readonly minC: number | null;
  readonly maxC: number | null;
  readonly rainMm: number | null;
  readonly dewPointC: number | null;
  readonly windFromDeg?: number | null;
  readonly felt: 'cold' | 'cool' | 'mild' | 'warm' | 'hot' | null;
  readonly origin: 'hand' | 'file' | 'station';
}

/** What a word does to the usual day [M]. */
const FELT_C = { cold: -8, cool: -4, mild: 0, warm: 4, hot: 8 } as const;
/** How far off each source may be [M]: a thermometer, a forecast by its lead, a word, a curve of the climate. */
const SPREAD_C = { noted: 1, lead: [1, 1.5, 2.5, 3.5], felt: 3.5, climate: 6 } as const;

/**
 * The weather of one day from everything known: noted by hand or from a file, else the station's, else what is usual
 * there. Extremes not given are filled from the next source; the source named is that of the temperatures.
 */
export function weatherOn(
  place: Coordinates,
  date: LocalDate,
  noted: Readonly<Record<LocalDate, Noted>>,
  station: StationReading | null,
): WeatherDay {
  const usual = climateDay(place, date);
  const measured = station?.days.find((day) => day.date === date) ?? null;
  const note = noted[date] ?? null;
  const felt = note?.felt ? FELT_C[note.felt] : null;
  const base = measured ?? {
    minC: usual.minC + (felt ?? 0),
    maxC: usual.maxC + (felt ?? 0),
    rainMm: null,
    dewPointC: null,
    cloudPct: null,
    windFromDeg: null,
  };
  const given = note !== null && (note.minC !== null || note.maxC !== null);
  const source: WeatherSource =
    note !== null && (given || (felt !== null && !measured))
      ? note.origin
      : measured
        ? measured.leadDays > 0
          ? 'forecast'
          : 'station'
        : 'climate';
  // One extreme alone moves the other along with it.
  const shift =
    note?.minC != null && note.maxC == null
      ? note.minC - base.minC
      : note?.maxC != null && note.minC == null
        ? note.maxC - base.maxC
        : 0;
  const minC = note?.minC ?? base.minC + shift;
  const maxC = Math.max(minC, note?.maxC ?? base.maxC + shift);
  return {
    date,
    minC,
    maxC,
    meanC: (minC + maxC) / 2,
    spreadC: given
      ? SPREAD_C.noted
      : measured
        ? (SPREAD_C.lead[Math.min(measured.leadDays, 3)] as number)
        : felt !== null
          ? SPREAD_C.felt
          : SPREAD_C.climate,
    rainMm: note?.rainMm ?? base.rainMm,
    dewPointC: note?.dewPointC ?? base.dewPointC,
    cloudPct: base.cloudPct,
    windFromDeg: note?.windFromDeg ?? base.windFromDeg,
    source,
  };
}

/** `weatherOn` for a run of days. */
export function weatherSeries(
  place: Coordinates,
  from: LocalDate,
  days: number,
  noted: Readonly<Record<LocalDate, Noted>>,
  station: StationReading | null,
): WeatherDay[] {
  return Array.from({ length: days }, (_, i) => weatherOn(place, addDays(from, i), noted, station));
}

/** Whether somebody or something measured or foretold its warmth; a curve of the climate says nothing of that day. Its rain is known where it is not `null`. */
export function isKnownWeather(day: WeatherDay): boolean {
  return day.source !== 'climate';
}
