import type { Stage } from '@core/crops';
import { filled, lined, n, petal, type Shape } from './shapes';

/** A value between those given for the whole ages. */
export const between = (values: readonly number[], at: number): number => {
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

export interface BudSize {
  readonly height: number;
  readonly half: number;
  readonly age: number;
}

/** A shut bud on its base. */
export function budShapes({ height, half, age }: BudSize, base: number): Shape[] {
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

/** Petals that have collapsed. */
export function spentShapes(base: number): Shape[] {
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
