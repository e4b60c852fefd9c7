import type { FlowerId, PlantId, StandId, SubjectId } from '../ids';
import { ATTIC, keyOf, LatePart, type PartHead } from './latePart';
import { isLean, lean } from './lean';
import { saidOf } from './parts';
import { Shards } from './shards';
import { SNAPSHOT_VERSION } from './snapshot';
import { VIEW_TABLES } from './subjects';
import type { Flower } from './flowerViews';
import type { State } from './state';

/** So many of a list are frozen before the thread is given free. */
const AT_ONCE = 200;
/** What flowers say of the time this long before the seal is kept with the snapshot; of older ones only what never ages. */
const SAID_DAYS = 420;

/** What of a state is frozen apart. */
export interface FreezeOptions {
  /** An instant: what nobody wrote of since then leaves its events in the log. */
  readonly sealBefore: string;
  /** So many flowers lie in one late part; fewer than half as many are not worth one. */
  readonly partSize?: number;
}

/** A snapshot as text, and the late parts that are not kept yet, by their keys. */
export interface Frozen {
  readonly head: string;
  readonly fresh: ReadonlyMap<string, string>;
  /** All late parts that the snapshot rests on. */
  readonly keys: readonly string[];
}

type Steps<T> = Generator<void, T>;
type FlowerList = readonly [PlantId, readonly FlowerId[]];

/**
 * A state as text, in steps of some milliseconds. What stands here now comes first: every small table, the flowers of plants that stand,
 * and what was written lately, with its events. Flowers of plants that have ended and of which nobody wrote since `sealBefore` go into
 * late parts; a part once made stays as it is. The state equals the one thawed from it (property).
 */
export function* freezing(state: State, { sealBefore, partSize = 256 }: FreezeOptions): Steps<Frozen> {
  const isOld = oldBefore(state, sealBefore);
  const late = new LateParts(partSize);
  const { standing, bygone } = yield* parted(state, isOld);
  const saidFrom = daysBefore(sealBefore, SAID_DAYS);
  const flowers = yield* late.filled(Shards.of(state.flowers).parts, bygone, (some) => ({
    text: JSON.stringify(some.map(([id, flower]) => [id, lean(flower)])),
    said: saidOf(new Map(some), saidFrom),
  }));
  for (const [, flower] of flowers.left) standing.push(flower);
  const inParts = new Set(bygone.slice(0, bygone.length - flowers.left.length).map(([id]) => id));

  const lists = yield* partedLists(state, inParts);
  const flowersOf = yield* late.filled(Shards.of(state.flowersOf).parts, lists.bygone, (some) => ({
    text: JSON.stringify(some),
    said: {},
  }));

  const tables: string[] = [];
  for (const table of VIEW_TABLES) {
    const list = table === 'flowers' ? standing : state[table].values();
    const text = yield* listText(isLean(table) ? leanOf(list) : list);
    tables.push(`${JSON.stringify(table)}:${text}`);
  }
  const hasView = new Set<SubjectId>([...standing.map(({ id }) => id), ...inParts]);
  const isOver = overIn(state);
  const open = [...state.log].filter(
    ([subject]) => !isOld(subject) || !(hasView.has(subject) || isOver(subject)),
  );
  const log = yield* listText(open);
  const rest = {
    version: SNAPSHOT_VERSION,
    count: state.count,
    sealed: state.sealed + state.log.size - open.length,
    flowersOf: [...lists.standing, ...flowersOf.left],
    unknown: [...state.unknown.values()],
    late: { flowers: flowers.heads, flowersOf: flowersOf.heads },
  };
  return {
    head: `{"tables":{${tables.join()}},"log":${log},${JSON.stringify(rest).slice(1)}`,
    fresh: late.fresh,
    keys: [...flowers.heads, ...flowersOf.heads].map(({ key }) => key),
  };
}

/** The same at once. */
export function freeze(state: State, options: FreezeOptions): Frozen {
  const steps = freezing(state, options);
  for (let step = steps.next(); ; step = steps.next()) if (step.done) return step.value;
}

/** Whether nobody wrote of a subject since then; one that is sealed already is. */
function oldBefore(state: State, sealBefore: string): (id: SubjectId) => boolean {
  return (id) => {
    const events = state.log.get(id);
    return !events || (events[events.length - 1]?.at ?? '') < sealBefore;
  };
}

