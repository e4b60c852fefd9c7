import { lotShare, type Grade } from '../purity';
import { GROWERS, GROWN, type Grown } from './proofPeople';
import { worldFruits, type WorldFruit } from './proofWorld';

/** How the grader stands over many lots of fruits alike in crop and grade. */
export interface GradeReport {
  readonly grown: Grown;
  readonly grade: Grade;
  readonly fruits: number;
  readonly lots: number;
  /** Share of lots whose true foreign share lies above the range. */
  readonly above: number;
  /** Means over the fruits. */
  readonly likely: number;
  readonly truth: number;
}

const LOT = 4;
/** A range that ends below this is told as "under 0.5 %". */
const SAID_BELOW = 0.005;

/** Many gardens of each kind of person and crop; their fruits put together in lots of one garden and one grade. */
export function proofReport(gardens: number, seed = 33): GradeReport[] {
  const by = new Map<string, { fruits: WorldFruit[]; lots: number; above: number }>();
  for (const grown of GROWN)
    for (const [k, grower] of GROWERS.entries())
      for (let i = 0; i < gardens; i++) {
        const fruits = worldFruits(seed * 100_003 + i * 7 + k, grown, grower);
        const grades = [...new Set(fruits.map(({ grade }) => grade))];
        for (const grade of grades) {
          const alike = fruits.filter((fruit) => fruit.grade === grade);
          const key = `${grown} ${grade}`;
          const found = by.get(key) ?? { fruits: [], lots: 0, above: 0 };
          by.set(key, found);
          found.fruits.push(...alike);
          for (let first = 0; first < alike.length; first += LOT) {
            const lot = alike.slice(first, first + LOT);
            const { high } = lotShare(lot.map(({ chain }) => ({ chain, seeds: 1 })));
            found.lots++;
            if (mean(lot.map(({ truth }) => truth)) > Math.max(high, SAID_BELOW)) found.above++;
          }
        }
      }
  return [...by].map(([key, { fruits, lots, above }]) => {
    const [grown, grade] = key.split(' ') as [Grown, Grade];
    return {
      grown,
      grade,
      fruits: fruits.length,
      lots,
      above: above / lots,
      likely: mean(fruits.map(({ likely }) => likely)),
      truth: mean(fruits.map(({ truth }) => truth)),
    };
  });
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
