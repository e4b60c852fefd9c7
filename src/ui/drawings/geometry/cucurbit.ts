import type { CropId, FruitShape, Sex, Stage } from '@core/crops';
import { lobedStigma, maleAnthers, ring } from './anthers';
import { ageOf, between, budShapes, COLOURS_AT, spentShapes } from './buds';
import { lit, vineFoliage } from './foliage';
import { ovaryPath, skin } from './ovary';
import {
  dots,
  ellipse,
  filled,
  lined,
  mappedShapes,
  n,
  petal,
  rosette,
  turned,
  type Point,
  type Shape,
} from './shapes';

/** How the flowers of a crop differ from a squash flower. */
interface Build {
  /** Size of the petals against a squash's. */
  readonly flower: number;
  readonly ovary: number;
  /** Length of a male's stalk in the box. */
  readonly maleStalk: number;
  /** And of the stalk below a female's ovary. */
  readonly femaleStalk: number;
  readonly blunt: number;
}

const SQUASH: Build = { flower: 1, ovary: 1, maleStalk: 44, femaleStalk: 7, blunt: 0.1 };
const SMALL: Build = { flower: 0.8, ovary: 0.86, maleStalk: 22, femaleStalk: 7, blunt: 0.75 };
const BUILDS: Partial<Record<CropId, Build>> = {
  melon: SMALL,
  watermelon: SMALL,
  cucumber: { ...SMALL, ovary: 0.95, blunt: 0.35 },
  'bottle-gourd': { flower: 0.95, ovary: 1, maleStalk: 54, femaleStalk: 12, blunt: 0.8 },
  luffa: { flower: 0.9, ovary: 0.95, maleStalk: 34, femaleStalk: 24, blunt: 0.8 },
  'luffa-ridged': { flower: 0.85, ovary: 0.95, maleStalk: 34, femaleStalk: 22, blunt: 0.8 },
  'bitter-gourd': { flower: 0.76, ovary: 0.8, maleStalk: 50, femaleStalk: 34, blunt: 0.9 },
};

export const buildOf = (crop: CropId): Build => BUILDS[crop] ?? SQUASH;

function openShapes(base: number, { flower, blunt }: Build, detail: boolean): Shape[] {
  const rim = base - 46;
  const shapes: Shape[] =
    blunt < 0.3
      ? [
          filled(
            `M44 ${base} C40 ${base - 18} 30 ${base - 26} 8 ${rim + 4} L22 ${rim + 16} L34 ${rim - 8} L44 ${rim + 12} L50 ${rim - 14} L56 ${rim + 12} L66 ${rim - 8} L78 ${rim + 16} L92 ${rim + 4} C70 ${base - 26} 60 ${base - 18} 56 ${base}Z`,
            'petal',
          ),
          lined(
            `M47 ${base - 2} Q42 ${base - 24} 34 ${rim - 2} M50 ${base - 2} L50 ${rim - 6} M53 ${base - 2} Q58 ${base - 24} 66 ${rim - 2} M46 ${base - 6} Q36 ${base - 26} 16 ${rim + 8} M54 ${base - 6} Q64 ${base - 26} 84 ${rim + 8}`,
            'vein',
            1.3,
          ),
        ]
      : [-72, 72, -38, 38, 0].flatMap((angle) => [
          filled(petal(50, base, angle, 46, 26, blunt), 'petal'),
          lined(petalVein(50, base, angle, 40), 'vein', 1.1),
        ]);
  if (detail)
    // The throat lies in its own shade.
    shapes.push({
      d: `M44 ${base} C42 ${base - 12} 40 ${base - 18} 36 ${base - 24} Q50 ${base - 17} 64 ${base - 24} C60 ${base - 18} 58 ${base - 12} 56 ${base}Z`,
      fill: 'petal-deep',
      opacity: 0.55,
    });
  shapes.push(
    lined(
      `M44 ${base} Q36 ${base - 6} 33 ${base - 16} M56 ${base} Q64 ${base - 6} 67 ${base - 16}`,
      'sepal',
      2,
    ),
  );
  return flower === 1 ? shapes : mappedShapes(shapes, turned(50, base, 0, flower));
}

