import { clusteredShare } from '../fruitset';
import { byCluster } from './grouping';
import type { Case } from './cases';

/** How many of one person's worked flowers were knocked off, with the plant as the unit of the interval. */
export interface KnockedShare {
  readonly by: string;
  readonly knocked: number;
  /** Flowers of which it is known what became of them. */
  readonly worked: number;
  readonly share: number;
  readonly low: number;
  readonly high: number;
}

/**
 * Knocked-off flowers by who worked them, in the order of names and not of shares: who works the crowded bed knocks off more. Flowers
 * that nobody looked at, counts, and what was worked without a name are left out.
 */
export function knockedOff(cases: readonly Case[]): readonly KnockedShare[] {
  const people = new Map<string, Case[]>();
  for (const each of cases) {
    const { kind, by, facts } = each.trial;
    if (kind !== 'flower' || !by || !facts || (facts.looked === 0 && !facts.failed && !facts.picked))
      continue;
    const list = people.get(by);
    if (list) list.push(each);
    else people.set(by, [each]);
  }
  return [...people]
    .sort(([a], [b]) => a.localeCompare(b))
    .flatMap(([by, own]): KnockedShare[] => {
      const counted = own.map((each) => ({
        ...each,
        judged: 1,
        set: each.trial.cause === 'knocked-off' ? 1 : 0,
      }));
      const { set: knocked, judged: worked, share, low, high } = clusteredShare(byCluster(counted), 0.95);
      return share === null ? [] : [{ by, knocked, worked, share, low, high }];
    });
}
