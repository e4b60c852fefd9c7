import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { countsDue } from '.';

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
