import fc from 'fast-check';
import { proportionInterval, upperBound, type IntervalMethod } from '.';
import fixtures from './fixtures/intervals.json';

const METHODS: readonly [IntervalMethod, 'wilson' | 'clopperPearson' | 'jeffreys'][] = [
  ['wilson', 'wilson'],
  ['clopper-pearson', 'clopperPearson'],
  ['jeffreys', 'jeffreys'],
];

describe('reference values (R 4.2.2, cross-checked; source in the fixture)', () => {
  test.each(fixtures.map((each) => [each.id, each] as const))('%s', (_id, { input, expected, tolerance }) => {
    const { kind, x, n, confidence } = input;
    if (kind === 'upper-bound') {
      expect(
        Math.abs(upperBound(x, n, confidence) - (expected as { upper: number }).upper),
      ).toBeLessThanOrEqual(tolerance.abs);
      return;
    }
    for (const [method, name] of METHODS) {
      const { low, high } = proportionInterval(x, n, { method, confidence });
      const [wantedLow = Number.NaN, wantedHigh = Number.NaN] =
        (expected as unknown as Record<string, number[]>)[name] ?? [];
      expect(Math.abs(low - wantedLow)).toBeLessThanOrEqual(tolerance.abs);
      expect(Math.abs(high - wantedHigh)).toBeLessThanOrEqual(tolerance.abs);
    }
  });
});

const counts = fc
  .integer({ min: 1, max: 400 })
  .chain((trials) => fc.tuple(fc.integer({ min: 0, max: trials }), fc.constant(trials)));

test.each(METHODS)('%s holds the share, mirrors, and narrows as trials grow', (method) => {
  fc.assert(
    fc.property(counts, fc.constantFrom(0.8, 0.9, 0.95, 0.99), ([successes, trials], confidence) => {
      const { low, high } = proportionInterval(successes, trials, { method, confidence });
      const share = successes / trials;
      expect(low).toBeGreaterThanOrEqual(0);
      expect(high).toBeLessThanOrEqual(1);
      expect(low).toBeLessThanOrEqual(share + 1e-9);
      expect(high).toBeGreaterThanOrEqual(share - 1e-9);
      const mirror = proportionInterval(trials - successes, trials, { method, confidence });
      expect(mirror.low).toBeCloseTo(1 - high, 6);
      const more = proportionInterval(successes * 4, trials * 4, { method, confidence });
      expect(more.high - more.low).toBeLessThan(high - low + 1e-9);
    }),
    { numRuns: 60 },
  );
});

test('no trials: nothing is known', () => {
  expect(proportionInterval(0, 0, { method: 'wilson', confidence: 0.95 })).toEqual({ low: 0, high: 1 });
  expect(upperBound(0, 0, 0.95)).toBe(1);
});

test.each([
  [3, 2, 0.95, 'successes'],
  [-1, 2, 0.95, 'successes'],
  [1, 2.5, 0.95, 'trials'],
  [1, 2, 1, 'confidence'],
])('%p of %p at %p is refused by name', (successes, trials, confidence, field) => {
  expect(() => proportionInterval(successes, trials, { method: 'wilson', confidence })).toThrow(
    expect.objectContaining({ field }),
  );
});
