import { cropOf, hasCone as coneOf, type CropId, type Stage } from '@core/crops';
import { ageOf, COLOURS_AT } from './buds';
import { nightshadeFoliage } from './foliage';
import {
  ellipse,
  filled,
  lined,
  mapped,
  mappedShapes,
  n,
  petal,
  rosette,
  turned,
  type Shape,
} from './shapes';

const hasCone = (crop: CropId): boolean => coneOf(cropOf(crop));

// Drawn upright from its joint at (50, 96), then hung over: these flowers nod.
const HANG = turned(50, 70, 180);
const BASE = 96;

function sepals(spread: number, length: number): Shape[] {
  return [-1, -0.45, 0.45, 1].map((side) =>
    filled(petal(50 + side * 4, BASE, side * spread, length, 8, 0), 'sepal', 1.2),
  );
}

function cone(size: number, crop: CropId): Shape[] {
  const top = BASE - 36 * size;
  return [
    filled(
      `M${n(50 - 8 * size)} ${BASE - 4} C${n(50 - 9 * size)} ${n(BASE - 18 * size)} ${n(50 - 4 * size)} ${n(top + 6)} 50 ${n(top)} C${n(50 + 4 * size)} ${n(top + 6)} ${n(50 + 9 * size)} ${n(BASE - 18 * size)} ${n(50 + 8 * size)} ${BASE - 4}Z`,
      crop === 'potato' ? 'column' : 'anther',
      1.5,
    ),
    lined(
      `M${n(50 - 3 * size)} ${BASE - 6} Q${n(50 - 3 * size)} ${n(BASE - 20 * size)} 50 ${n(top + 3)} M${n(50 + 3 * size)} ${BASE - 6} Q${n(50 + 3 * size)} ${n(BASE - 20 * size)} 50 ${n(top + 3)}`,
      'vein',
      1,
    ),
    filled(ellipse(50, top - 1.5, 2 * size), 'stigma', 1),
  ];
}

function looseAnthers(size: number, crop: CropId): Shape[] {
  const shapes: Shape[] = [
    filled(
      `M49 ${BASE - 4} L49.4 ${n(BASE - 32 * size)} L50.6 ${n(BASE - 32 * size)} L51 ${BASE - 4}Z`,
      'stigma',
      1,
    ),
    filled(ellipse(50, BASE - 34 * size, 2.4 * size), 'stigma', 1.1),
  ];
  for (const side of [-1, -0.5, 0.5, 1])
    shapes.push(
      lined(mapped(`M50 ${BASE - 4} L50 ${n(BASE - 16 * size)}`, turned(50, BASE, side * 30)), 'pale', 1.6),
      filled(
        mapped(ellipse(50, BASE - 22 * size, 3 * size, 7 * size), turned(50, BASE, side * 30)),
        crop === 'pepper' ? 'vein' : 'anther',
        1.2,
      ),
    );
  return shapes;
}

