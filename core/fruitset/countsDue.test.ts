import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { countsDue, groupTrials } from '.';

function tray() {
  const garden = new TestGarden();
  const { plants, stand } = garden.plant('tomato', 'Quay Cherry', 2, { reason: 'fruit' });
  const tally = (date: string, plant: PlantId, flowers: number, tool: 'vibration' | 'brush' = 'vibration') =>
    garden.write(garden.time(date, 12), { kind: 'tallied', plant, tool, flowers, truss: null });
  const due = (date: string) => countsDue(garden.state, garden.place.zone, date);
  return { garden, stand, plants: plants as [PlantId, PlantId], tally, due };
}

test('counted flowers come up together on their verdict day, those of the last days not yet', () => {
  const { plants, tally, due } = tray();
  tally('2026-07-01', plants[0], 5);
  tally('2026-07-02', plants[1], 3, 'brush');
  tally('2026-07-08', plants[0], 9);
  expect(due('2026-07-04')).toEqual([]);
  expect(due('2026-07-10')).toMatchObject([
    { from: '2026-07-01', to: '2026-07-02', worked: 8, how: 'vibration', day: 8 },
  ]);
  expect([...(due('2026-07-10')[0]?.byPlant.values() ?? [])]).toEqual([5, 3]);
});

test('once counted they are asked about no more; what fruit must be gone neither', () => {
  const { garden, stand, plants, tally, due } = tray();
  tally('2026-07-01', plants[0], 5);
  expect(due('2026-07-15')).toHaveLength(1);
  expect(due('2026-12-15')).toEqual([]);
  garden.write(garden.time('2026-07-15', 9), {
    kind: 'groupCounted',
    stand,
    plant: null,
    from: '2026-07-01',
    to: '2026-07-01',
    how: 'vibration',
    worked: 5,
    set: 4,
    bent: null,
  });
  expect(due('2026-07-16')).toEqual([]);
});

test('on an earlier look day they may be looked at; what is seen then is no verdict, and is asked once', () => {
  const { garden, stand, plants, tally, due } = tray();
  const crop = garden.growing(plants[0]).crop;
  const [first] = crop.looks.value.map(({ day }) => day) as [number];
  expect(first).toBeLessThan(crop.verdictDay.value);
  tally('2026-07-01', plants[0], 5);
  const early = addDays('2026-07-01', first);
  expect(due(addDays(early, -1))).toEqual([]);
  expect(due(early)).toMatchObject([{ worked: 5, early: true }]);
  const count = (date: string, set: number, isEarly: boolean) =>
    garden.write(garden.time(date, 9), {
      kind: 'groupCounted',
      stand,
      plant: null,
      from: '2026-07-01',
      to: '2026-07-01',
      how: 'vibration',
      worked: 5,
      set,
      bent: null,
      ...(isEarly ? { early: true } : {}),
    });
  count(early, 5, true);
  expect(due(early)).toEqual([]);
  const trials = () => groupTrials(garden.state, garden.place.zone);
  expect(trials()).toMatchObject([{ worked: 5, set: null }]);
  const verdict = addDays('2026-07-01', crop.verdictDay.value);
  expect(due(verdict)).toMatchObject([{ worked: 5, early: false }]);
  count(verdict, 3, false);
  expect(due(verdict)).toEqual([]);
  expect(trials()).toMatchObject([{ worked: 5, set: 3 }]);
});

test('one plant is counted by itself, and the stand is then asked about the rest', () => {
  const { garden, stand, plants, tally } = tray();
  tally('2026-07-01', plants[0], 5);
  tally('2026-07-01', plants[1], 4);
  const due = (plant: PlantId | null) => countsDue(garden.state, garden.place.zone, '2026-07-12', plant);
  expect(due(plants[0])).toMatchObject([{ plant: plants[0], worked: 5 }]);
  garden.write(garden.time('2026-07-12', 9), {
    kind: 'groupCounted',
    stand,
    plant: plants[0],
    from: '2026-07-01',
    to: '2026-07-01',
    how: 'vibration',
    worked: 5,
    set: 2,
    bent: 1,
  });
  expect(due(plants[0])).toEqual([]);
  expect(due(null)).toMatchObject([{ plant: null, worked: 4 }]);
});
