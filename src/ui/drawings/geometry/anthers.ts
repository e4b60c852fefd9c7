import type { CropId } from '@core/crops';
import { dots, ellipse, filled, lined, mapped, n, turned, type Point, type Shape } from './shapes';

/** Points round an ellipse. */
export const ring = (count: number, cx: number, cy: number, rx: number, ry: number, start = 0): Point[] =>
  Array.from({ length: count }, (_, i) => {
    const angle = start + (2 * Math.PI * i) / count;
    return [cx + rx * Math.cos(angle), cy + ry * Math.sin(angle)];
  });

/** One central column of joined anthers, dusted with loose pollen. */
function antherColumn(cx: number, cy: number, size: number): Shape[] {
  return [
    filled(ellipse(cx, cy, 9 * size, 12 * size), 'column', 1.5),
    lined(
      [-4.5, 0, 4.5]
        .map(
          (x) =>
            `M${n(cx + x * size)} ${n(cy + 9 * size)} Q${n(cx + (x + 2) * size)} ${n(cy)} ${n(cx + x * size)} ${n(cy - 9 * size)}`,
        )
        .join(' '),
      'vein',
      1.1,
    ),
    {
      d: dots(
        [...ring(9, cx, cy, 11 * size, 14 * size, 0.3), ...ring(5, cx, cy, 4.5 * size, 7 * size)],
        1.25 * size,
      ),
      fill: 'pollen',
      line: 'ink',
      width: 0.3,
    },
  ];
}

/** Three two-parted lobes, moist, with no loose pollen. */
export function lobedStigma(cx: number, cy: number, size: number): Shape[] {
  const lobes: Point[] = [];
  for (const degrees of [-90, 30, 150]) {
    const angle = (degrees * Math.PI) / 180;
    for (const side of [-1, 1])
      lobes.push([
        cx + Math.cos(angle) * 8.5 * size - Math.sin(angle) * side * 4.9 * size,
        cy + Math.sin(angle) * 8.5 * size + Math.cos(angle) * side * 4.9 * size,
      ]);
  }
  return [
    filled(dots(lobes, 5.2 * size), 'stigma', 1.4),
    {
      d: dots(
        lobes.map(([x, y]) => [x - 1.4 * size, y - 1.8 * size]),
        1.5 * size,
      ),
      fill: 'wet',
    },
    filled(ellipse(cx, cy, 3.4 * size), 'stigma', 1),
  ];
}

/** Anthers joined into a blunt head, folded on itself: bottle gourd. */
function antherHead(cx: number, cy: number, size: number): Shape[] {
  const fold = (x: number) =>
    `M${n(cx + x * size)} ${n(cy + 7 * size)} C${n(cx + (x + 5) * size)} ${n(cy + 3 * size)} ${n(cx + (x - 5) * size)} ${n(cy - 3 * size)} ${n(cx + x * size)} ${n(cy - 7 * size)}`;
  return [
    filled(ellipse(cx, cy, 10.5 * size, 9.5 * size), 'column', 1.5),
    lined([-5, 0, 5].map(fold).join(' '), 'vein', 1.3),
    dust(ring(10, cx, cy, 12 * size, 11 * size, 0.3), size),
  ];
}

/** Anthers that stand apart on stalks of their own: three short, folded ones, or luffa's five that spread. */
function looseAnthers(count: number, cx: number, cy: number, size: number): Shape[] {
  const wide = count > 3;
  const reach = (wide ? 15 : 7.4) * size;
  const shapes: Shape[] = [];
  for (let i = 0; i < count; i++) {
    const turn = turned(cx, cy, (360 / count) * i);
    const y = cy - reach;
    if (wide) shapes.push(lined(mapped(`M${n(cx)} ${n(cy)} L${n(cx)} ${n(y)}`, turn), 'pale', 3 * size));
    shapes.push(
      filled(
        mapped(ellipse(cx, y, (wide ? 6.4 : 5.6) * size, (wide ? 4.6 : 5.2) * size), turn),
        'column',
        1.3,
      ),
      // The pollen sac runs to and fro across the anther like an S laid down.
      lined(
        mapped(
          `M${n(cx - 4 * size)} ${n(y + 1.6 * size)} C${n(cx - 2 * size)} ${n(y - 4.4 * size)} ${n(cx + 2 * size)} ${n(y + 4.4 * size)} ${n(cx + 4 * size)} ${n(y - 1.6 * size)}`,
          turn,
        ),
        'vein',
        1.3,
      ),
    );
  }
  return [...shapes, dust(ring(count * 3, cx, cy, reach + 5.4 * size, reach + 5.4 * size, 0.2), size)];
}

const dust = (points: readonly Point[], size: number): Shape => ({
  d: dots(points, 1.25 * size),
  fill: 'pollen',
  line: 'ink',
  width: 0.3,
});

const THREE = new Set<CropId>(['melon', 'watermelon', 'cucumber', 'bitter-gourd']);

/** A male's anthers as the crop has them: one column, a folded head, three close together, or five apart. */
export function maleAnthers(crop: CropId, cx: number, cy: number, size: number, cutOpen = false): Shape[] {
  if (THREE.has(crop)) return looseAnthers(3, cx, cy, size);
  if (crop === 'luffa' || crop === 'luffa-ridged')
    // Cut lengthways only the near ones show.
    return looseAnthers(cutOpen ? 3 : 5, cx, cy, size);
  if (crop === 'bottle-gourd') return antherHead(cx, cy, size);
  return antherColumn(cx, cy, size);
}