/** A perfect flower of the nightshade family from the side, nodding on its stalk. */
export function nightshadeSide(crop: CropId, stage: Stage, fullness: number, detail = false): Shape[] {
  const age = ageOf(stage, fullness);
  const big = crop === 'aubergine' ? 1.12 : crop === 'pepper' ? 0.9 : 1;
  const stalk = lined(`M18 138 C18 66 20 26 50 30 C50 34 50 38 50 44`, 'stalk', 4);
  const joint: Shape = filled(ellipse(24, 62, 3.4, 3), 'stalk', 1.2);
  let flower: Shape[];
  if (stage === 'pin') {
    const height = 22 + 8 * age;
    flower = [
      filled(
        `M44 ${BASE} C37 ${BASE - 10} 42 ${n(BASE - height)} 50 ${n(BASE - height)} C58 ${n(BASE - height)} 63 ${BASE - 10} 56 ${BASE}Z`,
        'sepal',
        1.6,
      ),
      lined(
        `M50 ${BASE} L50 ${n(BASE - height + 3)} M46 ${BASE - 2} Q43 ${BASE - 12} 49 ${n(BASE - height + 4)} M54 ${BASE - 2} Q57 ${BASE - 12} 51 ${n(BASE - height + 4)}`,
        'stripe',
        1,
      ),
    ];
  } else if (stage === 'green' || stage === 'coloured') {
    // Sepals part as the petals push out between them; green at first, pale when its day is near.
    const out = 22 + 15 * age;
    const half = 7 + 2.6 * age;
    const parting = stage === 'coloured' ? 5 : 0;
    const body = `M${n(50 - half * 0.6)} ${BASE} C${n(50 - half * 1.2)} ${n(BASE - out * 0.4)} ${n(50 - half * 0.8 - parting)} ${n(BASE - out * 0.8)} ${n(50 - parting)} ${n(BASE - out)} L50 ${n(BASE - out + parting * 2)} L${n(50 + parting)} ${n(BASE - out)} C${n(50 + half * 0.8 + parting)} ${n(BASE - out * 0.8)} ${n(50 + half * 1.2)} ${n(BASE - out * 0.4)} ${n(50 + half * 0.6)} ${BASE}Z`;
    flower = [
      filled(body, age > COLOURS_AT ? (age > 1.9 ? 'petal' : 'pale') : 'bud', 1.6),
      lined(`M50 ${BASE - 4} L50 ${n(BASE - out + 6)}`, age > COLOURS_AT ? 'vein' : 'stripe', 1.2),
      ...sepals(16 + 12 * age, 20 + 3 * age),
    ];
  } else if (stage === 'open') {
    const back = hasCone(crop) ? 108 : 78;
    flower = [
      ...[-1, 1, -0.62, 0.62].map((side) =>
        filled(petal(50, BASE, side * back, 40, 17, hasCone(crop) ? 0.05 : 0.35), 'petal', 1.5),
      ),
      ...sepals(82, 22),
      ...(hasCone(crop) ? cone(1.05, crop) : looseAnthers(1.05, crop)),
    ];
  } else {
    flower = [
      filled(
        `M42 ${BASE - 4} C34 ${BASE - 16} 40 ${BASE - 26} 36 ${BASE - 34} C44 ${BASE - 30} 50 ${BASE - 40} 56 ${BASE - 33} C64 ${BASE - 30} 62 ${BASE - 16} 58 ${BASE - 4}Z`,
        'withered',
        1.4,
      ),
      filled(ellipse(50, BASE - 6, 8, 7), 'ovary', 1.5),
      ...sepals(46, 22),
    ];
  }
  return [
    ...(detail ? nightshadeFoliage(crop) : []),
    stalk,
    joint,
    ...mappedShapes(mappedShapes(flower, turned(50, BASE, 0, big)), HANG),
  ];
}

