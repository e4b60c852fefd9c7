import fc from 'fast-check';
import { cropOf } from '../crops';
import type { FlowerId, PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import {
  allTrials,
  fruitsBefore,
  GRACE_DAYS,
  lastLookDay,
  lookDue,
  minutesAfterOpening,
  minutesAfterSunrise,
  outcomeDays,
  outcomeOn,
  countSet,
  trialsOfStand,
  type Outcome,
  type Trial,
} from '.';

const DAY = '2026-07-02';
const squash = cropOf('squash-maxima');

function patch() {
  const garden = new TestGarden();
  const { stand, plants } = garden.plant('squash-maxima', 'Slate Dome', 3);
  const female = (i = 0, date = DAY, hour = 5, minute = 41, males: readonly FlowerId[] = []) => {
    const flower = garden.shut(addDays(date, -1), plants[i] as PlantId, 'female');
    garden.work(garden.time(date, hour, minute), flower, males);
    return flower;
  };
  const rowOf = (flower: FlowerId) =>
    allTrials(garden.state, garden.place.zone).find(({ id }) => id === flower) as Trial;
  const sum = (today: string) => countSet(allTrials(garden.state, garden.place.zone), today);
  return { garden, stand, plants, female, rowOf, sum };
}

test('a row says what was recorded of the work, and nothing that was not', () => {
  const { garden, plants, female, rowOf } = patch();
  const male = garden.shut('2026-07-01', plants[1] as PlantId, 'male');
  const said = female(0, DAY, 5, 41, [male]);
  expect(rowOf(said)).toMatchObject({
    season: 2026,
    at: '2026-07-02T03:41:00.000Z',
    on: DAY,
    by: 'Oda',
    how: 'male-flower',
    fathers: [{ plant: plants[1], males: 1 }],
    males: 1,
    lobes: null,
    closureBefore: 'tape',
    closureAfter: 'tape',
    worked: 1,
    set: null,
  });
  const bare = garden.see(garden.time(DAY, 6), plants[2] as PlantId, 'female', 'open', 9);
  garden.write(garden.time(DAY, 6, 1), { kind: 'pollinated', flower: bare, fathers: [], purpose: 'kitchen' });
  expect(rowOf(bare)).toMatchObject({
    node: 9,
    how: null,
    closureBefore: null,
    closureAfter: null,
    fathers: [],
  });
});

test('a flower worked twice has the fathers of both visits', () => {
  const { garden, plants, female, rowOf } = patch();
  const males = [1, 2, 2].map((i) => garden.shut('2026-07-01', plants[i] as PlantId, 'male'));
  const flower = female(0, DAY, 5, 41, males.slice(0, 2));
  garden.work(garden.time(DAY, 7), flower, males.slice(2));
  expect(rowOf(flower).fathers).toEqual([
    { plant: plants[1], males: 1 },
    { plant: plants[2], males: 2 },
  ]);
  expect(rowOf(flower).males).toBe(3);
});

test('a grown fruit that stops growing is ripening: it stays set', () => {
  const { garden, female, rowOf } = patch();
  const flower = female();
  garden.look(garden.time(addDays(DAY, 5), 9), flower, 'growing');
  garden.look(garden.time(addDays(DAY, 25), 9), flower, 'same');
  expect(outcomeOn(rowOf(flower), addDays(DAY, 26))).toBe('set');
  garden.look(garden.time(addDays(DAY, 30), 9), flower, 'gone');
  expect(outcomeOn(rowOf(flower), addDays(DAY, 30))).toBe('lost-later');
});

test('worked and never looked at: waiting, then not looked at, asked for, and counted on no longer', () => {
  const { garden, female, rowOf, sum } = patch();
  const flowers = Array.from({ length: 8 }, (_, i) => female(i % 3));
  const last = addDays(DAY, lastLookDay(squash) + GRACE_DAYS);
  expect(sum(last)).toMatchObject({ worked: 8, waiting: 8, notLookedAt: 0 });
  expect(sum(addDays(last, 1))).toMatchObject({ worked: 8, waiting: 0, notLookedAt: 8, share: null });
  const view = garden.state.flowers.get(flowers[0] as FlowerId);
  expect(view && lookDue(view, squash, garden.place.zone, addDays(DAY, 39))).toMatchObject({ verdict: true });
  garden.look(garden.time(addDays(DAY, 39), 9), flowers[0] as FlowerId, 'growing');
  expect(sum(addDays(DAY, 39))).toMatchObject({ set: 1, notLookedAt: 7 });
  expect(outcomeDays(rowOf(flowers[0] as FlowerId))).toEqual({ after: 0, by: 39 });
});

test('a look is asked for while there can be something to see, not for years', () => {
  const { garden, female } = patch();
  const view = () => garden.state.flowers.get(flower);
  const flower = female();
  const due = (day: number) => lookDue(view() as never, squash, garden.place.zone, addDays(DAY, day));
  const [, ripe] = squash.daysToSeed?.value ?? [0, 0];
  expect(due(ripe)).toMatchObject({ verdict: true });
  expect(due(ripe + 1)).toBeNull();
  expect(due(365)).toBeNull();
});

test('shut and never worked is missed from the day after, and no failure', () => {
  const { garden, plants, rowOf, sum } = patch();
  const flower = garden.shut('2026-07-01', plants[0] as PlantId, 'female');
  expect(outcomeOn(rowOf(flower), DAY)).toBeNull();
  expect(outcomeOn(rowOf(flower), addDays(DAY, 1))).toBe('missed');
  expect(sum(addDays(DAY, 1))).toMatchObject({ worked: 0, dropped: 0, missed: 1 });
  const torn = garden.shut('2026-07-01', plants[0] as PlantId, 'female');
  garden.check(garden.time(DAY, 5), torn, 'torn');
  expect(rowOf(torn)).toBeUndefined();
});

test('a counted group is a row of its own, and takes in the tallies of its days', () => {
  const garden = new TestGarden();
  const { stand, plants } = garden.plant('tomato', 'Lock Keeper', 2, { reason: 'fruit' });
  const [plant, other] = plants as [PlantId, PlantId];
  const count = (on: PlantId, date: string, flowers: number) =>
    garden.write(garden.time(date, 12), {
      kind: 'tallied',
      plant: on,
      tool: 'vibration',
      flowers,
      truss: null,
    });
  count(plant, '2026-07-01', 6);
  count(plant, '2026-07-03', 4);
  count(other, '2026-07-03', 5);
  const rows = () => trialsOfStand(garden.state, stand, garden.place.zone);
  expect(countSet(rows(), '2026-07-04')).toMatchObject({ worked: 15, waiting: 15 });
  const group = {
    kind: 'groupCounted',
    stand,
    plant,
    from: '2026-07-01',
    to: '2026-07-02',
    how: 'vibration',
    worked: 6,
    set: 4,
    bent: 1,
  } as const;
  garden.write(garden.time('2026-07-12', 9), group);
  expect(countSet(rows(), '2026-07-12')).toMatchObject({ worked: 15, set: 4, dropped: 2, waiting: 9 });
  // What insects did is no count of what hands did on the same days.
  garden.write(garden.time('2026-07-12', 9, 1), {
    ...group,
    to: '2026-07-05',
    how: 'insects',
    worked: 10,
    set: 3,
  });
  expect(countSet(rows(), '2026-07-12')).toMatchObject({ worked: 25, set: 7, dropped: 9, waiting: 9 });
  expect(rows().find(({ how }) => how === 'insects')).toMatchObject({
    kind: 'group',
    until: '2026-07-05',
    bent: 1,
  });
});

test('minutes after sunrise are the sun’s; after opening only where the opening was noted', () => {
  const { garden, stand, female, rowOf } = patch();
  const flower = female();
  const sunrise = garden.time(DAY, 5, 11);
  expect(minutesAfterSunrise(rowOf(flower), sunrise)).toBe(30);
  expect(minutesAfterOpening(garden.state, rowOf(flower), garden.place.zone)).toBeNull();
  garden.write(garden.time(DAY, 5, 1), { kind: 'clockNoted', stand, what: 'opened' });
  expect(minutesAfterOpening(garden.state, rowOf(flower), garden.place.zone)).toBe(40);
});

test('fruits on the plant are those that had set, and were neither lost nor picked, when it was worked', () => {
  const { garden, female, rowOf } = patch();
  const zone = garden.place.zone;
  const [kept, lost] = [female(0), female(0)];
  for (const each of [kept, lost]) garden.look(garden.time(addDays(DAY, 5), 9), each, 'growing');
  const before = female(0, addDays(DAY, 4));
  const between = female(0, addDays(DAY, 6));
  garden.look(garden.time(addDays(DAY, 8), 9), lost, 'gone');
  garden.write(garden.time(addDays(DAY, 8), 9, 1), { kind: 'lost', flower: lost, cause: 'pest' });
  const after = female(0, addDays(DAY, 9));
  expect([before, between, after].map((each) => fruitsBefore(garden.state, rowOf(each), zone))).toEqual([
    0, 2, 1,
  ]);
});

test('one new entry makes one new row; all others are the very rows of before', () => {
  const { garden, female } = patch();
  const flowers = Array.from({ length: 12 }, (_, i) => female(i % 3));
  const before = allTrials(garden.state, garden.place.zone);
  garden.look(garden.time(addDays(DAY, 5), 9), flowers[4] as FlowerId, 'growing');
  const after = allTrials(garden.state, garden.place.zone);
  expect(after.filter((row) => !before.includes(row)).map(({ id }) => id)).toEqual([flowers[4]]);
});

test('whatever was looked at in whatever order, every trial has one outcome and the counts add up', () => {
  const look = fc.record({
    flower: fc.nat(5),
    day: fc.integer({ min: 0, max: 40 }),
    result: fc.constantFrom('growing', 'same', 'yellowing', 'gone'),
  });
  fc.assert(
    fc.property(fc.array(look, { maxLength: 25 }), fc.integer({ min: 0, max: 60 }), (looks, ahead) => {
      const { garden, female } = patch();
      const flowers = Array.from({ length: 6 }, (_, i) => female(i % 3));
      for (const { flower, day, result } of looks)
        garden.look(garden.time(addDays(DAY, day), 9), flowers[flower] as FlowerId, result as 'same');
      const today = addDays(DAY, ahead);
      const rows = allTrials(garden.state, garden.place.zone);
      const outcomes = rows.map((row) => outcomeOn(row, today) as Outcome);
      const counted = countSet(rows, today);
      expect(counted.worked).toBe(6);
      expect(counted.set + counted.dropped + counted.waiting + counted.notLookedAt).toBe(6);
      expect(outcomes.filter((each) => each === 'lost-later').length).toBe(counted.lostLater);
      // A fruit that plainly grew and was never called anything else but "same" afterwards has set.
      rows.forEach(({ id, facts }) => {
        const own = looks.filter(({ flower }) => flowers[flower] === id);
        if (own.some(({ day, result }) => result === 'growing' && day >= 5))
          expect(facts?.set).not.toBeNull();
      });
    }),
    { seed: 11, numRuns: 150 },
  );
});
