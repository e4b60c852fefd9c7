import { bloomOutlook } from '../bloom';
import type { PlantId } from '../ids';
import { TestGarden, type Planted } from '../testGarden';
import { addDays } from '../time';
import { tonightPlan } from '.';

const TONIGHT = '2026-07-10';

function planOf(garden: TestGarden, date = TONIGHT) {
  const outlook = bloomOutlook({ state: garden.state, zone: garden.place.zone, from: addDays(date, 1) });
  return tonightPlan(garden.state, garden.place, date, outlook);
}
const bud = (
  garden: TestGarden,
  plant: PlantId | undefined,
  sex: 'female' | 'male',
  node: number | null = null,
) => garden.see(garden.time(TONIGHT, 18), plant as PlantId, sex, 'coloured', node);
const many = (garden: TestGarden, { plants }: Planted, females: number, males: number) => {
  for (const plant of plants) {
    for (let i = 0; i < females; i++) bud(garden, plant, 'female', 12 + i);
    for (let i = 0; i < males; i++) bud(garden, plant, 'male');
  }
};

test('without a goal every likely female is shut; a kitchen stand never', () => {
  const garden = new TestGarden();
  const seed = garden.plant('squash-maxima', 'Slate Dome', 4);
  const fruit = garden.plant('squash-maxima', 'Kitchen Dome', 2, { reason: 'fruit' });
  many(garden, seed, 1, 3);
  many(garden, fruit, 2, 2);
  const plan = planOf(garden);
  expect(plan.varieties).toEqual([
    expect.objectContaining({ name: 'Slate Dome', femalesWanted: null, females: 4, leftOut: 0 }),
  ]);
  const planted = new Set<string>(seed.plants);
  expect(plan.plants.every(({ growing }) => planted.has(growing.plant.id))).toBe(true);
});

test('of two stands of a variety one without a goal: every likely female, and no number that would do', () => {
  const garden = new TestGarden();
  const first = garden.plant('squash-maxima', 'Slate Dome', 1, {
    goal: { seed: { amount: 300, unit: 'seeds' } },
  });
  const other = garden.plant('squash-maxima', 'Other Dome', 1);
  garden.write(garden.time(TONIGHT, 8), {
    kind: 'corrected',
    subject: other.stand,
    target: garden.state.stands.get(other.stand)?.event,
    changes: { variety: first.variety },
  } as never);
  many(garden, first, 1, 2);
  many(garden, other, 1, 2);
  expect(planOf(garden).varieties).toMatchObject([{ femalesWanted: null, aim: null, females: 2 }]);
});

test('no more than the goal needs: healthy mothers first, sick ones never, mothers spread', () => {
  const garden = new TestGarden();
  const stand = garden.plant('squash-maxima', 'Slate Dome', 5, {
    goal: {
      seed: { amount: 200, unit: 'seeds' },
      bent: { seedsPerFruit: 100, setShare: 0.99, wholeShare: 1 },
    },
  });
  many(garden, stand, 2, 4);
  const health = ['sick', 'doubtful', 'healthy', 'healthy', 'doubtful'] as const;
  stand.plants.forEach((plant, i) =>
    garden.write(garden.time(TONIGHT, 18, 30), {
      kind: 'plantChecked',
      plant,
      health: health[i] ?? 'healthy',
    }),
  );
  const plan = planOf(garden);
  const shut = plan.plants.filter(({ females }) => females.length > 0);
  expect(plan.varieties[0]).toMatchObject({ femalesWanted: 2, females: 2, leftOut: 8 });
  // Two healthy plants with two females each: one of each, not two of one.
  expect(shut.map(({ growing }) => growing.plant.id).sort()).toEqual(
    [stand.plants[2], stand.plants[3]].sort(),
  );
  expect(plan.plants.some(({ growing, males }) => growing.plant.id === stand.plants[0] && males > 0)).toBe(
    false,
  );
});

test('a plant that bears fruit already, or a low node, comes after', () => {
  const garden = new TestGarden();
  const stand = garden.plant('squash-maxima', 'Slate Dome', 3, {
    goal: {
      seed: { amount: 100, unit: 'seeds' },
      mothers: 2,
      bent: { seedsPerFruit: 100, setShare: 0.99, wholeShare: 1 },
    },
  });
  const [laden, low, free] = stand.plants as [PlantId, PlantId, PlantId];
  const before = garden.shut('2026-07-01', laden, 'female');
  garden.work(garden.time('2026-07-02', 5, 30), before, []);
  garden.look(garden.time('2026-07-07', 9), before, 'growing');
  bud(garden, laden, 'female', 20);
  bud(garden, low, 'female', 3);
  bud(garden, free, 'female', 15);
  for (const plant of stand.plants) bud(garden, plant, 'male');
  const plan = planOf(garden);
  const shut = plan.plants.filter(({ females }) => females.length > 0).map(({ growing }) => growing.plant.id);
  expect(shut).toEqual([free]);
});

