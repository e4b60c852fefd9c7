import fc from 'fast-check';
import { logisticRegression, predictedShare } from '.';
import published from './fixtures/logistic.json';
import robust from './fixtures/logisticRobust.json';

const close = (got: readonly number[], wanted: readonly number[], rel = 1e-5, abs = 1e-6) => {
  expect(got).toHaveLength(wanted.length);
  got.forEach((value, i) =>
    expect(Math.abs(value - (wanted[i] as number))).toBeLessThanOrEqual(
      abs + rel * Math.abs(wanted[i] as number),
    ),
  );
};
const rowsOf = (successes: readonly number[], trials: readonly number[], covariates?: readonly number[][]) =>
  successes.map((won, i) => ({
    successes: won,
    trials: trials[i] ?? 1,
    covariates: covariates?.[i] ?? [],
  }));

describe('logistic regression (R 4.2.2 glm; source in the fixture)', () => {
  test.each(published.map((each) => [each.id, each] as const))('%s', (_id, { input, expected }) => {
    const fit = logisticRegression(
      rowsOf(input.successes, input.trials, 'covariates' in input ? input.covariates : undefined),
    );
    if (!('coefficients' in expected)) {
      expect(fit.separation).toBe(expected.separation);
      expect(fit.standardErrors).toEqual([Infinity, Infinity]);
      expect(fit.deviance).toBeLessThan(1e-4);
      return;
    }
    expect(fit.separation).toBe('none');
    close(fit.coefficients, expected.coefficients ?? []);
    close(fit.standardErrors, expected.standardErrors ?? []);
    close([fit.deviance], [expected.residualDeviance ?? 0]);
    if (expected.nullDeviance !== undefined) close([fit.nullDeviance], [expected.nullDeviance]);
    if (!('predictAt' in input) || !('probability' in expected)) return;
    input.predictAt?.forEach((at, i) =>
      close([predictedShare(fit, at, 1.96).share], [expected.probability?.[i] ?? 0]),
    );
  });
});

test('errors that are robust to plants agree with the sandwich of R (source in the fixture)', () => {
  const fit = logisticRegression(rowsOf(robust.successes, [], robust.covariates), {
    cluster: robust.cluster,
  });
  close(fit.coefficients, robust.coefficients);
  close(fit.standardErrors, robust.standardErrors);
  close(fit.robustErrors ?? [], robust.robustErrors);
  close([fit.deviance, fit.nullDeviance], [robust.deviance, robust.nullDeviance]);
});

describe('separation', () => {
  const kindOf = (x: readonly number[], y: readonly number[]) =>
    logisticRegression(
      rowsOf(
        y,
        [],
        x.map((value) => [value]),
      ),
    ).separation;
  test('parted at one temperature, but for a tie on the border', () => {
    expect(kindOf([20, 22, 24, 24, 30, 31], [0, 0, 0, 1, 1, 1])).toBe('quasi');
  });
  test('a group that never fails', () => {
    expect(logisticRegression(rowsOf([5, 3], [5, 8], [[0], [1]])).separation).toBe('quasi');
  });
  test('nothing but successes', () => {
    expect(logisticRegression(rowsOf([4, 2], [4, 2])).separation).toBe('complete');
    expect(kindOf([1, 2, 3], [1, 1, 1])).toBe('complete');
  });
  test('two columns part what neither parts alone', () => {
    const x = [
      [0, 1],
      [1, 2.5],
      [2, 2.8],
      [1, 0],
      [2, 1.4],
      [3, 2.2],
    ];
    expect(logisticRegression(rowsOf([1, 1, 1, 0, 0, 0], [], x)).separation).toBe('complete');
  });
  test('whatever the numbers, it is found as by putting them in order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 0, max: 6 }), fc.boolean()), { minLength: 3, maxLength: 14 }),
        (rows) => {
          const x = rows.map(([value]) => value);
          const y = rows.map(([, won]) => Number(won));
          fc.pre(new Set(x).size > 1);
          const of = (won: number) => x.filter((_, i) => y[i] === won);
          const [lost, set] = [of(0), of(1)];
          const gap = (low: number[], high: number[]) => Math.min(...high) - Math.max(...low);
          const best = Math.max(gap(lost, set), gap(set, lost));
          const wanted =
            lost.length === 0 || set.length === 0 || best > 0 ? 'complete' : best === 0 ? 'quasi' : 'none';
          expect(kindOf(x, y)).toBe(wanted);
        },
      ),
      { seed: 5, numRuns: 400 },
    );
  });
});

test('columns that hang on each other, or say nothing, are named', () => {
  const both = rowsOf(
    [0, 1, 1, 0],
    [],
    [
      [1, 2],
      [2, 4],
      [3, 6],
      [4, 8],
    ],
  );
  expect(() => logisticRegression(both)).toThrow(expect.objectContaining({ reason: 'covariates' }));
  expect(() => logisticRegression(rowsOf([0, 1], [], [[1], [1]]))).toThrow(
    expect.objectContaining({ reason: 'covariates' }),
  );
  expect(() => logisticRegression([])).toThrow(expect.objectContaining({ reason: 'rows' }));
  expect(() => logisticRegression(rowsOf([2], [1]))).toThrow(
    expect.objectContaining({ reason: 'successes' }),
  );
  expect(() => logisticRegression(rowsOf([1], [1]), { cluster: [] })).toThrow(
    expect.objectContaining({ reason: 'cluster' }),
  );
});

test('other units of a covariate change nothing but its coefficient', () => {
  const warm = (of: (c: number) => number) =>
    logisticRegression(
      rowsOf(
        [1, 6, 2, 6, 0, 3],
        [2, 7, 6, 8, 5, 5],
        [[21], [15], [27], [16], [36], [24]].map(([c]) => [of(c ?? 0)]),
      ),
    );
  const [inC, inF] = [warm((c) => c), warm((c) => 32 + 1.8 * c)];
  close([inF.deviance, (inF.coefficients[1] ?? 0) * 1.8], [inC.deviance, inC.coefficients[1] ?? 0]);
  close([predictedShare(inF, [86], 2).low], [predictedShare(inC, [30], 2).low]);
});
