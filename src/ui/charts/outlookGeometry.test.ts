import fc from 'fast-check';
import { OUTLOOK, rangeBar, rangeText } from './outlookGeometry';

const day = fc
  .tuple(fc.nat(40), fc.nat(40), fc.double({ min: 0, max: 1, noNaN: true }))
  .map(([a, b, share]) => ({
    date: '2026-07-15',
    low80: Math.min(a, b),
    high80: Math.max(a, b),
    mean: Math.min(a, b) + share * Math.abs(a - b),
  }));

test('bars stay in their column and above the line, taller for more flowers, and are always to be seen', () => {
  fc.assert(
    fc.property(
      day,
      fc.nat(4),
      fc.integer({ min: 260, max: 900 }),
      fc.constantFrom(-1, 0, 1) as fc.Arbitrary<-1 | 0 | 1>,
      (told, column, width, side) => {
        const most = 40;
        const bar = rangeBar(told, column, 5, width, most, side);
        const step = width / 5;
        expect(bar.x).toBeGreaterThanOrEqual(column * step);
        expect(bar.x + bar.width).toBeLessThanOrEqual((column + 1) * step + 0.001);
        expect(bar.y).toBeGreaterThanOrEqual(OUTLOOK.top - 0.001);
        expect(bar.y + bar.height).toBeLessThanOrEqual(OUTLOOK.base + 0.001);
        expect(bar.height).toBeGreaterThanOrEqual(3 - 0.001);
        const more = rangeBar({ ...told, high80: told.high80 + 1 }, column, 5, width, most + 1, side);
        expect(more.height + 0.001).toBeGreaterThanOrEqual(bar.height * 0.9);
      },
    ),
  );
});

test('a range of one number is one number', () => {
  expect(rangeText({ low80: 2, high80: 2 })).toBe('2');
  expect(rangeText({ low80: 0, high80: 3 })).toBe('0–3');
});
