import { crossing, type CrossingKind } from '@core/crops';
import { bloomOf, bothOpen, kindOf, type Bloom } from '@core/isolation';
import type { State } from '@core/ledger';
import { standings } from '@core/patch';
import { plantingName } from './words';

/** One bar of the calendar. */
export interface BloomRow {
  readonly id: string;
  readonly name: string;
  readonly kind: CrossingKind;
  readonly own: boolean;
  /** `null`: nobody knows. */
  readonly bloom: Bloom | null;
  /** The latest day on which it may begin; the bar is drawn lighter until then. */
  readonly fromLatest: string | null;
  /** How the days are known. */
  readonly how: 'seen' | 'told' | 'guessed' | 'reckoned' | null;
  readonly openEnded: boolean;
  /** Days on which another one of the group flowers too, from the first to the last. */
  readonly both: Bloom | null;
}

/** Stands and plantings that could cross with each other. */
export interface BloomGroup {
  readonly id: string;
  readonly rows: readonly BloomRow[];
}

/** When everything flowers that could cross with something of one's own, by crossing group; what has nobody to cross with is left out. */
export function bloomGroups(state: State): readonly BloomGroup[] {
  const own = standings(state).map((found): BloomRow => {
    const bloom = bloomOf(state, found);
    return {
      id: found.stand.id,
      name: found.variety.name,
      kind: kindOf(found),
      own: true,
      bloom,
      fromLatest: bloom?.fromLatest ?? null,
      how: bloom ? (bloom.seen ? 'seen' : 'reckoned') : null,
      openEnded: bloom?.openEnded ?? false,
      both: null,
    };
  });
  const nextDoor = [...state.neighbours.values()]
    .filter(({ goneAt }) => goneAt === null)
    .map(({ id, crop, species, variety, bloomFrom, bloomTo, knownBy }): BloomRow => ({
      id,
      name: `${plantingName(crop, variety)} next door`,
      kind: { crop, species },
      own: false,
      bloom: bloomFrom !== null && bloomTo !== null ? { from: bloomFrom, to: bloomTo } : null,
      fromLatest: bloomFrom,
      how: bloomFrom !== null && bloomTo !== null ? knownBy : null,
      openEnded: false,
      both: null,
    }));
  const left = new Set([...own, ...nextDoor]);
  const groups: BloomGroup[] = [];
  for (const row of own) {
    if (!left.has(row)) continue;
    const rows = [...left].filter(
      (other) => other === row || crossing(row.kind, other.kind).verdict !== 'never',
    );
    for (const each of rows) left.delete(each);
    if (rows.length > 1)
      groups.push({ id: row.id, rows: rows.map((each) => ({ ...each, both: bothIn(each, rows) })) });
  }
  return groups;
}

/** From the first day on which something else of the group flowers too to the last; a variety is no danger to itself. */
function bothIn(row: BloomRow, rows: readonly BloomRow[]): Bloom | null {
  const days = rows.flatMap((other) =>
    other === row || (other.own && row.own && other.name === row.name)
      ? []
      : (bothOpen(row.bloom, other.bloom) ?? []),
  );
  return days.reduce<Bloom | null>(
    (all, { from, to }) =>
      all ? { from: from < all.from ? from : all.from, to: to > all.to ? to : all.to } : { from, to },
    null,
  );
}
