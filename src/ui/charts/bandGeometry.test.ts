import fc from 'fast-check';
import { clearOf, namePlace } from './bandGeometry';

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

test('a bar’s name is whole on every band that is wide enough for it, and clear of the lines where there is room', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 195, max: 1200 }),
      fc.integer({ min: 20, max: 150 }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.double({ min: 0, max: 1, noNaN: true }),
      fc.array(px, { maxLength: 3 }),
      (width, words, from, long, lines) => {
        const x = from * (width - 2);
        const { x: at, anchor } = namePlace({ x, width: 2 + long * (width - x - 2) }, words, lines, width);
        const left = anchor === 'end' ? at - words : at;
        expect(left).toBeGreaterThanOrEqual(0);
        expect(left + words).toBeLessThanOrEqual(width);
      },
    ),
  );
  expect(namePlace({ x: 30, width: 200 }, 80, [60], 390)).toEqual({ x: 65, anchor: 'start', inside: true });
  expect(namePlace({ x: 30, width: 40 }, 80, [], 390)).toEqual({ x: 76, anchor: 'start', inside: false });
  expect(namePlace({ x: 300, width: 40 }, 80, [], 390)).toEqual({ x: 294, anchor: 'end', inside: false });
  // A phone at 200 %: squash opens at the left edge, and lines stand in the bar.
  expect(namePlace({ x: 28, width: 110 }, 88, [32, 66], 195).inside).toBe(true);
});
