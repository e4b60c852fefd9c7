import fc from 'fast-check';
import { clearOf } from './bandGeometry';

const px = fc.integer({ min: 0, max: 1200 });

test('no line runs through words that were moved clear of it, and words only ever move to the right', () => {
  fc.assert(
    fc.property(fc.array(px, { maxLength: 4 }), px, fc.integer({ min: 8, max: 160 }), (lines, x, width) => {
      const at = clearOf(lines, x, width);
      expect(at).toBeGreaterThanOrEqual(x);
      for (const line of lines) expect(line > at && line < at + width).toBe(false);
    }),
  );
});

test('words with no line near them stay where they are', () => {
  expect(clearOf([], 40, 80)).toBe(40);
  expect(clearOf([20, 300], 40, 80)).toBe(40);
  expect(clearOf([60], 40, 80)).toBe(65);
  // Two lines in a row: right of both.
  expect(clearOf([90, 60], 40, 80)).toBe(95);
});
