import fc from 'fast-check';
import {
  alphaDraws,
  CATALOGUE_STRENGTH,
  dirichletMean,
  forecastOpening,
  gammaDraw,
  growthAfter,
  growthRate,
  openingAlpha,
  openingPrior,
  openingScenarios,
  openingsExpected,
  poissonBinomial,
  quantileOf,
  stillShutOn,
  type BudRecord,
} from '.';
import { catalogue, sexesOf, STAGES } from '../crops';
import { TrowelError } from '../errors';
import { seededRandom } from '../random';
import { addDays } from '../time';

const chances = fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 9 });

/** All outcomes one by one: 2^n of them. */
function bruteForce(p: readonly number[]): number[] {
  const pmf = new Array<number>(p.length + 1).fill(0);
  for (let set = 0; set < 1 << p.length; set++) {
    let chance = 1;
    let count = 0;
    p.forEach((each, i) => {
      const happens = (set & (1 << i)) !== 0;
      chance *= happens ? each : 1 - each;
      if (happens) count++;
    });
    pmf[count] = (pmf[count] as number) + chance;
  }
  return pmf;
}

describe('Poisson-binomial', () => {
  test('equals the sum over all outcomes', () => {
    fc.assert(
      fc.property(chances, (p) => {
        const ours = poissonBinomial(p);
        bruteForce(p).forEach((chance, count) => expect(ours[count]).toBeCloseTo(chance, 12));
      }),
    );
  });

  test('with equal chances it is the binomial distribution', () => {
    // Binomial(10, 0.3), probabilities to four places as in printed tables (e.g. CRC Standard Mathematical Tables).
    const table = [0.0282, 0.1211, 0.2335, 0.2668, 0.2001, 0.1029, 0.0368, 0.009, 0.0014, 0.0001, 0];
    poissonBinomial(new Array<number>(10).fill(0.3)).forEach((chance, count) =>
      expect(chance).toBeCloseTo(table[count] as number, 4),
    );
  });

  // Worked by hand: 0.9 * 0.8 * 0.5 = 0.36 for three; 0.1 * 0.2 * 0.5 = 0.01 for none.
  test('three flowers by hand', () => {
    const [none, one, two, three] = poissonBinomial([0.9, 0.8, 0.5]);
    expect(none).toBeCloseTo(0.01, 12);
    expect(one).toBeCloseTo(0.9 * 0.2 * 0.5 + 0.1 * 0.8 * 0.5 + 0.1 * 0.2 * 0.5, 12);
    expect(two).toBeCloseTo(0.9 * 0.8 * 0.5 + 0.9 * 0.2 * 0.5 + 0.1 * 0.8 * 0.5, 12);
    expect(three).toBeCloseTo(0.36, 12);
  });

  test('a quantile that is met exactly is that count', () => {
    expect(quantileOf([0.1, 0.8, 0.1], 0.1)).toBe(0);
    expect(quantileOf([0.1, 0.8, 0.1], 0.9)).toBe(1);
    expect(quantileOf([0, 0, 1], 0.1)).toBe(2);
  });
});

