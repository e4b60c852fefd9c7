import fc from 'fast-check';
import { addDays, daysBetween } from '../time';
import { warmDaysAfter } from './firstFlowers';

const place = (latitude: number) => ({ name: 'Here', latitude, longitude: 14, zone: 'Europe/Ljubljana' });
const days = fc.integer({ min: 0, max: 364 }).map((n) => addDays('2026-01-01', n));
const noted = (minC: number, maxC: number) =>
  Object.fromEntries(
    Array.from({ length: 200 }, (_, i) => [
      addDays('2026-05-01', i),
      { minC, maxC, rainMm: null, dewPointC: null, felt: null, windFromDeg: null, origin: 'hand' as const },
    ]),
  ) as never;

test('what is planted later never flowers before what was planted earlier', () => {
  fc.assert(
    fc.property(
      days,
      fc.integer({ min: 0, max: 60 }),
      fc.integer({ min: 20, max: 100 }),
      (day, later, usual) => {
        const here = { place: place(46), weather: {} };
        expect(warmDaysAfter(here, addDays(day, later), usual) >= warmDaysAfter(here, day, usual)).toBe(true);
      },
    ),
  );
});

test('never sooner than three quarters of the usual days, nor later than half as long again', () => {
  fc.assert(
    fc.property(
      days,
      fc.integer({ min: 20, max: 100 }),
      fc.integer({ min: -60, max: 60 }),
      (day, usual, latitude) => {
        const took = daysBetween(day, warmDaysAfter({ place: place(latitude), weather: {} }, day, usual));
        expect(took).toBeGreaterThanOrEqual(Math.round(usual * 0.75));
        expect(took).toBeLessThanOrEqual(Math.round(usual * 1.5));
      },
    ),
  );
});

test('a warm season brings the flowers sooner than a cold one, and days of 20 C take as long as they say', () => {
  const after = (minC: number, maxC: number) =>
    warmDaysAfter({ place: place(46), weather: noted(minC, maxC) }, '2026-05-01', 60);
  expect(after(14, 26)).toBe(addDays('2026-05-01', 60));
  expect(after(18, 30) < after(14, 26)).toBe(true);
  expect(after(8, 20) > after(14, 26)).toBe(true);
});

test('without a place the days are counted as they are', () => {
  expect(warmDaysAfter({ place: null, weather: {} }, '2026-05-01', 40)).toBe(addDays('2026-05-01', 40));
});
