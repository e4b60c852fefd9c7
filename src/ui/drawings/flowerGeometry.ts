import type { Closure, FruitShape, Sex, Stage } from '@core/crops';

/** What a shape is made of; the component gives it a colour in the light of the moment. */
export type Stuff =
  | 'stalk'
  | 'sepal'
  | 'ovary'
  | 'stripe'
  | 'bud'
  | 'petal'
  | 'vein'
  | 'withered'
  | 'tape'
  | 'bag'
  | 'twine'
  | 'hole'
  | 'fruit'
  | 'yellowed'
  | 'tip'
  | 'none';

export interface Shape {
  readonly d: string;
  readonly fill: Stuff;
  readonly line?: Stuff | 'ink';
  readonly width?: number;
  readonly dashed?: boolean;
  readonly opacity?: number;
}

/** The box all flowers are drawn in. */
export const FLOWER_BOX = { width: 100, height: 140 } as const;

export type Appearance = Stage | 'set' | 'dropped';

export interface FlowerLook {
  readonly sex: Sex;
  readonly appearance: Appearance;
  readonly shape: FruitShape;
  readonly closure?: Closure | null;
  /** How the closure was found. */
  readonly closureState?: 'whole' | 'torn' | 'holed';
}

const n = (value: number) => Number(value.toFixed(1));

/** An ovary (or fruit) of the variety's shape, stalk end down at `bottom`, of the given height, centred on x = 50. */
export function ovaryPath(shape: FruitShape, bottom: number, height: number): string {
  const top = bottom - height;
  const mid = (top + bottom) / 2;
  const half: Record<FruitShape, number> = {
    round: 0.5,
    ribbed: 0.58,
    long: 0.2,
    necked: 0.36,
    bottle: 0.38,
  };
  const r = height * half[shape];
  if (shape === 'necked' || shape === 'bottle') {
    // Neck at the stalk end, bulb at the blossom end, as the fruit will hang.
    const neck = r * (shape === 'necked' ? 0.62 : 0.4);
    const waist = n(bottom - height * 0.45);
    return `M${n(50 - neck)} ${n(bottom)} C${n(50 - neck)} ${waist} ${n(50 - r)} ${n(mid + height * 0.1)} ${n(50 - r)} ${n(top + height * 0.3)} C${n(50 - r)} ${n(top - 2)} ${n(50 + r)} ${n(top - 2)} ${n(50 + r)} ${n(top + height * 0.3)} C${n(50 + r)} ${n(mid + height * 0.1)} ${n(50 + neck)} ${waist} ${n(50 + neck)} ${n(bottom)} Q50 ${n(bottom + 5)} ${n(50 - neck)} ${n(bottom)}Z`;
  }
  const k = shape === 'long' ? 0.95 : 0.72;
  return `M50 ${n(bottom)} C${n(50 - r * 1.3 * k)} ${n(bottom)} ${n(50 - r)} ${n(mid + height * 0.3 * k)} ${n(50 - r)} ${n(mid)} C${n(50 - r)} ${n(mid - height * 0.3 * k)} ${n(50 - r * 1.3 * k)} ${n(top)} 50 ${n(top)} C${n(50 + r * 1.3 * k)} ${n(top)} ${n(50 + r)} ${n(mid - height * 0.3 * k)} ${n(50 + r)} ${n(mid)} C${n(50 + r)} ${n(mid + height * 0.3 * k)} ${n(50 + r * 1.3 * k)} ${n(bottom)} 50 ${n(bottom)}Z`;
}

function stripes(shape: FruitShape, bottom: number, height: number): Shape[] {
  const top = bottom - height;
  const spread = shape === 'long' ? 0.1 : shape === 'necked' || shape === 'bottle' ? 0.16 : 0.28;
  return [-1, 0, 1].map((side) => ({
    d: `M${n(50 + side * height * spread * 0.5)} ${n(top + height * 0.12)} Q${n(50 + side * height * spread * 1.5)} ${n((top + bottom) / 2)} ${n(50 + side * height * spread * 0.5)} ${n(bottom - height * 0.1)}`,
    fill: 'none' as const,
    line: 'stripe' as const,
    width: shape === 'ribbed' ? 2.6 : 1.6,
  }));
}

interface BudSize {
  readonly height: number;
  readonly half: number;
  readonly fill: Stuff;
}

const BUDS: Record<'pin' | 'green' | 'coloured', BudSize> = {
  pin: { height: 17, half: 5, fill: 'bud' },
  green: { height: 34, half: 9, fill: 'bud' },
  coloured: { height: 50, half: 15, fill: 'petal' },
};

