import * as distributions from './distributions';
import reference from './fixtures/distributions.json';

type Name = keyof typeof distributions;

test.each([...new Set(reference.rows.map(({ kind }) => kind))])(
  '%s agrees with R to nine digits (source in the fixture)',
  (kind) => {
    for (const { given, value } of reference.rows.filter((row) => row.kind === kind)) {
      const got = (distributions[kind as Name] as (...given: number[]) => number)(...given);
      expect({
        given,
        off: Math.abs(got - value) <= 1e-12 + 1e-9 * Math.abs(value) ? 0 : got - value,
      }).toEqual({
        given,
        off: 0,
      });
    }
  },
);
