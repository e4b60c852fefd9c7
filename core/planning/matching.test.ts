import fc from 'fast-check';
import {
  MALE_GAINS,
  matchPollen,
  solveRoute,
  transport,
  type PollenFemale,
  type PollenMale,
  type PollenRules,
} from '.';
import cases from './fixtures/matching.json';

describe('transport and routes: reference values (source in the fixture)', () => {
  test.each(cases.map((each) => [each.id, each] as const))('%s', (_id, { input, expected }) => {
    const given = input as unknown as Record<string, unknown> & { cost: (number | null)[][] };
    const wanted = expected as {
      pairs?: number;
      visits?: number;
      cost?: number;
      minFinishTime?: number | null;
    };
    if (input.kind === 'route-time-windows') {
      const route = solveRoute({
        travel: given.travel,
        windowOpen: given.windowOpen,
        windowClose: given.windowClose,
        service: given.serviceMinutes,
        startTime: given.startTime,
        returnToStart: given.returnToDepot,
      } as never);
      expect(route?.finish ?? null).toBe(wanted.minFinishTime ?? null);
      if (route)
        expect([...route.order].sort()).toEqual((given.travel as number[][]).slice(1).map((_, i) => i + 1));
      return;
    }
    const { cost } = given;
    const found = transport({
      capacity: (given.maleCapacity as number[] | undefined) ?? cost.map(() => 1),
      need: (given.femaleNeed as number[] | undefined) ?? (cost[0] ?? []).map(() => 1),
      cost,
    });
    expect(found.total).toBe(wanted.pairs ?? wanted.visits);
    expect(found.cost).toBeCloseTo(wanted.cost as number, 9);
  });
});

test('transport keeps to capacities and is never beaten by any other whole flow (small cases, all tried)', () => {
  const problem = fc.record({
    capacity: fc.array(fc.nat(2), { minLength: 1, maxLength: 3 }),
    need: fc.array(fc.nat(2), { minLength: 1, maxLength: 3 }),
    costs: fc.array(fc.option(fc.integer({ min: -5, max: 20 }), { freq: 4 }), { minLength: 9, maxLength: 9 }),
  });
  fc.assert(
    fc.property(problem, ({ capacity, need, costs }) => {
      const cost = capacity.map((_, i) => need.map((_, j) => costs[i * 3 + j] ?? null));
      const found = transport({ capacity, need, cost });
      let best = { total: 0, cost: 0 };
      const cells = capacity.flatMap((_, i) => need.map((_, j) => [i, j] as const));
      const go = (at: number, left: number[], open: number[], total: number, sum: number) => {
        if (total > best.total || (total === best.total && sum < best.cost)) best = { total, cost: sum };
        for (let k = at; k < cells.length; k++) {
          const [i, j] = cells[k] as readonly [number, number];
          const price = cost[i]?.[j] ?? null;
          if (price === null || !left[i] || !open[j]) continue;
          go(
            k,
            left.map((n, x) => (x === i ? n - 1 : n)),
            open.map((n, x) => (x === j ? n - 1 : n)),
            total + 1,
            sum + price,
          );
        }
      };
      go(0, capacity, need, 0, 0);
      expect([found.total, found.cost]).toEqual([best.total, best.cost]);
    }),
  );
});

function objectiveOf(
  pairs: readonly { female: string; male: string }[],
  females: readonly PollenFemale[],
  males: readonly PollenMale[],
  rules: PollenRules,
): number {
  const plantOf = new Map(males.map(({ id, plant }) => [id, plant]));
  let sum = 0;
  const uses = new Map<string, number>();
  for (const { id, value, plant } of females) {
    const own = pairs.filter(({ female }) => female === id);
    own.forEach((_, n) => (sum -= 1000 * value * (MALE_GAINS[n] as number)));
    for (const { male } of own) {
      const father = plantOf.get(male) as string;
      uses.set(father, (uses.get(father) ?? 0) + 1);
      sum += 400 * (rules.kinship?.(plant, father) ?? 0);
    }
  }
  for (const n of uses.values()) sum += n * n;
  return sum;
}

