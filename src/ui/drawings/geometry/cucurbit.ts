import type { CropId, FruitShape, Sex, Stage } from '@core/crops';
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
  readonly blunt: number;
}

const SQUASH: Build = { flower: 1, ovary: 1, maleStalk: 44, blunt: 0.1 };
const SMALL: Build = { flower: 0.8, ovary: 0.86, maleStalk: 22, blunt: 0.75 };
const BUILDS: Partial<Record<CropId, Build>> = {
  melon: SMALL,
  watermelon: SMALL,
  cucumber: { ...SMALL, ovary: 0.95, blunt: 0.35 },
  'bottle-gourd': { flower: 0.95, ovary: 1, maleStalk: 50, blunt: 0.8 },
  luffa: { flower: 0.9, ovary: 1, maleStalk: 34, blunt: 0.8 },
  'luffa-ridged': { flower: 0.85, ovary: 1, maleStalk: 34, blunt: 0.8 },
  'bitter-gourd': { flower: 0.76, ovary: 0.8, maleStalk: 40, blunt: 0.9 },
};

export const buildOf = (crop: CropId): Build => BUILDS[crop] ?? SQUASH;

const between = (values: readonly number[], at: number): number => {
  const i = Math.max(0, Math.min(values.length - 2, Math.floor(at)));
  const low = values[i] as number;
  return low + ((values[i + 1] as number) - low) * Math.min(1, Math.max(0, at - i));
};

const AGE: Record<Stage, number> = { pin: 0, green: 1, coloured: 2, open: 3, spent: 3 };

/** How far on a bud is, 0 = pin to 3 = open; `fullness` -1..1 moves it within its stage without leaving it. */
export function ageOf(stage: Stage, fullness = 0): number {
  const age = AGE[stage];
  return age >= 3 ? 3 : Math.max(0, age + 0.42 * Math.max(-1, Math.min(1, fullness)));
}

/** Yellow shows along the petals from here on: the line between `green` and `coloured`. */
export const COLOURS_AT = 1.5;

interface BudSize {
  readonly height: number;
  readonly half: number;
  readonly age: number;
}

function budShapes({ height, half, age }: BudSize, base: number): Shape[] {
  const top = base - height;
  const body = `M${n(50 - half * 0.55)} ${n(base)} C${n(50 - half * 1.5)} ${n(base - height * 0.45)} ${n(50 - half * 0.9)} ${n(top + height * 0.18)} 50 ${n(top)} C${n(50 + half * 0.9)} ${n(top + height * 0.18)} ${n(50 + half * 1.5)} ${n(base - height * 0.45)} ${n(50 + half * 0.55)} ${n(base)}Z`;
  const full = age >= 1.85;
  const coloured = age > COLOURS_AT;
  const shapes: Shape[] = [filled(body, full ? 'petal' : 'bud', 1.6)];
  if (coloured && !full)
    // Only the flanks between the ribs have turned: the first sign that it opens tomorrow.
    for (const side of [-0.62, 0.05, 0.66])
      shapes.push({
        d: petal(50 + side * half * 0.75, base - height * 0.12, side * 12, height * 0.72, half * 0.42, 0.2),
        fill: 'petal',
      });
  for (const side of [-0.5, 0, 0.5])
    shapes.push(
      lined(
        `M${n(50 + side * half)} ${n(base)} Q${n(50 + side * half * 2.1)} ${n(base - height * 0.5)} 50 ${n(top + 2)}`,
        coloured ? 'vein' : 'stripe',
        1.3,
      ),
    );
  for (const side of [-1, 1])
    shapes.push(
      lined(
        `M${n(50 + side * half * 0.55)} ${n(base)} Q${n(50 + side * (half + 7))} ${n(base - height * 0.2)} ${n(50 + side * (half + 4))} ${n(base - height * 0.42)}`,
        'sepal',
        2,
      ),
    );
  return shapes;
}

function openShapes(base: number, { flower, blunt }: Build): Shape[] {
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

function spentShapes(base: number): Shape[] {
  return [
    filled(
      `M43 ${base} C36 ${base - 14} 42 ${base - 26} 36 ${base - 36} C46 ${base - 32} 48 ${base - 42} 54 ${base - 38} C60 ${base - 34} 66 ${base - 30} 62 ${base - 22} C60 ${base - 14} 62 ${base - 8} 57 ${base}Z`,
      'withered',
      1.5,
    ),
    {
      ...lined(
        `M47 ${base - 2} Q44 ${base - 18} 48 ${base - 32} M53 ${base - 2} Q56 ${base - 18} 54 ${base - 30}`,
        'ink',
        0.9,
      ),
      opacity: 0.6,
    },
  ];
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
  cut: boolean,
): SideParts {
  const build = buildOf(crop);
  const age = ageOf(stage, fullness);
  const grown = between([0.6, 0.78, 0.97, 1], age);
  const ovary = (shape === 'round' || shape === 'ribbed' ? 36 : 44) * grown * build.ovary;
  const vine = cut ? 140 : 133;
  const bottom = vine - 7;
  // A male's thin stalk runs straight up to the petals; a female has her little fruit in between.
  const base = n(sex === 'female' ? bottom - ovary + 2 : vine - 2 - build.maleStalk * (0.45 + 0.55 * grown));
  const shapes: Shape[] = cut ? [] : [lined(`M16 ${vine + 3} Q50 ${vine - 3} 84 ${vine + 3}`, 'stalk', 5)];
  if (sex === 'female')
    shapes.push(
      filled(`M46.5 ${vine} L47 ${n(bottom - 3)} L53 ${n(bottom - 3)} L53.5 ${vine}Z`, 'stalk', 1.3),
      filled(ovaryPath(shape, bottom, ovary), 'ovary', 1.8),
      ...skin(crop, shape, bottom, ovary),
    );
  else shapes.push(filled(`M48 ${vine} L47.6 ${base} L52.4 ${base} L52 ${vine}Z`, 'stalk', 1.2));
  if (stage === 'open') {
    shapes.push(...openShapes(base, build));
    return { shapes, base, top: base - 46 * build.flower };
  }
  if (stage === 'spent') {
    shapes.push(...mappedShapes(spentShapes(base), turned(50, base, 0, build.flower)));
    return { shapes, base, top: base - 38 * build.flower };
  }
  const height = between([20, 34, 50, 54], age) * build.flower;
  const half = between([5.6, 8.8, 15, 17], age) * build.flower;
  shapes.push(...budShapes({ height, half, age }, base));
  return { shapes, base, top: base - height };
}

const ring = (count: number, cx: number, cy: number, rx: number, ry: number, start = 0): Point[] =>
  Array.from({ length: count }, (_, i) => {
    const angle = start + (2 * Math.PI * i) / count;
    return [cx + rx * Math.cos(angle), cy + ry * Math.sin(angle)];
  });

/** One central column of joined anthers, dusted with loose pollen. */
export function antherColumn(cx: number, cy: number, size: number): Shape[] {
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
    if (sex === 'male') return [...shapes, ...antherColumn(cx, cy, 1)];
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
      ...antherColumn(50, base - 24 * size, size),
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
