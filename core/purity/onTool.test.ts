import { workedForKitchen } from '../ledger';
import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { pollenOnTool } from '.';

test('pepper brushed, then cucumber: the brush still carries the pepper; shaking carries nothing', () => {
  const garden = new TestGarden();
  const pepper = garden.plant('pepper', 'Ember Row', 1, { reason: 'fruit' });
  const cucumber = garden.plant('cucumber', 'Slim Tern', 1, { reason: 'fruit' });
  const day = '2026-07-14';
  const carried = (date = day) => pollenOnTool(garden.state, garden.place.zone, date)?.variety ?? null;
  const tally = (plant: PlantId, hour: number, tool: 'brush' | 'shaking') =>
    garden.write(garden.time(day, hour), { kind: 'tallied', plant, tool, flowers: 3, truss: null });
  expect(carried()).toBeNull();
  tally(pepper.plants[0] as PlantId, 9, 'shaking');
  expect(carried()).toBeNull();
  tally(pepper.plants[0] as PlantId, 10, 'brush');
  expect(carried()).toBe(pepper.variety);
  expect(carried('2026-07-15')).toBeNull();
  const flower = garden.see(garden.time(day, 11), cucumber.plants[0] as PlantId, 'female', 'open');
  garden.write(garden.time(day, 11), workedForKitchen(flower));
  expect(carried()).toBe(cucumber.variety);
});
