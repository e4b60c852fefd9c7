import fc from 'fast-check';
import { differenceInterval, fisherExact } from '.';
import tables from './fixtures/two-by-two.json';
import { agrees, named } from './testReference';

describe('two by two (R 4.2.2, Newcombe 1998; source in the fixture)', () => {
  test.each(named(tables))('%s', (_id, { input, expected, tolerance }) => {
    if (input.kind === 'fisher') {
      const [[a, b], [c, d]] = input.table as [[number, number], [number, number]];
      const { pValue, oddsRatio } = fisherExact(a, b, c, d);
      agrees(pValue, expected.pTwoSided, tolerance);
      agrees(oddsRatio, expected.oddsRatioSample, tolerance);
      return;
    }
    const { x1, n1, x2, n2, confidence } = input as unknown as Record<string, number>;
    const found = differenceInterval(x1 ?? 0, n1 ?? 0, x2 ?? 0, n2 ?? 0, confidence ?? 0.95);
    agrees(
      [found.difference, found.low, found.high],
      [expected.difference, expected.lower, expected.upper],
      tolerance,
    );
  });
});

test('Fisher’s test knows neither rows from columns nor left from right, and its p is a probability', () => {
  const count = fc.integer({ min: 0, max: 30 });
  fc.assert(
    fc.property(count, count, count, count, (a, b, c, d) => {
      const { pValue } = fisherExact(a, b, c, d);
      expect(pValue).toBeGreaterThan(0);
      expect(pValue).toBeLessThanOrEqual(1);
      expect(fisherExact(a, c, b, d).pValue).toBeCloseTo(pValue, 9);
      expect(fisherExact(b, a, d, c).pValue).toBeCloseTo(pValue, 9);
    }),
  );
});

test('what is no count is refused by name', () => {
  expect(() => fisherExact(1, -1, 2, 3)).toThrow(/fisherExact/);
  expect(() => differenceInterval(0, 0, 1, 2, 0.95)).toThrow(/differenceInterval/);
});
