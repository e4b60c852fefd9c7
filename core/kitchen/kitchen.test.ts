import { kitchenPace } from '../fruitset';
import { workedForKitchen } from '../ledger';
import type { FlowerId, PlantId } from '../ids';
import { openingOn } from '../patch';
import { eveningWalk, nextRounds } from '../rounds';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { kitchenMinutes, kitchenRound, openFemales } from '.';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';

function courgettes(reason: 'fruit' | 'seed' = 'fruit') {
  const garden = new TestGarden();
  const { plants } = garden.plant('squash-pepo', 'Low Lantern', 2, { reason });
  const [one, two] = plants as [PlantId, PlantId];
  const females = (date = DAWN, plant = one) =>
    openFemales(garden.state, garden.growing(plant), garden.place.zone, date).map(
      ({ flower, how }) => [flower.id, how] as const,
    );
  return { garden, one, two, females };
}

test('a female noted coloured in the evening is due next morning, and the work goes to that very flower', () => {
  const { garden, one, females } = courgettes();
  const flower = garden.see(garden.time(EVENING, 19), one, 'female', 'coloured', 9);
  expect(females(EVENING)).toEqual([]);
  expect(females()).toEqual([[flower, 'due']]);
  garden.write(garden.time(DAWN, 7), workedForKitchen(flower));
  expect(females()).toEqual([[flower, 'worked']]);
  expect(kitchenRound(garden.state, garden.place.zone, DAWN)[0]).toMatchObject({ today: 1 });
  // The second morning is the same flower worked twice.
  garden.write(garden.time(addDays(DAWN, 1), 7), workedForKitchen(flower));
  expect(garden.state.flowers.get(flower)?.pollinations).toHaveLength(2);
  expect(garden.state.flowers.size).toBe(1);
});

test('a green bud comes up the day after tomorrow, with a question mark; what passed is asked about for some days', () => {
  const { garden, one, females } = courgettes();
  const green = garden.see(garden.time(EVENING, 19), one, 'female', 'green', 10);
  expect(females(DAWN)).toEqual([]);
  expect(females('2026-07-15')).toEqual([[green, 'perhaps']]);
  const coloured = garden.see(garden.time('2026-07-15', 19), one, 'female', 'coloured', 8);
  expect(females('2026-07-17')).toEqual([
    [coloured, 'passed'],
    [green, 'perhaps'],
  ]);
  garden.write(garden.time('2026-07-17', 8), { kind: 'missed', flower: coloured, why: 'not-reached' });
  expect(females('2026-07-17')).toEqual([[green, 'perhaps']]);
  expect(females('2026-07-30')).toEqual([]);
});

test('a flower found not open yet is due the morning after', () => {
  const { garden, one, females } = courgettes();
  const flower = garden.see(garden.time(EVENING, 19), one, 'female', 'coloured', 9);
  garden.check(garden.time(DAWN, 7), flower, 'not-open');
  expect(females(DAWN)).toEqual([]);
  expect(females('2026-07-15')).toEqual([[flower, 'due']]);
});

test('for seed a female stands in the dawn round once shut, unless no cover is needed there', () => {
  const { garden, one, females } = courgettes('seed');
  const flower = garden.see(garden.time(EVENING, 19), one, 'female', 'coloured', 9);
  expect(females()).toEqual([]);
  garden.write(garden.time('2026-07-01', 9), {
    kind: 'shelterSet',
    bed: garden.growing(one).bed.id,
    shelter: 'closed-house',
    insects: 'out',
    lampHours: null,
    from: '2026-07-01',
    to: null,
  });
  expect(females()).toEqual([[flower, 'due']]);
  const plants = kitchenRound(garden.state, garden.place.zone, DAWN);
  expect(plants.flatMap(({ females: found }) => found.map(({ seed }) => seed))).toEqual([true]);
  // In a cage with bees of its own they do the work.
  garden.write(garden.time('2026-07-02', 9), {
    kind: 'shelterSet',
    bed: garden.growing(one).bed.id,
    shelter: 'cage',
    insects: 'put-in',
    lampHours: null,
    from: '2026-07-02',
    to: null,
  });
  expect(females()).toEqual([]);
  expect(kitchenRound(garden.state, garden.place.zone, DAWN)).toEqual([]);
});

test('a seed stand that also feeds the kitchen stands in the round, and its open flowers are no seed', () => {
  const garden = new TestGarden();
  garden.plant('squash-pepo', 'Low Lantern', 1, { goal: { kitchenFruits: 4 } });
  expect(kitchenRound(garden.state, garden.place.zone, DAWN)).toMatchObject([{ seed: false, females: [] }]);
});

test('one flower of a plant for the kitchen can be for seed, and the other way round', () => {
  const { garden, one, females } = courgettes();
  const flower = garden.see(garden.time(EVENING, 19), one, 'female', 'coloured', 9);
  garden.write(garden.time(EVENING, 19, 5), { kind: 'reasonSet', subject: flower, reason: 'seed' });
  expect(females()).toEqual([]);
  expect(eveningWalk(garden.state, garden.place, EVENING)?.plants.map(({ plant }) => plant.id)).toEqual([
    one,
  ]);
});

