import { AstroTime, Body, Observer, SearchHourAngle, SearchRiseSet } from 'astronomy-engine';
import { seededRandom } from '../random';
import { addDays } from '../time';
import { sunTimes, type SunTimes } from '.';
import fixtures from './fixtures/sunTimes.json';

const NAMES = ['solarNoon', 'sunrise', 'sunset', 'civilDawn', 'civilDusk'] as const;

describe('reference values (computed with an independent tool; source in the fixture)', () => {
  test.each(fixtures.map((each) => [`${each.input.place} ${each.input.date}`, each] as const))(
    '%s',
    (_name, { input, expected, tolerance }) => {
      const times = sunTimes({ latitude: input.latitude, longitude: input.longitude }, input.date);
      for (const name of NAMES) {
        const wanted = (expected as Record<string, string | null>)[name] ?? null;
        const got = times[name];
        if (wanted === null) expect([name, got]).toEqual([name, null]);
        else
          expect(Math.abs((got?.getTime() ?? Number.NaN) - Date.parse(wanted)) / 1000).toBeLessThanOrEqual(
            tolerance.seconds,
          );
      }
    },
  );
});

/** The same definition by another package: the crossings on either side of the noon nearest local mean noon. */
function byAstronomyEngine(latitude: number, longitude: number, date: string) {
  const observer = new Observer(latitude, longitude, 0);
  const meanNoon = Date.parse(`${date}T12:00:00Z`) - (longitude / 15) * 3_600_000;
  const noon = SearchHourAngle(Body.Sun, observer, 0, new AstroTime(new Date(meanNoon - 3 * 3_600_000))).time
    .date;
  const from = new AstroTime(new Date(noon.getTime() - 12 * 3_600_000));
  const rise = SearchRiseSet(Body.Sun, observer, +1, from, 0.5)?.date ?? null;
  const set = SearchRiseSet(Body.Sun, observer, -1, new AstroTime(noon), 0.5)?.date ?? null;
  return { solarNoon: noon, sunrise: rise, sunset: set };
}

test('sunrise and sunset agree with another package within 90 s, anywhere below 60 degrees', () => {
  const random = seededRandom(2026);
  let worst = 0;
  for (let i = 0; i < 250; i++) {
    const latitude = Math.round((random() * 120 - 60) * 100) / 100;
    const longitude = Math.round((random() * 360 - 180) * 100) / 100;
    const date = addDays('2024-01-01', Math.floor(random() * 1460));
    const ours = sunTimes({ latitude, longitude }, date);
    const theirs = byAstronomyEngine(latitude, longitude, date);
    for (const name of ['solarNoon', 'sunrise', 'sunset'] as const) {
      worst = Math.max(
        worst,
        Math.abs((ours[name]?.getTime() ?? 0) - (theirs[name]?.getTime() ?? Infinity)) / 1000,
      );
    }
  }
  expect(worst).toBeLessThanOrEqual(90);
});

test('the order of a day holds, through both changes of the clock', () => {
  const place = { latitude: 46.2, longitude: 14.6 };
  for (const around of ['2026-03-29', '2026-10-25']) {
    const days = [-1, 0, 1].map((n) => sunTimes(place, addDays(around, n)));
    for (const { civilDawn, sunrise, solarNoon, sunset, civilDusk } of days) {
      const order = [civilDawn, sunrise, solarNoon, sunset, civilDusk].map(
        (each) => each?.getTime() ?? Number.NaN,
      );
      expect([...order].sort((a, b) => a - b)).toEqual(order);
    }
    // The sun knows no summer time: sunrise moves by minutes from day to day, never by an hour.
    const rises = days.map(({ sunrise }: SunTimes) => (sunrise?.getTime() ?? 0) % 86_400_000);
    expect(Math.abs((rises[1] ?? 0) - (rises[0] ?? 0))).toBeLessThan(4 * 60_000);
  }
});

test.each([
  [{ latitude: 91, longitude: 0 }, '2026-07-14', 'latitude'],
  [{ latitude: Number.NaN, longitude: 0 }, '2026-07-14', 'latitude'],
  [{ latitude: 0, longitude: 200 }, '2026-07-14', 'longitude'],
  [{ latitude: 0, longitude: 0 }, '2026-02-30', 'date'],
])('%p on %s is refused by name', (place, date, field) => {
  expect(() => sunTimes(place, date)).toThrow(expect.objectContaining({ field }));
});
