import fc from 'fast-check';
import { greatCircleM, toEarth, toPlan } from '.';
import geometry from '../isolation/fixtures/geometry.json';

const cases = geometry.filter(({ input }) => input.kind === 'great-circle');

test.each(cases)('$input.name: $id', ({ input, expected, tolerance }) => {
  const { a, b } = input as unknown as Record<'a' | 'b', { latitude: number; longitude: number }>;
  const slack = (tolerance.abs ?? 0) + (tolerance.rel ?? 0) * expected.metres;
  expect(Math.abs(greatCircleM(a, b) - expected.metres)).toBeLessThanOrEqual(slack);
});

const origin = fc.record({
  latitude: fc.double({ min: -65, max: 65, noNaN: true }),
  longitude: fc.double({ min: -180, max: 180, noNaN: true }),
});
const near = fc.record({
  xM: fc.double({ min: -3000, max: 3000, noNaN: true }),
  yM: fc.double({ min: -3000, max: 3000, noNaN: true }),
});

test('what is put on the earth comes back to its place on the plan, across the date line too', () => {
  fc.assert(
    fc.property(origin, near, (from, point) => {
      const back = toPlan(from, toEarth(from, point));
      expect(Math.hypot(back.xM - point.xM, back.yM - point.yM)).toBeLessThan(0.001);
    }),
  );
});

test('within 3 km the flat plan is as long as the round earth, to 2 m in a thousand', () => {
  fc.assert(
    fc.property(origin, near, (from, point) => {
      const long = Math.hypot(point.xM, point.yM);
      expect(Math.abs(greatCircleM(from, toEarth(from, point)) - long)).toBeLessThan(0.002 * long + 0.01);
    }),
  );
});

test('coordinates that are none are named', () => {
  expect(() => greatCircleM({ latitude: 91, longitude: 0 }, { latitude: 0, longitude: 0 })).toThrow(
    /latitude/,
  );
  expect(() => toPlan({ latitude: 0, longitude: 0 }, { latitude: 0, longitude: 200 })).toThrow(/longitude/);
});
