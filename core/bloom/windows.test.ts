import fc from 'fast-check';
import { DateTime } from 'luxon';
import { cropOf, ROUND_CROP_IDS } from '../crops';
import type { WeatherDay } from '../sky';
import { walkOrder } from '../patch';
import { TestGarden, TEST_PLACE } from '../testGarden';
import { addDays } from '../time';
import {
  clockDoubt,
  eveningOf,
  gardenDay,
  keepingHours,
  bloomDayOf,
  morningOver,
  openWindow,
  roundDateOf,
  warmFrom,
  weatherShift,
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
describe('open windows', () => {
  // Which way: common practice.
  test('heat shuts sooner, cool cloud later, a cold night opens later; an unknown day moves nothing', () => {
    expect(weatherShift(squash, day({ maxC: 36 })).closesMin).toBeLessThan(0);
    expect(weatherShift(squash, day({ maxC: 20, cloudPct: 100 })).closesMin).toBeGreaterThan(0);
    expect(weatherShift(squash, day({ minC: 8 })).opensMin).toBeGreaterThan(0);
    expect(weatherShift(squash, day({ source: 'climate', maxC: 40 }))).toEqual({ opensMin: 0, closesMin: 0 });
    expect(weatherShift(cropOf('bottle-gourd'), day({ maxC: 40 }))).toEqual({ opensMin: 0, closesMin: 0 });
  });

  const insectsAt = (more: Partial<WeatherDay>) => {
    const { state, place } = new TestGarden();
    return bloomDayOf(state, place, DATE, () => day(more)).day.insectsFrom;
  };
  // Common practice, too.
  test('cold or rain keeps the insects away', () => {
    expect(insectsAt({ minC: 9 })).toBeGreaterThan(insectsAt({}));
    expect(insectsAt({ rainMm: 4 })).toBeGreaterThan(insectsAt({}));
  });

  test('regression: by how many minutes, as we chose them', () => {
    expect(weatherShift(squash, day({ maxC: 36 })).closesMin).toBe(-72);
    expect(weatherShift(squash, day({ maxC: 20, cloudPct: 100 })).closesMin).toBe(90);
    expect(weatherShift(squash, day({ minC: 8 })).opensMin).toBe(30);
    expect(insectsAt({ minC: 9 }) - insectsAt({})).toBe(20 * MINUTE);
    expect(insectsAt({ rainMm: 4 }) - insectsAt({})).toBe(45 * MINUTE);
  });

  test('are learnt from notes, drawn towards the plain clock; one far off is asked about and moves it no further than 2.5 hours', () => {
    const garden = new TestGarden();
    const { stand } = garden.plant('squash-maxima', 'Slate Dome', 1);
    const plain = openWindow(squash, gardenDay(TEST_PLACE, DATE));
    const window = () => bloomDayOf(garden.state, TEST_PLACE, DATE).window(squash);
    expect(window()).toEqual(plain);
    for (const date of ['2026-07-10', '2026-07-11', '2026-07-12']) {
      const usual = openWindow(squash, gardenDay(TEST_PLACE, date));
      garden.write(usual.opens + 25 * MINUTE, { kind: 'clockNoted', stand, what: 'opened' });
      garden.write(usual.closes - 50 * MINUTE, { kind: 'clockNoted', stand, what: 'shut' });
    }
    expect((window().opens - plain.opens) / MINUTE).toBeCloseTo((3 * 25) / 5, 6);
    expect((window().closes - plain.closes) / MINUTE).toBeCloseTo((3 * -50) / 5, 6);
    const late = garden.time('2026-07-13', 11);
    const doubt = (now: number) => clockDoubt(garden.state, TEST_PLACE, squash, 'opened', now);
    expect(doubt(late)).toBeGreaterThan(300);
    expect(doubt(plain.opens - 150 * MINUTE)).toBeNull();
    garden.write(late, { kind: 'clockNoted', stand, what: 'opened' });
    expect((window().opens - plain.opens) / MINUTE).toBeCloseTo((3 * 25 + 150) / 6, 6);
    // Melons are another crop: nothing was noted of them.
    const melon = cropOf('melon');
    expect(bloomDayOf(garden.state, TEST_PLACE, DATE).window(melon)).toEqual(
      openWindow(melon, gardenDay(TEST_PLACE, DATE)),
    );
  });

  test('are narrower with notes and weather than without', () => {
    const garden = new TestGarden();
    const { stand } = garden.plant('squash-maxima', 'Slate Dome', 1);
    const blind = bloomDayOf(garden.state, TEST_PLACE, DATE).spreadMin;
    const measured = bloomDayOf(garden.state, TEST_PLACE, DATE, () => day()).spreadMin;
    garden.write(garden.time('2026-07-12', 5), { kind: 'clockNoted', stand, what: 'opened' });
    garden.write(garden.time('2026-07-13', 5), { kind: 'clockNoted', stand, what: 'opened' });
    expect(measured).toBeLessThan(blind);
    expect(bloomDayOf(garden.state, TEST_PLACE, DATE, () => day()).spreadMin).toBeLessThan(measured);
  });

  test('whatever the weather, every crop’s flowers open before they close, anywhere on earth', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...ROUND_CROP_IDS),
        fc.double({ min: -89, max: 89, noNaN: true }),
        fc.integer({ min: -40, max: 50 }),
        fc.integer({ min: 0, max: 30 }),
        fc.integer({ min: 0, max: 100 }),
        (id, latitude, minC, range, cloudPct) => {
          const { state } = new TestGarden();
          const place = { ...TEST_PLACE, latitude };
          const weather = day({ minC, maxC: minC + range, cloudPct });
          const { opens, closes } = bloomDayOf(state, place, DATE, () => weather).window(cropOf(id));
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

const clock = (time: number, zone: string) => DateTime.fromMillis(time, { zone }).toFormat('HH:mm');

test('a morning ends before solar noon, however early the sun rises; best comes before shut', () => {
  const north = { name: 'North', latitude: 60.2, longitude: 24.9, zone: 'Europe/Helsinki' };
  const midsummer = gardenDay(north, '2026-06-21');
  const { bestUntil, closes } = openWindow(squash, midsummer);
  expect(clock(midsummer.sunrise, north.zone) < '04:00').toBe(true);
  // Solar noon is at about 13:22 there: three hours before it.
  expect(clock(closes, north.zone)).toMatch(/^10:2/);
  expect(midsummer.solarNoon - closes).toBe(180 * MINUTE);
  expect(bestUntil).toBeLessThan(closes);
  // At the equator day and clock agree: about nine, three hours before noon.
  const equator = { name: 'Equator', latitude: 0, longitude: 0, zone: 'UTC' };
  expect(clock(openWindow(squash, gardenDay(equator, '2026-03-20')).closes, 'UTC')).toMatch(/^09:0/);
  for (const id of ROUND_CROP_IDS) {
    const window = openWindow(cropOf(id), midsummer);
    expect(window.bestUntil).toBeLessThanOrEqual(window.closes);
    expect(window.bestUntil).toBeGreaterThan(window.opens);
  }
  // A melon stands open into the afternoon, and takes best before about noon.
  const melon = openWindow(cropOf('melon'), gardenDay(TEST_PLACE, DATE));
  expect(clock(melon.bestUntil, TEST_PLACE.zone)).toMatch(/^12:0/);
  expect(clock(melon.closes, TEST_PLACE.zone)).toMatch(/^15:3/);
});

describe('where the sun does not set', () => {
  const far = { name: 'Far north', latitude: 70, longitude: 23, zone: 'Europe/Oslo' };
  const june = gardenDay(far, '2026-06-21');

  test('the day hangs on solar noon', () => {
    expect(june.fromSun).toBe(false);
    expect(june.solarNoon - june.sunrise).toBe(8 * 60 * MINUTE);
    expect(june.sunset - june.solarNoon).toBe(8 * 60 * MINUTE);
    expect(june.firstLight).toBeLessThan(june.sunrise);
    const { opens, closes } = openWindow(squash, june);
    expect(closes).toBe(june.solarNoon - 180 * MINUTE);
    expect(closes - opens).toBeGreaterThan(4 * 60 * MINUTE);
    // December has no sunrise either.
    expect(gardenDay(far, '2026-12-21').solarNoon).toBeGreaterThan(gardenDay(far, '2026-12-21').sunrise);
  });

  test('insects wait for warmth, not for a sunrise', () => {
    const { state } = new TestGarden(far);
    const from = (weather: WeatherDay | null) =>
      bloomDayOf(state, far, '2026-06-21', () => weather).day.insectsFrom;
    const cool = from(day({ minC: 4, maxC: 16 }));
    const warm = from(day({ minC: 10, maxC: 22 }));
    expect(warm).toBeLessThan(cool);
    expect(from(day({ minC: 14, maxC: 22 }))).toBe(june.firstLight);
    expect(from(day({ minC: 1, maxC: 9 }))).toBe(june.solarNoon);
    expect(from(null)).toBe(june.sunrise + 60 * MINUTE);
  });
});

test.each(['2026-03-28', '2026-10-24'])('the nights of the clock change after %s keep to the sun', (date) => {
  const [before, after] = [gardenDay(TEST_PLACE, date), gardenDay(TEST_PLACE, addDays(date, 1))];
  expect(Math.abs(after.solarNoon - before.solarNoon - 24 * 60 * MINUTE)).toBeLessThan(MINUTE);
  expect(before.nextSunrise).toBe(after.sunrise);
  for (const id of ['squash-pepo', 'bottle-gourd'] as const) {
    const length = (of: typeof before) =>
      openWindow(cropOf(id), of).closes - openWindow(cropOf(id), of).opens;
    expect(Math.abs(length(after) - length(before))).toBeLessThan(4 * MINUTE);
  }
});

test('which insects come first is the patch’s to say', () => {
  const from = (insects?: string) => {
    const garden = new TestGarden();
    if (insects) garden.school('insects', insects);
    return bloomDayOf(garden.state, TEST_PLACE, DATE).day;
  };
  const plain = from();
  expect(plain.insectsFrom).toBe(plain.sunrise + 60 * MINUTE);
  expect(from('bumblebees').insectsFrom).toBe(plain.firstLight);
  expect(from('squash-bees').insectsFrom).toBe(plain.firstLight - 30 * MINUTE);
});

test('on a cold morning anthers open later than flowers, by crop; a warm or unknown one says nothing', () => {
  const { state } = new TestGarden();
  const pollen = (id: Parameters<typeof cropOf>[0], weather: WeatherDay | null) =>
    bloomDayOf(state, TEST_PLACE, DATE, () => weather).pollen(cropOf(id));
  const cold = day({ minC: 8, maxC: 24 });
  const { sunrise, solarNoon } = gardenDay(TEST_PLACE, DATE);
  const times = (['squash-pepo', 'cucumber', 'melon'] as const).map((id) => pollen(id, cold)?.from ?? 0);
  expect(times).toEqual([...times].sort((a, b) => a - b));
  expect(times[0]).toBeGreaterThan(sunrise);
  expect(times[2]).toBeLessThan(solarNoon + 2 * 60 * MINUTE);
  // Half way up in temperature is half way in time: 16 C lies in the middle of 8 and 24.
  expect(warmFrom(cold, gardenDay(TEST_PLACE, DATE), 16)).toBeCloseTo(
    sunrise + (solarNoon + 120 * MINUTE - sunrise) / 2,
    -1,
  );
  expect(pollen('melon', day({ minC: 5, maxC: 15 }))).toEqual({ limitC: 18, from: null });
  expect(pollen('melon', day({ minC: 18 }))).toBeNull();
  expect(pollen('melon', null)).toBeNull();
  expect(pollen('melon', day({ minC: 5, source: 'climate' }))).toBeNull();
  expect(pollen('bottle-gourd', cold)).toBeNull();
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
  const morning = bloomDayOf(garden.state, TEST_PLACE, DATE);
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
