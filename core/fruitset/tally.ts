import type { Crop } from '../crops';
import type { Flower, LossCause } from '../ledger';
import { fateOf } from './fate';
import { proportionInterval, type Interval } from './interval';

/**
 * What a group of flowers came to. A trial is a worked female with a verdict; those still waiting are counted
 * apart and are neither success nor failure. `set` counts every pollination that took, also fruit lost later
 * (`lostLater` of them). Kitchen and seed pollinations both count.
 */
export interface Tally {
  readonly worked: number;
  readonly set: number;
  readonly lostLater: number;
  readonly dropped: number;
  readonly waiting: number;
  readonly causes: ReadonlyMap<LossCause, number>;
  /** `set` of `set + dropped`, or `null` without any verdict. */
  readonly share: number | null;
  /** 95 % Wilson interval of the share; `null` without any verdict. */
  readonly interval: Interval | null;
}

/** Counts the worked females among `flowers`; each flower comes with its crop. */
export function tally(flowers: Iterable<readonly [Flower, Crop]>, zone: string): Tally {
  let worked = 0;
  let set = 0;
  let lostLater = 0;
  let dropped = 0;
  const causes = new Map<LossCause, number>();
  for (const [flower, crop] of flowers) {
    const fate = fateOf(flower, crop, zone);
    if (fate === null) continue;
    worked++;
    if (fate === 'set' || fate === 'lost-later') set++;
    if (fate === 'lost-later') lostLater++;
    if (fate === 'dropped') dropped++;
    if (fate === 'dropped' || fate === 'lost-later') {
      const cause = flower.lost?.cause ?? 'unknown';
      causes.set(cause, (causes.get(cause) ?? 0) + 1);
    }
  }
  const trials = set + dropped;
  return {
    worked,
    set,
    lostLater,
    dropped,
    waiting: worked - trials,
    causes,
    share: trials === 0 ? null : set / trials,
    interval: trials === 0 ? null : proportionInterval(set, trials, { method: 'wilson', confidence: 0.95 }),
  };
}
