import type { LossCause } from '../ledger';
import type { LocalDate } from '../time';
import { proportionInterval, type Interval } from './interval';
import { outcomeOn, type Trial } from './trials';

/**
 * What a group of trials came to, in flowers. Only those with a verdict count towards the share; what waits for one, what nobody
 * looked at and what was missed are counted apart and are neither success nor failure. `set` counts every pollination that took,
 * also fruit lost later (`lostLater` of them). Kitchen and seed pollinations both count.
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
  /** 95 % Wilson interval of the share; `null` without any verdict. */
  readonly interval: Interval | null;
}

/**
 * Sums trials as they stand on a garden day.
 * @example countSet(trials, '2026-07-13').share // 1
 */
export function countSet(trials: Iterable<Trial>, today: LocalDate): SetCount {
  const sum = { worked: 0, set: 0, lostLater: 0, dropped: 0, waiting: 0, notLookedAt: 0, missed: 0 };
  const causes = new Map<LossCause, number>();
  for (const trial of trials) {
    const outcome = outcomeOn(trial, today);
    if (outcome === null) continue;
    const { worked } = trial;
    if (outcome === 'missed') {
      sum.missed += worked;
      continue;
    }
    sum.worked += worked;
    if (trial.set !== null) {
      sum.set += trial.set;
      sum.dropped += worked - trial.set;
    } else if (outcome === 'waiting') sum.waiting += worked;
    else if (outcome === 'not-looked-at') sum.notLookedAt += worked;
    else if (outcome === 'dropped') sum.dropped += worked;
    else sum.set += worked;
    if (outcome === 'lost-later') sum.lostLater += worked;
    if (outcome === 'dropped' || outcome === 'lost-later') {
      const cause = trial.cause ?? 'unknown';
      causes.set(cause, (causes.get(cause) ?? 0) + worked);
    }
  }
  const judged = sum.set + sum.dropped;
  return {
    ...sum,
    causes,
    share: judged === 0 ? null : sum.set / judged,
    interval:
      judged === 0 ? null : proportionInterval(sum.set, judged, { method: 'wilson', confidence: 0.95 }),
  };
}
