import { crossing, kindOf, type CrossingKind } from '../crops';
import type { NeighbourId, StandId } from '../ids';
import type { State } from '../ledger';
import { standings } from '../patch';
import type { AboutTables } from './about';
import { bloomOf, bothOpen, type Bloom } from './bloom';

/** A stand or a planting next door on the calendar of what flowers together. */
export interface BloomRow {
  readonly id: StandId | NeighbourId;
  readonly own: boolean;
  readonly kind: CrossingKind;
  /** `null`: next door, and not known. */
  readonly variety: string | null;
  /** `null`: nobody knows. */
  readonly bloom: Bloom | null;
  /** The latest day on which it may begin. */
  readonly fromLatest: string | null;
  /** How the days are known. */
  readonly how: 'seen' | 'told' | 'guessed' | 'reckoned' | null;
  readonly openEnded: boolean;
  /** Days on which another one that it could cross with flowers too, from the first to the last. */
  readonly both: Bloom | null;
}

/** Stands and plantings of which each could cross with some other one; named by its first row. */
export interface BloomGroup {
  readonly id: BloomRow['id'];
  readonly rows: readonly BloomRow[];
}

type Plain = Omit<BloomRow, 'both'>;

/**
 * When everything flowers that could cross with something of one's own, in groups: two are in one group where they could cross, or are
 * joined by others that could. What has nobody to cross with is left out. Which groups there are does not depend on the order of planting.
 */
export function bloomGroups(state: AboutTables): readonly BloomGroup[] {
  const left = new Set([...ownRows(state), ...nextDoorRows(state)]);
  const groups: BloomGroup[] = [];
  for (const first of left) {
    if (!first.own) break;
    const rows = [first];
    left.delete(first);
    // Grows while it is gone through: what was found may bring others.
    for (const row of rows)
      for (const other of left)
        if (couldMeet(row, other)) {
          rows.push(other);
          left.delete(other);
        }
    if (rows.length > 1)
      groups.push({ id: first.id, rows: rows.map((row) => ({ ...row, both: bothIn(row, rows) })) });
  }
  return groups;
}

/** Whether two could cross, of which one is one's own: what crosses next door is nobody's trouble here. */
const couldMeet = (a: Plain, b: Plain): boolean =>
  (a.own || b.own) && crossing(a.kind, b.kind).verdict !== 'never';

function ownRows(state: AboutTables): Plain[] {
  return standings(state).map((found) => {
    const bloom = bloomOf(state, found);
    return {
      id: found.stand.id,
      own: true,
      kind: kindOf(found.variety),
      variety: found.variety.name,
      bloom,
      fromLatest: bloom?.fromLatest ?? null,
      how: bloom ? (bloom.seen ? 'seen' : 'reckoned') : null,
      openEnded: bloom?.openEnded ?? false,
    };
  });
}

function nextDoorRows({ neighbours }: Pick<State, 'neighbours'>): Plain[] {
  return [...neighbours.values()]
    .filter(({ goneAt }) => goneAt === null)
    .map(({ id, crop, species, corn, variety, bloomFrom, bloomTo, knownBy }) => {
      const known = bloomFrom !== null && bloomTo !== null;
      return {
        id,
        own: false,
        kind: { crop, species, corn },
        variety,
        bloom: known ? { from: bloomFrom, to: bloomTo } : null,
        fromLatest: bloomFrom,
        how: known ? knownBy : null,
        openEnded: false,
      };
    });
}

/** From the first day on which something else that it could cross with flowers too to the last; a variety is no danger to itself. */
function bothIn(row: Plain, rows: readonly Plain[]): Bloom | null {
  const days = rows.flatMap((other) =>
    other === row || !couldMeet(row, other) || (other.own && row.own && other.variety === row.variety)
      ? []
      : (bothOpen(row.bloom, other.bloom) ?? []),
  );
  return days.reduce<Bloom | null>(
    (all, { from, to }) =>
      all ? { from: from < all.from ? from : all.from, to: to > all.to ? to : all.to } : { from, to },
    null,
  );
}