function daysBefore(instant: string, days: number): string {
  return instant === '' ? '' : new Date(Date.parse(instant) - days * 86_400_000).toISOString();
}

/** Of the plants those that stand here no more, and the stands none of whose plants does: seldom spoken of again. */
function overIn({ plants, stands }: State): (subject: SubjectId) => boolean {
  const standing = new Set<SubjectId>();
  for (const { id, stand, ended } of plants.values()) if (!ended) standing.add(id).add(stand);
  return (subject) =>
    !standing.has(subject) && (plants.has(subject as PlantId) || stands.has(subject as StandId));
}

/** The flowers that stay with what stands here now, and those of bygone plants, in the order of their ids. */
function* parted(
  state: State,
  isOld: (id: SubjectId) => boolean,
): Steps<{ readonly standing: Flower[]; readonly bygone: (readonly [FlowerId, Flower])[] }> {
  const standing: Flower[] = [];
  const old: Flower[] = [];
  const isBygone = (plant: PlantId) => (state.plants.get(plant)?.ended ?? null) !== null && isOld(plant);
  for (const part of Shards.of(state.flowers).parts) {
    if (part instanceof LatePart) continue;
    for (const flower of part.values())
      (isOld(flower.id) && isBygone(flower.plant) ? old : standing).push(flower);
    yield;
  }
  // What a fruit that still hangs rests on stays with it.
  const fathers = new Set(
    standing.flatMap(({ pollinations }) =>
      pollinations.flatMap((each) => each.fathers.flatMap(({ flowers }) => flowers)),
    ),
  );
  const bygone = old.filter(({ id }) => !fathers.has(id)).sort((a, b) => (a.id < b.id ? -1 : 1));
  for (const flower of old) if (fathers.has(flower.id)) standing.push(flower);
  return { standing, bygone: bygone.map((flower) => [flower.id, flower] as const) };
}

/** The lists of each plant's flowers: those of which all lie in late parts, and the others. */
function* partedLists(
  state: State,
  inParts: ReadonlySet<FlowerId>,
): Steps<{ readonly standing: FlowerList[]; readonly bygone: FlowerList[] }> {
  const standing: FlowerList[] = [];
  const bygone: FlowerList[] = [];
  for (const part of Shards.of(state.flowersOf).parts) {
    if (part instanceof LatePart) continue;
    for (const list of part) (list[1].every((id) => inParts.has(id)) ? bygone : standing).push(list);
    yield;
  }
  return { standing, bygone: bygone.sort(([a], [b]) => (a < b ? -1 : 1)) };
}

/** Makes late parts of sorted lists. */
class LateParts {
  readonly fresh = new Map<string, string>();

  constructor(private readonly size: number) {}

  /** The late parts that a table has already and new ones of a list; what is too little for one is `left`. */
  *filled<V>(
    parts: readonly ReadonlyMap<unknown, unknown>[],
    list: readonly (readonly [string, V])[],
    freezePart: (
      some: readonly (readonly [string, V])[],
    ) => Pick<PartHead, 'said'> & { readonly text: string },
  ): Steps<{ readonly heads: readonly PartHead[]; readonly left: readonly (readonly [string, V])[] }> {
    const heads = parts.flatMap((part) => (part instanceof LatePart ? [part.head] : []));
    let at = 0;
    while ((list.length - at) * 2 >= this.size && at < list.length) {
      const some = list.slice(at, at + this.size);
      const { text, said } = freezePart(some);
      const key = `${ATTIC}${keyOf(text)}`;
      this.fresh.set(key, text);
      heads.push({ key, size: some.length, first: some[0]?.[0] ?? '', last: some.at(-1)?.[0] ?? '', said });
      at += some.length;
      yield;
    }
    return { heads, left: list.slice(at) };
  }
}

function* leanOf(list: Iterable<{ readonly id: SubjectId }>) {
  for (const view of list) yield lean(view);
}

function* listText(list: Iterable<unknown>): Steps<string> {
  const texts: string[] = [];
  for (const each of list) {
    texts.push(JSON.stringify(each));
    if (texts.length % AT_ONCE === 0) yield;
  }
  return `[${texts.join()}]`;
}