/** The closed petals above `base`: slim and green, or plump with colour between the veins. */
function budShapes({ height, half, fill }: BudSize, base: number): Shape[] {
  const top = base - height;
  const shapes: Shape[] = [
    {
      d: `M${n(50 - half * 0.55)} ${base} C${n(50 - half * 1.5)} ${n(base - height * 0.45)} ${n(50 - half * 0.9)} ${n(top + height * 0.18)} 50 ${n(top)} C${n(50 + half * 0.9)} ${n(top + height * 0.18)} ${n(50 + half * 1.5)} ${n(base - height * 0.45)} ${n(50 + half * 0.55)} ${base}Z`,
      fill,
      line: 'ink',
      width: 1.6,
    },
  ];
  for (const side of [-0.5, 0, 0.5]) {
    shapes.push({
      d: `M${n(50 + side * half)} ${base} Q${n(50 + side * half * 2.1)} ${n(base - height * 0.5)} 50 ${n(top + 2)}`,
      fill: 'none',
      line: fill === 'petal' ? 'vein' : 'stripe',
      width: 1.3,
    });
  }
  for (const side of [-1, 1]) {
    shapes.push({
      d: `M${n(50 + side * half * 0.55)} ${base} Q${n(50 + side * (half + 7))} ${n(base - height * 0.2)} ${n(50 + side * (half + 4))} ${n(base - height * 0.42)}`,
      fill: 'none',
      line: 'sepal',
      width: 2,
    });
  }
  return shapes;
}

function openShapes(base: number): Shape[] {
  const rim = base - 46;
  return [
    {
      d: `M44 ${base} C40 ${base - 18} 30 ${base - 26} 8 ${rim + 4} L22 ${rim + 16} L34 ${rim - 8} L44 ${rim + 12} L50 ${rim - 14} L56 ${rim + 12} L66 ${rim - 8} L78 ${rim + 16} L92 ${rim + 4} C70 ${base - 26} 60 ${base - 18} 56 ${base}Z`,
      fill: 'petal',
      line: 'ink',
      width: 1.6,
    },
    {
      d: `M47 ${base - 2} Q42 ${base - 24} 34 ${rim - 2} M50 ${base - 2} V${rim - 6} M53 ${base - 2} Q58 ${base - 24} 66 ${rim - 2} M46 ${base - 6} Q36 ${base - 26} 16 ${rim + 8} M54 ${base - 6} Q64 ${base - 26} 84 ${rim + 8}`,
      fill: 'none',
      line: 'vein',
      width: 1.3,
    },
    {
      d: `M44 ${base} Q36 ${base - 6} 33 ${base - 16} M56 ${base} Q64 ${base - 6} 67 ${base - 16}`,
      fill: 'none',
      line: 'sepal',
      width: 2,
    },
  ];
}

function spentShapes(base: number): Shape[] {
  return [
    {
      d: `M43 ${base} C36 ${base - 14} 42 ${base - 26} 36 ${base - 36} C46 ${base - 32} 48 ${base - 42} 54 ${base - 38} C60 ${base - 34} 66 ${base - 30} 62 ${base - 22} C60 ${base - 14} 62 ${base - 8} 57 ${base}Z`,
      fill: 'withered',
      line: 'ink',
      width: 1.5,
    },
    {
      d: `M47 ${base - 2} Q44 ${base - 18} 48 ${base - 32} M53 ${base - 2} Q56 ${base - 18} 54 ${base - 30}`,
      fill: 'none',
      line: 'ink',
      width: 0.9,
      opacity: 0.6,
    },
  ];
}

function closureShapes(
  closure: Closure,
  state: 'whole' | 'torn' | 'holed',
  base: number,
  top: number,
): Shape[] {
  const shapes: Shape[] = [];
  const middle = (base + top) / 2;
  if (closure === 'tape') {
    // Half on the petals, half above, the end folded into a tab to pull.
    const lid = top - 16;
    shapes.push(
      state === 'torn'
        ? {
            d: `M33 ${middle} L67 ${middle} L68 ${lid + 10} L60 ${lid + 18} L56 ${lid + 4} L49 ${lid + 20} L43 ${lid + 5} L36 ${lid + 14} L32 ${lid + 8}Z`,
            fill: 'tape',
            line: 'ink',
            width: 1.8,
          }
        : { d: `M33 ${middle} L32 ${lid} L68 ${lid} L67 ${middle}Z`, fill: 'tape', line: 'ink', width: 1.8 },
      {
        d: `M68 ${lid + 6} L82 ${lid + 10} L80 ${lid + 24} L67.5 ${lid + 22}Z`,
        fill: 'tape',
        line: 'ink',
        width: 1.5,
      },
    );
    if (state === 'holed')
      shapes.push({
        d: `M44 ${middle - 14} a6 7 0 1 1 11 1 a6 5 0 0 1 -11 -1Z`,
        fill: 'hole',
        line: 'ink',
        width: 1.2,
      });
  } else if (closure === 'tie') {
    shapes.push({
      d: `M35 ${middle} Q50 ${middle + 6} 65 ${middle} M35 ${middle - 5} Q50 ${middle + 1} 65 ${middle - 5} M64 ${middle - 3} L76 ${middle - 12} M64 ${middle - 3} L77 ${middle + 4}`,
      fill: 'none',
      line: 'twine',
      width: 3,
    });
  } else {
    const lid = top - 10;
    shapes.push(
      {
        d: `M38 ${base + 3} C16 ${base - 16} 20 ${lid + 6} 34 ${lid} Q50 ${lid - 7} 66 ${lid} C80 ${lid + 6} 84 ${base - 16} 62 ${base + 3}Z`,
        fill: 'bag',
        line: 'ink',
        width: 1.6,
        opacity: closure === 'mesh-bag' ? 0.62 : 0.95,
      },
      {
        d: `M37 ${base + 3} H63 M60 ${base + 3} L72 ${base + 14} M60 ${base + 3} L76 ${base + 6}`,
        fill: 'none',
        line: 'twine',
        width: 2.4,
      },
    );
    if (closure === 'mesh-bag')
      shapes.push({
        d: `M24 ${lid + 16} L60 ${base} M34 ${lid + 4} L70 ${base - 12} M76 ${lid + 16} L40 ${base} M66 ${lid + 4} L30 ${base - 12}`,
        fill: 'none',
        line: 'ink',
        width: 0.7,
        opacity: 0.7,
      });
    if (state !== 'whole')
      shapes.push({
        d: `M44 ${middle - 10} a7 8 0 1 1 13 1 a7 6 0 0 1 -13 -1Z`,
        fill: 'hole',
        line: 'ink',
        width: 1.2,
      });
  }
  return shapes;
}

