import type { Stage } from '@core/crops';
import { ageOf, COLOURS_AT } from './buds';
import { strawberryFoliage } from './foliage';
import {
  dots,
  ellipse,
  filled,
  lined,
  mapped,
  n,
  petal,
  rosette,
  turned,
  type Point,
  type Shape,
} from './shapes';

const BASE = 92;
const STALK = lined('M50 140 C48 122 52 108 50 92', 'stalk', 3.6);

const around = (count: number, cx: number, cy: number, r: number, start = 0): Point[] =>
  Array.from({ length: count }, (_, i) => {
    const angle = start + (2 * Math.PI * i) / count;
    return [cx + r * Math.cos(angle), cy + r * Math.sin(angle)];
  });

function calyx(spread: number, length: number): Shape[] {
  return [-1, 1, -0.5, 0.5].map((side) =>
    filled(petal(50 + side * 5, BASE, side * spread, length, 9, 0), 'sepal', 1.2),
  );
}

export function strawberrySide(stage: Stage, fullness: number, detail = false): Shape[] {
  return [...(detail ? strawberryFoliage() : []), ...onItsStalk(stage, fullness)];
}

function onItsStalk(stage: Stage, fullness: number): Shape[] {
  const age = ageOf(stage, fullness);
  if (stage === 'pin') {
    const r = 9 + 3 * age;
    return [
      STALK,
      filled(ellipse(50, BASE - r, r, r * 1.05), 'sepal', 1.6),
      lined(
        `M44 ${BASE - 4} Q46 ${BASE - 14} 50 ${n(BASE - 2 * r)} M56 ${BASE - 4} Q54 ${BASE - 14} 50 ${n(BASE - 2 * r)}`,
        'stripe',
        1,
      ),
    ];
  }
  if (stage === 'green' || stage === 'coloured') {
    const r = 8 + 5.5 * age;
    const white = age > COLOURS_AT;
    return [
      STALK,
      filled(ellipse(50, BASE - r * 1.1, r, r * 1.08), white ? 'petal' : 'pale', 1.6),
      lined(
        `M50 ${n(BASE - r * 0.4)} Q${n(50 - r * 0.6)} ${n(BASE - r * 1.3)} 50 ${n(BASE - r * 2.1)} M${n(50 + r * 0.3)} ${n(BASE - r * 0.4)} Q${n(50 + r * 0.8)} ${n(BASE - r * 1.3)} ${n(50 + r * 0.2)} ${n(BASE - r * 2.1)}`,
        white ? 'vein' : 'stripe',
        1.1,
      ),
      ...(white ? [] : [filled(ellipse(50, BASE - r * 1.5, r * 0.7, r * 0.5), 'bud', 1)]),
      ...calyx(18 + 10 * age, 20 + 5 * age),
    ];
  }
  if (stage === 'open')
    return [
      STALK,
      ...calyx(84, 30),
      ...[-78, 78, -40, 40].map((angle) => filled(petal(50, BASE, angle, 44, 32, 1), 'petal', 1.5)),
      filled(`M34 ${BASE - 10} C36 ${BASE - 34} 64 ${BASE - 34} 66 ${BASE - 10}Z`, 'kernel', 1.4),
      {
        d: dots(
          around(7, 50, BASE - 17, 9).filter(([, y]) => y < BASE - 12),
          1.2,
        ),
        fill: 'stigma',
        line: 'ink',
        width: 0.4,
      },
      lined(
        `M34 ${BASE - 12} L27 ${BASE - 24} M40 ${BASE - 20} L34 ${BASE - 34} M60 ${BASE - 20} L66 ${BASE - 34} M66 ${BASE - 12} L73 ${BASE - 24}`,
        'ink',
        1,
      ),
      {
        d: dots(
          [
            [27, BASE - 25],
            [34, BASE - 35],
            [66, BASE - 35],
            [73, BASE - 25],
          ],
          2.4,
        ),
        fill: 'pollen',
        line: 'ink',
        width: 0.6,
      },
    ];
  return [
    STALK,
    ...calyx(62, 32),
    filled(`M38 ${BASE - 4} C38 ${BASE - 30} 62 ${BASE - 30} 62 ${BASE - 4}Z`, 'bud', 1.5),
    {
      d: dots(
        [
          [45, BASE - 12],
          [50, BASE - 18],
          [55, BASE - 12],
          [50, BASE - 8],
        ],
        1.3,
      ),
      fill: 'tip',
    },
    filled(petal(30, BASE + 22, 100, 22, 16, 1), 'withered', 1.2),
  ];
}

