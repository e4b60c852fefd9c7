import { dots, ellipse, filled, lined, mappedShapes, petal, turned, type Shape } from './shapes';

/** Small pictures for answers that are about the place of a flower, not the flower. */
export const SKETCHES = [
  'at-tip',
  'near',
  'back',
  'bush-heart',
  'bush-near',
  'bush-out',
  'alone',
  'bunch',
  'dust',
  'no-dust',
  'shut',
] as const;
export type Sketch = (typeof SKETCHES)[number];

const leaf = (x: number, y: number, turn: number, size: number): Shape =>
  filled(petal(x, y, turn, size, size * 0.8, 0.6), 'leaf', 1.3);

const bud = (x: number, y: number, size: number): Shape[] => [
  lined(`M${x} ${y} L${x} ${y - 12 * size}`, 'stalk', 3),
  filled(petal(x, y - 10 * size, 0, 24 * size, 15 * size, 0.3), 'petal', 1.5),
];

/** A vine from the root (left) to its growing tip (right), a ring round the place that is meant. */
function vine(at: { x: number; y: number }): Shape[] {
  return [
    lined('M4 108 Q30 92 52 86 Q76 78 90 58', 'stalk', 4.5),
    leaf(18, 99, -20, 26),
    leaf(38, 90, 160, 24),
    leaf(58, 84, -14, 20),
    leaf(74, 75, 150, 15),
    leaf(84, 66, -30, 10),
    filled(petal(90, 58, 30, 12, 6, 0.1), 'bud', 1.2),
    ...bud(at.x, at.y, 0.8),
    { d: ellipse(at.x, at.y - 16, 15), fill: 'none', line: 'twine', width: 3 },
  ];
}

/** A bush from the side: leaves on long stalks out of one heart, oldest outermost; a ring round the place that is meant. */
function bush(at: { x: number; y: number }): Shape[] {
  const stalk = (x: number, y: number): Shape =>
    lined(`M50 116 Q${(x + 50) / 2} ${y + 34} ${x} ${y + 8}`, 'stalk', 4);
  return [
    lined('M26 120 Q50 114 74 120', 'stalk', 3),
    ...(
      [
        [22, 84],
        [78, 84],
        [31, 56],
        [69, 56],
      ] as const
    ).flatMap(([x, y]) => [stalk(x, y), leaf(x, y + 10, (x - 50) * 0.9, 27)]),
    leaf(42, 70, -14, 15),
    leaf(58, 70, 14, 15),
    filled(petal(50, 96, 0, 22, 9, 0.1), 'bud', 1.2),
    ...bud(at.x, at.y, 0.8),
    { d: ellipse(at.x, at.y - 16, 15), fill: 'none', line: 'twine', width: 3 },
  ];
}

const tapped = (dust: boolean): Shape[] => [
  ...mappedShapes(
    [
      lined('M50 20 L50 64', 'stalk', 3),
      ...[28, 40, 52, 64].flatMap((y) => [
        filled(ellipse(44, y, 4, 6), 'sepal', 1),
        filled(ellipse(56, y, 4, 6), 'sepal', 1),
      ]),
    ],
    turned(50, 42, 28),
  ),
  filled('M16 112 C24 104 40 102 56 104 C72 104 84 108 90 114 C78 124 34 126 16 112Z', 'paper', 1.6),
  ...(dust
    ? [
        {
          d: dots(
            [
              [38, 84],
              [46, 92],
              [54, 82],
              [60, 94],
              [42, 108],
              [52, 110],
              [62, 108],
              [34, 96],
              [68, 88],
            ],
            2,
          ),
          fill: 'pollen' as const,
          line: 'ink' as const,
          width: 0.5,
        },
      ]
    : []),
];

/** The shapes of a sketch, in the same box as the flowers. */
export function sketchShapes(sketch: Sketch): Shape[] {
  switch (sketch) {
    case 'at-tip':
      return vine({ x: 86, y: 60 });
    case 'near':
      return vine({ x: 58, y: 84 });
    case 'back':
      return vine({ x: 18, y: 99 });
    case 'bush-heart':
      return bush({ x: 50, y: 102 });
    case 'bush-near':
      return bush({ x: 66, y: 108 });
    case 'bush-out':
      return bush({ x: 82, y: 118 });
    case 'alone':
      return [lined('M8 112 Q50 100 92 112', 'stalk', 5), leaf(52, 106, 62, 34), ...bud(46, 106, 1.7)];
    case 'bunch':
      return [
        lined('M8 112 Q50 100 92 112', 'stalk', 5),
        leaf(60, 107, 74, 30),
        ...bud(28, 108, 1.2),
        ...bud(44, 106, 1.6),
        ...bud(60, 107, 1.3),
      ];
    case 'dust':
    case 'no-dust':
      return tapped(sketch === 'dust');
    case 'shut':
      return [
        filled(ellipse(50, 72, 26, 28), 'petal', 1.8),
        lined(
          'M50 44 Q62 60 50 72 Q38 60 50 44 M76 72 Q58 66 50 72 M24 72 Q42 80 50 72 M50 100 Q44 86 50 72',
          'vein',
          2,
        ),
      ];
  }
}
