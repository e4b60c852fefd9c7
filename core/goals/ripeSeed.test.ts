import { cropOf, catalogue, ripeLooks, type CropId } from '../crops';
import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { ripeSeed } from '.';

/** A seed fruit of a crop worked on 1 July and seen to grow. */
function fruit(crop: CropId, frostOn: string | null = null, grows = true) {
  const garden = new TestGarden();
  if (frostOn)
    garden.write(garden.time('2026-05-21', 9), { kind: 'frostExpected', patch: garden.patchId, frostOn });
  const [plant] = garden.plant(crop, 'Slate Dome', 1).plants as [PlantId];
  const flower = garden.shut('2026-06-30', plant, 'female');
  garden.work(garden.time('2026-07-01', 6), flower, []);
  if (grows) garden.look(garden.time('2026-07-11', 9), flower, 'growing');
  const on = (day: number) => ripeSeed(garden.state, garden.place, addDays('2026-07-01', day))[0] ?? null;
  return { garden, flower, on };
}

test('a seed fruit is told of from its first ripe day, till it is picked (days: the catalogue’s)', () => {
  const { garden, flower, on } = fruit('watermelon');
  const first = cropOf('watermelon').daysToSeed?.value[0] as number;
  expect(on(first - 1)).toBeNull();
  expect(on(first)).toMatchObject({ why: 'ripe', day: first, wants: null });
  garden.write(garden.time(addDays('2026-07-01', first + 2), 9), {
    kind: 'harvested',
    flower,
    harvestFor: 'seed',
    weightG: null,
  });
  expect(on(first + 3)).toBeNull();
});

test('before a frost that was named, and after it, what is still out is told of; squash of forty days ripens on indoors (common practice)', () => {
  const { on } = fruit('squash-maxima', '08-05');
  expect(on(31)).toBeNull();
  expect(on(32)).toMatchObject({ why: 'frost', frostOn: '2026-08-05', wants: 8 });
  expect(on(41)).toMatchObject({ why: 'frost', wants: null });
});

test('of what nobody saw grow nothing is said', () => {
  expect(fruit('watermelon', null, false).on(60)).toBeNull();
});

test('every crop of which seed is kept says what ripe looks like', () => {
  for (const crop of catalogue)
    if (crop.daysToSeed !== null && crop.family !== 'quiet' && crop.perennial === null)
      expect([crop.id, ripeLooks(crop)?.standing]).toEqual([crop.id, 'P']);
});
