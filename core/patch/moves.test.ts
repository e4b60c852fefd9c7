import fc from 'fast-check';
import type { StandId } from '../ids';
import { validateEvent, whatIf, type Bed, type Corner, type Draft } from '../ledger';
import { TestGarden } from '../testGarden';
import {
  bedCorners,
  bedCornerTo,
  bedTo,
  cornersOf,
  growing,
  groundOf,
  moveBy,
  neighbourPlace,
  plantPlace,
  shapeTo,
  snapped,
  standing,
  turnTo,
  type Thing,
} from '.';

const DAY = '2026-07-10';

function patch(turnedDeg = 0) {
  const garden = new TestGarden();
  const { stand, plants } = garden.plant('squash-maxima', 'Slate Dome', 6) as {
    stand: StandId;
    plants: readonly string[];
  };
  const [bed] = [...garden.state.beds.values()] as [Bed];
  garden.write(garden.time(DAY, 8), { kind: 'bedPlaced', bed: bed.id, xM: 3, yM: 4, turnedDeg });
  const obstacle = garden.obstacle('hedge', [
    [0, 0],
    [9, 1],
  ]);
  const neighbour = garden.nextDoor({
    crop: 'squash-maxima',
    variety: 'Gate Pumpkin',
    plants: 2,
    distanceM: 50,
    bearingDeg: 120,
    between: ['hedge'],
    bloomFrom: '2026-07-01',
    bloomTo: '2026-08-01',
    knownBy: 'told',
    sprayed: ['2026-06-30'],
  });
  const placeOf = (plant: string, state = garden.state) => {
    const found = growing(state, plant);
    return found ? plantPlace(found) : { xM: NaN, yM: NaN };
  };
  return { garden, stand, plants, bed: bed.id, obstacle, neighbour, placeOf };
}

const apart = (a: Corner, b: Corner) => Math.hypot(a[0] - b[0], a[1] - b[1]);
const metre = fc.integer({ min: -80, max: 80 });

test('whatever the bed is turned to, a stand goes where it is drawn to: east is east on the plan', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 359 }), metre, metre, (turnedDeg, east, south) => {
      const { garden, stand, plants, placeOf } = patch(turnedDeg);
      const before = placeOf(plants[0] as string);
      const moved = whatIf(
        garden.state,
        moveBy(garden.state, { kind: 'stand', id: stand }, [east, south]) as Draft,
      );
      const after = placeOf(plants[0] as string, moved);
      expect(after.xM - before.xM).toBeCloseTo(east, 1);
      expect(after.yM - before.yM).toBeCloseTo(south, 1);
      // A look ahead leaves the record as it is.
      expect(placeOf(plants[0] as string)).toEqual(before);
    }),
    { numRuns: 40 },
  );
});

test('a bed, a hedge and a planting next door go as far as they are drawn; all else that is known of them stays', () => {
  const { garden, bed, obstacle, neighbour, plants, placeOf } = patch();
  const moved = (thing: Thing) => {
    const draft = moveBy(garden.state, thing, [2, -3]) as Draft;
    return whatIf(garden.state, draft);
  };
  const before = placeOf(plants[0] as string);
  expect(placeOf(plants[0] as string, moved({ kind: 'bed', id: bed }))).toEqual({
    xM: before.xM + 2,
    yM: before.yM - 3,
  });
  expect(moved({ kind: 'obstacle', id: obstacle }).obstacles.get(obstacle)?.corners).toEqual([
    [2, -3],
    [11, -2],
  ]);
  const was = garden.state.neighbours.get(neighbour);
  const is = moved({ kind: 'neighbour', id: neighbour }).neighbours.get(neighbour);
  const [x, y] = neighbourPlace(garden.state.beds, was as never) as Corner;
  expect(is?.place?.map(Math.round)).toEqual([Math.round(x + 2), Math.round(y - 3)]);
  const {
    variety,
    plants: count,
    between,
    bloomFrom,
    bloomTo,
    knownBy,
    sprayed,
  } = is as NonNullable<typeof is>;
  expect({ variety, count, between, bloomFrom, bloomTo, knownBy, sprayed }).toEqual({
    variety: 'Gate Pumpkin',
    count: 2,
    between: ['hedge'],
    bloomFrom: '2026-07-01',
    bloomTo: '2026-08-01',
    knownBy: 'told',
    sprayed: ['2026-06-30'],
  });
});

test('a bed is drawn larger or smaller by any corner: the one across stays, and so does all that grows in it', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 0, max: 359 }),
      fc.integer({ min: 0, max: 3 }),
      metre,
      metre,
      (turnedDeg, corner, east, south) => {
        const { garden, stand, bed, neighbour, plants, placeOf } = patch(turnedDeg);
        const at = (state: typeof garden.state, index: number) =>
          bedCorners(state.beds.get(bed) as Bed)[index] as Corner;
        const before = garden.state;
        const [x, y] = at(before, corner);
        const drawn = whatIf(before, bedCornerTo(before, bed, corner, [x + east, y + south]) as Draft);
        expect(apart(at(drawn, (corner + 2) % 4), at(before, (corner + 2) % 4))).toBeLessThan(0.02);
        for (const plant of plants) {
          const [was, is] = [placeOf(plant, before), placeOf(plant, drawn)];
          expect(apart([was.xM, was.yM], [is.xM, is.yM])).toBeLessThan(0.002);
        }
        // Moved after that it takes them along, as far as it goes; what lies next door stays.
        const moved = whatIf(drawn, moveBy(drawn, { kind: 'bed', id: bed }, [7, -3]) as Draft);
        const [was, is] = [placeOf(plants[0] as string, drawn), placeOf(plants[0] as string, moved)];
        expect([is.xM - was.xM, is.yM - was.yM].map((way) => Math.round(way * 100))).toEqual([700, -300]);
        expect(moved.beds.get(bed)).toMatchObject({ lengthM: drawn.beds.get(bed)?.lengthM, sized: true });
        const lies = (state: typeof before) =>
          neighbourPlace(state.beds, state.neighbours.get(neighbour) as never);
        expect(lies(moved)).toEqual(lies(before));
        expect(standing(moved, stand)?.plants).toHaveLength(plants.length);
      },
    ),
    { numRuns: 60 },
  );
});

