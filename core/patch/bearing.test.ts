import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { wantsBearing } from './bearing';

/** A fruit that was looked at with these sizes, mm, in order; then something bears it, or nothing. */
function fruit(crop: 'melon' | 'cucumber', sizes: readonly (number | null)[], prop?: 'sling') {
  const garden = new TestGarden();
  const { plants } = garden.plant(crop, 'Quiet Bell', 1);
  const time = garden.time('2026-07-10', 9);
  const flower = garden.see(time, plants[0] as PlantId, 'female', 'coloured');
  for (const [i, sizeMm] of sizes.entries())
    garden.write(time + (i + 1) * 1000, { kind: 'lookedAt', flower, result: 'growing', sizeMm });
  if (prop) garden.write(time + 60_000, { kind: 'propped', flower, prop });
  const seen = garden.state.flowers.get(flower);
  return seen ? wantsBearing(seen, crop) : null;
}

test('a heavy fruit asks for something to bear it once it is as big as an apple, until something does', () => {
  expect(fruit('melon', [])).toBe(false);
  expect(fruit('melon', [40, 70])).toBe(false);
  expect(fruit('melon', [40, 80])).toBe(true);
  // A look without a size takes nothing back.
  expect(fruit('melon', [80, null])).toBe(true);
  expect(fruit('melon', [80], 'sling')).toBe(false);
});

test('a cucumber hangs by itself', () => {
  expect(fruit('cucumber', [150])).toBe(false);
});
