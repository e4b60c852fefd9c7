import fc from 'fast-check';
import pathBounds from 'svg-path-bounds';
import { catalogue, sexesOf, STAGES } from '@core/crops';
import { flowerShapes, leafOver, mappedShapes, turned } from './geometry';

/** Left and right of what is drawn. */
function across(shapes: readonly { readonly d: string }[]): [number, number] {
  const bounds = shapes.map(({ d }) => pathBounds(d));
  return [Math.min(...bounds.map(([left]) => left)), Math.max(...bounds.map(([, , right]) => right))];
}

const GREENERY = new Set(['leaf', 'leaf-vein', 'stalk', 'shade', 'light', 'none']);

test('a leaf that lies over a specimen leaves most of it in sight, the smallest bud as well, whatever its crop', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...catalogue.filter(({ family }) => family !== 'quiet')),
      fc.nat(2),
      fc.constantFrom(...STAGES),
      fc.record({
        lean: fc.double({ min: -12, max: 12, noNaN: true }),
        grown: fc.double({ min: 0.8, max: 1.05, noNaN: true }),
        cover: fc.double({ min: 0.12, max: 0.34, noNaN: true }),
        coverSide: fc.constantFrom(-1 as const, 1 as const),
      }),
      (crop, which, stage, chance) => {
        const sexes = sexesOf(crop);
        const sex = sexes[which % sexes.length] as (typeof sexes)[number];
        const flower = flowerShapes({
          crop: crop.id,
          sex,
          appearance: stage,
          shape: crop.usualShape,
          detail: true,
        });
        const asked = mappedShapes(
          flower.filter(({ fill }) => !GREENERY.has(fill)),
          turned(50, 74, chance.lean, chance.grown),
        );
        const [left, right] = across(asked);
        const [from, to] = across(leafOver(flower, chance));
        const hidden = Math.max(0, Math.min(right, to) - Math.max(left, from));
        expect(hidden / (right - left)).toBeLessThan(0.45);
      },
    ),
    { numRuns: 150 },
  );
});
