import fc from 'fast-check';
import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { eveningWalk, nextRounds, toLookAt } from '../rounds';
import { goalSum, lastSeason } from '.';

/** Squash for seed, tomatoes for the kitchen and strawberries, planted in May; a frost named for 5 October. */
function summer() {
  const garden = new TestGarden();
  garden.write(garden.time('2026-05-21', 9), {
    kind: 'frostExpected',
    patch: garden.patchId,
    frostOn: '10-05',
  });
  const squash = garden.plant('squash-maxima', 'Slate Dome', 3);
  const tomatoes = garden.plant('tomato', 'Quay Cherry', 2, { reason: 'fruit' });
  const berries = garden.plant('strawberry', 'Sill Red', 4, { reason: 'fruit' });
  return { garden, squash, tomatoes, berries };
}

test('what has had its season is cleared in one step; strawberries and plants with seed fruit out stay', () => {
  const { garden, squash, berries } = summer();
  const [mother] = squash.plants as [PlantId];
  const flower = garden.shut('2026-07-13', mother, 'female');
  garden.work(garden.time('2026-07-14', 6), flower, []);
  const at = (date: string) => lastSeason(garden.state, garden.place, date);
  expect(at('2026-10-05')).toMatchObject({ plants: 0, withSeed: 0 });
  expect(at('2026-10-06')).toMatchObject({ plants: 4, withSeed: 1 });
  for (const plant of at('2026-12-20').past.flatMap(({ plants }) => plants))
    garden.write(garden.time('2026-12-20', 10), { kind: 'plantRemoved', plant });
  const standing = [...garden.state.plants.values()].filter(({ ended }) => !ended).map(({ id }) => id);
  expect(new Set(standing)).toEqual(new Set([mother, ...berries.plants]));
  expect(at('2026-12-20').plants).toBe(0);
});

test('after the frost no walk, no round and no look for off-types is asked for, on any winter’s day', () => {
  const { garden } = summer();
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 150 }), fc.integer({ min: 0, max: 23 }), (after, hour) => {
      const date = addDays('2026-10-05', after);
      const now = garden.time(date, hour);
      expect(eveningWalk(garden.state, garden.place, date)).toBeNull();
      expect(nextRounds(garden.state, garden.place, now)).toEqual([]);
      expect(toLookAt(garden.state, garden.place.zone, date).rogues).toEqual([]);
    }),
    { numRuns: 40 },
  );
});

test('next spring this year’s plants are walked, and last year’s that nobody ended are not', () => {
  const { garden, squash } = summer();
  const spring = garden.time('2027-05-20', 9);
  const plant = garden.ids.subject('plant', spring);
  // In the same stand, as it was begun.
  garden.write(spring, {
    kind: 'plantAdded',
    plant,
    stand: squash.stand,
    label: '4',
    xM: 9,
    yM: 1,
    plantedOn: '2027-05-20',
  });
  const walk = eveningWalk(garden.state, garden.place, '2027-07-10');
  expect(walk?.plants.map((each) => each.plant.id)).toEqual([plant]);
  expect(lastSeason(garden.state, garden.place, '2027-07-10').plants).toBe(5);
});

test('a goal is reached by what will ripen: fruit of September is none before a frost in October, and a young one may still fall', () => {
  const garden = new TestGarden();
  garden.write(garden.time('2026-05-21', 9), {
    kind: 'frostExpected',
    patch: garden.patchId,
    frostOn: '10-25',
  });
  const { stand, plants } = garden.plant('squash-maxima', 'Slate Dome', 2, {
    reason: 'fruit',
    goal: { kitchenFruits: 1 },
  });
  const [plant] = plants as [PlantId];
  const fruitOf = (date: string) => {
    const flower = garden.see(garden.time(date, 7), plant, 'female', 'open');
    garden.work(garden.time(date, 8), flower, [], { purpose: 'kitchen' });
    garden.look(garden.time(addDays(date, 5), 9), flower, 'growing');
    const sum = (today: string) =>
      goalSum(garden.state, garden.place, garden.state.stands.get(stand) as never, today);
    return sum;
  };
  const late = fruitOf('2026-09-25');
  expect(late('2026-09-30')?.standing).not.toBe('done');
  expect(late('2026-10-26')).toMatchObject({ standing: 'over', morningsLeft: 0 });
  const sum = fruitOf('2026-07-10');
  expect(sum('2026-07-15')).toMatchObject({ standing: 'done', young: 1 });
  expect(sum('2026-07-25')).toMatchObject({ standing: 'done', young: 0 });
});