/** Looking down on the flower; a bud is cut lengthways. */
export function strawberryInside(stage: Stage, fullness: number): Shape[] {
  const cx = 50;
  const cy = 70;
  if (stage === 'open' || stage === 'spent') {
    const shapes: Shape[] = rosette(cx, cy, 10, 44, 12, 0, 18).map((d) => filled(d, 'sepal', 1));
    if (stage === 'open') for (const d of rosette(cx, cy, 5, 42, 42, 1)) shapes.push(filled(d, 'petal', 1.5));
    shapes.push(
      lined(
        around(16, cx, cy, 19)
          .map(([x, y]) => `M${n(50 + (x - 50) * 0.5)} ${n(70 + (y - 70) * 0.5)} L${n(x)} ${n(y)}`)
          .join(' '),
        'vein',
        1,
      ),
    );
    shapes.push({
      d: dots(around(16, cx, cy, 20), 2.2),
      fill: stage === 'open' ? 'pollen' : 'withered',
      line: 'ink',
      width: 0.6,
    });
    shapes.push(filled(ellipse(cx, cy, 13), stage === 'open' ? 'kernel' : 'bud', 1.4));
    shapes.push({
      d: dots([...around(10, cx, cy, 9), ...around(5, cx, cy, 4.5)], 1.2),
      fill: stage === 'open' ? 'stigma' : 'tip',
      line: 'ink',
      width: 0.4,
    });
    return shapes;
  }
  const age = ageOf(stage, fullness);
  const r = 20 + 9 * age;
  return [
    lined('M50 140 L50 112', 'stalk', 4),
    filled(ellipse(50, 112 - r, r * 0.92, r), age > COLOURS_AT ? 'petal' : 'bud', 1.6),
    filled(ellipse(50, 112 - r * 0.94, r * 0.7, r * 0.78), 'pale', 1),
    filled(
      `M${n(50 - r * 0.45)} 108 C${n(50 - r * 0.45)} ${n(108 - r)} ${n(50 + r * 0.45)} ${n(108 - r)} ${n(50 + r * 0.45)} 108Z`,
      'kernel',
      1.3,
    ),
    ...[-1, 1].map((side) =>
      filled(
        mapped(ellipse(50 + side * r * 0.52, 112 - r * 0.7, 2.6, 4.6), turned(50, 112, side * 4)),
        'anther',
        0.9,
      ),
    ),
    ...[-1, 1].map((side) =>
      filled(petal(50 + side * 6, 114, side * (24 + 8 * age), 30, 10, 0), 'sepal', 1.2),
    ),
  ];
}

/** A berry, point up; `missed` is the side that stayed small for want of pollen. */
export function berry(height: number, missed: boolean, ripe: boolean): Shape[] {
  const bottom = 112;
  const top = bottom - height;
  const half = height * 0.46;
  const left = missed ? half * 0.45 : half;
  const d = `M50 ${bottom} C${n(50 - left * 1.5)} ${bottom} ${n(50 - left * 1.25)} ${n(top + height * 0.35)} ${missed ? n(50 + half * 0.3) : 50} ${n(top)} C${n(50 + half * 1.25)} ${n(top + height * 0.3)} ${n(50 + half * 1.5)} ${bottom} 50 ${bottom}Z`;
  const seeds: Point[] = [];
  for (let row = 1; row < 6; row++)
    for (const side of [-0.55, -0.1, 0.35]) {
      const x = 50 + half * (side + (row % 2) * 0.18);
      if (missed && side < 0) continue;
      seeds.push([x, bottom - (height * row) / 6.6]);
    }
  const crowded: Point[] = missed
    ? [
        [47, bottom - 14],
        [44, bottom - 18],
        [47, bottom - 22],
        [44, bottom - 26],
        [48, bottom - 29],
      ]
    : [];
  return [
    lined('M50 140 C48 130 51 120 50 112', 'stalk', 3.6),
    filled(d, ripe ? 'ripe' : 'bud', 1.8),
    { d: dots([...seeds, ...crowded], 1.3), fill: 'kernel', line: 'ink', width: 0.5 },
    ...(missed ? [{ ...filled(ellipse(44, bottom - 22, 5, 11), 'yellowed', 1), opacity: 0.75 }] : []),
    ...[-80, -45, 0, 45, 80].map((angle) => filled(petal(50, bottom + 6, angle, 22, 8, 0), 'sepal', 1.1)),
  ];
}
