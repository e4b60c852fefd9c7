import type { Stage } from '@core/crops';
import { ageOf } from './buds';
import {
  dots,
  ellipse,
  filled,
  lined,
  mapped,
  mappedShapes,
  n,
  petal,
  turned,
  type Point,
  type Shape,
} from './shapes';

const BRANCHES = [-62, -40, -20, 20, 40, 62];

function branch(degrees: number, length: number, stage: Stage, swell: number): Shape[] {
  const dry = stage === 'spent';
  const map = turned(50, 84, degrees);
  const at = (along: number, side: number): Point => map(50 + side, 84 - along);
  const spikelets: string[] = [];
  const anthers: string[] = [];
  for (let along = 12; along < length; along += 9)
    for (const side of [-3, 3]) {
      const [x, y] = at(along, side);
      spikelets.push(ellipse(x, y, 1.7 + swell, 2.6 + swell));
      if (stage === 'open')
        anthers.push(
          `M${n(x - 0.9)} ${n(y + 2)} L${n(x - 1.1)} ${n(y + 9)} L${n(x + 1.1)} ${n(y + 9)} L${n(x + 0.9)} ${n(y + 2)}Z`,
        );
    }
  const shapes: Shape[] = [
    lined(mapped(`M50 84 L50 ${n(84 - length)}`, map), dry ? 'withered' : 'stalk', 2.4),
    filled(spikelets.join(' '), dry ? 'withered' : 'sepal', 0.8),
  ];
  if (anthers.length > 0) shapes.push(filled(anthers.join(' '), 'anther', 0.7));
  return shapes;
}

/** The tassel from the side. */
export function tasselSide(stage: Stage, fullness: number): Shape[] {
  const age = ageOf(stage, fullness);
  const stalk = filled('M47.5 140 L48.5 82 L51.5 82 L52.5 140Z', 'stalk', 1.2);
  const leaves = [
    filled('M50 128 C30 112 18 114 4 126 C20 106 36 104 50 120Z', 'leaf', 1.2),
    filled('M50 120 C68 104 84 106 97 118 C82 98 64 98 50 112Z', 'leaf', 1.2),
  ];
  if (stage === 'pin') {
    const out = 10 + 14 * age;
    return [
      stalk,
      ...branch(0, 44 + out, 'green', -0.3),
      filled('M43 122 C38 96 40 66 46 44 C50 60 50 90 50 122Z', 'leaf', 1.5),
      filled('M57 122 C62 94 60 60 53 36 C49 60 50 90 50 122Z', 'leaf', 1.5),
      ...leaves,
    ];
  }
  const spread = stage === 'green' ? 0.16 + 0.14 * (age - 1) : stage === 'coloured' ? 0.62 : 1;
  const swell = stage === 'green' ? -0.2 : stage === 'coloured' ? 0.7 : 0.3;
  const length = stage === 'green' ? 52 : 58;
  const shapes = [
    stalk,
    ...leaves,
    ...BRANCHES.flatMap((angle) => branch(angle * spread, length, stage, swell)),
    ...branch(0, 74, stage, swell),
  ];
  if (stage === 'open')
    shapes.push({
      d: dots(
        [
          [14, 92],
          [26, 104],
          [38, 98],
          [64, 102],
          [76, 96],
          [88, 90],
          [32, 112],
          [70, 112],
        ],
        1.2,
      ),
      fill: 'pollen',
      line: 'ink',
      width: 0.3,
    });
  return shapes;
}

