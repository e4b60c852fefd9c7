import { TrowelError } from '../errors';
import { subjectKindOf, type FlowerId, type PlantId, type SubjectId } from '../ids';
import { compareEvents, subjectOf, type AnyEvent, type LedgerEvent } from './events';
import { inForce } from './inForce';
import { chosenOf } from './merge';
import { Shards } from './shards';
import { SUBJECTS, VIEW_TABLES, type ViewTables } from './subjects';
import type { Flower } from './flowerViews';

/**
 * What the events add up to. Events are grouped by the subject they speak of and each subject's view comes
 * from its own events alone, so the order in which they arrive cannot matter, and one new event costs one view.
 */
export interface State extends ViewTables {
  /** Events by subject, each list in canonical order. A sealed subject has its view but not its events here. */
  readonly log: ReadonlyMap<SubjectId, readonly LedgerEvent[]>;
  /** How many subjects are sealed. */
  readonly sealed: number;
  /** Events of kinds that this version doesn't know, by id. */
  readonly unknown: ReadonlyMap<string, AnyEvent>;
  readonly flowersOf: ReadonlyMap<PlantId, readonly FlowerId[]>;
  readonly count: number;
}

/** The state of a log without events. */
export function emptyState(): State {
  return {
    log: new Map(),
    sealed: 0,
    unknown: new Map(),
    ...(Object.fromEntries(VIEW_TABLES.map((table) => [table, new Map()])) as unknown as ViewTables),
    flowersOf: new Map(),
    count: 0,
  };
}

type MapKey = Exclude<keyof State, 'sealed' | 'count'>;
/** A state under construction: plain maps while a log is folded, shards where one state follows another. */
type Maps = {
  -readonly [K in keyof State]: State[K] extends ReadonlyMap<infer A, infer B> ? Table<A, B> : State[K];
};
type Table<K, V> = Map<K, V> | Shards<K, V>;
const TABLES: readonly MapKey[] = ['log', 'unknown', 'flowersOf', ...VIEW_TABLES];

/**
 * The state with one more event; the old state is untouched. A known id changes nothing (or, when its contents
 * differ, the same one of the two wins in whatever order they come). Trusts that one id never speaks of two
 * subjects: looking through all of them would cost every tap, and an import refuses such a file. The event must
 * have passed `validateEvent`. Throws `sealed` when it speaks of a subject whose events a snapshot left out: fold again.
 */
export function apply(state: State, event: AnyEvent): State {
  return applyAll(state, [event]);
}

/** `apply` for the events of one tap (or another phone's few): the tables they touch are copied once, not once each. */
export function applyAll(state: State, events: readonly AnyEvent[]): State {
  const next = { ...state } as Maps;
  const fresh = new Set<keyof Maps>();
  let changed = false;
  for (const event of events) {
    const subject = subjectOf(event);
    if (subject !== null && isSealed(state, subject)) {
      throw new TrowelError(
        'sealed',
        `The earlier events of ${subject} are not loaded; fold the whole log again.`,
      );
    }
    changed =
      (subject === null
        ? addUnknown(next, fresh, event)
        : addKnown(next, fresh, subject, event as LedgerEvent)) || changed;
  }
  return changed ? next : state;
}

/**
 * Whether a subject's view stands here without the events that it comes from.
 * @example isSealed(state, mother.plant.id) // false
 */
export function isSealed(state: State, subject: SubjectId): boolean {
  if (state.sealed === 0 || state.log.has(subject)) return false;
  const kind = subjectKindOf(subject);
  return kind !== null && state[SUBJECTS[kind].table].has(subject);
}

function addKnown(next: Maps, fresh: Set<keyof Maps>, subject: SubjectId, event: LedgerEvent): boolean {
  const before = next.log.get(subject) ?? [];
  const after = inserted(before, event);
  if (after === before) return false;
  own(next, fresh, 'log').set(subject, after);
  next.count += after.length - before.length;
  putView(next, subject, after, fresh);
  return true;
}

function addUnknown(next: Maps, fresh: Set<keyof Maps>, event: AnyEvent): boolean {
  const known = next.unknown.get(event.id);
  const chosen = known ? chosenOf(known, event) : event;
  if (chosen === known) return false;
  own(next, fresh, 'unknown').set(event.id, chosen);
  if (!known) next.count++;
  return true;
}

/** A table that may be written to: copied from the old state the first time. */
function own<Key extends MapKey>(next: Maps, fresh: Set<keyof Maps>, key: Key): Maps[Key] {
  if (!fresh.has(key)) {
    fresh.add(key);
    const tables = next as unknown as Record<MapKey, Shards<unknown, unknown>>;
    tables[key] = Shards.of(tables[key]).copy();
  }
  return next[key];
}

