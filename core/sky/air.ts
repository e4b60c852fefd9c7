import { TrowelError } from '../errors';

// Magnus form over water: Alduchov & Eskridge 1996, from memory.
const A = 17.625;
const B_C = 243.04;
const E0_HPA = 6.1094;

function finite(value: number, field: 'temperatureC' | 'dewPointC'): number {
  if (Number.isFinite(value)) return value;
  throw new TrowelError(field, `${field} must be a number, not ${value}.`, { field });
}

function checkHumidity(relativeHumidityPct: number, least = 0): number {
  if (relativeHumidityPct >= least && relativeHumidityPct <= 100) return relativeHumidityPct;
  throw new TrowelError(
    'relativeHumidityPct',
    `Relative humidity lies between 0 and 100 %, not ${relativeHumidityPct}.`,
    { field: 'relativeHumidityPct' },
  );
}

/** Saturation vapour pressure over water, kPa (Alduchov & Eskridge 1996). */
function saturationKPa(temperatureC: number): number {
  return (E0_HPA * Math.exp((A * temperatureC) / (B_C + temperatureC))) / 10;
}

/**
 * Dew point in C from air temperature (C) and relative humidity (%, above 0 to 100), Magnus form of Alduchov &
 * Eskridge 1996. Throws `temperatureC` or `relativeHumidityPct`.
 * @example dewPoint(25, 60) // 16.7
 */
export function dewPoint(temperatureC: number, relativeHumidityPct: number): number {
  finite(temperatureC, 'temperatureC');
  checkHumidity(relativeHumidityPct, Number.MIN_VALUE);
  const gamma = Math.log(relativeHumidityPct / 100) + (A * temperatureC) / (B_C + temperatureC);
  return (B_C * gamma) / (A - gamma);
}

/**
 * Relative humidity in % from air temperature and dew point, both C; the inverse of `dewPoint`. Throws by field.
 * @example humidityFromDewPoint(25, 16.7) // 60.0
 */
export function humidityFromDewPoint(temperatureC: number, dewPointC: number): number {
  return (
    (100 * saturationKPa(finite(dewPointC, 'dewPointC'))) /
    saturationKPa(finite(temperatureC, 'temperatureC'))
  );
}

/**
 * Vapour pressure deficit in kPa: how much more water the air could hold. Throws as `dewPoint`.
 * @example vapourPressureDeficit(25, 60) // 1.26
 */
export function vapourPressureDeficit(temperatureC: number, relativeHumidityPct: number): number {
  return saturationKPa(finite(temperatureC, 'temperatureC')) * (1 - checkHumidity(relativeHumidityPct) / 100);
}

/**
 * Heat index in C: how hot the air feels in the shade. The algorithm of the US National Weather Service (Rothfusz
 * 1990 regression with its two adjustments, Steadman's simple form below 80 F). Sun adds up to 8 C. Throws by field.
 * @example heatIndex(35, 50) // 40.7
 */
export function heatIndex(temperatureC: number, relativeHumidityPct: number): number {
  const t = (finite(temperatureC, 'temperatureC') * 9) / 5 + 32;
  const r = checkHumidity(relativeHumidityPct);
  const simple = (0.5 * (t + 61 + (t - 68) * 1.2 + r * 0.094) + t) / 2;
  return ((simple < 80 ? simple : rothfusz(t, r)) - 32) / 1.8;
}

/**
 * The mean of compass directions in degrees, as the direction of their summed unit vectors: of 350 and 10 that is 0. Calm opposites
 * that cancel out give the first of them. Mardia & Jupp, Directional Statistics, 2000. Throws `directions` without any.
 * @example meanDirection([350, 10]) // 0
 */
export function meanDirection(degrees: readonly number[]): number {
  const first = degrees[0];
  if (first === undefined)
    throw new TrowelError('directions', 'There is no direction to take a mean of.', { field: 'directions' });
  const sum = (of: (radians: number) => number) =>
    degrees.reduce((total, each) => total + of((each * Math.PI) / 180), 0);
  const [north, east] = [sum(Math.cos), sum(Math.sin)];
  if (Math.hypot(north, east) < 1e-9) return first;
  return ((((Math.atan2(east, north) * 180) / Math.PI) % 360) + 360) % 360;
}

function rothfusz(t: number, r: number): number {
  const index =
    -42.379 +
    2.04901523 * t +
    10.14333127 * r -
    0.22475541 * t * r -
    6.83783e-3 * t * t -
    5.481717e-2 * r * r +
    1.22874e-3 * t * t * r +
    8.5282e-4 * t * r * r -
    1.99e-6 * t * t * r * r;
  if (r < 13 && t >= 80 && t <= 112) return index - ((13 - r) / 4) * Math.sqrt((17 - Math.abs(t - 95)) / 17);
  if (r > 85 && t >= 80 && t <= 87) return index + ((r - 85) / 10) * ((87 - t) / 5);
  return index;
}
