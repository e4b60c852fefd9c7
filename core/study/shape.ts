import { weekStart } from '../time';
import type { Case } from './cases';

/** Fruits that set, how many of them somebody looked at for shape, and how many of those were bent or one-sided. */
export interface ShapeCount {
  readonly id: string;
  readonly looked: number;
  readonly bent: number;
}

/** A set fruit is well shaped, or not; where nobody said, it is neither. By week of the work, by males, by lobes of the stigma. */
export interface Shape {
  readonly all: ShapeCount;
  readonly byWeek: readonly ShapeCount[];
  readonly byMales: readonly ShapeCount[];
  readonly byLobes: readonly ShapeCount[];
}

/**
 * How the fruits that set were shaped. A week is called by its first day, a Monday.
 * @example shapeOf([]).all.looked // 0
 */
export function shapeOf(cases: readonly Case[]): Shape {
  const set = cases.filter(({ trial, set: took }) => trial.bent !== null && took > 0);
  const by = (name: (each: Case) => string | null): ShapeCount[] => {
    const counts = new Map<string, { id: string; looked: number; bent: number }>();
    for (const each of set) {
      const id = name(each);
      if (id === null) continue;
      const count = counts.get(id) ?? { id, looked: 0, bent: 0 };
      counts.set(id, count);
      count.looked += each.set;
      count.bent += each.trial.bent ?? 0;
    }
    return [...counts.values()].sort((a, b) => a.id.localeCompare(b.id, 'en', { numeric: true }));
  };
  return {
    all: by(() => 'all')[0] ?? { id: 'all', looked: 0, bent: 0 },
    byWeek: by(({ trial }) => weekStart(trial.on)),
    byMales: by(({ males }) => (males === null ? null : String(males))),
    byLobes: by(({ lobes }) => (lobes === null ? null : String(lobes))),
  };
}
