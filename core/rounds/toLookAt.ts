import { countsDue, type CountDue } from '../fruitset';
import type { State } from '../ledger';
import { closuresDue, loopsDue, roguesDue } from '../purity';
import type { LocalDate } from '../time';
import { looksDue, marksMissing } from './next';

/** All that is to be looked at on a day, each fruit once: what is owed a look has its mark and its loop seen to there. */
export interface ToLookAt {
  readonly owed: ReturnType<typeof looksDue>;
  readonly counts: readonly CountDue[];
  readonly shut: ReturnType<typeof closuresDue>;
  readonly unmarked: ReturnType<typeof marksMissing>;
  readonly loops: ReturnType<typeof loopsDue>;
  /** Stands to be looked over for off-types. */
  readonly rogues: ReturnType<typeof roguesDue>;
  /** Counts that may be made before their verdict; not in `total`. */
  readonly early: readonly CountDue[];
  readonly total: number;
}

/**
 * What Today announces and Looks goes through: one list for both.
 * @example toLookAt(state, zone, '2026-07-07').total // 1
 */
export function toLookAt(state: State, zone: string, today: LocalDate): ToLookAt {
  const owed = looksDue(state, zone, today);
  const there = new Set(owed.map(({ flower }) => flower.id));
  const notThere = ({ flower }: { readonly flower: { readonly id: string } }) => !there.has(flower.id);
  const all = countsDue(state, zone, today);
  const counts = all.filter(({ early }) => !early);
  const shut = closuresDue(state, zone, today);
  const unmarked = marksMissing(state).filter(notThere);
  const loops = loopsDue(state, zone, today).filter(notThere);
  const rogues = roguesDue(state, zone, today);
  return {
    owed,
    counts,
    shut,
    unmarked,
    loops,
    rogues,
    early: all.filter(({ early }) => early),
    total: owed.length + counts.length + shut.length + unmarked.length + loops.length + rogues.length,
  };
}
