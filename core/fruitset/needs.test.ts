import fc from 'fast-check';
import { chanceOfAtLeast, pollinationsNeeded, shrunkenRates } from '.';
import cases from './fixtures/betaBinomial.json';

describe('shrunken rates: reference values (source in the fixture)', () => {
  test.each(cases.map((each) => [each.id, each] as const))('%s', (_id, { input, expected, tolerance }) => {
    const method = input.kind === 'moments' ? 'moments' : 'likelihood';
    const found = shrunkenRates(
      input.x.map((k, i) => ({ id: `p${i}`, k, n: input.n[i] as number })),
      { method },
    );
    const near = (got: number | null, wanted: number | null | undefined) => {
      const { abs = 0, rel = 0 } = tolerance as { abs?: number; rel?: number };
      if (typeof wanted === 'number' && got !== null)
        expect(Math.abs(got - wanted)).toBeLessThanOrEqual(abs + rel * Math.abs(wanted));
    };
    const wanted = expected as {
      mean?: number;
      alpha?: number | null;
      beta?: number | null;
      overdispersed?: boolean;
    };
    near(found.mean, wanted.mean);
    if (wanted.overdispersed === false) expect(found.alpha).toBeNull();
    else if (typeof wanted.alpha === 'number') expect(found.alpha).not.toBeNull();
    near(found.alpha, wanted.alpha);
    near(found.beta, wanted.beta);
    for (const [i, mean] of expected.posteriorMean.entries())
      expect(found.rates[i]?.rate).toBeCloseTo(mean, 3);
  });
  test('rates lie between their own share and the mean', () => {
    const counts = fc.array(
      fc.nat(20).chain((n) => fc.record({ n: fc.constant(n), k: fc.nat(n) })),
      { minLength: 2, maxLength: 12 },
    );
    fc.assert(
      fc.property(counts, (list) => {
        fc.pre(list.some(({ n }) => n > 0));
        const { mean, rates } = shrunkenRates(
          list.map((each, i) => ({ id: String(i), ...each })),
          { method: 'moments' },
        );
        for (const [i, { rate }] of rates.entries()) {
          const { k, n } = list[i] as { k: number; n: number };
          const own = n === 0 ? mean : k / n;
          expect(rate).toBeGreaterThanOrEqual(Math.min(own, mean) - 1e-9);
          expect(rate).toBeLessThanOrEqual(Math.max(own, mean) + 1e-9);
        }
      }),
    );
  });
  test('no trial at all, or no count, is refused by name', () => {
    expect(() => shrunkenRates([], { method: 'moments' })).toThrow(
      expect.objectContaining({ field: 'groups' }),
    );
    expect(() => shrunkenRates([{ id: 'a', k: 3, n: 2 }], { method: 'moments' })).toThrow(
      expect.objectContaining({ field: 'k' }),
    );
  });
});

/** The tail summed another way: from products of rising factorials, term by term, without log-gamma. */
function tailByProducts(wanted: number, n: number, alpha: number, beta: number): number {
  let sum = 0;
  for (let k = wanted; k <= n; k++) {
    let term = 1;
    for (let i = 0; i < k; i++) term *= ((n - i) / (k - i)) * ((alpha + i) / (alpha + beta + i));
    for (let i = 0; i < n - k; i++) term *= (beta + i) / (alpha + beta + k + i);
    sum += term;
  }
  return sum;
}

describe('pollinations needed', () => {
  test('by hand: with the uniform rate, n = 9 is the least for one fruit at 90 %', () => {
    // Under beta(1, 1) the number of successes is uniform on 0..n: P(at least one) = n / (n + 1). 9/10 needs n = 9.
    expect(pollinationsNeeded({ fruitsWanted: 1, alpha: 1, beta: 1, assurance: 0.9 })).toBe(9);
    expect(chanceOfAtLeast(3, 9, 1, 1)).toBeCloseTo(7 / 10, 12);
  });
  test('agrees with sums made another way, and is the least', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.constantFrom(0.5, 0.8, 0.9),
        (fruitsWanted, alpha, beta, assurance) => {
          const n = pollinationsNeeded({ fruitsWanted, alpha, beta, assurance });
          fc.pre(n < 400);
          expect(chanceOfAtLeast(fruitsWanted, n, alpha, beta)).toBeCloseTo(
            tailByProducts(fruitsWanted, n, alpha, beta),
            8,
          );
          expect(tailByProducts(fruitsWanted, n, alpha, beta)).toBeGreaterThanOrEqual(assurance - 1e-9);
          if (n > fruitsWanted)
            expect(tailByProducts(fruitsWanted, n - 1, alpha, beta)).toBeLessThan(assurance + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
  });
  test('nothing wanted needs nothing; the hopeless is out of reach; nonsense is named', () => {
    expect(pollinationsNeeded({ fruitsWanted: 0, alpha: 1, beta: 1, assurance: 0.9 })).toBe(0);
    expect(pollinationsNeeded({ fruitsWanted: 5, alpha: 0.01, beta: 5, assurance: 0.99 })).toBe(Infinity);
    for (const [field, wrong] of [
      ['fruitsWanted', { fruitsWanted: 1.5 }],
      ['alpha', { alpha: 0 }],
      ['assurance', { assurance: 1 }],
    ] as const)
      expect(() =>
        pollinationsNeeded({ fruitsWanted: 2, alpha: 1, beta: 1, assurance: 0.9, ...wrong }),
      ).toThrow(expect.objectContaining({ field }));
  });
});
