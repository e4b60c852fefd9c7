import fc from 'fast-check';
import { apply, type AnyEvent, type Bed, type Draft } from '../ledger';
import { TestGarden } from '../testGarden';
import { bedCorners, growing, inBed, middleOfBed, onPlan, plantPlace } from '.';

const metres = fc.double({ min: -200, max: 200, noNaN: true });
const lying = fc.record({
  xM: metres,
  yM: metres,
  lengthM: fc.double({ min: 0.1, max: 60, noNaN: true }),
  widthM: fc.double({ min: 0.1, max: 60, noNaN: true }),
  turnedDeg: fc.double({ min: 0, max: 359, noNaN: true }),
  first: fc.record({ xM: metres, yM: metres }),
});
const apart = (a: readonly [number, number], b: readonly [number, number]) =>
  Math.hypot(a[0] - b[0], a[1] - b[1]);

test('there and back: a point of a bed lies where it lay, however the bed was moved and turned', () => {
  fc.assert(
    fc.property(lying, metres, metres, (bed, x, y) => {
      expect(apart(inBed(bed, onPlan(bed, [x, y])), [x, y])).toBeLessThan(1e-9);
    }),
  );
});

test('turning keeps all distances, and the middle of the bed where it is', () => {
  fc.assert(
    fc.property(lying, metres, metres, metres, metres, (bed, a, b, c, d) => {
      const [one, other] = [onPlan(bed, [a, b]), onPlan(bed, [c, d])];
      expect(apart(one, other)).toBeCloseTo(apart([a, b], [c, d]), 6);
      const corners = bedCorners(bed);
      const [x, y] = [0, 1].map(
        (axis) => corners.reduce((sum, corner) => sum + (corner[axis] as number), 0) / 4,
      );
      expect(apart([x as number, y as number], middleOfBed(bed))).toBeLessThan(1e-9);
    }),
  );
});

test('a quarter turn clockwise: what lay to the east lies to the south', () => {
  const bed = { xM: 0, yM: 0, lengthM: 2, widthM: 2, turnedDeg: 90, first: { xM: 0, yM: 0 } };
  expect(onPlan(bed, [2, 1]).map(Math.round)).toEqual([1, 2]);
});

/** A stand of four in a bed of its own, and what moves it. */
function moved() {
  const garden = new TestGarden();
  const { plants, stand } = garden.plant('squash-maxima', 'Slate Dome', 4);
  const bed = [...garden.state.beds.values()][0] as Bed;
  const placeOf = (plant: string, state = garden.state) => {
    const found = growing(state, plant);
    return found && plantPlace(found);
  };
  const write = (draft: Draft, hour: number) => garden.write(garden.time('2026-07-01', hour), draft);
  return { garden, plants, stand, bed, placeOf, write };
}

test('a bed that is moved takes its plants along; a stand that is moved leaves its bed where it is', () => {
  const { plants, stand, bed, placeOf, write, garden } = moved();
  const [first] = plants as [string];
  const before = placeOf(first) as { xM: number; yM: number };
  write({ kind: 'bedPlaced', bed: bed.id, xM: bed.xM + 10, yM: bed.yM - 4, turnedDeg: 0 }, 8);
  expect(placeOf(first)).toEqual({ xM: before.xM + 10, yM: before.yM - 4 });
  write({ kind: 'standPlaced', stand, alongM: 3, acrossM: 1 }, 9);
  expect(placeOf(first)).toEqual({ xM: before.xM + 13, yM: before.yM - 3 });
  expect(garden.state.beds.get(bed.id)).toMatchObject({ xM: bed.xM + 10, first: { xM: bed.xM, yM: bed.yM } });
});

test('a second measuring of a moved bed is a correction of where it first lay; it stays where it was moved to', () => {
  const { bed, write, garden } = moved();
  write({ kind: 'bedPlaced', bed: bed.id, xM: 20, yM: 5, turnedDeg: 30 }, 8);
  write({ kind: 'corrected', subject: bed.id, target: bed.event, changes: { lengthM: 12 } }, 9);
  expect(garden.state.beds.get(bed.id)).toMatchObject({ xM: 20, yM: 5, turnedDeg: 30, lengthM: 12 });
});

test('two phones that both moved a bed come to one place in whatever order they meet', () => {
  const { garden, bed, write } = moved();
  const before = garden.state;
  const one = write({ kind: 'bedPlaced', bed: bed.id, xM: 5, yM: 0, turnedDeg: 0 }, 8) as AnyEvent;
  const other = {
    ...write({ kind: 'bedPlaced', bed: bed.id, xM: 9, yM: 0, turnedDeg: 0 }, 9),
    device: 'other',
  };
  const [a, b] = [apply(apply(before, one), other as AnyEvent), apply(apply(before, other as AnyEvent), one)];
  expect(a.beds.get(bed.id)).toEqual(b.beds.get(bed.id));
  expect(a.beds.get(bed.id)?.xM).toBe(9);
});
