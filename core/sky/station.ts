import { hashText, seededRandom } from '../random';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';
import { dewPoint, meanDirection } from './air';
import { latitudeDay } from './climate';
import type { Coordinates } from './sunTimes';
import type { StationDay, StationReading, WeatherHour } from './weather';

const HOUR = 3_600_000;
const EPOCH: LocalDate = '2020-01-01';
/** Days back and ahead that a station tells of. */
const BACK_DAYS = 3;
const AHEAD_DAYS = 3;
/** Standard error of a forecast by its lead in days, C [M]. */
const FORECAST_ERROR_C = [0, 1, 1.7, 2.4] as const;

/** Smooth noise about 0 with spread about 1: seeded by name, one value a day, drawn together over neighbouring days. */
function noise(seed: number, name: string, day: number): number {
  const at = (n: number) => {
    const random = seededRandom(hashText(`${seed}/${name}/${n}`));
    return random() + random() + random() - 1.5;
  };
  return (at(day - 2) + 2 * at(day - 1) + 3 * at(day) + 2 * at(day + 1) + at(day + 2)) / 2.2;
}

interface DayTruth {
  readonly minC: number;
  readonly maxC: number;
  readonly cloudPct: number;
  readonly rainMm: number;
  readonly rainFrom: number;
  readonly dryness: number;
  readonly windFromDeg: number;
  readonly windMPerS: number;
}

function truthOf(seed: number, place: Coordinates, date: LocalDate): DayTruth {
  const n = daysBetween(EPOCH, date);
  const usual = latitudeDay(place, date);
  const wet = noise(seed, 'wet', n);
  const cloudPct = Math.round(Math.min(100, Math.max(0, 40 + 45 * wet)));
  const warmth = 3 * noise(seed, 'warmth', n) - (cloudPct - 40) / 25;
  const narrow = (cloudPct - 40) / 30;
  const random = seededRandom(hashText(`${seed}/rain/${n}`));
  const rainMm = wet > 0.75 ? Math.round(120 * (wet - 0.75) * random()) / 10 : 0;
  return {
    minC: usual.minC + warmth + narrow,
    maxC: usual.maxC + warmth - narrow,
    cloudPct,
    rainMm,
    rainFrom: Math.floor(random() * 20),
    dryness: 1.4 + 1.8 * (1 - cloudPct / 100) + random(),
    windFromDeg: (((225 + 60 * noise(seed, 'wind', n)) % 360) + 360) % 360,
    windMPerS: 0.5 + 2.5 * Math.abs(noise(seed, 'speed', n)),
  };
}

function hourOf(truth: (date: LocalDate) => DayTruth, place: Coordinates, at: number): WeatherHour {
  const solar = at + (place.longitude / 15) * HOUR;
  const date = new Date(solar).toISOString().slice(0, 10);
  const hour = (solar % 86_400_000) / HOUR;
  const today = truth(date);
  // Coldest at about five by the sun, warmest at three in the afternoon; nights run into the next day's cold.
  const cold = hour < 15 ? today.minC : truth(addDays(date, 1)).minC;
  const wave =
    hour >= 5 && hour < 15
      ? (1 - Math.cos((Math.PI * (hour - 5)) / 10)) / 2
      : (1 + Math.cos((Math.PI * ((hour + 9) % 24)) / 14)) / 2;
  const before = hour < 5 ? truth(addDays(date, -1)).maxC : today.maxC;
  const temperatureC = cold + (before - cold) * wave;
  const raining = today.rainMm > 0 && hour >= today.rainFrom && hour < today.rainFrom + 4;
  const humidityPct = Math.min(
    100,
    Math.max(20, raining ? 96 : 100 - today.dryness * Math.max(0, temperatureC - today.minC + 1.5)),
  );
  return {
    at,
    temperatureC: Math.round(temperatureC * 10) / 10,
    humidityPct: Math.round(humidityPct),
    rainMm: raining ? Math.round((today.rainMm / 4) * 10) / 10 : 0,
    cloudPct: today.cloudPct,
    windMPerS: Math.round(today.windMPerS * (0.5 + wave) * 10) / 10,
    windFromDeg: Math.round(today.windFromDeg),
  };
}

/**
 * A made-up station near a place: hourly values of the last three days and a forecast of the next three whose error
 * grows with its lead. Seeded: server and app compute the same. It stands where a real station would; it knows
 * nothing of the real weather, and says `simulated`.
 */
export function simulatedStation(
  place: Coordinates & { readonly zone: string },
  now: number,
  seed = 1,
): StationReading {
  const spot = { latitude: place.latitude, longitude: place.longitude };
  const today = localDateOf(now, place.zone);
  // A day's truth serves its 24 hours and its neighbours'.
  const known = new Map<LocalDate, DayTruth>();
  const truth = (date: LocalDate) => {
    let day = known.get(date);
    if (!day) known.set(date, (day = truthOf(seed, spot, date)));
    return day;
  };
  const start = Math.floor((now - BACK_DAYS * 86_400_000) / HOUR) * HOUR;
  const hours: WeatherHour[] = [];
  for (let at = start; at <= now + (AHEAD_DAYS + 1) * 86_400_000; at += HOUR) {
    const hour = hourOf(truth, spot, at);
    const lead = Math.max(0, daysBetween(today, localDateOf(at, place.zone)));
    const off = forecastError(seed, today, lead);
    hours.push({ ...hour, temperatureC: Math.round((hour.temperatureC + off) * 10) / 10 });
  }
  const days: StationDay[] = [];
  for (let lead = -BACK_DAYS; lead <= AHEAD_DAYS; lead++) {
    const date = addDays(today, lead);
    const inDay = hours.filter(({ at }) => localDateOf(at, place.zone) === date);
    if (inDay.length < 12) continue;
    const temperatures = inDay.map(({ temperatureC }) => temperatureC);
    const mean = (of: (hour: WeatherHour) => number) =>
      inDay.reduce((sum, hour) => sum + of(hour), 0) / inDay.length;
    days.push({
      date,
      minC: Math.min(...temperatures),
      maxC: Math.max(...temperatures),
      rainMm: Math.round(inDay.reduce((sum, { rainMm }) => sum + rainMm, 0) * 10) / 10,
      dewPointC:
        Math.round(mean(({ temperatureC, humidityPct }) => dewPoint(temperatureC, humidityPct)) * 10) / 10,
      cloudPct: Math.round(mean(({ cloudPct }) => cloudPct)),
      windFromDeg: Math.round(meanDirection(inDay.map(({ windFromDeg }) => windFromDeg))) % 360,
      leadDays: Math.max(0, lead),
    });
  }
  return { name: 'made-up station', simulated: true, at: now, hours, days };
}

function forecastError(seed: number, issued: LocalDate, lead: number): number {
  const sd = FORECAST_ERROR_C[Math.min(lead, AHEAD_DAYS)] as number;
  const random = seededRandom(hashText(`${seed}/forecast/${issued}/${lead}`));
  return lead === 0 ? 0 : sd * (random() + random() + random() - 1.5) * 2;
}
