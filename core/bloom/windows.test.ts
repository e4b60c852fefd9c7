import fc from 'fast-check';
import { cropOf, CROP_IDS } from '../crops';
import type { WeatherDay } from '../sky';
import { walkOrder } from '../patch';
import { TestGarden, TEST_PLACE } from '../testGarden';
import { addDays } from '../time';
import {
  eveningOf,
  gardenDay,
  keepingHours,
  morningOf,
  morningOver,
  openWindow,
  roundDateOf,
  weatherShift,
  weatherWarnings,
  windowNow,
} from '.';

const DATE = '2026-07-14';
const MINUTE = 60_000;
const squash = cropOf('squash-maxima');
const day = (more: Partial<WeatherDay> = {}): WeatherDay => ({
  date: DATE,
  minC: 16,
  maxC: 26,
  meanC: 21,
  spreadC: 1,
  rainMm: 0,
  dewPointC: null,
  cloudPct: 30,
  windFromDeg: null,
  source: 'station',
  ...more,
});
const kinds = (crops: readonly string[], each: WeatherDay, before: WeatherDay[] = []) =>
  weatherWarnings(
    crops.map((id) => cropOf(id as never)),
    each,
    before,
  ).map(({ kind }) => kind);

describe('open windows', () => {
  test('heat shuts sooner, cool cloud later, a cold night opens later; an unknown day moves nothing', () => {
    expect(weatherShift(squash, day({ maxC: 36 })).closesMin).toBe(-72);
    expect(weatherShift(squash, day({ maxC: 20, cloudPct: 100 })).closesMin).toBe(90);
    expect(weatherShift(squash, day({ minC: 8 })).opensMin).toBe(30);
    expect(weatherShift(squash, day({ source: 'climate', maxC: 40 }))).toEqual({ opensMin: 0, closesMin: 0 });
    expect(weatherShift(cropOf('bottle-gourd'), day({ maxC: 40 }))).toEqual({ opensMin: 0, closesMin: 0 });
  });

  test('cold or rain keeps the insects away', () => {
    const { state, place } = new TestGarden();
    const at = (more: Partial<WeatherDay>) => morningOf(state, place, DATE, () => day(more)).day.insectsFrom;
    expect(at({ minC: 9 }) - at({})).toBe(20 * MINUTE);
    expect(at({ rainMm: 4 }) - at({})).toBe(45 * MINUTE);
  });

  test('are learnt from notes, drawn towards the plain clock; a slip of the clock teaches nothing', () => {
    const garden = new TestGarden();
    const { stand } = garden.plant('squash-maxima', 'Slate Dome', 1);
    const plain = openWindow(squash, gardenDay(TEST_PLACE, DATE));
    const window = () => morningOf(garden.state, TEST_PLACE, DATE).window(squash);
    expect(window()).toEqual(plain);
    for (const date of ['2026-07-10', '2026-07-11', '2026-07-12']) {
      const usual = openWindow(squash, gardenDay(TEST_PLACE, date));
      garden.write(usual.opens + 25 * MINUTE, { kind: 'clockNoted', stand, what: 'opened' });
      garden.write(usual.closes - 50 * MINUTE, { kind: 'clockNoted', stand, what: 'shut' });
    }
    expect((window().opens - plain.opens) / MINUTE).toBeCloseTo((3 * 25) / 5, 6);
    expect((window().closes - plain.closes) / MINUTE).toBeCloseTo((3 * -50) / 5, 6);
    garden.write(garden.time('2026-07-13', 23), { kind: 'clockNoted', stand, what: 'opened' });
    expect((window().opens - plain.opens) / MINUTE).toBeCloseTo(15, 6);
    // Melons are another crop: nothing was noted of them.
    const melon = cropOf('melon');
    expect(morningOf(garden.state, TEST_PLACE, DATE).window(melon)).toEqual(
      openWindow(melon, gardenDay(TEST_PLACE, DATE)),
    );
  });

  test('are narrower with notes and weather than without', () => {
    const garden = new TestGarden();
    const { stand } = garden.plant('squash-maxima', 'Slate Dome', 1);
    const blind = morningOf(garden.state, TEST_PLACE, DATE).spreadMin;
    const measured = morningOf(garden.state, TEST_PLACE, DATE, () => day()).spreadMin;
    garden.write(garden.time('2026-07-12', 5), { kind: 'clockNoted', stand, what: 'opened' });
    garden.write(garden.time('2026-07-13', 5), { kind: 'clockNoted', stand, what: 'opened' });
    expect(measured).toBeLessThan(blind);
    expect(morningOf(garden.state, TEST_PLACE, DATE, () => day()).spreadMin).toBeLessThan(measured);
  });

  test('whatever the weather, every crop’s flowers open before they close, anywhere on earth', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CROP_IDS),
        fc.double({ min: -89, max: 89, noNaN: true }),
        fc.integer({ min: -40, max: 50 }),
        fc.integer({ min: 0, max: 30 }),
        fc.integer({ min: 0, max: 100 }),
        (id, latitude, minC, range, cloudPct) => {
          const { state } = new TestGarden();
          const place = { ...TEST_PLACE, latitude };
          const weather = day({ minC, maxC: minC + range, cloudPct });
          const { opens, closes } = morningOf(state, place, DATE, () => weather).window(cropOf(id));
          expect(closes - opens).toBeGreaterThanOrEqual(45 * MINUTE);
        },
      ),
      { seed: 9, numRuns: 120 },
    );
  });
});

