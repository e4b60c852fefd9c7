import fc from 'fast-check';
import { catalogue, cropOf } from '../crops';
import { fold } from '../ledger';
import { demoSeason } from '../testLogs';
import { DEFAULT_BED, nextBedCorner, nextPlantPlaces, walkOrder } from '.';

const bed = { xM: 2, yM: 1, ...DEFAULT_BED };

test('plants get places inside their bed, apart from each other, however many', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...catalogue),
      fc.integer({ min: 1, max: 60 }),
      fc.integer({ min: 0, max: 20 }),
      (crop, count, before) => {
        const standing = before > 0 ? nextPlantPlaces(bed, [], before, crop) : [];
        const places = nextPlantPlaces(bed, standing, count, crop);
        expect(places).toHaveLength(count);
        for (const { xM, yM } of places) {
          expect(xM).toBeGreaterThanOrEqual(bed.xM);
          expect(xM).toBeLessThanOrEqual(bed.xM + bed.lengthM + 0.01);
          expect(yM).toBeGreaterThan(bed.yM);
          expect(yM).toBeLessThan(bed.yM + bed.widthM);
        }
      },
    ),
  );
});

test('with room enough they stand at the distance of the crop, one after another', () => {
  const places = nextPlantPlaces(bed, [], 3, cropOf('squash-maxima'));
  expect(places.map(({ xM }) => xM)).toEqual([2.6, 3.8, 5]);
  expect(nextPlantPlaces(bed, places, 1, cropOf('squash-maxima'))[0]?.xM).toBe(6.2);
});

test('a new bed lies below the others, a path between', () => {
  expect(nextBedCorner([])).toEqual({ xM: 0, yM: 0 });
  expect(nextBedCorner([{ xM: 0, yM: 0, widthM: 1.5 }]).yM).toBeCloseTo(2.1);
});

test('the walk passes every living plant once, bed by bed, back along the next row', () => {
  const state = fold(demoSeason(3).slice(0, 60));
  const walk = walkOrder(state);
  expect(new Set(walk.map(({ plant }) => plant.id)).size).toBe([...state.plants.values()].length);
  const beds = walk.map(({ bed: each }) => each.name).filter((name, i, all) => name !== all[i - 1]);
  expect(beds).toEqual(['Upper terrace', 'Middle terrace', 'Lower terrace']);
  const upper = walk.filter(({ bed: each }) => each.name === 'Upper terrace').map(({ plant }) => plant.xM);
  const middle = walk.filter(({ bed: each }) => each.name === 'Middle terrace').map(({ plant }) => plant.xM);
  expect(upper).toEqual([...upper].sort((a, b) => a - b));
  expect(middle).toEqual([...middle].sort((a, b) => b - a));
});
