import { rogueLook, type CropId } from '../crops';
import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { roguesDue } from '.';

/** The stages that are due on a day, stand by stand. */
function patch(crop: CropId = 'squash-maxima', plants = 3, reason: 'seed' | 'fruit' = 'seed') {
  const garden = new TestGarden();
  const planted = garden.plant(crop, 'Slate Dome', plants, { reason });
  const stages = (today: string) =>
    roguesDue(garden.state, garden.place.zone, today).map(({ stage }) => stage);
  const after = (days: number) => stages(addDays(garden.began, days));
  return { garden, ...planted, stages, after };
}

test('looked over as seedlings, then before they flower, then at the first fruit; each in its time', () => {
  const { garden, plants, after, stages } = patch();
  expect(after(5)).toEqual([]);
  expect(after(12)).toEqual(['seedling']);
  // Vines planted out flower 24 days on at the earliest, and 44 at the latest.
  expect(after(20)).toEqual(['before-flower']);
  expect(after(44)).toEqual(['before-flower']);
  // What was not done before it flowered is not asked for afterwards.
  expect(after(50)).toEqual([]);
  const flower = garden.shut('2026-07-01', plants[0] as PlantId, 'female');
  expect(stages('2026-07-01')).toEqual(['before-flower']);
  garden.work(garden.time('2026-07-02', 6), flower, []);
  expect(stages('2026-07-02')).toEqual([]);
  expect(stages('2026-07-21')).toEqual([]);
  expect(stages('2026-07-22')).toEqual(['fruit']);
  garden.write(garden.time('2026-07-23', 6), { kind: 'lost', flower, cause: 'pest' });
  expect(stages('2026-07-23')).toEqual([]);
});

test('what was looked over is asked for once, and again of the plants that are left at the next stage', () => {
  const { garden, stand, plants, after } = patch();
  const at = garden.time(addDays(garden.began, 12), 9);
  garden.write(at, { kind: 'lookedOver', stand, stage: 'seedling' });
  expect(after(12)).toEqual([]);
  expect(after(25)).toEqual(['before-flower']);
  garden.write(at, { kind: 'offTypeFound', plant: plants[0] as PlantId, shownBy: 'leaf' });
  const [due] = roguesDue(garden.state, garden.place.zone, addDays(garden.began, 25));
  expect(due?.plants.map(({ id }) => id)).toEqual(plants.slice(1));
  expect(due && rogueLook(due.crop, due.stage).value).toContain('round one among long ones');
});

test('a flower seen open ends the time before it; nobody is asked of a kitchen stand, a single plant or a potato', () => {
  const { garden, plants, after } = patch();
  garden.see(garden.time(addDays(garden.began, 30), 9), plants[0] as PlantId, 'male', 'open');
  expect(after(30)).toEqual([]);
  expect(patch('squash-maxima', 3, 'fruit').after(20)).toEqual([]);
  expect(patch('squash-maxima', 1).after(20)).toEqual([]);
  expect(patch('potato').after(20)).toEqual([]);
  expect(patch('corn').after(20)).toEqual(['seedling']);
  expect(patch('corn').after(50)).toEqual(['before-flower']);
});
