import type { FlowerId, PlantId, SubjectId } from '../ids';
import { LatePart, type PartHead } from './latePart';
import { revived, wholeFlower, type LeanFlower } from './lean';
import { Shards } from './shards';
import { VIEW_TABLES, type ViewTable, type ViewTables } from './subjects';
import type { Flower } from './flowerViews';
import type { AnyEvent, LedgerEvent } from './events';
import { applyAll, sharded, type State } from './state';

/** Bump when a view's shape, a `derive` rule or what a part says changes: older snapshots are then thrown away and rebuilt. */
export const SNAPSHOT_VERSION = 21;

/** A state as plain data (see `freezing`). Old flowers keep their view and leave their events in the log. */
interface Snapshot {
  readonly version: number;
  readonly count: number;
  /** How many subjects have their view here or in a late part, and their events in the log alone. */
  readonly sealed: number;
  readonly tables: Readonly<Record<ViewTable, readonly { readonly id: SubjectId }[]>>;
  readonly flowersOf: readonly (readonly [PlantId, readonly FlowerId[]])[];
  /** Of every subject but the sealed. */
  readonly log: readonly (readonly [SubjectId, readonly LedgerEvent[]])[];
  readonly unknown: readonly AnyEvent[];
  readonly late: { readonly flowers: readonly PartHead[]; readonly flowersOf: readonly PartHead[] };
}

/** A state taken up again, or why it has to be folded anew. */
export type Resumed =
  | { readonly ok: true; readonly state: State; readonly late: readonly LatePart<unknown>[] }
  | { readonly ok: false; readonly reason: 'version' | 'broken' | 'sealed' };

/**
 * The state of a snapshot and the events since. Equals the full fold (property-tested), or says why it cannot: another version, a damaged
 * snapshot, or an event that speaks of a sealed subject. Then fold the whole log. Its late parts are still to be brought, unless `textOf`
 * has them; until then whoever reads them is told `not-here`.
 */
export function resume(
  value: unknown,
  tail: readonly AnyEvent[],
  textOf: (key: string) => string | undefined = () => undefined,
): Resumed {
  const frozen = value as Partial<Snapshot> | null;
  if (typeof frozen !== 'object' || frozen === null) return { ok: false, reason: 'broken' };
  if (frozen.version !== SNAPSHOT_VERSION) return { ok: false, reason: 'version' };
  try {
    const { state, late } = thaw(frozen as Snapshot);
    for (const part of late) {
      const text = textOf(part.head.key);
      if (text !== undefined && !part.bring(text)) return { ok: false, reason: 'broken' };
    }
    return { ok: true, state: applyAll(state, tail), late };
  } catch (error) {
    const { reason } = error as { readonly reason?: string };
    return { ok: false, reason: reason === 'sealed' || reason === 'not-here' ? 'sealed' : 'broken' };
  }
}

function thaw(frozen: Snapshot): { readonly state: State; readonly late: readonly LatePart<unknown>[] } {
  const tables = Object.fromEntries(
    VIEW_TABLES.map((table) => [
      table,
      new Map(frozen.tables[table].map((view) => [view.id, revived(table, view)])),
    ]),
  ) as unknown as ViewTables;
  const flowers = frozen.late.flowers.map(
    (head) => new LatePart<Flower>(head, (view) => wholeFlower(view as LeanFlower)),
  );
  const flowersOf = frozen.late.flowersOf.map(
    (head) => new LatePart<readonly FlowerId[]>(head, (ids) => ids as readonly FlowerId[]),
  );
  const lists = new Map(frozen.flowersOf);
  // Asked for on every screen: that such a plant has no flower must not have to be looked up in bygone years.
  const bare = [...tables.plants.values()].filter(({ id, ended }) => !ended && !lists.has(id));
  const state = sharded({
    ...tables,
    flowers: Shards.after(flowers, tables.flowers),
    flowersOf: Shards.after(
      flowersOf,
      lists,
      bare.map(({ id }) => id),
    ),
    log: new Map(frozen.log),
    sealed: frozen.sealed,
    unknown: new Map(frozen.unknown.map((event) => [event.id, event])),
    count: frozen.count,
  } as State);
  return { state, late: [...flowers, ...flowersOf] };
}