test('stands for fruit are no evening walk; asked for, their vines are looked over', () => {
  const { garden } = courgettes();
  expect(eveningWalk(garden.state, garden.place, EVENING)).toBeNull();
  expect(eveningWalk(garden.state, garden.place, EVENING, { kitchen: true })?.plants).toHaveLength(2);
  expect(nextRounds(garden.state, garden.place, garden.time(EVENING, 19))).toEqual([]);
});

test('sixty chillies are a matter of minutes, not of a day', () => {
  const garden = new TestGarden();
  garden.plant('pepper', 'Ember Row', 60, { reason: 'fruit' });
  const minutes = kitchenMinutes(kitchenRound(garden.state, garden.place.zone, DAWN));
  expect(minutes).toBeGreaterThanOrEqual(5);
  expect(minutes).toBeLessThan(30);
});

test('what was picked counts towards the kitchen goal though no flower of it was written down', () => {
  const garden = new TestGarden();
  const { stand } = garden.plant('tomato', 'Quay Cherry', 3, { reason: 'fruit' });
  garden.write(garden.time('2026-08-10', 9), {
    kind: 'fruitsPicked',
    stand,
    plant: null,
    count: 24,
    weightG: null,
  });
  expect(garden.state.stands.get(stand)?.picked).toMatchObject([{ count: 24, plant: null }]);
});

test('males picked for the kitchen are counted on their stand', () => {
  const { garden, one } = courgettes();
  const { stand } = garden.growing(one);
  garden.write(garden.time(DAWN, 8), { kind: 'malesPicked', stand: stand.id, count: 24 });
  expect(garden.state.stands.get(stand.id)?.malesPicked.map(({ count }) => count)).toEqual([24]);
  expect(garden.growing(one).stand.reason).toBe('fruit');
});

test('a reason changes from then on, for a stand or for one plant of it', () => {
  const { garden, one, two } = courgettes();
  const flower = garden.see(garden.time(DAWN, 7), one, 'female', 'open', 9) as FlowerId;
  garden.write(garden.time(DAWN, 7, 1), workedForKitchen(flower));
  garden.write(garden.time(DAWN, 8), { kind: 'reasonSet', subject: two, reason: 'seed' });
  expect([one, two].map((plant) => garden.growing(plant).stand.reason)).toEqual(['fruit', 'seed']);
  garden.write(garden.time(DAWN, 9), {
    kind: 'reasonSet',
    subject: garden.growing(one).stand.id,
    reason: 'seed',
  });
  expect(garden.growing(one).stand.reason).toBe('seed');
  // What stood open stays kitchen.
  expect(garden.state.flowers.get(flower)?.pollinations.map(({ purpose }) => purpose)).toEqual(['kitchen']);
});

test('by the school of a second morning a worked female comes up once more, till it was looked at; by the other it does not', () => {
  const next = addDays(DAWN, 1);
  for (const school of ['one', 'second']) {
    const { garden, one, females } = courgettes();
    garden.school('mornings', school);
    const flower = garden.see(garden.time(EVENING, 19), one, 'female', 'coloured', 9);
    garden.write(garden.time(DAWN, 7), workedForKitchen(flower));
    expect(females(next)).toEqual(school === 'second' ? [[flower, 'again']] : []);
    expect(females(addDays(next, 1))).toEqual([]);
    garden.write(garden.time(next, 7), workedForKitchen(flower));
    expect(females(next)).toEqual([[flower, 'worked']]);
  }
});

test('a row is timed by the counts that were made of it, and a pause between two of them is no work', () => {
  const garden = new TestGarden();
  const { plants } = garden.plant('tomato', 'Ember Row', 12, { reason: 'fruit' });
  const pace = () => kitchenPace(garden.state, 'tomato', 'vibration');
  const usual = pace();
  expect(usual.from).toBe(0);
  // Six flowers a plant and a minute from count to count: 12 s of walking leave 8 s a flower.
  plants.forEach((plant, i) =>
    garden.write(garden.time(DAWN, 11, i), {
      kind: 'tallied',
      plant,
      tool: 'vibration',
      flowers: 6,
      truss: null,
    }),
  );
  expect(pace().from).toBe(11);
  expect(pace().seconds).toBeGreaterThan(usual.seconds);
  expect(pace().seconds).toBeLessThan(8);
  const before = pace();
  garden.write(garden.time(DAWN, 17), {
    kind: 'tallied',
    plant: plants[0] as PlantId,
    tool: 'vibration',
    flowers: 6,
    truss: null,
  });
  expect(pace()).toEqual(before);
});

test('young plants are expected to open less, and none before their time; one that was seen in flower counts in full', () => {
  const garden = new TestGarden(undefined, '2026-06-20');
  const [plant] = garden.plant('squash-pepo', 'Low Lantern', 1, { reason: 'fruit' }).plants as [PlantId];
  const opening = (date: string) => openingOn(garden.state, garden.growing(plant), date);
  expect(opening('2026-07-01')).toBe(0);
  expect(opening('2026-07-14')).toBeGreaterThan(0);
  expect(opening('2026-08-14')).toBeGreaterThan(opening('2026-07-14'));
  garden.see(garden.time('2026-07-14', 19), plant, 'female', 'coloured', 3);
  expect(opening('2026-07-14')).toBe(opening('2026-08-14'));
});
