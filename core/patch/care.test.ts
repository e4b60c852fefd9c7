import fc from 'fast-check';
import type { Stand } from '../ledger';
import { TestGarden } from '../testGarden';
import { addDays, localDateOf } from '../time';
import { keptOut, sprayWait } from './care';

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

interface Said {
  readonly day: number;
  readonly reentryHours: number | null;
  readonly daysToHarvest: number | null;
}

function sprayed(sprays: readonly Said[], care: 'sprayed' | 'watered' = 'sprayed') {
  const garden = new TestGarden();
  const { stand } = garden.plant('squash-pepo', 'Long Halyard', 1);
  const start = garden.time('2026-07-01', 8);
  for (const { day, ...said } of sprays)
    garden.write(start + day * DAY, { kind: 'careGiven', stand, care, product: 'soap', ...said });
  const at = (days: number) =>
    sprayWait(garden.state.stands.get(stand) as Stand, start + days * DAY, garden.place.zone);
  return { at, zone: garden.place.zone, start };
}

test('a spray is waited for as long as its label says: out for two days, nothing eaten for a week', () => {
  const { at, start } = sprayed([{ day: 0, reentryHours: 48, daysToHarvest: 7 }]);
  expect(at(0.5)).toMatchObject({ enterFrom: start + 2 * DAY, eatFrom: '2026-07-08', unknown: false });
  expect(at(3)).toMatchObject({ enterFrom: null, eatFrom: '2026-07-08' });
  expect(at(6.5)?.eatFrom).toBe('2026-07-08');
  expect(at(7)).toBeNull();
});

test('a spray written down days later counts from its own day, to the hour from its end', () => {
  const garden = new TestGarden();
  const { stand } = garden.plant('squash-pepo', 'Long Halyard', 1);
  garden.write(garden.time('2026-07-05', 18), {
    kind: 'careGiven',
    stand,
    care: 'sprayed',
    product: 'soap',
    reentryHours: 24,
    daysToHarvest: 7,
    on: '2026-07-03',
  });
  const wait = (date: string, hour: number) =>
    sprayWait(garden.state.stands.get(stand) as Stand, garden.time(date, hour), garden.place.zone);
  expect(wait('2026-07-04', 23)).toMatchObject({
    enterFrom: garden.time('2026-07-05', 0),
    eatFrom: '2026-07-10',
  });
  expect(wait('2026-07-05', 1)).toMatchObject({ enterFrom: null, eatFrom: '2026-07-10' });
  expect(wait('2026-07-10', 1)).toBeNull();
});

test('where no waiting time was noted that is told for weeks, and never taken for none', () => {
  const { at } = sprayed([{ day: 0, reentryHours: null, daysToHarvest: null }]);
  expect(at(1)).toMatchObject({ enterFrom: null, eatFrom: null, unknown: true });
  expect(at(59)?.unknown).toBe(true);
  expect(at(61)).toBeNull();
});

test('of two sprays the longer wait holds, whichever came later', () => {
  const { at } = sprayed([
    { day: 0, reentryHours: 4, daysToHarvest: 21 },
    { day: 3, reentryHours: 24, daysToHarvest: 3 },
  ]);
  expect(at(3.5)).toMatchObject({ eatFrom: '2026-07-22', spray: { daysToHarvest: 21 } });
});

test('of all stands those are named that nobody may go into now', () => {
  const garden = new TestGarden();
  const { stand } = garden.plant('squash-pepo', 'Long Halyard', 1);
  garden.plant('corn', 'Weir Copper', 1);
  const at = garden.time('2026-07-01', 8);
  garden.write(at, {
    kind: 'careGiven',
    stand,
    care: 'sprayed',
    product: '',
    reentryHours: 24,
    daysToHarvest: 7,
  });
  const out = (hours: number) =>
    keptOut(garden.state, at + hours * HOUR, garden.place.zone).map((each) => each.stand.id);
  expect(out(2)).toEqual([stand]);
  expect(out(25)).toEqual([]);
});

test('water is not waited for', () => {
  expect(sprayed([{ day: 0, reentryHours: null, daysToHarvest: null }], 'watered').at(0.1)).toBeNull();
});

const said = fc.record({
  day: fc.integer({ min: 0, max: 30 }),
  reentryHours: fc.option(fc.integer({ min: 0, max: 720 })),
  daysToHarvest: fc.option(fc.integer({ min: 0, max: 100 })),
});

test('no spray is ever eaten too early: each one’s own days hold among any others', () => {
  fc.assert(
    fc.property(
      fc.array(said, { minLength: 1, maxLength: 5 }),
      fc.integer({ min: 31, max: 140 }),
      (all, day) => {
        const { at, start, zone } = sprayed(all);
        const wait = at(day);
        const today = localDateOf(start + day * DAY, zone);
        for (const spray of all) {
          const eat = addDays(localDateOf(start + spray.day * DAY, zone), spray.daysToHarvest ?? 0);
          if (eat > today) expect((wait?.eatFrom ?? '') >= eat).toBe(true);
          const enter = start + spray.day * DAY + (spray.reentryHours ?? 0) * HOUR;
          if (enter > start + day * DAY) expect((wait?.enterFrom ?? 0) >= enter).toBe(true);
        }
      },
    ),
    { numRuns: 60 },
  );
});
