import fc from 'fast-check';
import { addDays, localDateOf } from '../time';
import {
  climateDay,
  meanDirection,
  simulatedStation,
  usualFrost,
  weatherOn,
  weatherSeries,
  type Noted,
} from '.';

const PLACE = { latitude: 46.2, longitude: 14.6, zone: 'Europe/Ljubljana' };
const NOW = Date.parse('2026-07-14T03:05:00Z');
const TODAY = '2026-07-14';
const noted = (more: Partial<Noted> = {}): Noted => ({
  minC: null,
  maxC: null,
  rainMm: null,
  dewPointC: null,
  felt: null,
  origin: 'hand',
  ...more,
});

describe('the made-up station', () => {
  const reading = simulatedStation(PLACE, NOW);

  test('says that it is made up, tells three days back and three ahead, hour by hour', () => {
    expect(reading.simulated).toBe(true);
    expect(reading.days.map(({ date }) => date)).toEqual(
      Array.from({ length: 7 }, (_, i) => addDays(TODAY, i - 3)),
    );
    expect(reading.days.map(({ leadDays }) => leadDays)).toEqual([0, 0, 0, 0, 1, 2, 3]);
    const gaps = new Set(reading.hours.slice(1).map(({ at }, i) => at - (reading.hours[i]?.at ?? 0)));
    expect([...gaps]).toEqual([3_600_000]);
  });

  test('is seeded: asked twice it says the same, another seed says something else', () => {
    expect(simulatedStation(PLACE, NOW)).toEqual(reading);
    expect(simulatedStation(PLACE, NOW, 2).days).not.toEqual(reading.days);
  });

  test('what was foretold comes true within an error that grows with the lead', () => {
    const runs = 120;
    const stations = Array.from({ length: runs + 3 }, (_, day) =>
      simulatedStation(PLACE, NOW + day * 86_400_000),
    );
    const errors = [1, 2, 3].map((lead) => {
      let square = 0;
      for (let day = 0; day < runs; day++) {
        const date = addDays(localDateOf(NOW + day * 86_400_000, PLACE.zone), lead);
        const warmest = (when: number) => stations[when]?.days.find((each) => each.date === date)?.maxC ?? 0;
        square += (warmest(day) - warmest(day + lead)) ** 2;
      }
      return Math.sqrt(square / runs);
    });
    const [one, two, three] = errors as [number, number, number];
    expect(one).toBeGreaterThan(0.4);
    expect(two).toBeGreaterThan(one);
    expect(three).toBeGreaterThan(two);
    expect(three).toBeLessThan(5);
  });

  test('stays within what air can do, anywhere and at any time', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -89, max: 89, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.integer({ min: 0, max: 4000 }),
        (latitude, longitude, dayNumber) => {
          const place = { latitude, longitude, zone: 'UTC' };
          const { hours, days } = simulatedStation(place, NOW + dayNumber * 86_400_000);
          for (const { humidityPct, cloudPct, rainMm, windFromDeg } of hours) {
            expect(humidityPct).toBeGreaterThanOrEqual(0);
            expect(humidityPct).toBeLessThanOrEqual(100);
            expect(cloudPct).toBeGreaterThanOrEqual(0);
            expect(cloudPct).toBeLessThanOrEqual(100);
            expect(rainMm).toBeGreaterThanOrEqual(0);
            expect(windFromDeg).toBeGreaterThanOrEqual(0);
            expect(windFromDeg).toBeLessThanOrEqual(360);
          }
          for (const { minC, maxC, dewPointC } of days) {
            expect(maxC).toBeGreaterThanOrEqual(minC);
            expect(dewPointC).toBeLessThanOrEqual(maxC);
          }
        },
      ),
      { seed: 3, numRuns: 8 },
    );
  });
});

