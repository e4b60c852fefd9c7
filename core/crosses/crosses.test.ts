import fc from 'fast-check';
import { gardenDay } from '../bloom';
import type { FlowerId, PlantId } from '../ids';
import { THREAD_COLOURS } from '../ledger';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { crossDay, freeThread, type CrossStand } from '.';
import { cropOf } from '../crops';
import { workSteps } from '../rounds';

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
  const day = (date = DAY) => crossDay(garden.state, garden.place, date)[0] as CrossStand;
  return { garden, father, mother, opened, dab, day };
}

test('father buds are bagged for tomorrow, two for each mother; bagged ones serve for three days', () => {
  const { garden, father, opened, day } = patch();
  opened(9);
  const bud = garden.see(garden.time(DAY, 9, 30), father.plants[0] as PlantId, 'perfect', 'coloured');
  expect(day().father).toMatchObject({ wanted: 2, ready: [], bagged: [], toBag: [{ flower: { id: bud } }] });
  garden.write(garden.time(DAY, 10), { kind: 'flowerShut', flower: bud, closure: 'mesh-bag' });
  // Bagged today it stands on the list, and is wanted no more; its pollen serves from tomorrow.
  expect(day().father).toMatchObject({ wanted: 1, ready: [], toBag: [], bagged: [{ flower: { id: bud } }] });
  // Tomato pollen lives up to five days, kept dry.
  expect(day('2026-07-15').father?.ready).toMatchObject([{ goodUntil: '2026-07-17' }]);
  expect(day('2026-07-17').father?.ready).toHaveLength(1);
  expect(day('2026-07-18').father?.ready).toEqual([]);
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
  // Four visits are enough: she waits, and is not lost from sight.
  expect(day('2026-07-15')).toMatchObject({
    mothers: [],
    waiting: [{ visits: 4, visitsToday: 1, nextAt: null }],
  });
});

test('the father’s cone over the stigma is one visit; after the days that its crop’s stigma lives it is past it', () => {
  const { opened, dab, day } = patch();
  const coned = opened(9);
  dab(DAY, 10, coned, 'anthers');
  expect(day().waiting).toMatchObject([{ visits: 1, nextAt: null }]);
  const never = opened(11);
  // A tomato stigma takes pollen for four days at the least.
  expect(day('2026-07-18').mothers).toMatchObject([{ takesUntil: '2026-07-18' }]);
  expect(day('2026-07-19')).toMatchObject({ mothers: [], lost: [{ flower: { id: never }, why: 'over' }] });
  expect(day('2026-07-25').waiting).toHaveLength(1);
});

test('once fruit forms the bag comes off, and then the flower is done', () => {
  const { garden, opened, dab, day } = patch();
  const flower = opened(9);
  dab(DAY, 10, flower);
  garden.look(garden.time('2026-07-20', 9), flower, 'growing');
  expect(day('2026-07-20').bagsOff.map((each) => each.flower.id)).toEqual([flower]);
  garden.write(garden.time('2026-07-20', 10), { kind: 'coverOff', flower });
  expect(day('2026-07-20')).toMatchObject({ bagsOff: [], mothers: [], waiting: [], lost: [] });
});

test('a cross without a father’s variety, or with one that grows no more, has no father’s side', () => {
  const { garden, father, mother, day } = patch();
  expect(day().father?.variety).toBe(father.variety);
  garden.write(garden.time(DAY, 8), { kind: 'plantRemoved', plant: father.plants[0] as PlantId });
  expect(day()).toMatchObject({ father: null, growing: { stand: { id: mother.stand } } });
});

test('whatever becomes of a mother, she is in one list from her bud till she is lost or her bag is off', () => {
  const steps = ['dab', 'cone', 'torn', 'growing', 'same', 'nothing'] as const;
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom(...steps), fc.integer({ min: 0, max: 12 })), { maxLength: 6 }),
      fc.integer({ min: 0, max: 40 }),
      (done, after) => {
        const { garden, opened, dab, day } = patch();
        const flower = opened(9);
        for (const [step, days] of done) {
          const date = addDays(DAY, days);
          if (step === 'dab') dab(date, 12, flower);
          else if (step === 'cone') dab(date, 12, flower, 'anthers');
          else if (step === 'torn') garden.check(garden.time(date, 8), flower, 'torn');
          else if (step !== 'nothing') garden.look(garden.time(date, 17), flower, step);
        }
        const { toEmasculate, mothers, waiting, lost, bagsOff } = day(addDays(DAY, after));
        const listed = [...toEmasculate, ...mothers, ...waiting, ...lost, ...bagsOff];
        expect(listed.map((each) => each.flower.id)).toEqual([flower]);
      },
    ),
    { numRuns: 60 },
  );
});

test('two mothers on one plant wear threads of different colours', () => {
  expect(freeThread([])).toBeNull();
  expect(freeThread([{ thread: null }])).toBe('red');
  expect(freeThread([{ thread: null }, { thread: 'red' }])).toBe('white');
  expect(freeThread(THREAD_COLOURS.map((thread) => ({ thread })))).toBeNull();
});

test('steps end with the flower shut again, whatever the crop and tool', () => {
  for (const crop of ['squash-maxima', 'melon', 'watermelon', 'bottle-gourd'] as const)
    for (const tool of cropOf(crop).tools)
      expect(workSteps(cropOf(crop), tool, 'tape').at(-1)).toMatch(/^Shut it again at once/);
  expect(workSteps(cropOf('corn'), 'pouring', 'shoot-bag').join(' ')).toMatch(
    /in one movement.*till harvest/s,
  );
});
