import fc from 'fast-check';
import { foreignPressure, overlapOf, type OpenStand, type PollenSource } from '.';

const stand = (crop: OpenStand['crop'], more: Partial<OpenStand> = {}): OpenStand => ({
  crop,
  plants: 1,
  bloom: null,
  ...more,
});
const source = (
  crop: OpenStand['crop'],
  distanceM: number,
  more: Partial<PollenSource> = {},
): PollenSource => ({
  ...stand(crop),
  distanceM,
  bearingDeg: null,
  between: [],
  besides: [],
  ...more,
});
const likely = (own: OpenStand, other: PollenSource, windFromDeg?: number) =>
  foreignPressure(own, [other], { windFromDeg: windFromDeg ?? null }).likely;

// Orders of magnitude of scientific papers, from memory, and wide. The model's constants were chosen to lie within them, so these are no
// check from outside: they hold the model to where it was put.
test.each([
  ['corn', 1, 0.1, 0.5],
  ['corn', 30, 0.005, 0.02],
  ['corn', 200, 0.0005, 0.002],
  ['squash-pepo', 1, 0.1, 0.6],
  ['cucumber', 5, 0.1, 0.6],
  ['melon', 50, 0.05, 0.2],
  ['squash-pepo', 250, 0.005, 0.02],
  ['squash-pepo', 800, 0.0001, 0.003],
  ['tomato', 1, 0, 0.05],
  ['pepper', 0.5, 0.01, 0.4],
  ['pepper', 100, 0, 0.01],
  ['lettuce', 3, 0, 0.01],
  ['bean', 3, 0, 0.01],
  ['pea', 3, 0, 0.01],
] as const)('regression: %s at %d m: from %d to %d', (crop, metres, least, most) => {
  const share = likely(stand(crop), source(crop, metres));
  expect(share).toBeGreaterThanOrEqual(least);
  expect(share).toBeLessThanOrEqual(most);
});

test('regression: corn gets ten times more of a neighbour upwind than of one downwind', () => {
  const far = (bearingDeg: number) => likely(stand('corn'), source('corn', 200, { bearingDeg }), 270);
  expect(far(270) / far(90)).toBeCloseTo(10, 1);
  expect(far(0)).toBeCloseTo(likely(stand('corn'), source('corn', 200)), 9);
});

test('regression: where a tomato’s stigma sticks out about one seed in twenty is crossed', () => {
  const out = { stigmaOut: true };
  expect(likely(stand('tomato', out), source('tomato', 1))).toBeCloseTo(0.05, 2);
});

const crop = fc.constantFrom('corn', 'squash-pepo', 'tomato', 'pepper', 'lettuce', 'beet' as const);
const metres = fc.double({ min: 0, max: 3000, noNaN: true });

test('it falls with distance, rises with what grows there, falls with what one grows oneself, and stays a share', () => {
  fc.assert(
    fc.property(crop, metres, metres, fc.nat(5000), (of, one, more, plants) => {
      const near = foreignPressure(stand(of, { plants: 5 }), [source(of, one, { plants })]);
      const far = foreignPressure(stand(of, { plants: 5 }), [source(of, one + more, { plants })]);
      const most = foreignPressure(stand(of, { plants: 5 }), [source(of, one, { plants: plants + 10 })]);
      const block = foreignPressure(stand(of, { plants: 50 }), [source(of, one, { plants })]);
      for (const end of ['low', 'likely', 'high'] as const) {
        expect(far[end]).toBeLessThanOrEqual(near[end]);
        expect(most[end]).toBeGreaterThan(near[end]);
        expect(block[end]).toBeLessThanOrEqual(near[end]);
      }
      expect(near.low).toBeGreaterThanOrEqual(0);
      expect(near.low).toBeLessThanOrEqual(near.likely);
      expect(near.likely).toBeLessThanOrEqual(near.high);
      expect(near.high).toBeLessThan(1);
    }),
  );
});

test('without a source that crosses and flowers then there is none', () => {
  const none = { low: 0, likely: 0, high: 0 };
  expect(foreignPressure(stand('cucumber'), [])).toEqual(none);
  expect(foreignPressure(stand('cucumber'), [source('melon', 1), source('watermelon', 0)])).toEqual(none);
  const july = { from: '2026-07-01', to: '2026-07-31' };
  const september = { from: '2026-09-01', to: '2026-09-20' };
  const corn = stand('corn', { bloom: july });
  expect(foreignPressure(corn, [source('corn', 5, { bloom: september })])).toEqual(none);
  // Nobody knows when the other flowers: it counts as flowering.
  expect(foreignPressure(corn, [source('corn', 5)]).likely).toBeGreaterThan(0.05);
});

test('a hedge and flowers between keep some of it off; another species in part, far less', () => {
  const open = likely(stand('squash-moschata'), source('squash-moschata', 40));
  expect(
    likely(stand('squash-moschata'), source('squash-moschata', 40, { between: ['hedge', 'forage'] })),
  ).toBeLessThan(open / 2);
  expect(likely(stand('squash-moschata'), source('squash-argyrosperma', 40))).toBeLessThan(open / 10);
});

test('overlap is the share of one’s own days', () => {
  const days = (from: number, to: number) => ({ from: `2026-07-${10 + from}`, to: `2026-07-${10 + to}` });
  expect(overlapOf(days(0, 9), days(0, 9))).toBe(1);
  expect(overlapOf(days(0, 9), days(9, 12))).toBeCloseTo(0.1, 9);
  expect(overlapOf(days(0, 9), days(10, 12))).toBe(0);
  expect(overlapOf(days(3, 4), days(0, 9))).toBe(1);
});

test('what can’t be is named', () => {
  expect(() => foreignPressure(stand('corn', { plants: 0 }), [])).toThrow(/plants must be more than 0/);
  expect(() => foreignPressure(stand('corn'), [source('corn', -1)])).toThrow(/distanceM/);
});

test('of winds that were noted each counts alike: half of the days from over there lie between all and none', () => {
  const own = stand('corn', { plants: 100 });
  const other = source('corn', 60, { bearingDeg: 90 });
  const share = (...winds: number[]) => foreignPressure(own, [other], { winds }).likely;
  expect(share(90)).toBe(likely(own, other, 90));
  expect(share(90, 270)).toBeLessThan(share(90));
  expect(share(90, 270)).toBeGreaterThan(share(270));
  // An open wind rose is no wind at all but for what the strong days carry more.
  expect(share(0, 90, 180, 270)).toBeGreaterThan(share(0));
});