describe('openings expected', () => {
  const day = '2026-07-15';
  test('the mean is the sum of the chances, and the range holds at least 80 %', () => {
    fc.assert(
      fc.property(chances, (p) => {
        const flowers = p.map((probability) => [{ date: day, probability }]);
        const [told] = openingsExpected(flowers);
        if (!told) return;
        expect(told.mean).toBeCloseTo(
          p.reduce((a, b) => a + b, 0),
          9,
        );
        const inside = bruteForce(p)
          .slice(told.low80, told.high80 + 1)
          .reduce((a, b) => a + b, 0);
        expect(inside).toBeGreaterThanOrEqual(0.8 - 1e-9);
      }),
    );
  });
  test('buds counted together come to just what they would one by one', () => {
    const group = fc.record({
      p: fc.double({ min: 0, max: 1, noNaN: true }),
      count: fc.integer({ min: 1, max: 60 }),
    });
    fc.assert(
      fc.property(fc.array(group, { minLength: 1, maxLength: 6 }), (groups) => {
        const flowers = groups.map(({ p }) => [{ date: day, probability: p }]);
        const counted = groups.flatMap(({ count }, i) =>
          Array.from({ length: count }, () => flowers[i] as never),
        );
        const [told] = openingsExpected(counted);
        const pmf = poissonBinomial(groups.flatMap(({ p, count }) => new Array<number>(count).fill(p)));
        expect(told?.mean).toBeCloseTo(
          groups.reduce((sum, { p, count }) => sum + p * count, 0),
          9,
        );
        // A share that is met exactly may fall either way by rounding.
        for (const [share, found] of [
          [0.1, told?.low80],
          [0.9, told?.high80],
        ] as const)
          expect([share - 1e-9, share, share + 1e-9].map((each) => quantileOf(pmf, each))).toContain(found);
      }),
    );
    // Thirty males each on forty plants: far past where a power of the chance would underflow.
    const males = [{ date: day, probability: 0.5 }];
    expect(openingsExpected(new Array<typeof males>(1200).fill(males))[0]).toMatchObject({
      low80: 578,
      high80: 622,
    });
  });
  test('buds are forecast, forecasts are taken as they are, nothing gives nothing', () => {
    const bud = { crop: 'squash-maxima', stage: 'coloured', seenOn: '2026-07-14' } as const;
    expect(openingsExpected([bud])).toEqual(openingsExpected([forecastOpening(bud)]));
    expect(openingsExpected([{ forecast: forecastOpening(bud) }])).toEqual(openingsExpected([bud]));
    expect(openingsExpected([])).toEqual([]);
  });
  test('flowers that share what is unknown range wider than independent ones, around the same mean', () => {
    const bud = { crop: 'squash-maxima', stage: 'coloured', seenOn: '2026-07-14' } as const;
    const alone = openingsExpected(Array.from({ length: 20 }, () => bud)).find(({ date }) => date === day);
    const scenarios = openingScenarios(bud);
    const shared = openingsExpected(Array.from({ length: 20 }, () => ({ scenarios }))).find(
      ({ date }) => date === day,
    );
    expect((shared?.high80 ?? 0) - (shared?.low80 ?? 0)).toBeGreaterThan(
      (alone?.high80 ?? 0) - (alone?.low80 ?? 0),
    );
    expect(Math.abs((shared?.mean ?? 0) - (alone?.mean ?? 0))).toBeLessThan(2);
  });
});

describe('learning', () => {
  // Dirichlet with mean (0.5, 0.3, 0.2) worth 10; counts (4, 1, 0): (5 + 4, 3 + 1, 2 + 0) / 15.
  test('a Dirichlet update by hand', () => {
    const [a, b, c] = dirichletMean([0.5, 0.3, 0.2], 10, [4, 1, 0]);
    expect(a).toBeCloseTo(9 / 15, 12);
    expect(b).toBeCloseTo(4 / 15, 12);
    expect(c).toBeCloseTo(2 / 15, 12);
  });

  // Catalogue: 0.8 next day, worth 4 buds. 17 buds, 14 next day and 3 a day later: (3.2 + 14) / 21 = 0.819.
  test('seventeen coloured squash buds by hand', () => {
    const seenOn = '2026-07-01';
    const records: BudRecord[] = Array.from({ length: 17 }, (_, i) => ({
      stage: 'coloured',
      seenOn,
      openedOn: addDays(seenOn, i < 14 ? 1 : 2),
    }));
    const told = forecastOpening({ crop: 'squash-maxima', stage: 'coloured', seenOn: '2026-07-20', records });
    expect(told.find(({ date }) => date === '2026-07-21')?.probability).toBeCloseTo(17.2 / 21, 10);
    expect(told.find(({ date }) => date === '2026-07-22')?.probability).toBeCloseTo((4 * 0.11 + 3) / 21, 10);
  });

  test('records of another crop or stage teach nothing here; a variety learns most from its own', () => {
    const seenOn = '2026-07-01';
    const of = (variety: string, days: number, crop: 'melon' | 'cucumber' = 'melon'): BudRecord[] =>
      Array.from({ length: 10 }, () => ({
        stage: 'coloured',
        seenOn,
        openedOn: addDays(seenOn, days),
        crop,
        variety,
      }));
    const bud = { crop: 'melon', stage: 'coloured', seenOn, variety: 'a' } as const;
    const two = (records: readonly BudRecord[]) =>
      forecastOpening({ ...bud, records }).find(({ date }) => date === '2026-07-03')?.probability ?? 0;
    expect(two(of('a', 2, 'cucumber'))).toBeCloseTo(two([]), 12);
    expect(two(of('b', 2))).toBeGreaterThan(two([]) + 0.2);
    expect(two([...of('a', 2), ...of('b', 1)])).toBeGreaterThan(two([...of('a', 1), ...of('b', 2)]) + 0.3);
  });

  test('a bud known only to have kept shut for two days moves its share to later days', () => {
    const seenOn = '2026-07-01';
    const records: BudRecord[] = Array.from({ length: 8 }, () => ({
      stage: 'coloured',
      seenOn,
      openedFrom: '2026-07-03',
      openedTo: null,
    }));
    const alpha = openingAlpha({ crop: 'melon', stage: 'coloured', seenOn, records });
    expect(alpha[1]).toBeCloseTo(0.8 * CATALOGUE_STRENGTH, 4);
    expect(alpha[2]).toBeGreaterThan(4);
    expect(alpha.reduce((a, b) => a + b, 0)).toBeCloseTo(CATALOGUE_STRENGTH + 8, 9);
  });
});