/** A fruit some days after it took, or the yellowed remains of one that failed. */
function fruitShapes(shape: FruitShape, took: boolean): Shape[] {
  const height = shape === 'round' || shape === 'ribbed' ? 74 : 92;
  if (took) {
    const bottom = 122;
    const top = bottom - height;
    return [
      { d: `M46 140 L47 ${bottom - 4} H53 L54 140Z`, fill: 'stalk', line: 'ink', width: 1.4 },
      { d: ovaryPath(shape, bottom, height), fill: 'fruit', line: 'ink', width: 2 },
      ...stripes(shape, bottom, height),
      {
        d: `M46 ${top + 2} C42 ${top - 6} 46 ${top - 10} 44 ${top - 14} C50 ${top - 11} 52 ${top - 16} 55 ${top - 11} C57 ${top - 8} 53 ${top - 4} 54 ${top + 2}Z`,
        fill: 'withered',
        line: 'ink',
        width: 1.2,
      },
    ];
  }
  const small = height * 0.52;
  return [
    { d: 'M48 140 L48.5 112 H51.5 L52 140Z', fill: 'withered', line: 'ink', width: 1.2 },
    { d: ovaryPath(shape, 114, small), fill: 'yellowed', line: 'ink', width: 1.6, dashed: true },
    {
      d: `M${n(50 - small * 0.16)} ${n(114 - small * 0.86)} Q50 ${n(114 - small * 0.66)} ${n(50 + small * 0.16)} ${n(114 - small * 0.86)} Q50 ${n(112 - small)} ${n(50 - small * 0.16)} ${n(114 - small * 0.86)}Z`,
      fill: 'tip',
      line: 'ink',
      width: 1.2,
    },
    { d: 'M36 50 L64 30 M36 30 L64 50', fill: 'none', line: 'tip', width: 5 },
  ];
}

/** The shapes of one flower from the side, in painting order. */
export function flowerShapes({
  sex,
  appearance,
  shape,
  closure,
  closureState = 'whole',
}: FlowerLook): Shape[] {
  if (appearance === 'set' || appearance === 'dropped') return fruitShapes(shape, appearance === 'set');
  const grown = appearance === 'pin' ? 0.55 : appearance === 'green' ? 0.78 : 1;
  const ovary = (shape === 'round' || shape === 'ribbed' ? 34 : 42) * grown;
  const bottom = sex === 'female' ? 126 : 140;
  // A male's thin stalk runs straight up to the petals; a female has her little fruit in between.
  const base = sex === 'female' ? n(bottom - ovary + 2) : n(118 - 26 * grown);
  const shapes: Shape[] =
    sex === 'female'
      ? [
          { d: `M46.5 140 L47 ${bottom - 3} H53 L53.5 140Z`, fill: 'stalk', line: 'ink', width: 1.3 },
          { d: ovaryPath(shape, bottom, ovary), fill: 'ovary', line: 'ink', width: 1.8 },
          ...stripes(shape, bottom, ovary),
        ]
      : [{ d: `M48 140 L47.6 ${base} H52.4 L52 140Z`, fill: 'stalk', line: 'ink', width: 1.2 }];
  let top: number;
  if (appearance === 'open') {
    shapes.push(...openShapes(base));
    top = base - 46;
  } else if (appearance === 'spent') {
    shapes.push(...spentShapes(base));
    top = base - 38;
  } else {
    const bud = BUDS[appearance];
    shapes.push(...budShapes(bud, base));
    top = base - bud.height;
  }
  if (closure) shapes.push(...closureShapes(closure, closureState, base, Math.max(24, top)));
  return shapes;
}