test('over the change to summer time the window keeps to the sun, not to the clock', () => {
  // Europe/Ljubljana goes from 02:00 to 03:00 on 29 March 2026: sunrise comes a minute or two sooner, the clock an hour later.
  const before = gardenDay(TEST_PLACE, '2026-03-28');
  const after = gardenDay(TEST_PLACE, '2026-03-29');
  const apart = (after.sunrise - before.sunrise) / MINUTE;
  expect(apart).toBeGreaterThan(24 * 60 - 4);
  expect(apart).toBeLessThan(24 * 60);
  expect(openWindow(squash, after).opens - openWindow(squash, before).opens).toBe(
    after.sunrise - before.sunrise,
  );
});

describe('garden days go by the garden’s clock', () => {
  // Europe/Ljubljana: 29 March 2026 has 23 hours, 25 October 25.
  test.each(['2026-03-28', '2026-03-29', '2026-07-10', '2026-10-24', '2026-10-25'])(
    'shut on the evening of %s it is worked the next morning; shut before noon the same day',
    (date) => {
      const garden = new TestGarden(TEST_PLACE, '2026-03-01');
      const { plants } = garden.plant('squash-maxima', 'Slate Dome', 1);
      const roundOf = (hour: number, minute: number) => {
        const flower = garden.see(garden.time(date, hour, minute), plants[0] as never, 'female', 'coloured');
        garden.write(garden.time(date, hour, minute), { kind: 'flowerShut', flower, closure: 'tape' });
        return roundDateOf(garden.state.flowers.get(flower) as never, squash, TEST_PLACE.zone);
      };
      for (const [hour, minute] of [
        [12, 0],
        [12, 30],
        [19, 0],
        [23, 59],
      ] as const)
        expect(roundOf(hour, minute)).toBe(addDays(date, 1));
      for (const [hour, minute] of [
        [0, 10],
        [6, 0],
        [11, 59],
      ] as const)
        expect(roundOf(hour, minute)).toBe(date);
    },
  );

  // America/Santiago goes back an hour at the end of 4 April 2026: from noon on, twelve hours later is still the same day.
  test('also where the clock goes back at midnight', () => {
    const place = { name: 'South', latitude: -35, longitude: -71, zone: 'America/Santiago' };
    const garden = new TestGarden(place, '2026-01-10');
    const { plants } = garden.plant('squash-maxima', 'Slate Dome', 1);
    const flower = garden.see(garden.time('2026-04-04', 12, 10), plants[0] as never, 'female', 'coloured');
    garden.write(garden.time('2026-04-04', 12, 30), { kind: 'flowerShut', flower, closure: 'tape' });
    expect(roundDateOf(garden.state.flowers.get(flower) as never, squash, place.zone)).toBe('2026-04-05');
  });

  test('a night belongs to the evening before, however many hours it has', () => {
    const garden = new TestGarden();
    const zone = TEST_PLACE.zone;
    for (const date of ['2026-03-29', '2026-10-25', '2026-07-10']) {
      expect(eveningOf(garden.time(date, 11, 59), zone)).toBe(addDays(date, -1));
      expect(eveningOf(garden.time(date, 12, 0), zone)).toBe(date);
    }
  });
});

