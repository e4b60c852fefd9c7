import fc from 'fast-check';
import { seededRandom } from '../random';
import {
  clusteredShare,
  compareShares,
  confidenceFor,
  flowersToTell,
  proportionInterval,
  type Counted,
} from '.';

const plantsOf = fc.array(
  fc
    .integer({ min: 0, max: 14 })
    .chain((n) => fc.record({ n: fc.constant(n), k: fc.integer({ min: 0, max: n }) })),
  { maxLength: 12 },
);
const named = (counts: readonly { readonly k: number; readonly n: number }[]): Counted[] =>
  counts.map((count, i) => ({ id: String(i), ...count }));

test('a share by plants is never surer than flower by flower, holds its share, and cares for no order', () => {
  fc.assert(
    fc.property(plantsOf, (counts) => {
      const found = clusteredShare(named(counts), 0.95);
      const again = clusteredShare(named([...counts].reverse()), 0.95);
      expect(found.low).toBeCloseTo(again.low, 12);
      expect(found.high).toBeCloseTo(again.high, 12);
      if (found.share === null) return expect(found).toMatchObject({ judged: 0, low: 0, high: 1 });
      const plain = proportionInterval(found.set, found.judged, { method: 'wilson', confidence: 0.95 });
      expect(found.low).toBeLessThanOrEqual(plain.low);
      expect(found.high).toBeGreaterThanOrEqual(plain.high);
      expect(found.low).toBeLessThanOrEqual(found.share);
      expect(found.high).toBeGreaterThanOrEqual(found.share);
    }),
    { seed: 3, numRuns: 300 },
  );
});

test('one plant alone gets the plain interval', () => {
  expect(clusteredShare([{ id: 'a', k: 8, n: 10 }], 0.95)).toMatchObject({
    ...proportionInterval(8, 10, { method: 'wilson', confidence: 0.95 }),
    designEffect: 1,
  });
});

test('where plants differ, 95 % intervals hold the truth about as often as they say; flower by flower they do not', () => {
  const random = seededRandom(7);
  const rate = () => {
    const normal = Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    return 1 / (1 + Math.exp(-(0.8 + normal)));
  };
  let truth = 0;
  for (let i = 0; i < 100_000; i++) truth += rate() / 100_000;
  const runs = 600;
  let [ours, naive] = [0, 0];
  for (let run = 0; run < runs; run++) {
    const plants = named(
      Array.from({ length: 12 }, () => {
        const n = 4 + Math.floor(random() * 12);
        const p = rate();
        return { n, k: Array.from({ length: n }, () => random() < p).filter(Boolean).length };
      }),
    );
    const { low, high, set, judged } = clusteredShare(plants, 0.95);
    const plain = proportionInterval(set, judged, { method: 'wilson', confidence: 0.95 });
    if (low <= truth && truth <= high) ours++;
    if (plain.low <= truth && truth <= plain.high) naive++;
  }
  expect(ours / runs).toBeGreaterThan(0.92);
  expect(ours / runs).toBeLessThan(0.98);
  expect(naive / runs).toBeLessThan(0.88);
});

const alone = (k: number, n: number, who: string) =>
  clusteredShare(
    Array.from({ length: n }, (_, i) => ({ id: `${who}${i}`, k: Number(i < k), n: 1 })),
    0.95,
  );

test('brush 61 of 80, male flower 70 of 82: could easily be luck; 30 of 80 against 70 of 82 hardly', () => {
  expect(compareShares(alone(61, 80, 'a'), alone(70, 82, 'b')).verdict).toBe('luck');
  expect(compareShares(alone(30, 80, 'a'), alone(70, 82, 'b')).verdict).toBe('more');
});

test('nine flowers on a side are too few, however far apart', () => {
  expect(compareShares(alone(9, 9, 'a'), alone(0, 40, 'b')).verdict).toBe('too-few');
});

test('a group without a verdict can’t be compared', () => {
  expect(() => compareShares(alone(0, 0, 'a'), alone(3, 10, 'b'))).toThrow(
    expect.objectContaining({ reason: 'counts' }),
  );
});

// R 4.2.2: power.prop.test(p1, p2, power = 0.8)$n, rounded up.
test.each([
  [0.6, 0.8, 82],
  [0.5, 0.75, 58],
  [0.7, 0.8, 294],
  [0.1, 0.3, 62],
])('%d against %d takes %d flowers on each side', (p1, p2, n) => expect(flowersToTell(p1, p2)).toBe(n));

test('shares alike take more flowers than anybody works', () => {
  expect(flowersToTell(0.7, 0.7)).toBeNull();
  expect(flowersToTell(0.7, 0.701)).toBeNull();
});

test('of more groups each pair has to be surer', () => {
  expect([2, 3, 5].map(confidenceFor)).toEqual([0.95, 1 - 0.05 / 3, 0.995]);
});
