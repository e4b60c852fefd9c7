import fc from 'fast-check';
import { pollinationsNeeded } from '../fruitset';
import { morningsPlan, planAtPrice, type MorningsQuestion, type PricedQuestion } from '.';

const fixed = (count: number) => Float64Array.from({ length: count + 1 }, (_, i) => (i === count ? 1 : 0));

/** Shares that set, and how likely each is under a beta distribution of whole numbers: the middles of 1000 equal steps. */
function sharesOf(alpha: number, beta: number): { share: number; weight: number }[] {
  const all = Array.from({ length: 1000 }, (_, i) => {
    const share = (i + 0.5) / 1000;
    return { share, weight: share ** (alpha - 1) * (1 - share) ** (beta - 1) };
  });
  const sum = all.reduce((total, { weight }) => total + weight, 0);
  return all.map(({ share, weight }) => ({ share, weight: weight / sum }));
}

function choose(n: number, k: number): number {
  return k === 0 ? 1 : (choose(n - 1, k - 1) * n) / k;
}

/**
 * The least value over every policy: each history by itself, the flowers of each look chosen anew in it, the unknown share summed over its
 * steps. No belief is ever updated by a formula, and no two histories are taken for one.
 */
function bruteForce(of: PricedQuestion, price: number): number {
  const from = (
    look: number,
    missing: number,
    weights: readonly { share: number; weight: number }[],
  ): number => {
    const mass = weights.reduce((sum, { weight }) => sum + weight, 0);
    if (missing <= 0 || mass === 0) return 0;
    const supply = of.supplies[look];
    if (!supply) return price * mass;
    const waiting = look === 0 ? of.waiting : 0;
    const values = Array.from({ length: supply.length }, (_, flowers) => {
      const count = waiting + flowers;
      let value = flowers * mass;
      for (let set = 0; set <= count; set++) {
        const seen = weights.map(({ share, weight }) => ({
          share,
          weight: weight * choose(count, set) * share ** set * (1 - share) ** (count - set),
        }));
        const surplus = Math.max(0, set - missing) * seen.reduce((sum, { weight }) => sum + weight, 0);
        value += surplus + from(look + 1, missing - set, seen);
      }
      return value;
    });
    return [...supply].reduce(
      (sum, chance, most) => sum + chance * Math.min(...values.slice(0, most + 1)),
      0,
    );
  };
  return from(0, of.missing, sharesOf(of.alpha, of.beta));
}

test('equal to every policy tried, up to three looks of up to four flowers, some waiting, openings certain or not', () => {
  const supply = fc.oneof(
    fc.integer({ min: 0, max: 4 }).map(fixed),
    fc.constant(Float64Array.of(0.2, 0.3, 0.5)),
  );
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 0, max: 2 }),
      fc.integer({ min: 2, max: 4 }),
      fc.integer({ min: 2, max: 5 }),
      fc.array(supply, { minLength: 1, maxLength: 3 }),
      fc.constantFrom(3, 12, 60),
      (missing, waiting, alpha, beta, supplies, price) => {
        const of = { missing, waiting, alpha, beta, size: 1, supplies };
        expect(planAtPrice(of, price).best.value).toBeCloseTo(bruteForce(of, price), 3);
      },
    ),
    { numRuns: 40 },
  );
});

test('one fruit, a known rate, a flower before each look: geometric (closed form)', () => {
  for (const share of [0.25, 0.5, 0.8])
    for (const looks of [1, 2, 6]) {
      const known = { alpha: share * 1e9, beta: (1 - share) * 1e9 };
      const supplies = Array.from({ length: looks }, () => fixed(1));
      const { best } = planAtPrice({ missing: 1, waiting: 0, ...known, size: 1, supplies }, 1e6);
      expect(best.chance).toBeCloseTo(1 - (1 - share) ** looks, 6);
      expect(best.flowers).toBeCloseTo((1 - (1 - share) ** looks) / share, 5);
    }
});

const question = fc.record({
  missing: fc.integer({ min: 1, max: 25 }),
  waiting: fc.integer({ min: 0, max: 6 }),
  alpha: fc.double({ min: 0.5, max: 12, noNaN: true }),
  beta: fc.double({ min: 0.5, max: 12, noNaN: true }),
  supplies: fc.array(fc.double({ min: 0, max: 60, noNaN: true }), { minLength: 1, maxLength: 3 }),
  assurance: fc.constantFrom(0.8, 0.9, 0.95),
});

const withMost = (of: Omit<MorningsQuestion, 'most'>): MorningsQuestion => ({
  ...of,
  most: Math.max(0, pollinationsNeeded({ ...of, fruitsWanted: of.missing }) - of.waiting),
});

test('never more than the plain sum, and as sure as was asked for where anything makes it so', () => {
  fc.assert(
    fc.property(question, (of) => {
      const asked = withMost(of);
      const { flowers, chance, chances, price } = morningsPlan(asked);
      expect(flowers).toBeLessThanOrEqual(asked.most);
      expect(chance).toBeGreaterThanOrEqual(0);
      expect(chance).toBeLessThanOrEqual(1 + 1e-9);
      expect(Number.isInteger(flowers)).toBe(true);
      if (price < Infinity) expect(chance).toBeGreaterThanOrEqual(of.assurance - 1e-9);
      // More now is never less sure.
      chances
        .slice(1)
        .forEach((each, i) => expect(each).toBeGreaterThanOrEqual((chances[i] as number) - 0.02));
    }),
    { numRuns: 60 },
  );
});

test('with looks to come fewer are out at once than where this is the last, and with none wanted none are', () => {
  const of = { missing: 3, waiting: 0, alpha: 3.3, beta: 2.7, assurance: 0.9 };
  const plenty = 200;
  const last = morningsPlan(withMost({ ...of, supplies: [plenty] })).flowers;
  const looks = [2, 3].map(
    (count) =>
      morningsPlan(withMost({ ...of, supplies: Array.from({ length: count }, () => plenty) })).flowers,
  );
  // The last look: the plain sum, give or take the price's steps.
  expect(last).toBeGreaterThanOrEqual(10);
  expect(Math.max(...looks)).toBeLessThan(last / 1.5);
  expect(morningsPlan({ ...of, missing: 0, supplies: [plenty], most: 0 })).toMatchObject({
    flowers: 0,
    chance: 1,
  });
  // No morning left, none opens: nothing is asked for, and nothing promised.
  expect(morningsPlan(withMost({ ...of, supplies: [0] }))).toMatchObject({ chance: 0, expected: 0 });
});

test('what is worth working does not hang on what was foreseen to open: more may stand in colour tonight', () => {
  const of = { missing: 2, waiting: 0, alpha: 3.3, beta: 2.7, assurance: 0.9 };
  const { most } = withMost({ ...of, supplies: [0] });
  for (const foreseen of [0, 0.2, 2])
    expect(morningsPlan(withMost({ ...of, supplies: [foreseen] })).flowers).toBe(most);
});
