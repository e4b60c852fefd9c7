import fc from 'fast-check';
import type { Bed } from '@core/ledger';
import { TestGarden } from '@core/testGarden';
import { fitted, planScene, scaleBar, thingKey, thingOf } from './scene';

const DAY = '2026-07-10';
const box = fc
  .tuple(...[0, 1, 2, 3].map(() => fc.double({ min: -500, max: 500, noNaN: true })))
  .map(([a, b, c, d]) => ({
    west: Math.min(a as number, b as number),
    east: Math.max(a as number, b as number),
    north: Math.min(c as number, d as number),
    south: Math.max(c as number, d as number),
  }));

test('whatever is drawn fits into the picture, its middle in the middle', () => {
  fc.assert(
    fc.property(box, (drawn) => {
      const { k, x, y } = fitted(drawn, 366, 400);
      for (const [east, south] of [
        [drawn.west, drawn.north],
        [drawn.east, drawn.south],
      ] as const) {
        expect(k * east + x).toBeGreaterThan(-1e-6);
        expect(k * east + x).toBeLessThan(366 + 1e-6);
        expect(k * south + y).toBeGreaterThan(-1e-6);
        expect(k * south + y).toBeLessThan(400 + 1e-6);
      }
      expect((k * (drawn.west + drawn.east)) / 2 + x).toBeCloseTo(183, 6);
    }),
  );
});

test('the bar of the scale is a round length, never longer than its room and no shorter than a fifth of it', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.02, max: 400, noNaN: true }), (k) => {
      const metres = scaleBar(k, 110);
      expect(metres * k).toBeLessThanOrEqual(110 + 1e-9);
      expect(metres * k).toBeGreaterThan(22);
      expect([1, 2, 5]).toContain(Number((metres / 10 ** Math.floor(Math.log10(metres) + 1e-9)).toFixed(6)));
    }),
  );
});

test('a plant outside of every bed is told; in a bed that was turned it is inside', () => {
  const garden = new TestGarden();
  const { stand } = garden.plant('squash-maxima', 'Slate Dome', 4);
  const [bed] = [...garden.state.beds.values()] as [Bed];
  const outside = () => planScene(garden.state, DAY).outside;
  expect(outside()).toEqual([]);
  garden.write(garden.time(DAY, 8), { kind: 'bedPlaced', bed: bed.id, xM: 40, yM: 9, turnedDeg: 77 });
  expect(outside()).toEqual([]);
  garden.write(garden.time(DAY, 9), { kind: 'standPlaced', stand, alongM: 0, acrossM: 4 });
  expect(outside()).toEqual(['Slate Dome']);
});

test('an empty patch has a picture of ten metres', () => {
  const { patch, all, beds, stands } = planScene(new TestGarden().state, DAY);
  expect([patch, all]).toEqual(Array(2).fill({ west: 0, north: 0, east: 10, south: 10 }));
  expect([beds, stands]).toEqual([[], []]);
});

test('a thing is found again by its key', () => {
  const bed = { kind: 'bed', id: 'bed:1' } as const;
  expect(thingOf(thingKey(bed))).toEqual(bed);
  expect(thingOf('nothing')).toBeNull();
});
