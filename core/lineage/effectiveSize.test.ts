import fc from 'fast-check';
import {
  alleleCapture,
  effectiveParents,
  effectiveSizeFromContributions,
  effectiveSizeFromSexes,
  effectiveSizeOverGenerations,
  filialUntilTrue,
  fixedShare,
  heterozygosityOf,
  plantsToFind,
  recurrentShare,
} from '.';
import cases from './fixtures/effectiveSize.json';

const reckon: Readonly<Record<string, (input: never) => object>> = {
  'ne-sex-ratio': ({ males, females }: { males: number; females: number }) => ({
    ne: effectiveSizeFromSexes(males, females),
  }),
  'ne-variance': ({ contributions }: { contributions: number[] }) => ({
    ne: effectiveSizeFromContributions(contributions),
  }),
  'effective-parents': ({ seedsPerPlant }: { seedsPerPlant: number[] }) => ({
    effectiveParents: effectiveParents(seedsPerPlant),
  }),
  'ne-generations': ({ ne }: { ne: number[] }) => effectiveSizeOverGenerations(ne),
  'allele-capture': alleleCapture as never,
};

describe('formulas worked out in fractions', () => {
  test.each(cases.map((each) => [each.id, each] as const))('%s', (_id, { input, expected }) => {
    const found = reckon[input.kind]?.(input as never) as Record<string, number>;
    const compared = Object.entries(expected).filter(([field]) => field in found);
    expect(compared.length).toBeGreaterThan(0);
    for (const [field, wanted] of compared) expect(found[field]).toBeCloseTo(wanted as number, 9);
  });
});

const shares = fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 1, maxLength: 30 });

describe('effective sizes', () => {
  test('no lot has more parents behind it than gave to it, and even shares have just as many', () => {
    fc.assert(
      fc.property(shares, fc.integer({ min: 1, max: 9 }), (given, each) => {
        const parents = effectiveParents(given);
        expect(parents).toBeLessThanOrEqual(given.filter((seeds) => seeds > 0).length + 1e-9);
        expect(effectiveParents(given.map(() => each))).toBeCloseTo(given.length, 9);
      }),
    );
  });

  test('a father shared by all mothers counts as the sum of the squares says', () => {
    // Ten mothers and one father: half of the genes are his.
    expect(effectiveParents([10, ...Array<number>(10).fill(1)])).toBeCloseTo(
      effectiveSizeFromSexes(1, 10),
      9,
    );
    expect(effectiveSizeFromSexes(10, 10)).toBe(20);
  });

  test('a narrow generation weighs on all that come after', () => {
    const { harmonicMean, heterozygosityRetained } = effectiveSizeOverGenerations([50, 2, 50]);
    expect(harmonicMean).toBeLessThan(6);
    expect(heterozygosityRetained).toBeCloseTo(0.99 * 0.75 * 0.99, 10);
  });

  test('nothing given, one gamete, nonsense', () => {
    expect([effectiveSizeFromContributions([]), effectiveSizeFromContributions([0, 0])]).toEqual([0, 0]);
    expect(effectiveSizeFromContributions([1, 0])).toBe(1);
    expect(effectiveParents([])).toBe(0);
    expect(() => effectiveParents([-1])).toThrow(expect.objectContaining({ reason: 'seedsPerPlant' }));
    expect(() => effectiveSizeOverGenerations([0])).toThrow(expect.objectContaining({ reason: 'sizes' }));
    expect(() => alleleCapture({ alleleFrequency: 2, inbreeding: 0, plants: 1 })).toThrow(
      expect.objectContaining({ reason: 'alleleFrequency' }),
    );
  });

  test('the plants asked for are just enough to keep an allele', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.9, noNaN: true }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (alleleFrequency, inbreeding) => {
          const keep = (plants: number) => alleleCapture({ alleleFrequency, inbreeding, plants }).probability;
          const { plantsFor95 } = alleleCapture({ alleleFrequency, inbreeding, plants: 1 });
          expect(keep(plantsFor95)).toBeGreaterThanOrEqual(0.95 - 1e-12);
          if (plantsFor95 > 1) expect(keep(plantsFor95 - 1)).toBeLessThan(0.95);
        },
      ),
    );
    expect(alleleCapture({ alleleFrequency: 0, inbreeding: 0, plants: 9 }).plantsFor95).toBe(Infinity);
  });
});

describe('generations of a cross', () => {
  test('heterozygosity halves with each selfing: F2 1/2, F6 1/32, F8 1/128', () => {
    expect([1, 2, 6, 8].map(heterozygosityOf)).toEqual([1, 1 / 2, 1 / 32, 1 / 128]);
  });

  test('backcrosses bring back 75, 87.5 and 93.8 % of the recurrent parent; the F1 has half', () => {
    expect([0, 1, 2, 3].map(recurrentShare)).toEqual([0.5, 0.75, 0.875, 0.9375]);
  });

  test('11, 47 and 191 plants of F2 find a recessive of one, two and three genes', () => {
    const find = (genes: number) => plantsToFind({ genes, shows: 'recessive' });
    expect([1, 2, 3].map(find)).toEqual([11, 47, 191]);
    expect(plantsToFind({ genes: 1, shows: 'dominant' })).toBe(3);
  });

  test('so many plants find it, and one fewer would not', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4 }),
        fc.constantFrom('recessive', 'dominant'),
        fc.double({ min: 0.5, max: 0.999, noNaN: true }),
        (genes, shows, confidence) => {
          const share = (shows === 'recessive' ? 0.25 : 0.75) ** genes;
          const n = plantsToFind({ genes, shows, confidence });
          expect(1 - (1 - share) ** n).toBeGreaterThanOrEqual(confidence - 1e-6);
          if (n > 1) expect(1 - (1 - share) ** (n - 1)).toBeLessThan(confidence + 1e-6);
        },
      ),
    );
  });

  test('it breeds true later the more genes there are', () => {
    expect(fixedShare(2, 1)).toBe(0.5);
    expect([1, 3, 10].map((genes) => filialUntilTrue(genes))).toEqual([5, 6, 8]);
    expect(() => filialUntilTrue(3, 1)).toThrow(expect.objectContaining({ reason: 'share' }));
    expect(() => heterozygosityOf(0)).toThrow(expect.objectContaining({ reason: 'filial' }));
  });
});