describe('a forecast', () => {
  test('sums to one, in order of date, for every crop, sex and stage, warm or cold', () => {
    const temps = fc.array(fc.double({ min: -5, max: 40, noNaN: true }), { maxLength: 20 });
    fc.assert(
      fc.property(fc.constantFrom(...catalogue), fc.constantFrom(...STAGES), temps, (crop, stage, means) => {
        for (const sex of sexesOf(crop)) {
          const temperatures = means.map((meanC, i) => ({ date: addDays('2026-07-02', i), meanC }));
          const told = forecastOpening({ crop: crop.id, stage, sex, seenOn: '2026-07-01', temperatures });
          expect(told.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9);
          expect(told.every(({ probability }) => probability >= 0)).toBe(true);
          expect(told.map(({ date }) => date)).toEqual(told.map(({ date }) => date).sort());
        }
      }),
    );
  });

  test('follows the catalogue: coloured tomorrow, green the day after, pin in three or four days', () => {
    const best = (stage: 'pin' | 'green' | 'coloured') => {
      const prior = openingPrior('squash-pepo', stage);
      return prior.indexOf(Math.max(...prior));
    };
    expect([best('coloured'), best('green'), best('pin')]).toEqual([1, 2, 3]);
    expect(openingPrior('squash-pepo', 'pin')[3]).toBe(openingPrior('squash-pepo', 'pin')[4]);
  });

  test('cold holds buds back, warmth brings them on', () => {
    const mean = (meanC: number) => {
      const temperatures = Array.from({ length: 20 }, (_, i) => ({ date: addDays('2026-07-02', i), meanC }));
      const told = forecastOpening({
        crop: 'squash-maxima',
        stage: 'pin',
        seenOn: '2026-07-01',
        temperatures,
      });
      return told.reduce((sum, { date, probability }) => sum + probability * Number(date.slice(8)), 0);
    };
    expect(mean(12)).toBeGreaterThan(mean(20));
    expect(mean(20)).toBeGreaterThan(mean(27));
    expect(growthRate(20)).toBe(1);
    expect(growthAfter('2026-07-01', 3)).toEqual([0, 1, 2, 3]);
  });

  test('knowing that it is still shut leaves later days only', () => {
    const told = forecastOpening({ crop: 'melon', stage: 'green', seenOn: '2026-07-01' });
    const later = stillShutOn(told, '2026-07-03');
    expect(later.every(({ date }) => date > '2026-07-03')).toBe(true);
    expect(later.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 12);
    expect(stillShutOn(told, '2027-01-01')).toBe(told);
  });

  test('a date that is none is named', () => {
    expect(() => forecastOpening({ crop: 'melon', stage: 'green', seenOn: '2026-02-31' })).toThrow(
      TrowelError,
    );
  });
});

test('gamma draws have the mean and variance of their shape; Dirichlet draws sum to one', () => {
  for (const shape of [0.2, 1, 3.5, 20]) {
    const random = seededRandom(5);
    const draws = Array.from({ length: 20_000 }, () => gammaDraw(random, shape));
    const mean = draws.reduce((a, b) => a + b, 0) / draws.length;
    const variance = draws.reduce((sum, draw) => sum + (draw - mean) ** 2, 0) / draws.length;
    expect(mean / shape).toBeCloseTo(1, 1);
    expect(variance / shape).toBeGreaterThan(0.9);
    expect(variance / shape).toBeLessThan(1.1);
  }
  for (const draw of alphaDraws([2, 0, 5], 3, 50)) {
    expect(draw.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
    expect(draw[1]).toBe(0);
  }
  expect(alphaDraws([1, 2], 9)).toEqual(alphaDraws([1, 2], 9));
});