describe('matching pollen', () => {
  const arbitrary = fc.record({
    females: fc.array(
      fc.record({
        plant: fc.constantFrom('a', 'b'),
        value: fc.constantFrom(0.5, 1, 2),
        wants: fc.integer({ min: 1, max: 2 }),
      }),
      { minLength: 1, maxLength: 3 },
    ),
    males: fc.array(fc.record({ plant: fc.constantFrom('a', 'b', 'c'), pure: fc.boolean() }), {
      maxLength: 4,
    }),
    each: fc.integer({ min: 1, max: 2 }),
    selfing: fc.constantFrom('allowed' as const, 'never' as const),
    kin: fc.constantFrom(0, 0.25),
  });
  test('is the optimum: no other choice has more pairs, nor as many at less (all tried)', () => {
    fc.assert(
      fc.property(arbitrary, ({ females: f, males: m, each, selfing, kin }) => {
        const females = f.map((one, i) => ({ ...one, id: `f${i}`, variety: 'v', purpose: 'seed' as const }));
        const males = m.map((one, i) => ({ ...one, id: `m${i}`, variety: 'v' }));
        const rules: PollenRules = {
          selfing,
          femalesPerMale: each,
          kinship: (mother, father) => (mother === 'a' && father === 'c' ? kin : 0),
        };
        const found = matchPollen({ females, males, rules });
        const fits = females.flatMap((female) =>
          males
            .filter(({ plant, pure }) => pure && (selfing === 'allowed' || plant !== female.plant))
            .map((male) => ({ female: female.id, male: male.id })),
        );
        let best = { total: 0, cost: 0 };
        const go = (at: number, chosen: { female: string; male: string }[]) => {
          const cost = objectiveOf(chosen, females, males, rules);
          if (chosen.length > best.total || (chosen.length === best.total && cost < best.cost - 1e-9))
            best = { total: chosen.length, cost };
          for (let k = at; k < fits.length; k++) {
            const pair = fits[k] as { female: string; male: string };
            const wants = females.find(({ id }) => id === pair.female)?.wants ?? 0;
            if (chosen.filter(({ female }) => female === pair.female).length >= wants) continue;
            if (chosen.filter(({ male }) => male === pair.male).length >= each) continue;
            go(k + 1, [...chosen, pair]);
          }
        };
        go(0, []);
        expect(found.pairs.length).toBe(best.total);
        expect(found.objective).toBeCloseTo(best.cost, 6);
        expect(objectiveOf(found.pairs, females, males, rules)).toBeCloseTo(found.objective, 6);
        expect(new Set(found.pairs.map(({ female, male }) => `${female}/${male}`)).size).toBe(
          found.pairs.length,
        );
      }),
      { numRuns: 60 },
    );
  });

  const female = (id: string, plant: string, more: Partial<PollenFemale> = {}): PollenFemale => ({
    id,
    plant,
    variety: 'v',
    value: 1,
    wants: 1,
    purpose: 'seed',
    ...more,
  });
  const male = (id: string, plant: string, more: Partial<PollenMale> = {}): PollenMale => ({
    id,
    plant,
    variety: 'v',
    pure: true,
    ...more,
  });
  const rules: PollenRules = { selfing: 'others-first', femalesPerMale: 1 };

  test('own males only go to a female that has nobody else', () => {
    const females = [female('f1', 'a', { wants: 2 }), female('f2', 'b')];
    const males = [male('m1', 'a'), male('m2', 'a')];
    const found = matchPollen({ females, males, rules });
    expect(found.pairs.filter((pair) => pair.female === 'f2')).toHaveLength(1);
    expect(found.pairs.filter((pair) => pair.female === 'f1')).toHaveLength(1);
    expect(matchPollen({ females, males, rules: { ...rules, selfing: 'never' } }).unmet).toEqual([
      { female: 'f1', missing: 2, why: 'only-own' },
    ]);
  });
  test('a cross takes the father variety; torn males serve the kitchen only', () => {
    const females = [female('f1', 'a', { fatherVariety: 'w' }), female('f2', 'a', { purpose: 'kitchen' })];
    const males = [male('m1', 'c', { variety: 'w' }), male('m2', 'b', { pure: false })];
    expect(matchPollen({ females, males, rules }).pairs).toEqual(
      expect.arrayContaining([
        { female: 'f1', male: 'm1' },
        { female: 'f2', male: 'm2' },
      ]),
    );
  });
  test('when males are short the dearest females are served, each with one before any with two', () => {
    const females = [
      female('cheap', 'a', { value: 0.4 }),
      female('dear', 'b', { value: 2.5, wants: 2 }),
      female('mid', 'c'),
    ];
    const males = [male('m1', 'x'), male('m2', 'y')];
    const got = matchPollen({ females, males, rules }).pairs.map((pair) => pair.female);
    expect(got.sort()).toEqual(['dear', 'dear']);
    expect(
      matchPollen({
        females: [females[2] as PollenFemale, female('dear', 'b', { value: 1.5, wants: 2 })],
        males,
        rules,
      })
        .pairs.map((pair) => pair.female)
        .sort(),
    ).toEqual(['dear', 'mid']);
  });
  test('fathers are used evenly', () => {
    const females = Array.from({ length: 6 }, (_, i) => female(`f${i}`, `q${i}`));
    const males = ['a', 'b', 'c'].flatMap((plant) =>
      Array.from({ length: 6 }, (_, i) => male(`${plant}${i}`, plant)),
    );
    const uses = new Map<string, number>();
    for (const pair of matchPollen({ females, males, rules }).pairs)
      uses.set(pair.male[0] as string, (uses.get(pair.male[0] as string) ?? 0) + 1);
    expect([...uses.values()]).toEqual([2, 2, 2]);
  });
  test('no males, no females, nonsense', () => {
    expect(matchPollen({ females: [], males: [male('m', 'a')], rules }).pairs).toEqual([]);
    expect(matchPollen({ females: [female('f', 'a')], males: [], rules }).unmet).toEqual([
      { female: 'f', missing: 1, why: 'no-male' },
    ]);
    expect(() => matchPollen({ females: [female('f', 'a', { wants: 5 })], males: [], rules })).toThrow(
      expect.objectContaining({ field: 'wants' }),
    );
  });
});
