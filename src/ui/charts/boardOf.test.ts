import fc from 'fast-check';
import { boardOf } from './boardOf';

test('a chart never lies past its room, its letters follow the browser’s, and only in too little room are they smaller', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 60, max: 2000 }),
      fc.double({ min: 0.5, max: 3, noNaN: true }),
      (room, letters) => {
        const { width, scale } = boardOf(room, letters, 240);
        expect(width).toBeGreaterThanOrEqual(240);
        expect(width * scale).toBeLessThanOrEqual(room + 1e-9);
        if (room / letters >= 240) expect(scale).toBeCloseTo(letters, 9);
        else expect(width * scale).toBeCloseTo(room, 9);
      },
    ),
  );
  expect(boardOf(338, 1, 240)).toEqual({ width: 338, scale: 1 });
  expect(boardOf(338, 2, 240)).toEqual({ width: 240, scale: 338 / 240 });
});