test('a corner drawn past the one across makes the bed as small as it can be, never inside out', () => {
  const { garden, bed } = patch();
  const { xM, yM } = garden.state.beds.get(bed) as Bed;
  expect(bedCornerTo(garden.state, bed, 2, [xM - 5, yM + 9])).toMatchObject({
    xM,
    yM,
    sized: { lengthM: 0.2, widthM: 9 },
  });
  expect(bedCornerTo(garden.state, bed, 4, [0, 0])).toBeNull();
});

test('place, turn and size typed at once: sized where it lies, then moved with its plants', () => {
  const { garden, bed, plants, placeOf } = patch();
  const was = garden.state.beds.get(bed) as Bed;
  const to = { xM: was.xM + 10, yM: was.yM, lengthM: 12.5, widthM: 2, turnedDeg: 0 };
  const typed = whatIf(garden.state, bedTo(was, to));
  expect(typed.beds.get(bed)).toMatchObject(to);
  expect(placeOf(plants[0] as string, typed).xM - placeOf(plants[0] as string).xM).toBeCloseTo(10, 6);
  expect(bedTo(was, { ...was, xM: 1 })).not.toHaveProperty('sized');
});

test('a turn is kept between 0 and 360 degrees', () => {
  const { garden, bed } = patch(350);
  expect([
    turnTo(garden.state, bed, 365),
    turnTo(garden.state, bed, -10),
    turnTo(garden.state, bed, 360),
  ]).toMatchObject([{ turnedDeg: 5, xM: 3, yM: 4 }, { turnedDeg: 350 }, { turnedDeg: 0 }]);
});

test('the ground of a stand is outlined on the plan, whatever its bed is turned to, and moves with it', () => {
  const { garden, stand, bed } = patch(60);
  const wanted: Corner[] = [
    [1, 1],
    [9, 2],
    [7, 8],
  ];
  garden.write(garden.time(DAY, 10), shapeTo(garden.state, { kind: 'stand', id: stand }, wanted) as Draft);
  const ring = (state = garden.state) => {
    const found = standing(state, stand);
    const ground = found && groundOf(found);
    return ground?.type === 'Polygon' ? (ground.coordinates[0] as readonly Corner[]) : [];
  };
  for (const [i, [x, y]] of ring().entries())
    expect(Math.hypot(x - (wanted[i] as Corner)[0], y - (wanted[i] as Corner)[1])).toBeLessThan(0.02);
  const moved = whatIf(garden.state, moveBy(garden.state, { kind: 'bed', id: bed }, [10, 0]) as Draft);
  expect((ring(moved)[0] as Corner)[0] - (ring()[0] as Corner)[0]).toBeCloseTo(10, 6);
});

test('too few corners make no shape, and what is gone can’t be moved', () => {
  const { garden, stand, obstacle } = patch();
  expect(shapeTo(garden.state, { kind: 'obstacle', id: obstacle }, [[0, 0]])).toBeNull();
  expect(
    shapeTo(garden.state, { kind: 'stand', id: stand }, [
      [0, 0],
      [1, 1],
    ]),
  ).toBeNull();
  expect(
    shapeTo(garden.state, { kind: 'bed', id: 'bed:x' }, [
      [0, 0],
      [1, 1],
      [2, 0],
    ]),
  ).toBeNull();
  expect(cornersOf(garden.state, { kind: 'obstacle', id: 'obstacle:x' })).toEqual([]);
  expect(
    (['bed', 'stand', 'obstacle', 'neighbour'] as const).map((kind) =>
      moveBy(garden.state, { kind, id: 'x' }, [1, 1]),
    ),
  ).toEqual([null, null, null, null]);
});

test('every entry that a move or a shape makes may go into the log', () => {
  const { garden, bed, stand, obstacle, neighbour } = patch(33);
  const things: Thing[] = [
    { kind: 'bed', id: bed },
    { kind: 'stand', id: stand },
    { kind: 'obstacle', id: obstacle },
    { kind: 'neighbour', id: neighbour },
  ];
  fc.assert(
    fc.property(
      fc.constantFrom(...things),
      fc.double({ min: -90, max: 90, noNaN: true }),
      fc.double({ min: -90, max: 90, noNaN: true }),
      (thing, east, south) => {
        const at = garden.time(DAY, 11);
        for (const draft of [
          moveBy(garden.state, thing, [east, south]),
          shapeTo(garden.state, thing, cornersOf(garden.state, thing)),
        ])
          if (draft) expect(validateEvent(garden.write(at, draft))).toMatchObject({ ok: true });
      },
    ),
    { numRuns: 60 },
  );
});

test('an edge is drawn to one that is near, else everything goes by decimetres', () => {
  expect(snapped(2.13, [0, 4], [6.2])).toBe(2.2);
  expect(snapped(2.6, [0, 4], [6.2])).toBe(2.6);
  expect(snapped(-0.04, [], [])).toBeCloseTo(0, 9);
  fc.assert(
    fc.property(metre, fc.array(metre), fc.array(metre), (by, edges, others) => {
      expect(Math.abs(snapped(by + 0.03, edges, others) - by)).toBeLessThanOrEqual(0.3);
    }),
  );
});
