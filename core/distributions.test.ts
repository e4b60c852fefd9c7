import { betaQuantile, chiSquareTail, normalQuantile, studentDensity, studentReach } from './distributions';
import reference from './fixtures/distributions.json';

const OURS: Readonly<Record<string, (...given: number[]) => number>> = {
  betaQuantile,
  chiSquareTail,
  normalQuantile,
  studentDensity,
  studentReach,
};

test.each(Object.keys(OURS))('%s agrees with R to nine digits (source in the fixture)', (kind) => {
  expect(reference.rows.filter((row) => row.kind === kind).length).toBeGreaterThan(5);
  for (const { given, value } of reference.rows.filter((row) => row.kind === kind)) {
    const got = OURS[kind]?.(...given) ?? NaN;
    expect({
      given,
      off: Math.abs(got - value) <= 1e-12 + 1e-9 * Math.abs(value) ? 0 : got - value,
    }).toEqual({
      given,
      off: 0,
    });
  }
});
