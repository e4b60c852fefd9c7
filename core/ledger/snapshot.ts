import type { SubjectId } from '../ids';
import { VIEW_TABLES, type ViewTable, type ViewTables } from './subjects';
import type { Flower } from './flowerViews';
import type { AnyEvent, LedgerEvent } from './events';
import { applyAll, sharded, type State } from './state';

/** Bump when a view's shape or a `derive` rule changes: older snapshots are then thrown away and rebuilt. */
export const SNAPSHOT_VERSION = 16;

/** A state as plain data, ready for JSON. Old flowers keep their view and leave their events in the log. */
export interface Snapshot {
  readonly version: number;
  readonly count: number;
  readonly tables: Readonly<Record<ViewTable, readonly { readonly id: SubjectId }[]>>;
  /** Of every subject but the sealed: flowers that are not in it. */
  readonly log: readonly (readonly [SubjectId, readonly LedgerEvent[]])[];
  readonly unknown: readonly AnyEvent[];
}

/** Freezes a state. Flowers of which nothing was written since `sealBefore` (an instant) are sealed: seldom spoken of again. */
export function snapshot(state: State, sealBefore: string): Snapshot {
  const sealed = new Set(state.sealed);
  for (const id of state.flowers.keys()) {
    const events = state.log.get(id);
    const last = events?.[events.length - 1];
    if (last && last.at < sealBefore) sealed.add(id);
  }
  return {
    version: SNAPSHOT_VERSION,
    count: state.count,
    tables: {
      ...(Object.fromEntries(
        VIEW_TABLES.map((table) => [table, [...state[table].values()]]),
      ) as unknown as Snapshot['tables']),
      flowers: [...state.flowers.values()].map(lean),
    },
    log: [...state.log].filter(([subject]) => !sealed.has(subject)),
    unknown: [...state.unknown.values()],
  };
}

/** A state taken up again, or why it has to be folded anew. */
export type Resumed =
  | { readonly ok: true; readonly state: State }
  | { readonly ok: false; readonly reason: 'version' | 'broken' | 'sealed' };

/**
 * The state of a snapshot and the events since. Equals the full fold (property-tested), or says why it cannot:
 * another version, a damaged snapshot, or an event that speaks of a sealed subject. Then fold the whole log.
 */
export function resume(value: unknown, tail: readonly AnyEvent[]): Resumed {
  const frozen = value as Partial<Snapshot> | null;
  if (typeof frozen !== 'object' || frozen === null) return { ok: false, reason: 'broken' };
  if (frozen.version !== SNAPSHOT_VERSION) return { ok: false, reason: 'version' };
  try {
    return { ok: true, state: applyAll(thaw(frozen as Snapshot), tail) };
  } catch (error) {
    return { ok: false, reason: (error as { reason?: string }).reason === 'sealed' ? 'sealed' : 'broken' };
  }
}

/** A flower as it was: written out field by field, since all of them must have one shape to be quick to read. */
function whole(view: LeanFlower): Flower {
  return {
    id: view.id,
    plant: view.plant,
    sex: view.sex,
    node: view.node ?? null,
    sightings: view.sightings ?? [],
    shuttings: view.shuttings ?? [],
    checks: view.checks ?? [],
    reason: view.reason ?? null,
    missed: view.missed ?? null,
    left: view.left ?? null,
    thread: view.thread ?? null,
    emasculatedAt: view.emasculatedAt ?? null,
    pollinations: view.pollinations ?? [],
    mark: view.mark ?? null,
    marking: view.marking ?? null,
    markings: view.markings ?? [],
    markLost: view.markLost ?? null,
    coverOffAt: view.coverOffAt ?? null,
    pinchedAt: view.pinchedAt ?? null,
    looks: view.looks ?? [],
    propped: view.propped ?? null,
    lost: view.lost ?? null,
    harvested: view.harvested ?? null,
    notes: view.notes ?? [],
  };
}

type LeanFlower = Partial<Flower> & Pick<Flower, 'id' | 'plant' | 'sex'>;

/** Without what says nothing: more than half of the text of tens of thousands of flowers. */
function lean(flower: Flower): { readonly id: SubjectId } {
  const kept = Object.entries(flower).filter(
    ([, value]) => value !== null && !(Array.isArray(value) && value.length === 0),
  );
  return Object.fromEntries(kept) as { readonly id: SubjectId };
}

function thaw(frozen: Snapshot): State {
  const tables = Object.fromEntries(
    VIEW_TABLES.map((table) => [
      table,
      new Map(
        frozen.tables[table].map((view) => [
          view.id,
          table === 'flowers' ? whole(view as unknown as LeanFlower) : view,
        ]),
      ),
    ]),
  ) as unknown as ViewTables;
  const log = new Map(frozen.log);
  const flowersOf = new Map<string, string[]>();
  for (const flower of tables.flowers.values()) {
    const list = flowersOf.get(flower.plant);
    if (list) list.push(flower.id);
    else flowersOf.set(flower.plant, [flower.id]);
  }
  for (const list of flowersOf.values()) list.sort();
  return sharded({
    ...tables,
    flowersOf,
    log,
    sealed: new Set([...tables.flowers.keys()].filter((id) => !log.has(id))),
    unknown: new Map(frozen.unknown.map((event) => [event.id, event])),
    count: frozen.count,
  } as State);
}