/** One pair of spikelets of the tassel, close to. */
export function tasselClose(stage: Stage): Shape[] {
  const dry = stage === 'spent';
  const green = dry ? 'withered' : 'sepal';
  const shapes: Shape[] = [lined('M50 138 L50 8', dry ? 'withered' : 'stalk', 6)];
  const open = stage === 'open';
  for (const [y, side] of [
    [34, -1],
    [58, 1],
    [88, -1],
    [112, 1],
  ] as const) {
    const cx = 50 + side * 17;
    const gape = open ? 26 : stage === 'coloured' ? 12 : stage === 'pin' ? 3 : 6;
    const size = stage === 'pin' ? 0.7 : 1;
    shapes.push(lined(`M50 ${y + 4} L${cx} ${y}`, dry ? 'withered' : 'stalk', 3));
    if (open || dry)
      for (const x of [-5, 0, 5])
        shapes.push(
          lined(`M${cx + x * 0.4} ${y - 4} L${cx + x} ${y + 8}`, 'pale', 1),
          filled(
            `M${cx + x - 2} ${y + 8} L${cx + x - 2.2} ${y + 22} L${cx + x + 2.2} ${y + 22} L${cx + x + 2} ${y + 8}Z`,
            dry ? 'withered' : 'anther',
            0.9,
          ),
        );
    for (const turn of [-1, 1])
      shapes.push(
        filled(
          mapped(ellipse(cx, y - 8 * size, 5 * size, 11 * size), turned(cx, y + 2, turn * gape)),
          green,
          1.2,
        ),
      );
  }
  if (open)
    shapes.push({
      d: dots(
        [
          [24, 74],
          [40, 92],
          [62, 96],
          [78, 128],
          [30, 122],
        ],
        1.5,
      ),
      fill: 'pollen',
      line: 'ink',
      width: 0.3,
    });
  return shapes;
}

function silks(count: number, length: number, cx: number, cy: number, wild: number): string {
  return Array.from({ length: count }, (_, i) => {
    const side = (i / (count - 1)) * 2 - 1;
    return `M${n(cx + side * 3)} ${cy} Q${n(cx + side * 10 * wild)} ${n(cy - length * 0.8)} ${n(cx + side * 22 * wild)} ${n(cy - length * (0.75 - Math.abs(side) * 0.4))}`;
  }).join(' ');
}

export interface EarParts {
  readonly shapes: Shape[];
  readonly base: number;
  readonly top: number;
}

/** An ear shoot in its leaf joint. */
export function earSide(stage: Stage, fullness: number): EarParts {
  const age = ageOf(stage, fullness);
  const height =
    stage === 'pin' ? 18 + 10 * age : stage === 'green' ? 52 + 8 * (age - 1) : stage === 'coloured' ? 66 : 74;
  const half = stage === 'pin' ? 5 : stage === 'green' ? 8 + 2 * (age - 1) : stage === 'coloured' ? 14 : 16;
  const base = 116;
  const top = base - height;
  const tip = stage === 'coloured' || stage === 'open' || stage === 'spent' ? 3.5 : 0;
  const husk = `M${n(50 - half * 0.6)} ${base} C${n(50 - half * 1.4)} ${n(base - height * 0.35)} ${n(50 - half)} ${n(top + height * 0.2)} ${50 - tip} ${n(top)} L${50 + tip} ${n(top)} C${n(50 + half)} ${n(top + height * 0.2)} ${n(50 + half * 1.4)} ${n(base - height * 0.35)} ${n(50 + half * 0.6)} ${base}Z`;
  const shapes: Shape[] = [
    filled('M22 140 L25 4 L34 4 L34 140Z', 'stalk', 1.5),
    filled('M30 122 C54 104 74 100 98 70 C92 104 70 124 34 134Z', 'leaf', 1.4),
    lined('M34 128 Q70 114 96 74', 'stripe', 1.2),
    lined('M34 132 L50 116', 'stalk', 7),
  ];
  if (stage === 'open' || stage === 'spent')
    shapes.push(
      lined(silks(9, stage === 'open' ? 30 : 22, 50, n(top + 2), stage === 'open' ? 1 : 0.7), 'ink', 2.6),
      lined(
        silks(9, stage === 'open' ? 30 : 22, 50, n(top + 2), stage === 'open' ? 1 : 0.7),
        stage === 'open' ? 'silk' : 'tip',
        1.6,
      ),
    );
  shapes.push(filled(husk, 'bud', 1.7));
  for (const side of [-0.6, 0, 0.6])
    shapes.push(
      lined(
        `M${n(50 + side * half * 0.8)} ${base - 2} Q${n(50 + side * half * 1.7)} ${n(base - height * 0.5)} ${n(50 + side * tip)} ${n(top + 5)}`,
        'sepal',
        1.3,
      ),
    );
  if (stage === 'green') shapes.push(lined(`M50 ${n(top + 2)} L58 ${n(top - 10)}`, 'sepal', 2));
  return { shapes, base, top: stage === 'open' || stage === 'spent' ? top - 20 : top };
}