test('whether the morning is over is asked in one place: of the last flowers that open at dawn', () => {
  const garden = new TestGarden();
  garden.plant('squash-maxima', 'Slate Dome', 1);
  garden.plant('tomato', 'Lock Keeper', 1, { reason: 'fruit' });
  const morning = morningOf(garden.state, TEST_PLACE, DATE);
  const crops = keepingHours(walkOrder(garden.state)).map(({ crop }) => crop);
  expect(crops).toEqual([squash]);
  const { opens, closes } = morning.window(squash);
  expect([opens - 1, opens, closes - 1, closes].map((now) => windowNow({ opens, closes }, now))).toEqual([
    'before',
    'open',
    'open',
    'over',
  ]);
  for (const now of [closes - 1, closes]) expect(morningOver(morning, crops, now)).toBe(now >= closes);
  const noon = morning.day.sunrise + 6 * 60 * MINUTE;
  for (const crop of [[], [cropOf('bottle-gourd')]]) {
    expect(morningOver(morning, crop, noon - 1)).toBe(false);
    expect(morningOver(morning, crop, noon)).toBe(true);
  }
});

describe('warnings', () => {
  test('rain all morning, early heat, and people in it', () => {
    expect(kinds(['squash-maxima'], day({ rainMm: 12 }))).toEqual(['rain']);
    expect(kinds(['squash-maxima'], day({ maxC: 33 }))).toEqual(['early-heat']);
    expect(kinds(['corn'], day({ maxC: 35, dewPointC: 24 }))).toEqual(['people']);
    expect(kinds(['squash-maxima', 'tomato'], day({ source: 'climate', maxC: 45, rainMm: 50 }))).toEqual([]);
  });

  test('tomatoes: days over 32 and nights over 21 in a row, dew points of 19 in a row; one day is not days', () => {
    const hot = day({ minC: 22, maxC: 33, dewPointC: 12 });
    const moist = day({ dewPointC: 19 });
    expect(kinds(['tomato'], hot)).not.toContain('hot-nights');
    const before = (each: WeatherDay, days = 1) => ({ ...each, date: addDays(DATE, -days) });
    expect(kinds(['tomato'], hot, [before(hot)])).toContain('hot-nights');
    expect(kinds(['tomato'], day({ minC: 20, maxC: 33, dewPointC: 12 }), [before(hot)])).not.toContain(
      'hot-nights',
    );
    expect(kinds(['tomato'], moist, [before(moist)])).toContain('moist-air');
    expect(kinds(['tomato'], moist, [before(day({ dewPointC: 18 }))])).not.toContain('moist-air');
    expect(kinds(['squash-maxima'], hot, [before(hot)])).not.toContain('hot-nights');
    // A day that is missing, or that nobody knows, lies between: these are no days on end.
    expect(kinds(['tomato'], hot, [before(hot, 2)])).not.toContain('hot-nights');
    expect(
      kinds(['tomato'], hot, [before(hot, 2), before(day({ source: 'climate', maxC: 40, minC: 25 }))]),
    ).not.toContain('hot-nights');
  });
});