function petalVein(cx: number, cy: number, degrees: number, length: number): string {
  const angle = (degrees * Math.PI) / 180;
  return `M${n(cx)} ${n(cy - 2)} L${n(cx + Math.sin(angle) * length)} ${n(cy - Math.cos(angle) * length)}`;
}

export interface SideParts {
  readonly shapes: Shape[];
  /** Where the petals begin and end, for a closure over them. */
  readonly base: number;
  readonly top: number;
}

/** A flower of the squash family from the side, on a piece of its vine. */
export function cucurbitSide(
  crop: CropId,
  sex: Sex,
  stage: Stage,
  shape: FruitShape,
  fullness: number,
  { cut, detail }: { readonly cut: boolean; readonly detail: boolean },
): SideParts {
  const build = buildOf(crop);
  const age = ageOf(stage, fullness);
  const grown = between([0.6, 0.78, 0.97, 1], age);
  const ovary = (shape === 'round' || shape === 'ribbed' ? 36 : 44) * grown * build.ovary;
  const vine = cut ? 140 : 133;
  // The stalk below a bud is short yet.
  const bottom = vine - Math.max(7, build.femaleStalk * (0.4 + 0.6 * grown));
  // A male's thin stalk runs straight up to the petals; a female has her little fruit in between.
  const base = n(sex === 'female' ? bottom - ovary + 2 : vine - 2 - build.maleStalk * (0.45 + 0.55 * grown));
  const shapes: Shape[] = cut
    ? []
    : [
        ...(detail ? vineFoliage(crop, vine) : []),
        lined(`M16 ${vine + 3} Q50 ${vine - 3} 84 ${vine + 3}`, 'stalk', 5),
      ];
  const shaded = (body: Shape) => (detail ? [body, ...lit(body)] : [body]);
  if (sex === 'female')
    shapes.push(
      filled(`M46.5 ${vine} L47 ${n(bottom - 3)} L53 ${n(bottom - 3)} L53.5 ${vine}Z`, 'stalk', 1.3),
      ...shaded(filled(ovaryPath(shape, bottom, ovary), 'ovary', 1.8)),
      ...skin(crop, shape, bottom, ovary),
    );
  else shapes.push(filled(`M48 ${vine} L47.6 ${base} L52.4 ${base} L52 ${vine}Z`, 'stalk', 1.2));
  // A small leaf half-way up its stalk is the sign of bitter gourd.
  if (crop === 'bitter-gourd') shapes.push(filled(petal(52, vine - 16, 62, 15, 9, 0.6), 'sepal', 1.1));
  if (stage === 'open') {
    shapes.push(...openShapes(base, build, detail));
    return { shapes, base, top: base - 46 * build.flower };
  }
  if (stage === 'spent') {
    shapes.push(...mappedShapes(spentShapes(base), turned(50, base, 0, build.flower)));
    return { shapes, base, top: base - 38 * build.flower };
  }
  const height = between([20, 34, 50, 54], age) * build.flower;
  const half = between([5.6, 8.8, 15, 17], age) * build.flower;
  const [body, ...marks] = budShapes({ height, half, age }, base);
  shapes.push(...shaded(body as Shape), ...marks);
  return { shapes, base, top: base - height };
}