/** The state with tables that the next one can share. */
export function sharded(state: State): State {
  const tables = TABLES.map((key) => [key, Shards.of(state[key] as ReadonlyMap<unknown, unknown>)] as const);
  return { ...state, ...(Object.fromEntries(tables) as unknown as Pick<State, MapKey>) };
}

/**
 * The state of a whole log: any order, repeats allowed. Cost is linear while lists come nearly in order.
 * Events must have passed `validateEvent`.
 */
export function fold(events: Iterable<AnyEvent>): State {
  const next = emptyState() as Maps;
  const log = next.log as Map<SubjectId, LedgerEvent[]>;
  const byId = new Map<string, AnyEvent>();
  for (const event of events) {
    const known = byId.get(event.id);
    byId.set(event.id, known ? chosenOf(known, event) : event);
  }
  for (const event of byId.values()) {
    const subject = subjectOf(event);
    if (subject === null) {
      next.unknown.set(event.id, event);
      continue;
    }
    const list = log.get(subject);
    if (!list) log.set(subject, [event as LedgerEvent]);
    else if (compareEvents(list[list.length - 1] as LedgerEvent, event) < 0) list.push(event as LedgerEvent);
    else list.splice(placeIn(list, event as LedgerEvent), 0, event as LedgerEvent);
  }
  for (const [subject, list] of log) putView(next, subject, list, null);
  for (const flower of next.flowers.values()) addFlowerOf(next.flowersOf as Map<PlantId, FlowerId[]>, flower);
  for (const list of next.flowersOf.values()) (list as FlowerId[]).sort();
  next.count = byId.size;
  return sharded(next);
}

/** All events in canonical order. Throws `sealed` when some are not loaded. */
export function eventsOf(state: State): AnyEvent[] {
  if (state.sealed > 0)
    throw new TrowelError('sealed', 'Some events are not loaded; fold the whole log again.');
  const all: AnyEvent[] = [...state.unknown.values()];
  for (const list of state.log.values()) for (const event of list) all.push(event);
  return all.sort(compareEvents);
}

/** The list with the event in its place; the same list when the event was there already. */
function inserted(list: readonly LedgerEvent[], event: LedgerEvent): readonly LedgerEvent[] {
  const twin = list.find(({ id }) => id === event.id);
  const chosen = twin ? (chosenOf(twin, event) as LedgerEvent) : event;
  if (chosen === twin) return list;
  const copy = list.filter((each) => each !== twin);
  copy.splice(placeIn(copy, chosen), 0, chosen);
  return copy;
}

function placeIn(list: readonly LedgerEvent[], event: LedgerEvent): number {
  let at = list.length;
  while (at > 0 && compareEvents(list[at - 1] as LedgerEvent, event) > 0) at--;
  return at;
}

/** Derives a subject's view anew. `fresh` is null while a whole log is folded into tables of its own. */
function putView(
  next: Maps,
  subject: SubjectId,
  events: readonly LedgerEvent[],
  fresh: Set<keyof Maps> | null,
): void {
  const standing = inForce(events);
  const kind = subjectKindOf(subject);
  if (kind === null) return;
  const { table: key, derive } = SUBJECTS[kind];
  const table = (fresh ? own(next, fresh, key) : next[key]) as Table<SubjectId, unknown>;
  const before = table.get(subject);
  const view = derive(subject, standing, events);
  if (view) table.set(subject, view);
  else table.delete(subject);
  // While a whole log is folded the lists of each plant's flowers are made once, at the end.
  if (kind !== 'flower' || !fresh) return;
  const [was, is] = [before as Flower | undefined, view as Flower | null];
  if (was?.plant !== is?.plant) moveFlower(own(next, fresh, 'flowersOf'), was, is);
}

/** Moves a flower from the list of the plant it was on to that of the plant it is on. */
function moveFlower(flowersOf: Maps['flowersOf'], before: Flower | undefined, after: Flower | null): void {
  if (before) {
    const rest = (flowersOf.get(before.plant) ?? []).filter((id) => id !== before.id);
    if (rest.length > 0) flowersOf.set(before.plant, rest);
    else flowersOf.delete(before.plant);
  }
  if (after) flowersOf.set(after.plant, [...(flowersOf.get(after.plant) ?? []), after.id].sort());
}

function addFlowerOf(flowersOf: Map<PlantId, FlowerId[]>, flower: Flower): void {
  const list = flowersOf.get(flower.plant);
  if (list) list.push(flower.id);
  else flowersOf.set(flower.plant, [flower.id]);
}

/**
 * When the latest entry still loaded happened, by its own clock; `null` before any.
 * @example latestAt(state) // '2026-07-12T16:00:00.000Z'
 */
export function latestAt(state: State): string | null {
  let latest: string | null = null;
  for (const events of state.log.values()) {
    const last = events[events.length - 1];
    if (last && (latest === null || last.at > latest)) latest = last.at;
  }
  return latest;
}
