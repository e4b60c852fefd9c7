import { csvRows } from '@core/formats';
import { MOST_DAYS, notedDay, type Draft, type Felt, type NotedDay } from '@core/ledger';
import type { PatchId } from '@core/ids';
import { isLocalDate, type LocalDate } from '@core/time';
import type { Units } from '../device/prefs';

export interface TypedWeather {
  readonly minimum: string;
  readonly maximum: string;
  readonly rain: string;
  readonly dew: string;
  /** Degrees from north; `null` = not said. */
  readonly wind: number | null;
  readonly felt: Felt | null;
}

const number = (text: string): number | null | undefined => {
  if (text.trim() === '') return null;
  const value = Number(text.trim().replace(',', '.'));
  return Number.isFinite(value) ? value : undefined;
};
const toC = (value: number, units: Units) => (units === 'us' ? (value - 32) / 1.8 : value);
const toMm = (value: number, units: Units) => (units === 'us' ? value * 25.4 : value);
const tenth = (value: number) => Math.round(value * 10) / 10;

/** Reads what was typed of one day, or says what is wrong with each field. */
export function readWeather(
  date: LocalDate,
  typed: TypedWeather,
  units: Units,
): { day: NotedDay } | { errors: Record<string, string> } {
  const errors: Record<string, string> = {};
  const read = (field: 'minimum' | 'maximum' | 'rain' | 'dew') => {
    const value = number(typed[field]);
    if (value === undefined) errors[field] = `"${typed[field].trim()}" is not a number`;
    return value ?? null;
  };
  const minimum = read('minimum');
  const maximum = read('maximum');
  const rain = read('rain');
  const dew = read('dew');
  const day: NotedDay = {
    date,
    minC: minimum === null ? null : tenth(toC(minimum, units)),
    maxC: maximum === null ? null : tenth(toC(maximum, units)),
    rainMm: rain === null ? null : tenth(toMm(rain, units)),
    dewPointC: dew === null ? null : tenth(toC(dew, units)),
    felt: typed.felt,
    ...(typed.wind === null ? {} : { windFromDeg: typed.wind }),
  };
  if (day.minC !== null && (day.minC < -60 || day.minC > 60))
    errors.minimum = 'No garden is that cold or hot';
  if (day.maxC !== null && (day.maxC < -60 || day.maxC > 60))
    errors.maximum = 'No garden is that cold or hot';
  if (day.dewPointC !== null && (day.dewPointC < -60 || day.dewPointC > 40))
    errors.dew = 'No air is that dry or moist';
  if (day.dewPointC !== null && day.maxC !== null && day.dewPointC > day.maxC)
    errors.dew ??= 'The dew point lies above the warmest';
  if (day.rainMm !== null && (day.rainMm < 0 || day.rainMm > 2000))
    errors.rain = 'Rain lies between 0 and 2000 mm';
  if (day.minC !== null && day.maxC !== null && day.maxC < day.minC)
    errors.maximum ??= 'The warmest lies below the coldest';
  if (
    Object.keys(errors).length === 0 &&
    [day.minC, day.maxC, day.rainMm, day.dewPointC, day.felt, typed.wind].every((each) => each === null)
  )
    errors.minimum = 'Give at least one of these, or how it felt';
  return Object.keys(errors).length > 0 ? { errors } : { day };
}

/** What a column of a weather file can hold. */
export const COLUMN_USES = ['date', 'minC', 'maxC', 'rainMm', 'dewPointC'] as const;
export type ColumnUse = (typeof COLUMN_USES)[number];
export type ColumnMap = Readonly<Partial<Record<ColumnUse, number>>>;

export interface WeatherTable {
  readonly header: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly guess: ColumnMap;
}

/** More than any garden's years: a larger file is not daily weather. */
const MOST_ROWS = 40_000;

