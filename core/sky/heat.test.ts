import type { WeatherDay } from '.';
import { heatCare, heatIndex, humidityFromDewPoint } from '.';

const day = (maxC: number, dewPointC: number | null): WeatherDay => ({
  date: '2026-07-14',
  minC: 15,
  maxC,
  meanC: (15 + maxC) / 2,
  spreadC: 1,
  rainMm: null,
  dewPointC,
  cloudPct: null,
  windFromDeg: null,
  source: 'station',
});

// Bands of the US National Weather Service's heat index, from memory: caution from 27 C, extreme caution from 32, danger from 41.
test.each([
  [24, 10, null],
  [30, 18, 'caution'],
  [34, 22, 'extreme-caution'],
  [40, 26, 'danger'],
] as const)('%d C with a dew point of %d C: %s', (maxC, dewPointC, care) => {
  expect(heatCare(day(maxC, dewPointC))?.care ?? null).toBe(care);
});

test('feels like what the heat index says; without a dew point the night’s coldest stands for it', () => {
  const feels = heatCare(day(34, 22))?.feelsC ?? 0;
  expect(feels).toBeCloseTo(heatIndex(34, humidityFromDewPoint(34, 22)), 9);
  expect(heatCare({ ...day(38, null), minC: 18 })).toEqual(heatCare({ ...day(38, 18), minC: 18 }));
  expect(heatCare({ ...day(24, null), minC: 12 })).toBeNull();
});

test('air that is wetter than can be is taken as full', () => {
  expect(heatCare(day(32, 40))?.feelsC).toBeCloseTo(heatIndex(32, 100), 9);
});
