import fc from 'fast-check';
import { geoDistance, standDistance, type Ground, type Position, type Ring } from '.';
import geometry from './fixtures/geometry.json';

type Input = { point: Position; polygon: Ring[]; a: Ring[] & Ring; b: Ring[] & Ring };
const of = (kind: string) =>
  geometry
    .filter(({ input }) => input.kind === kind)
    .map(({ id, input, expected, tolerance }) => ({
      id,
      input: input as unknown as Input,
      metres: expected.metres,
      slack: (tolerance.abs ?? 0) + (tolerance.rel ?? 0) * expected.metres,
    }));
const area = (rings: readonly Ring[]): Ground => ({ type: 'Polygon', coordinates: rings });
const off = (got: number, metres: number) => Math.abs(got - metres);

test.each(of('point-to-polygon'))('a point and an area: $id', ({ input, metres, slack }) => {
  const point: Ground = { type: 'Point', coordinates: input.point };
  expect(off(standDistance(point, area(input.polygon)), metres)).toBeLessThanOrEqual(slack);
});

test.each(of('polygon-to-polygon'))(
  'two areas, whichever is named first: $id',
  ({ input, metres, slack }) => {
    expect(off(standDistance(area(input.a), area(input.b)), metres)).toBeLessThanOrEqual(slack);
    expect(off(standDistance(area(input.b), area(input.a)), metres)).toBeLessThanOrEqual(slack);
  },
);

test.each(of('lonlat-polygons'))('areas in degrees: $id', ({ input, metres, slack }) => {
  expect(off(geoDistance(area([input.a]), area([input.b])), metres)).toBeLessThanOrEqual(slack);
});

const corner = fc.tuple(fc.integer({ min: -50, max: 50 }), fc.integer({ min: -50, max: 50 }));
const ring = fc.array(corner, { minLength: 3, maxLength: 8 });

test('whatever the outlines, crossing themselves or of no width: the same both ways, and never below 0', () => {
  fc.assert(
    fc.property(ring, ring, (a, b) => {
      const [one, other] = [area([a]), area([b])];
      expect(standDistance(one, other)).toBeCloseTo(standDistance(other, one), 9);
      expect(standDistance(one, other)).toBeGreaterThanOrEqual(0);
      expect(standDistance(one, one)).toBe(0);
    }),
  );
});

test('no corner of the one is nearer to the other than the two are', () => {
  fc.assert(
    fc.property(ring, ring, (a, b) => {
      const apart = standDistance(area([a]), area([b]));
      for (const coordinates of a)
        expect(standDistance({ type: 'Point', coordinates }, area([b]))).toBeGreaterThanOrEqual(apart - 1e-9);
    }),
  );
});

test('moved away by so much, a stand is at most so much farther', () => {
  fc.assert(
    fc.property(ring, ring, fc.integer({ min: 1, max: 100 }), (a, b, by) => {
      const moved = b.map(([x, y]): Position => [x + by, y]);
      const change = standDistance(area([a]), area([moved])) - standDistance(area([a]), area([b]));
      expect(Math.abs(change)).toBeLessThanOrEqual(by + 1e-9);
    }),
  );
});

test('two beds on either side of the date line are neighbours', () => {
  const at = (longitude: number): Ground => ({ type: 'Point', coordinates: [longitude, -17] });
  expect(geoDistance(at(179.9999), at(-179.9999))).toBeCloseTo(21.27, 1);
});

test('corners that are none are named', () => {
  expect(() => standDistance(area([]), area([]))).toThrow(/coordinates must be at least one corner/);
  expect(() => standDistance({ type: 'Point', coordinates: [NaN, 0] }, area([[[0, 0]]]))).toThrow(
    /coordinates/,
  );
});