describe('the weather of a day', () => {
  const station = simulatedStation(PLACE, NOW);

  test('by hand stands over the station, and the source says so', () => {
    const byHand = weatherOn(PLACE, TODAY, { [TODAY]: noted({ minC: 12, maxC: 31 }) }, station);
    expect(byHand).toMatchObject({ minC: 12, maxC: 31, source: 'hand', spreadC: 1 });
    expect(weatherOn(PLACE, TODAY, {}, station).source).toBe('station');
    expect(weatherOn(PLACE, addDays(TODAY, 2), {}, station)).toMatchObject({
      source: 'forecast',
      spreadC: 2.5,
    });
    expect(weatherOn(PLACE, TODAY, {}, null)).toMatchObject({ source: 'climate', spreadC: 6, rainMm: null });
  });

  test('one extreme alone moves the other along; a word moves the usual day', () => {
    const usual = climateDay(PLACE, TODAY);
    const warm = weatherOn(PLACE, TODAY, { [TODAY]: noted({ maxC: usual.maxC + 5 }) }, null);
    expect(warm.minC).toBeCloseTo(usual.minC + 5, 9);
    const hot = weatherOn(PLACE, TODAY, { [TODAY]: noted({ felt: 'hot' }) }, null);
    expect(hot).toMatchObject({ source: 'hand', maxC: usual.maxC + 8 });
    // Rain alone says nothing of the warmth.
    expect(weatherOn(PLACE, TODAY, { [TODAY]: noted({ rainMm: 7 }) }, null)).toMatchObject({
      source: 'climate',
      rainMm: 7,
    });
  });

  test('the warmest is never below the coldest, whatever was noted', () => {
    fc.assert(
      fc.property(
        fc.option(fc.integer({ min: -30, max: 40 })),
        fc.option(fc.integer({ min: -30, max: 45 })),
        (minC, maxC) => {
          const day = weatherOn(PLACE, TODAY, { [TODAY]: noted({ minC, maxC }) }, station);
          expect(day.maxC).toBeGreaterThanOrEqual(day.minC);
        },
      ),
      { seed: 5 },
    );
  });

  test('a series has every day once', () => {
    const days = weatherSeries(PLACE, '2026-02-26', 5, {}, null).map(({ date }) => date);
    expect(days).toEqual(['2026-02-26', '2026-02-27', '2026-02-28', '2026-03-01', '2026-03-02']);
  });
});

test('the first frost is guessed as a range from 40 degrees polewards; nearer the equator latitude tells nothing', () => {
  for (const latitude of [0, 20, 35, 39.9, -39.9]) expect(usualFrost({ latitude })).toBeNull();
  expect(usualFrost({ latitude: 46 })).toEqual({
    early: expect.stringMatching(/^(09|10)-/),
    late: expect.stringMatching(/^(10|11)-/),
  });
  expect(usualFrost({ latitude: -46 })?.early).toMatch(/^0[345]-/);
  // Inland at 45 to 50 degrees it may come from early or mid September on; at a coast weeks after mid October (general texts, from memory).
  for (const latitude of [45, 47.5, 50]) {
    expect(usualFrost({ latitude })?.early).toMatch(/^09-(0|1)/);
    expect((usualFrost({ latitude })?.late ?? '') > '10-15').toBe(true);
  }
  for (const latitude of [40, 46, 52, 60]) {
    const frost = usualFrost({ latitude });
    expect((frost?.early ?? '') < (frost?.late ?? '')).toBe(true);
  }
});

// Mardia & Jupp, Directional Statistics (2000), the roulette wheel (from memory): 43, 45, 52, 61, 75, 88, 88, 279, 357 degrees have the mean direction 51.
test('a mean of directions goes round the compass', () => {
  expect(meanDirection([43, 45, 52, 61, 75, 88, 88, 279, 357])).toBeCloseTo(51, 0);
  expect(Math.round(meanDirection([350, 10])) % 360).toBe(0);
  expect(meanDirection([80, 100])).toBeCloseTo(90, 9);
  expect(meanDirection([0, 180])).toBe(0);
  expect(() => meanDirection([])).toThrow(/direction/);
  const day = simulatedStation(
    { latitude: 46.2, longitude: 14.6, zone: 'Europe/Ljubljana' },
    Date.UTC(2026, 6, 14, 12),
  );
  for (const { windFromDeg } of day.days) expect(windFromDeg).toBeLessThan(360);
});
