import { clusteredShare, shrunkenRates, type ClusteredShare, type Counted } from '../fruitset';
import type { Case } from './cases';
import { byHand } from './choice';

/** By what flowers are put into groups. hands: by hand, left to insects, before hand work. */
export const GROUPINGS = ['variety', 'plant', 'how', 'father', 'hour', 'hands'] as const;
export type Grouping = (typeof GROUPINGS)[number];

/** One group of flowers and its share that set. */
export interface GroupShare extends ClusteredShare {
  /** Of a variety, plant, tool or father; the hour after sunrise (-1: before it); `hand`, `insects`, `before`. */
  readonly id: string;
  readonly worked: number;
  readonly waiting: number;
  /** It rests on one plant or tray: a range of it would speak of that plant, not of the group. */
  readonly oneOnly: boolean;
  /** The share drawn towards that of all groups, the more the fewer flowers it has; `null` for a group that stands alone. */
  readonly shrunken: number | null;
}

/** The groups that a case is in: one father or several, none where nobody said. */
export function groupsOf({ trial, minutes }: Case, grouping: Grouping): readonly string[] {
  switch (grouping) {
    case 'variety':
      return [trial.variety];
    case 'plant':
      return trial.plant === null ? [] : [trial.plant];
    case 'how':
      return trial.how === null ? [] : [trial.how];
    case 'father':
      return trial.fathers.map(({ plant }) => plant);
    case 'hour':
      return minutes === null ? [] : [String(Math.max(-1, Math.floor(minutes / 60)))];
    case 'hands':
      return [byHand(trial.how) ? 'hand' : (trial.how as string)];
  }
}

/**
 * Cases by group; missed mornings are in none, as nothing was tried. What set before any hand work stands against hands alone: by plant, tool
 * or hour it would be taken for theirs.
 */
export function grouped(cases: readonly Case[], grouping: Grouping): Map<string, Case[]> {
  const groups = new Map<string, Case[]>();
  for (const each of cases) {
    if (each.outcome === 'missed' || (grouping !== 'hands' && each.trial.how === 'before')) continue;
    for (const id of groupsOf(each, grouping)) {
      const group = groups.get(id);
      if (group) group.push(each);
      else groups.set(id, [each]);
    }
  }
  return groups;
}

/**
 * Flowers with a verdict by plant: what every share with the plant as its unit is reckoned from.
 * @example byCluster([{ cluster: 'a', judged: 1, set: 1 }, { cluster: 'a', judged: 1, set: 0 }]) // [{ id: 'a', k: 1, n: 2 }]
 */
export function byCluster(cases: readonly Pick<Case, 'cluster' | 'judged' | 'set'>[]): Counted[] {
  const plants = new Map<string, { id: string; k: number; n: number }>();
  for (const { cluster, judged, set } of cases) {
    if (judged === 0) continue;
    const plant = plants.get(cluster);
    if (plant) {
      plant.n += judged;
      plant.k += set;
    } else plants.set(cluster, { id: cluster, k: set, n: judged });
  }
  return [...plants.values()];
}

/** Each group's share, the largest first; hours in their order. */
export function sharesBy(cases: readonly Case[], grouping: Grouping): GroupShare[] {
  const shares = [...grouped(cases, grouping)].map(([id, group]) => {
    const share = clusteredShare(byCluster(group), 0.95);
    return {
      id,
      ...share,
      oneOnly: grouping !== 'plant' && share.plants === 1,
      worked: group.reduce((sum, { trial }) => sum + trial.worked, 0),
      waiting: group.reduce((sum, { judged, trial }) => sum + (judged === 0 ? trial.worked : 0), 0),
    };
  });
  const judged = shares.filter((share) => share.judged > 0);
  const drawn =
    judged.length < 2
      ? null
      : shrunkenRates(
          judged.map(({ id, set: k, judged: n }) => ({ id, k, n })),
          { method: 'moments' },
        );
  const rateOf = new Map(drawn?.rates.map(({ id, rate }) => [id, rate]));
  return shares
    .map((share) => ({ ...share, shrunken: rateOf.get(share.id) ?? null }))
    .sort((a, b) => (grouping === 'hour' ? Number(a.id) - Number(b.id) : b.worked - a.worked));
}
