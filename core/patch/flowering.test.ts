import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { openingOn, sexCount } from '.';

const DAY = '2026-07-14';

test('males count once: shut or noted one by one, or on the evening on which they are in colour', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  const count = () => sexCount(garden.state, garden.growing(plant));
  expect(count()).toEqual({ females: 0, males: 0 });
  garden.shut(DAY, plant, 'female');
  garden.shut(DAY, plant, 'male');
  for (const [stage, males] of [
    ['green', 6],
    ['coloured', 3],
  ] as const)
    garden.write(garden.time(DAY, 19), { kind: 'malesCounted', plant, stage, count: males });
  // The six green ones will be in colour on an evening of their own.
  expect(count()).toEqual({ females: 1, males: 4 });
});

test('a plant of which nobody said when it was planted is taken to be in season', () => {
  const garden = new TestGarden(undefined, '2026-07-10');
  const [young] = garden.plant('squash-pepo', 'Low Lantern', 1).plants as [PlantId];
  const growing = garden.growing(young);
  expect(openingOn(garden.state, growing, DAY)).toBe(0);
  const unknown = { ...growing, plant: { ...growing.plant, plantedOn: null } };
  expect(openingOn(garden.state, unknown, DAY)).toBeGreaterThan(0);
});
