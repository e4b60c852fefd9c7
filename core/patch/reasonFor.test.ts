import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { reasonFor } from './garden';

const garden = new TestGarden();
const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
const female = garden.see(garden.time('2026-07-13', 7), plant, 'female', 'open');
const reason = () => {
  const flower = garden.state.flowers.get(female);
  return flower && reasonFor(flower, garden.growing(plant));
};

test('a flower is for what was said when it was worked, though its plant is for seed; what is said of it later wins', () => {
  expect(reason()).toBe('seed');
  garden.write(garden.time('2026-07-13', 8), {
    kind: 'pollinated',
    flower: female,
    fathers: [],
    purpose: 'kitchen',
  });
  expect(reason()).toBe('fruit');
  garden.write(garden.time('2026-08-30', 8), {
    kind: 'harvested',
    flower: female,
    harvestFor: 'seed',
    weightG: null,
  });
  expect(reason()).toBe('seed');
});
