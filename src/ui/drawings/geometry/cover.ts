import { coverLeaf } from './corn';
import { mapped, mappedShapes, turned, type Shape, type Stuff } from './shapes';

/** At most this share of a flower's width lies under a leaf: what is asked about stays in sight [M]. */
const MOST_COVERED = 0.35;
/** What is no part of the flower that is asked about. */
const BESIDE: ReadonlySet<Stuff | 'ink'> = new Set<Stuff | 'ink'>([
  'leaf',
  'leaf-vein',
  'stalk',
  'shade',
  'light',
  'none',
]);

/** Left and right of shapes, by the points that their curves hang on: never narrower than what is drawn. */
export function acrossOf(shapes: readonly Shape[]): readonly [left: number, right: number] {
  let [left, right] = [Infinity, -Infinity];
  for (const { d } of shapes)
    mapped(d, (x, y) => {
      left = Math.min(left, x);
      right = Math.max(right, x);
      return [x, y];
    });
  return [left, right];
}

/** A leaf laid over a flower from one side, drawn back as far as it would hide more than a third of it. */
export function leafOver(
  flower: readonly Shape[],
  { lean, grown, cover, coverSide }: { lean: number; grown: number; cover: number; coverSide: -1 | 1 },
): Shape[] {
  const leaf = coverLeaf(coverSide, cover, 116);
  const asked = flower.filter(({ fill }) => !BESIDE.has(fill));
  if (asked.length === 0) return leaf;
  const [left, right] = acrossOf(mappedShapes(asked, turned(50, 74, lean, grown)));
  const [from, to] = acrossOf(leaf);
  const room = (right - left) * MOST_COVERED;
  // From the right it may come no nearer than this, from the left no farther.
  const shift = coverSide === 1 ? Math.max(0, right - room - from) : Math.min(0, left + room - to);
  return mappedShapes(leaf, (x, y) => [x + shift, y]);
}