test('males are spread over the father plants, with a spare; those shut already count', () => {
  const garden = new TestGarden();
  const stand = garden.plant('squash-maxima', 'Slate Dome', 4, {
    goal: { seed: { amount: 9000, unit: 'seeds' } },
  });
  many(garden, stand, 1, 4);
  const plan = planOf(garden);
  const counts = plan.plants.map(({ males }) => males);
  const total = counts.reduce((a, b) => a + b, 0);
  expect(total).toBe(plan.varieties[0]?.malesWanted);
  expect(Math.max(...counts) - Math.min(...counts)).toBeLessThanOrEqual(1);
  garden.shut(TONIGHT, stand.plants[0] as PlantId, 'male', 'tape', 20);
  const after = planOf(garden);
  expect(after.varieties[0]?.shutAlready.males).toBe(1);
  expect(after.varieties[0]?.males).toBe(total - 1);
});

test('a cross of vines takes its males from the father’s variety, whatever that is grown for', () => {
  const garden = new TestGarden();
  const father = garden.plant('squash-maxima', 'Father Dome', 2, { reason: 'fruit' });
  const mother = garden.plant('squash-maxima', 'Mother Dome', 2, {
    reason: 'cross',
    goal: { seed: { amount: 500, unit: 'seeds' }, fatherVariety: father.variety },
  });
  many(garden, mother, 1, 3);
  many(garden, father, 1, 5);
  const plan = planOf(garden);
  const of = (variety: string) => plan.varieties.find((each) => each.variety === variety);
  expect(of(mother.variety)).toMatchObject({ females: 2, males: 0 });
  expect(of(father.variety)).toMatchObject({ females: 0 });
  expect(of(father.variety)?.males).toBeGreaterThanOrEqual(4);
});

test('pockets: tape for the evening and the morning again, bags by kind, marks, a brush for each variety', () => {
  const garden = new TestGarden();
  const squash = garden.plant('squash-maxima', 'Slate Dome', 1);
  many(garden, squash, 1, 3);
  const taped = planOf(garden);
  const males = taped.varieties[0]?.males ?? 0;
  expect(taped.pockets).toMatchObject({
    tapeCm: (2 + males) * 12,
    bags: [],
    marks: 1,
    brushes: 1,
  });
  garden.school('closure', 'mesh-bag');
  const bagged = planOf(garden);
  expect(bagged.pockets).toMatchObject({ tapeCm: 0, bags: [{ closure: 'mesh-bag', count: 1 + males }] });
  expect(bagged.minutes).toBeLessThanOrEqual(taped.minutes);
});

test('of crops that open at dusk, what opens this evening is shut too', () => {
  const garden = new TestGarden();
  const gourd = garden.plant('bottle-gourd', 'Lock Flask', 2);
  many(garden, gourd, 1, 2);
  expect(planOf(garden).varieties[0]?.females).toBe(2);
});

test('nothing grows, nothing in bud, all past the last useful day: an empty plan', () => {
  expect(planOf(new TestGarden())).toMatchObject({ plants: [], varieties: [], minutes: 0 });
  const garden = new TestGarden();
  const stand = garden.plant('squash-maxima', 'Slate Dome', 2, {
    goal: { seed: { amount: 500, unit: 'seeds' }, by: '2026-07-20' },
  });
  many(garden, stand, 1, 1);
  expect(planOf(garden).varieties[0]).toMatchObject({ femalesWanted: 0, females: 0, leftOut: 2 });
});

test('where the flowers need no cover none is shut tonight: alone in a house, or in a cage with bees of its own', () => {
  for (const [shelter, insects] of [
    ['closed-house', 'out'],
    ['cage', 'put-in'],
    ['cage', 'in-turn'],
  ] as const) {
    const garden = new TestGarden();
    const seed = garden.plant('squash-maxima', 'Slate Dome', 2);
    many(garden, seed, 1, 2);
    expect(planOf(garden).plants).toHaveLength(2);
    garden.write(garden.time('2026-07-01', 8), {
      kind: 'shelterSet',
      bed: garden.growing(seed.plants[0] as PlantId).bed.id,
      shelter,
      insects,
      lampHours: null,
      from: '2026-07-01',
      to: null,
    });
    expect([insects, planOf(garden)]).toMatchObject([insects, { plants: [], varieties: [] }]);
  }
});