const NAMES: Readonly<Record<ColumnUse, RegExp>> = {
  date: /^(date|day|datum|time)/i,
  // tmin, temp_min, Min temp, TMIN, Minimum temperature, low; but no minutes, no humidity.
  minC: /^(?!.*(minute|hum|rh|wind|press)).*(min|low)/i,
  maxC: /^(?!.*(hum|rh|wind|gust|press)).*(max|high)/i,
  rainMm: /(rain|precip|prcp)/i,
  dewPointC: /dew/i,
};

/** A weather file as a table, with a guess which column is which. Throws `Error` in words when it is none. */
export function readTable(text: string): WeatherTable {
  const [header, ...rows] = csvRows(text.replace(/^\uFEFF/, ''));
  if (!header || header.length < 2 || rows.length === 0)
    throw new Error(
      'The file: a weather table needs a line of names and at least one day under it, with commas between.',
    );
  if (rows.length > MOST_ROWS) throw new Error(`The file: ${rows.length} lines are more than ${MOST_ROWS}.`);
  const guess: Partial<Record<ColumnUse, number>> = {};
  for (const use of COLUMN_USES) {
    const at = header.findIndex((name) => NAMES[use].test(name.trim()));
    if (at >= 0) guess[use] = at;
  }
  return { header, rows: rows.filter((row) => row.some((cell) => cell.trim() !== '')), guess };
}

export interface ReadDays {
  readonly days: readonly NotedDay[];
  /** Lines that could not be read, with why; the others are taken. */
  readonly wrong: readonly { readonly line: number; readonly message: string }[];
}

/** `2026-07-14`, `2026/7/14`, or with a time behind it. */
function dateOf(text: string): LocalDate | null {
  const found = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})/.exec(text.trim());
  if (!found) return null;
  const date = `${found[1]}-${(found[2] as string).padStart(2, '0')}-${(found[3] as string).padStart(2, '0')}`;
  return isLocalDate(date) ? date : null;
}

/** The days of a table by its columns; each line by itself, so that one bad line costs no other. Later lines of a date win. */
export function daysOf(table: WeatherTable, columns: ColumnMap, units: Units): ReadDays {
  const days = new Map<LocalDate, NotedDay>();
  const wrong: { line: number; message: string }[] = [];
  for (const [i, row] of table.rows.entries()) {
    const line = i + 2;
    const cell = (use: ColumnUse) => (columns[use] === undefined ? '' : (row[columns[use]] ?? ''));
    const date = dateOf(cell('date'));
    if (!date) {
      wrong.push({ line, message: `"${cell('date')}" is no date like 2026-07-14` });
      continue;
    }
    const values: Partial<Record<ColumnUse, number | null>> = {};
    let bad: string | null = null;
    for (const use of ['minC', 'maxC', 'rainMm', 'dewPointC'] as const) {
      const text = cell(use);
      const value = /^(na|nan|null|-+)$/i.test(text.trim()) ? null : number(text);
      if (value === undefined)
        bad ??= `${table.header[columns[use] as number] ?? use}: "${text}" is not a number`;
      values[use] = value == null ? null : tenth(use === 'rainMm' ? toMm(value, units) : toC(value, units));
    }
    const { minC = null, maxC = null, rainMm = null, dewPointC = null } = values;
    const day: NotedDay = { date, minC, maxC, rainMm, dewPointC, felt: null };
    const { error } = notedDay.validate(day, { convert: false });
    if (error) bad ??= `${date}: a value is out of range, or the warmest lies below the coldest`;
    if (bad) wrong.push({ line, message: bad });
    else days.set(date, day);
  }
  return { days: [...days.values()], wrong };
}

/** The days as events: a year in each. */
export function weatherDrafts(patch: PatchId, days: readonly NotedDay[]): Draft[] {
  const drafts: Draft[] = [];
  for (let i = 0; i < days.length; i += MOST_DAYS)
    drafts.push({ kind: 'weatherNoted', patch, origin: 'file', days: days.slice(i, i + MOST_DAYS) });
  return drafts;
}
