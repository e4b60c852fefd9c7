import type { LossCause } from '../ledger';
import type { LocalDate } from '../time';
import { clusteredShare } from './clustered';
import type { Interval } from './interval';
import type { Counted } from './shrinkage';
import { outcomeOn, type Outcome, type Trial } from './trials';

/**
 * What a group of trials came to, in flowers. Only those with a verdict count towards the share; what waits for one, what nobody
 * looked at and what was missed are counted apart and are neither success nor failure. `set` counts every pollination that took,
 * also fruit lost later (`lostLater` of them). Kitchen and seed pollinations both count; what set before there was hand work does not.
 */
export interface SetCount {
  readonly worked: number;
  readonly set: number;
  readonly lostLater: number;
  readonly dropped: number;
  readonly waiting: number;
  readonly notLookedAt: number;
  /** Shut and never worked; not among `worked`. */
  readonly missed: number;
  readonly causes: ReadonlyMap<LossCause, number>;
  /** `set` of `set + dropped`, or `null` without any verdict. */
  readonly share: number | null;
  /** Plants or trays with a verdict: one alone tells of itself. */
  readonly plants: number;
  /** 95 % interval of the share, with the plant as the unit (`clusteredShare`); `null` without any verdict. */
  readonly interval: Interval | null;
}

/**
 * Sums trials as they stand on a garden day.
 * @example countSet(trials, '2026-07-13').share // 1
 */
export function countSet(
  trials: Iterable<Trial>,
  today: LocalDate,
  { before = false }: { readonly before?: boolean } = {},
): SetCount {
  const sum = { worked: 0, set: 0, lostLater: 0, dropped: 0, waiting: 0, notLookedAt: 0, missed: 0 };
  const causes = new Map<LossCause, number>();
  const plants = new Map<string, Counted>();
  for (const trial of trials) {
    if (trial.how === 'before' && !before) continue;
    const outcome = outcomeOn(trial, today);
    if (outcome === null) continue;
    const { worked } = trial;
    if (outcome === 'missed') {
      sum.missed += worked;
      continue;
    }
    sum.worked += worked;
    const judged = judgedOf(trial, outcome);
    if (judged === null) {
      if (outcome === 'waiting') sum.waiting += worked;
      else sum.notLookedAt += worked;
    } else {
      sum.set += judged.k;
      sum.dropped += judged.n - judged.k;
      const id = trial.plant ?? trial.id;
      const before = plants.get(id);
      plants.set(id, { id, k: (before?.k ?? 0) + judged.k, n: (before?.n ?? 0) + judged.n });
    }
    if (outcome === 'lost-later') sum.lostLater += worked;
    if (outcome === 'dropped' || outcome === 'lost-later') {
      const cause = trial.cause ?? 'unknown';
      causes.set(cause, (causes.get(cause) ?? 0) + worked);
    }
  }
  const { share, low, high } = clusteredShare([...plants.values()], 0.95);
  return { ...sum, causes, plants: plants.size, share, interval: share === null ? null : { low, high } };
}

/**
 * Of a trial with a verdict so many flowers set (`k` of `n`); `null` without one.
 * @example judgedOf({ set: null, worked: 1 }, 'dropped') // { k: 0, n: 1 }
 */
export function judgedOf(
  { set, worked }: Pick<Trial, 'set' | 'worked'>,
  outcome: Outcome,
): { readonly k: number; readonly n: number } | null {
  if (set !== null) return { k: set, n: worked };
  if (outcome === 'waiting' || outcome === 'not-looked-at' || outcome === 'missed') return null;
  return { k: outcome === 'dropped' ? 0 : worked, n: worked };
}