/** The shoot with its husk drawn aside: one silk for each kernel. `gaps` leaves kernels unfilled (0..1 of the length). */
export function earOpened(stage: Stage | 'ripe', gaps: number): Shape[] {
  const ripe = stage === 'ripe';
  const rows = 13;
  const half = ripe ? 17 : stage === 'pin' ? 7 : stage === 'green' ? 10 : 14;
  const top = ripe ? 16 : stage === 'pin' ? 60 : stage === 'green' ? 44 : 34;
  const base = 122;
  const cob = `M${n(50 - half * 0.9)} ${base} C${n(50 - half * 1.2)} 80 ${n(50 - half * 0.8)} ${top + 14} 50 ${top} C${n(50 + half * 0.8)} ${top + 14} ${n(50 + half * 1.2)} 80 ${n(50 + half * 0.9)} ${base}Z`;
  const shapes: Shape[] = [
    filled('M47 140 L47 120 L53 120 L53 140Z', 'stalk', 1.3),
    filled('M46 132 C14 126 8 86 12 56 C24 74 34 92 44 122Z', 'bud', 1.5),
    filled('M54 132 C86 126 92 86 88 56 C76 74 66 92 56 122Z', 'bud', 1.5),
    filled(cob, 'pale', 1.6),
  ];
  const full: Point[] = [];
  const empty: Point[] = [];
  for (let row = 0; row < rows; row++) {
    const y = base - 5 - ((base - 8 - top) * row) / rows;
    const wide = half * (1 - Math.pow(row / rows, 3)) * 0.82;
    for (const side of [-1, -0.34, 0.34, 1]) {
      // Unfilled kernels: the tip first, and scattered ones lower down.
      const missed =
        ripe && gaps > 0 && (row / rows > 1 - gaps || (row * 7 + Math.round(side * 3) + 21) % 5 < gaps * 3);
      (missed ? empty : full).push([50 + side * wide, y]);
    }
  }
  const size = ripe ? 3.7 : stage === 'pin' ? 1.3 : stage === 'green' ? 1.8 : 2.4;
  shapes.push({ d: dots(full, size), fill: ripe ? 'kernel' : 'wet', line: 'ink', width: 0.7 });
  if (empty.length > 0)
    shapes.push({ d: dots(empty, size * 0.42), fill: 'withered', line: 'ink', width: 0.5 });
  if (!ripe && stage !== 'pin')
    shapes.push(
      lined(
        full
          .filter((_, i) => i % 3 === 0)
          .map(
            ([x, y]) =>
              `M${n(x)} ${n(y)} Q${n(50 + (x - 50) * 1.25)} ${n(y - 20)} ${n(50 + (x - 50) * 0.35)} ${top - (stage === 'green' ? 2 : stage === 'coloured' ? 9 : 16)}`,
          )
          .join(' '),
        stage === 'spent' ? 'tip' : 'silk',
        1.1,
      ),
    );
  return shapes;
}

/** Leaf laid over part of a drawing, as on a real plant. `side` -1 from the left, 1 from the right; `cover` 0..1. */
export function coverLeaf(side: -1 | 1, cover: number, y: number): Shape[] {
  const reach = 18 + 34 * cover;
  const leaf = mappedShapes(
    [
      filled(petal(50, 140, 0, 64 + reach, 40, 0.5), 'leaf', 1.6),
      lined(
        `M50 138 L50 ${n(80 - reach)} M50 118 L38 104 M50 118 L62 104 M50 98 L40 84 M50 98 L60 84`,
        'stripe',
        1.2,
      ),
    ],
    turned(50, 140, side * -52),
  );
  const shift = side * (58 - reach);
  return mappedShapes(leaf, (x, py) => [x + shift, py - 140 + y]);
}