/** Looking into the flower; a bud is cut lengthways to show anthers and stigma. */
export function nightshadeInside(crop: CropId, stage: Stage, fullness: number): Shape[] {
  const cx = 50;
  const cy = 70;
  if (stage === 'open' || stage === 'spent') {
    const open = stage === 'open';
    const count = crop === 'pepper' ? 6 : 5;
    const shapes: Shape[] = rosette(cx, cy, count, open ? 42 : 26, 6, 0, 180 / count).map((d) =>
      filled(d, 'sepal', 1),
    );
    for (const d of rosette(
      cx,
      cy,
      count,
      open ? 44 : 24,
      crop === 'aubergine' ? 34 : 21,
      crop === 'tomato' ? 0.05 : 0.4,
    ))
      shapes.push(filled(d, open ? 'petal' : 'withered', 1.5));
    if (!open) return [...shapes, filled(ellipse(cx, cy, 9), 'ovary', 1.5)];
    if (hasCone(crop)) {
      shapes.push(filled(ellipse(cx, cy, 13), crop === 'potato' ? 'column' : 'anther', 1.5));
      shapes.push(
        lined(
          Array.from({ length: 6 }, (_, i) => mapped(`M50 66 L50 58`, turned(cx, cy, i * 60))).join(' '),
          'vein',
          1.2,
        ),
      );
      return [...shapes, filled(ellipse(cx, cy, 2.8), 'stigma', 1)];
    }
    for (let i = 0; i < count; i++)
      shapes.push(
        filled(
          mapped(ellipse(50, 56, 3.4, 7), turned(cx, cy, i * (360 / count) + 180 / count)),
          crop === 'pepper' ? 'vein' : 'anther',
          1.2,
        ),
      );
    return [
      ...shapes,
      filled(ellipse(cx, cy, 4.4), 'stigma', 1.3),
      { d: ellipse(cx - 1.2, cy - 1.4, 1.2), fill: 'wet' },
    ];
  }
  const age = ageOf(stage, fullness);
  const out = 44 + 16 * age;
  const half = 14 + 4 * age;
  const base = 118;
  const wall = `M${n(50 - half * 0.6)} ${base} C${n(50 - half * 1.3)} ${n(base - out * 0.4)} ${n(50 - half * 0.9)} ${n(base - out * 0.85)} 50 ${n(base - out)} C${n(50 + half * 0.9)} ${n(base - out * 0.85)} ${n(50 + half * 1.3)} ${n(base - out * 0.4)} ${n(50 + half * 0.6)} ${base}Z`;
  const size = 0.7 + 0.28 * age;
  const inner = hasCone(crop) ? cone(size, crop) : looseAnthers(size, crop);
  return [
    lined('M50 140 L50 118', 'stalk', 5),
    filled(wall, age > COLOURS_AT ? 'petal' : 'bud', 1.8),
    filled(mapped(wall, turned(50, base, 0, 0.72, 0.86)), 'pale', 1),
    ...mappedShapes(inner, (x, y) => [x, y + base - BASE]),
    filled(ellipse(50, base - 2, 7.5, 6), 'ovary', 1.4),
    ...[-1, 1].map((side) =>
      filled(petal(50 + side * 7, base + 2, side * (20 + 12 * age), 30, 9, 0), 'sepal', 1.2),
    ),
  ];
}

/** A fruit of the family as it hangs: the stalk bends over, the calyx sits on its shoulders, the blossom end points down. */
export function hangingFruit(shapes: readonly Shape[], crop: CropId, detail = false): Shape[] {
  return [
    ...(detail ? nightshadeFoliage(crop) : []),
    lined('M14 134 C12 60 16 10 50 12 C50 15 50 18 50 24', 'stalk', 4),
    ...mappedShapes(shapes, turned(50, 70, 180)),
  ];
}

/** Fruit of the family, drawn upright: its calyx at `bottom`, blossom end above. */
export function nightshadeFruit(crop: CropId, height: number): { d: string; bottom: number; calyx: Shape[] } {
  const bottom = 118;
  const top = bottom - height;
  const mid = (top + bottom) / 2;
  const r = height * (crop === 'pepper' ? 0.3 : crop === 'aubergine' ? 0.32 : 0.52);
  const d =
    crop === 'pepper'
      ? `M${n(50 - r)} ${n(bottom)} C${n(50 - r * 1.3)} ${n(mid)} ${n(50 - r * 0.9)} ${n(top)} 50 ${n(top)} C${n(50 + r * 0.9)} ${n(top)} ${n(50 + r * 1.3)} ${n(mid)} ${n(50 + r)} ${n(bottom)} Q50 ${n(bottom + 6)} ${n(50 - r)} ${n(bottom)}Z`
      : crop === 'aubergine'
        ? `M${n(50 - r * 0.55)} ${n(bottom)} C${n(50 - r * 0.8)} ${n(mid)} ${n(50 - r * 1.3)} ${n(top + height * 0.4)} ${n(50 - r * 0.9)} ${n(top + height * 0.12)} C${n(50 - r * 0.5)} ${n(top - 4)} ${n(50 + r * 0.5)} ${n(top - 4)} ${n(50 + r * 0.9)} ${n(top + height * 0.12)} C${n(50 + r * 1.3)} ${n(top + height * 0.4)} ${n(50 + r * 0.8)} ${n(mid)} ${n(50 + r * 0.55)} ${n(bottom)}Z`
        : ellipse(50, mid, r, height / 2);
  const calyx = [-70, -35, 0, 35, 70].map((angle) =>
    filled(petal(50, bottom + 5, angle, 17, 7, 0), 'sepal', 1.1),
  );
  return { d, bottom, calyx };
}
