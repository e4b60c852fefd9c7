import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { restingOn } from '.';

const at = (garden: TestGarden, hour: number) => garden.time('2026-07-13', hour);

test('a planting rests on nothing until something is written of its plants or their flowers', () => {
  const garden = new TestGarden();
  const before = garden.events.length;
  const { plants } = garden.plant('squash-maxima', 'Slate Dome', 2);
  const planting = garden.events.slice(before);
  expect(restingOn(garden.state, planting)).toBe(0);
  const flower = garden.see(at(garden, 19), plants[0] as PlantId, 'female', 'coloured');
  garden.write(at(garden, 20), { kind: 'flowerShut', flower, closure: 'tape' });
  garden.write(at(garden, 20), { kind: 'plantChecked', plant: plants[1] as PlantId, health: 'healthy' });
  expect(restingOn(garden.state, planting)).toBe(3);
});

test('only the first sighting carries a flower: a later one is taken back without a question', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  const flower = garden.see(at(garden, 18), plant, 'female', 'green');
  const first = garden.events.slice(-1);
  const again = garden.write(at(garden, 19), {
    kind: 'flowerSeen',
    flower,
    plant,
    sex: 'female',
    stage: 'coloured',
    node: null,
  });
  expect(restingOn(garden.state, [again])).toBe(0);
  // Without the first the second still founds it.
  expect(restingOn(garden.state, first)).toBe(0);
  const shut = garden.write(at(garden, 20), { kind: 'flowerShut', flower, closure: 'tape' });
  expect(restingOn(garden.state, [...first, again])).toBe(1);
  garden.write(at(garden, 21), { kind: 'withdrawn', subject: flower, target: shut.id });
  expect(restingOn(garden.state, [...first, again])).toBe(0);
});

test('what begins nothing carries nothing', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  const check = garden.write(at(garden, 19), { kind: 'plantChecked', plant, health: 'sick' });
  garden.see(at(garden, 20), plant, 'female', 'green');
  expect(restingOn(garden.state, [check])).toBe(0);
});