/** Looking into the flower: wide open, cut lengthways while it is a bud, or collapsed. */
export function cucurbitInside(
  crop: CropId,
  sex: Sex,
  stage: Stage,
  shape: FruitShape,
  fullness: number,
  withAnthers: boolean,
): Shape[] {
  const build = buildOf(crop);
  if (stage === 'open' || stage === 'spent') {
    const cx = 50;
    const cy = 70;
    const length = stage === 'open' ? 46 : 30;
    const stuff = stage === 'open' ? 'petal' : 'withered';
    const shapes: Shape[] = [];
    for (const sepal of rosette(cx, cy, 5, length * 0.92, 7, 0, 36)) shapes.push(filled(sepal, 'sepal', 1));
    for (const [i, d] of rosette(cx, cy, 5, length, 40 + build.blunt * 6, build.blunt).entries())
      shapes.push(filled(d, stuff), lined(petalVein(cx, cy, i * 72, length * 0.8), 'vein', 1.2));
    shapes.push({
      d: ellipse(cx, cy, 18),
      fill: stage === 'open' ? 'petal-deep' : 'withered',
      line: 'vein',
      width: 1,
    });
    if (stage === 'spent')
      // What is left in the middle: the stump of a column, or three browned lobes.
      return sex === 'male'
        ? [...shapes, { ...filled(ellipse(cx, cy, 7, 10), 'tip', 1.2), opacity: 0.8 }]
        : [
            ...shapes,
            { d: dots(ring(3, cx, cy, 6, 6, -Math.PI / 2), 5), fill: 'tip', line: 'ink', width: 1 },
          ];
    if (sex === 'male') return [...shapes, ...maleAnthers(crop, cx, cy, 1)];
    const lobes = lobedStigma(cx, cy, 0.92);
    if (!withAnthers) return [...shapes, ...lobes];
    const around = ring(5, cx, cy, 17, 17, -Math.PI / 2).flatMap(([x, y]): Shape[] => [
      filled(ellipse(x, y, 3.6, 4.4), 'column', 1.1),
      { d: dots(ring(3, x, y, 3, 4, 1), 0.9), fill: 'pollen', line: 'ink', width: 0.3 },
    ]);
    return [...shapes, ...lobes, ...around];
  }
  const age = ageOf(stage, fullness);
  const height = between([34, 52, 66, 70], age);
  const half = between([11, 15, 22, 24], age);
  const ovary = between([30, 38, 44, 46], age);
  const base = sex === 'female' ? n(132 - ovary) : 112;
  const top = base - height;
  const outline = `M${n(50 - half * 0.55)} ${base} C${n(50 - half * 1.5)} ${n(base - height * 0.45)} ${n(50 - half * 0.9)} ${n(top + height * 0.18)} 50 ${n(top)} C${n(50 + half * 0.9)} ${n(top + height * 0.18)} ${n(50 + half * 1.5)} ${n(base - height * 0.45)} ${n(50 + half * 0.55)} ${base}Z`;
  const wall = age > COLOURS_AT ? 'petal' : 'bud';
  const shapes: Shape[] = [
    filled(outline, wall, 1.6),
    {
      ...filled(outline, 'pale', 1),
      d: mappedShapes([filled(outline, 'pale')], turned(50, base, 0, 0.68, 0.84))[0]?.d ?? outline,
    },
  ];
  const size = between([0.45, 0.65, 0.85, 1], age);
  if (sex === 'male')
    shapes.push(
      filled(`M46 140 L47.4 ${base} L52.6 ${base} L54 140Z`, 'stalk', 1.3),
      filled(
        `M48.4 ${base - 2} L48.6 ${n(base - 16 * size)} L51.4 ${n(base - 16 * size)} L51.6 ${base - 2}Z`,
        'column',
        1,
      ),
      ...maleAnthers(crop, 50, base - 24 * size, size, true),
    );
  else {
    shapes.push(
      filled(`M47 140 L47.4 126 L52.6 126 L53 140Z`, 'stalk', 1.3),
      filled(ovaryPath(shape, 130, ovary), 'ovary', 1.8),
      { d: dots(seedRows(ovary, shape), 1.5), fill: 'pale', line: 'ink', width: 0.6 },
      filled(
        `M48 ${base} L48.4 ${n(base - 14 * size)} L51.6 ${n(base - 14 * size)} L52 ${base}Z`,
        'stigma',
        1,
      ),
      ...lobedStigma(50, base - 20 * size, size * 0.72),
    );
    if (withAnthers)
      for (const side of [-1, 1])
        shapes.push(filled(ellipse(50 + side * 11 * size, base - 15 * size, 2.8, 4), 'column', 1));
  }
  return shapes;
}

function seedRows(height: number, shape: FruitShape): Point[] {
  const spread = shape === 'long' ? 3 : 6;
  return [0.3, 0.45, 0.6].flatMap((at): Point[] => [
    [50 - spread, 130 - height * at],
    [50 + spread, 130 - height * at],
  ]);
}
