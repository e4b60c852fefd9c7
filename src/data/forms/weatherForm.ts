import Joi from 'joi';
import { csvRows } from '@core/formats';
import { MOST_DAYS, notedDay, type Draft, type Felt, type NotedDay } from '@core/ledger';
import type { PatchId } from '@core/ids';
import { isLocalDate, type LocalDate } from '@core/time';
import type { Units } from '../device/prefs';
import { beside, noLessThan, noMoreThan, numberIn, typedNumber, unitOf, type Scale } from './typed';

export interface TypedWeather {
  readonly minimum: string;
  readonly maximum: string;
  readonly rain: string;
  readonly dew: string;
  /** Degrees from north; `null` = not said. */
  readonly wind: number | null;
  readonly felt: Felt | null;
}

const FAHRENHEIT: Scale = {
  name: 'degrees',
  toLedger: (typed) => (typed - 32) / 1.8,
  toTyped: (stored) => stored * 1.8 + 32,
};
const CELSIUS: Scale = unitOf(1, 'degrees');
const INCHES = unitOf(25.4, 'inches');
const MILLIMETRES = unitOf(1, 'mm');

/** The highest dew point worth believing: no air on earth is moister. */
const DEW_POINT = (notedDay.extract('dewPointC') as Joi.NumberSchema).max(40);

/** What the day's form holds, in the grower's units; read to a tenth of a degree and of a millimetre. */
export function weatherForm(units: Units): Joi.ObjectSchema {
  const read = (
    field: Exclude<ColumnUse, 'date'>,
    what: string,
    part: Joi.Schema = notedDay.extract(field),
  ) => typedNumber(part, what, { scale: scaleOf(field, units), digits: 1 });
  return Joi.object({
    minimum: someSaid(read('minC', 'the coldest')),
    maximum: noLessThan(read('maxC', 'the warmest'), 'minimum', 'The warmest lies below the coldest'),
    rain: read('rainMm', 'the rain'),
    dew: noMoreThan(
      read('dewPointC', 'the dew point', DEW_POINT),
      'maximum',
      'The dew point lies above the warmest',
    ),
  });
}

/** A day about which nothing is said is no entry. */
const someSaid = (part: Joi.Schema) =>
  part.custom((value: number | null, helpers) => {
    const blank = (each: unknown) => each === null || each === '';
    return value === null && Object.values(beside(helpers)).every(blank)
      ? helpers.message({ custom: 'Give at least one of these, or how it felt' })
      : value;
  });

/** A day as its form gave it. */
export interface ReadWeather extends Pick<TypedWeather, 'wind' | 'felt'> {
  readonly minimum: number | null;
  readonly maximum: number | null;
  readonly rain: number | null;
  readonly dew: number | null;
}

export const weatherDay = (
  date: LocalDate,
  { minimum, maximum, rain, dew, felt, wind }: ReadWeather,
): NotedDay => ({
  date,
  minC: minimum,
  maxC: maximum,
  rainMm: rain,
  dewPointC: dew,
  felt,
  ...(wind === null ? {} : { windFromDeg: wind }),
});

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

const scaleOf = (use: ColumnUse, units: Units): Scale =>
  use === 'rainMm' ? (units === 'us' ? INCHES : MILLIMETRES) : units === 'us' ? FAHRENHEIT : CELSIUS;

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
      const none = text.trim() === '' || /^(na|nan|null|-+)$/i.test(text.trim());
      const value = none ? null : scaleOf(use, units).toLedger(numberIn(text));
      if (value !== null && !Number.isFinite(value))
        bad ??= `${table.header[columns[use] as number] ?? use}: "${text}" is not a number`;
      values[use] = value === null ? null : Math.round(value * 10) / 10;
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
