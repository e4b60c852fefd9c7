import { gardenDay } from '../bloom';
import type { FlowerId, PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { crossDay } from '.';
import { kitchenRound } from '../kitchen';
import { workSteps } from '../rounds';
import { cropOf, kitchenTools } from '../crops';

const DAY = '2026-07-14';
const HOUR = 3_600_000;

function patch() {
  const garden = new TestGarden();
  const father = garden.plant('tomato', 'Lock Keeper', 1);
  const mother = garden.plant('tomato', 'Tallow Bead', 2, {
    reason: 'cross',
    goal: { seed: { amount: 60, unit: 'seeds' }, fatherVariety: father.variety },
  });
  const opened = (hour: number, plant = mother.plants[0] as PlantId) => {
    const flower = garden.see(garden.time(DAY, hour), plant, 'perfect', 'coloured');
    garden.write(garden.time(DAY, hour, 2), { kind: 'emasculated', flower });
    garden.write(garden.time(DAY, hour, 3), { kind: 'flowerShut', flower, closure: 'mesh-bag' });
    return flower;
  };
  const dab = (date: string, hour: number, flower: FlowerId, tool: 'brush' | 'anthers' = 'brush') =>
    garden.work(garden.time(date, hour), flower, [], { tool, shutAgain: 'mesh-bag' });
  const day = (date = DAY) => crossDay(garden.state, garden.place, date);
  return { garden, father, mother, opened, dab, day };
}

test('father buds are bagged for tomorrow, two for each mother; bagged ones serve for three days', () => {
  const { garden, father, opened, day } = patch();
  opened(9);
  const bud = garden.see(garden.time(DAY, 9, 30), father.plants[0] as PlantId, 'perfect', 'coloured');
  expect(day()).toMatchObject({
    fatherBagsWanted: 2,
    fathersReady: [],
    fathersToBag: [{ flower: { id: bud } }],
  });
  garden.write(garden.time(DAY, 10), { kind: 'flowerShut', flower: bud, closure: 'mesh-bag' });
  expect(day().fathersReady).toEqual([]);
  expect(day('2026-07-15').fathersReady).toHaveLength(1);
  // Tomato pollen lives up to five days, kept dry.
  expect(day('2026-07-20').fathersReady).toHaveLength(1);
  expect(day('2026-07-21').fathersReady).toEqual([]);
});

test('a mother at the right stage is to be opened; green is too early, open too late', () => {
  const { garden, mother, day } = patch();
  const [plant] = mother.plants as [PlantId];
  garden.see(garden.time(DAY, 8), plant, 'perfect', 'green');
  garden.see(garden.time(DAY, 8), plant, 'perfect', 'open');
  const right = garden.see(garden.time(DAY, 8), plant, 'perfect', 'coloured');
  expect(day().toEmasculate.map(({ flower }) => flower.id)).toEqual([right]);
});

test('brush visits come three hours apart, four in all, by daylight only', () => {
  const { garden, opened, dab, day } = patch();
  const flower = opened(9);
  expect(day().mothers).toMatchObject([{ visits: 0 }]);
  dab(DAY, 10, flower);
  expect(day().mothers[0]?.nextAt).toBe(garden.time(DAY, 10) + 3 * HOUR);
  dab(DAY, 13, flower);
  dab(DAY, 19, flower);
  const next = day().mothers[0]?.nextAt as number;
  // Three hours after seven it is dark: the next morning, when the dew is off.
  const { sunrise } = gardenDay(garden.place, '2026-07-15');
  expect(next).toBe(sunrise + 2.5 * HOUR);
  dab('2026-07-15', 9, flower);
  expect(day('2026-07-15').mothers).toMatchObject([{ visits: 4, visitsToday: 1, nextAt: null }]);
});

test('the father’s cone over the stigma is one visit; after the days that its crop’s stigma lives it is past it', () => {
  const { opened, dab, day } = patch();
  const coned = opened(9);
  dab(DAY, 10, coned, 'anthers');
  expect(day().mothers).toMatchObject([{ visits: 1, nextAt: null }]);
  opened(11);
  // A tomato stigma takes pollen for four days at the least.
  expect(day('2026-07-18').mothers).toHaveLength(2);
  expect(day('2026-07-19').mothers).toEqual([]);
});

test('once fruit forms the bag comes off, and then the flower is done', () => {
  const { garden, opened, dab, day } = patch();
  const flower = opened(9);
  dab(DAY, 10, flower);
  garden.look(garden.time('2026-07-20', 9), flower, 'growing');
  expect(day('2026-07-20').bagsOff.map(({ flower: { id } }) => id)).toEqual([flower]);
  garden.write(garden.time('2026-07-20', 10), { kind: 'coverOff', flower });
  expect(day('2026-07-20')).toMatchObject({ bagsOff: [], mothers: [] });
});

test('a cross without a father’s variety, or with one that grows no more, is asked for', () => {
  const { garden, father, mother, day } = patch();
  expect(day().withoutFather).toEqual([]);
  garden.write(garden.time(DAY, 8), { kind: 'plantRemoved', plant: father.plants[0] as PlantId });
  expect(day().withoutFather.map(({ stand }) => stand.id)).toEqual([mother.stand]);
});

describe('the kitchen round', () => {
  test('takes fruit stands and seed stands with a kitchen goal, and counts today’s flowers only', () => {
    const garden = new TestGarden();
    const tomato = garden.plant('tomato', 'Lock Keeper', 1, { reason: 'fruit' });
    const squash = garden.plant('squash-pepo', 'Long Halyard', 1, { goal: { kitchenFruits: 4 } });
    garden.plant('squash-pepo', 'Seed Halyard', 1);
    const plant = tomato.plants[0] as PlantId;
    const tally = (at: number, flowers: number, truss: number | null) =>
      garden.write(at, { kind: 'tallied', plant, tool: 'shaking', flowers, truss });
    tally(garden.time('2026-07-13', 23, 30), 9, 1);
    tally(garden.time(DAY, 0, 30), 4, 2);
    tally(garden.time(DAY, 12), 3, 3);
    const round = kitchenRound(garden.state, garden.place.zone, DAY);
    expect(round.map(({ growing }) => growing.plant.id)).toEqual([plant, squash.plants[0]]);
    expect(round[0]).toMatchObject({ today: 7, tool: 'shaking', lastTruss: 3 });
    expect(round[1]).toMatchObject({ today: 0, tool: 'male-flower', lastTruss: null });
  });

  test('offers no tool of a cross', () => {
    expect(kitchenTools(cropOf('tomato'))).not.toContain('anthers');
    expect(kitchenTools(cropOf('strawberry'))[0]).toBe('brush');
  });
});

test('steps end with the flower shut again, whatever the crop and tool', () => {
  for (const crop of ['squash-maxima', 'melon', 'watermelon', 'bottle-gourd'] as const)
    for (const tool of cropOf(crop).tools)
      expect(workSteps(cropOf(crop), tool, 'tape').at(-1)).toMatch(/^Shut it again at once/);
  expect(workSteps(cropOf('corn'), 'pouring', 'shoot-bag').join(' ')).toMatch(
    /in one movement.*till harvest/s,
  );
});
