import { NO_GOAL } from '../goals';
import type { PlantId } from '../ids';
import type { CropId } from '../crops';
import { TestGarden } from '../testGarden';
import { seedLoadWords } from '.';

const TODAY = '2026-07-14';

/** What is said on the walk of a plant with so many fruits for seed and so many left to the insects. */
function said(seed: number, others: number, { crop = 'squash-maxima' as CropId, kitchenFruits = 0 } = {}) {
  const garden = new TestGarden();
  const { plants } = garden.plant(crop, 'Slate Dome', 1, { goal: { ...NO_GOAL, kitchenFruits } });
  const [plant] = plants as [PlantId];
  for (let i = 0; i < seed; i++) {
    const flower = garden.shut('2026-07-03', plant, 'female', 'tape', 18 + i);
    garden.work(garden.time('2026-07-04', 6), flower, []);
    garden.look(garden.time('2026-07-11', 8), flower, 'growing');
  }
  for (let i = 0; i < others; i++) {
    const flower = garden.see(garden.time('2026-07-04', 7 + i), plant, 'female', 'open');
    garden.work(garden.time('2026-07-04', 7 + i, 5), flower, [], { purpose: 'kitchen', shutAgain: null });
    garden.look(garden.time('2026-07-11', 8), flower, 'growing');
  }
  return seedLoadWords(garden.state, garden.growing(plant), garden.place.zone, TODAY).join(' ');
}

test('early fruit that is not for seed comes off a seed plant, where nobody wants it for the kitchen (common practice)', () => {
  expect(said(0, 0)).toBe('');
  expect(said(1, 0)).toBe('');
  expect(said(0, 1)).toContain('A fruit that is not for seed grows on it: take it off');
  expect(said(1, 2)).toContain('2 fruits that are not for seed grow on it: take them off');
  expect(said(1, 2, { kitchenFruits: 4 })).toBe('');
});

test('one or two seed fruits fill a pumpkin or melon vine; of cucumbers nobody says so (common practice)', () => {
  expect(said(2, 0)).toContain('2 seed fruits are on this vine already');
  expect(said(2, 0, { crop: 'melon' })).toContain('one or two');
  expect(said(3, 0, { crop: 'cucumber' })).toBe('');
});

test('what was worked and not seen to grow is no load yet', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  for (let i = 0; i < 3; i++)
    garden.work(garden.time('2026-07-12', 6), garden.shut('2026-07-11', plant, 'female', 'tape', 18 + i), []);
  expect(seedLoadWords(garden.state, garden.growing(plant), garden.place.zone, TODAY)).toEqual([]);
});
