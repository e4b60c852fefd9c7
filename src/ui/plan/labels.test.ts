import fc from 'fast-check';
import type { Neighbour } from '@core/ledger';
import { edgeLabels, edgePoint, hasRoom, legible, LETTER_PX, NORTH } from './labels';

test('what lies outside of the picture is told at its edge, in its direction', () => {
  const view = { k: 10, x: 183, y: 200 };
  expect(edgePoint(view, [3, 3], 366, 400)).toBeNull();
  expect(edgePoint(view, [900, 0], 366, 400)).toEqual({ x: 340, y: 200, degrees: 0 });
  expect(edgePoint(view, [0, -900], 366, 400)).toMatchObject({ y: 26, degrees: -90 });
});

test('a name is written where it has room', () => {
  expect([hasRoom('Upper terrace', 10, 20), hasRoom('Upper terrace', 10, 2)]).toEqual([true, false]);
});

test('of names that would lie over each other the first is written, and from near all of them', () => {
  const names = ['Upper terrace', 'Lower terrace', 'Tunnel'].map((words, i) => ({
    key: words,
    words,
    x: 0,
    y: i < 2 ? i : 40,
  }));
  const seen = (k: number) => legible(names, k).map(({ key }) => key);
  expect(seen(10)).toEqual(['Upper terrace', 'Tunnel']);
  expect(seen(20)).toEqual(['Upper terrace', 'Lower terrace', 'Tunnel']);
});

test('what is written of a planting beyond the picture stands in it whole, and no two lie over each other', () => {
  const planting = fc.record({
    name: fc.stringMatching(/^[a-z ]{1,40}$/),
    place: fc.tuple(
      fc.double({ min: -500, max: 500, noNaN: true }),
      fc.double({ min: -500, max: 500, noNaN: true }),
    ),
    distanceM: fc.integer({ min: 1, max: 3000 }),
  });
  fc.assert(
    fc.property(
      fc.array(planting, { maxLength: 8 }),
      fc.integer({ min: 150, max: 900 }),
      fc.integer({ min: 200, max: 700 }),
      (plantings, width, height) => {
        const neighbours = plantings.map(({ name, place, distanceM }, i) => ({
          neighbour: { id: `neighbour:${i}`, distanceM } as unknown as Neighbour,
          name,
          place,
        }));
        const view = { k: 4, x: width / 2, y: height / 2 };
        const labels = edgeLabels(neighbours, view, width, height, (metres) => `${metres} m`);
        const outside = neighbours.filter(({ place }) => edgePoint(view, place, width, height));
        expect(labels).toHaveLength(outside.length);
        const written = labels.filter(({ words }) => words);
        // The nearest is always told of.
        expect(labels[0]?.words).toBe(written[0]?.words);
        for (const { left, line, words } of written) {
          expect(left).toBeGreaterThanOrEqual(0);
          expect(left + words.length * LETTER_PX).toBeLessThanOrEqual(width);
          expect(line).toBeGreaterThan(0);
          expect(line).toBeLessThan(height);
          expect(line >= NORTH.high || left + words.length * LETTER_PX <= width - NORTH.wide).toBe(true);
          expect(words).toMatch(/, \d+ m$/);
        }
        for (const [i, one] of written.entries())
          for (const other of written.slice(i + 1)) {
            const apart =
              Math.abs(one.line - other.line) >= 16 ||
              one.left + one.words.length * LETTER_PX <= other.left ||
              other.left + other.words.length * LETTER_PX <= one.left;
            expect(apart).toBe(true);
          }
      },
    ),
  );
});
