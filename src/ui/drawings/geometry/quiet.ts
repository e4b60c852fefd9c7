import type { CropId } from '@core/crops';
import { ellipse, filled, lined, petal, type Shape } from './shapes';

/** A sprig of a crop that is never worked by hand: in flower, or with its pods or down. */
export function quietPlant(crop: CropId, seeded: boolean): Shape[] {
  const stem = lined('M50 140 C48 110 52 80 50 40', 'stalk', 4);
  const leaves = [
    filled(petal(50, 118, -62, 44, 26, 0.4), 'leaf', 1.4),
    filled(petal(50, 104, 62, 40, 24, 0.4), 'leaf', 1.4),
  ];
  if (crop === 'lettuce')
    return [
      stem,
      ...leaves,
      ...[-34, 0, 34].map((angle) =>
        filled(petal(50, 62, angle, seeded ? 34 : 28, seeded ? 18 : 12, 0.9), seeded ? 'pale' : 'petal', 1.3),
      ),
      filled(ellipse(50, 62, 7, 8), 'sepal', 1.3),
    ];
  return [
    stem,
    ...leaves,
    ...(seeded
      ? [filled('M52 56 C70 60 84 84 80 106 C70 100 58 80 52 56Z', 'fruit', 1.5)]
      : [
          filled(petal(50, 58, -24, 26, 20, 0.8), 'petal', 1.4),
          filled(petal(50, 58, 26, 26, 20, 0.8), 'petal', 1.4),
        ]),
    filled(ellipse(50, 57, 5, 4), 'sepal', 1.2),
  ];
}
