import { fold, type AnyEvent, type Draft, type State } from '@core/ledger';
import type { FlowerId, PlantId, StandId } from '@core/ids';
import { seededRandom } from '@core/random';
import { LedgerStore } from '../ledgerStore';
import { noNeighbours } from '../neighbours';
import type { Box } from '../port';
import { partsHere } from './parts';
import { World, type Luck } from './world';

export const STEPS = [
  'turn',
  'tap',
  'note',
  'undo',
  'undo-twice',
  'save-again',
  'import',
  'catch-up',
  'rest',
  'reload',
  'kill',
] as const;

/** One step of a schedule, as plain data, so that a failing one can be cut down and kept. */
export interface Step {
  readonly what: (typeof STEPS)[number];
  readonly tab: number;
  readonly pick: number;
  readonly luck: Luck;
}

export interface Schedule {
  readonly seed: number;
  /** Text that lies in the storage from the start and is none of ours. */
  readonly junk: string | null;
  /** Taps of an earlier day that lie there already. */
  readonly before: number;
  readonly steps: readonly Step[];
}

interface Tab {
  readonly id: number;
  readonly store: LedgerStore;
  opened: boolean;
}

const TABS = 3;
const START = Date.parse('2026-07-14T03:05:00.000Z');
const JUNK_KEY = 'log/01J00000000000000000000BAD';
// Small enough that a schedule of a few dozen steps packs, snapshots and seals.
const LIMITS = {
  packAbove: 1,
  snapshotAbove: 3,
  snapshotEvery: 2,
  sealAfterDays: 0,
  partSize: 2,
  undoDepth: 1,
};

/**
 * Runs a schedule over a storage and checks the store's promise: whatever was acknowledged as stored is on every screen, there
 * after a reload, and in the export; the screen is just the fold of the export; one tab never takes one entry back twice; a
 * file can never be undone; and what cannot be read keeps its bytes. Throws with what was broken. `settle` lets everything that
 * can go on go on.
 */
export async function runSchedule(
  base: Box,
  { seed, junk, before, steps }: Schedule,
  settle: () => Promise<void>,
): Promise<void> {
  if (junk !== null) await base.set(JUNK_KEY, junk);
  const world = new World(base);
  let time = START;
  const clock = { now: () => (time += 1000) };
  let made = 0;
  const acknowledged = new Map<string, AnyEvent>();
  const imported = new Set<string>();
  const running: Promise<unknown>[] = [];
  const storeOf = (id: number, calm = false, early = false) =>
    new LedgerStore({
      box: calm ? base : world.box(id),
      // Outside the world there is no lock that the tabs know of: what packed there would take keys away under their hands.
      neighbours: calm ? { ...noNeighbours, canLock: false } : world.neighbours(id),
      clock,
      random: seededRandom(seed + id * 7919),
      device: 'phone',
      by: () => 'Oda',
      parts: partsHere,
      limits: LIMITS,
      early,
      pause: settle,
    });
  const open = (): Tab => {
    const id = ++made;
    // Every other one shows what stands here now before it has read the rest.
    const tab: Tab = { id, store: storeOf(id, false, id % 2 === 0), opened: false };
    running.push(
      tab.store.open().then(
        () => (tab.opened = true),
        () => undefined,
      ),
    );
    return tab;
  };
  const acknowledge = (tab: Tab, events: readonly AnyEvent[]) => {
    const { waiting, unsaved } = tab.store.ledger;
    const open = new Set([...waiting, ...unsaved].map(({ id }) => id));
    for (const event of events) if (!open.has(event.id)) acknowledged.set(event.id, event);
  };
  const record = (tab: Tab, draft: Draft) => {
    const done = tab.store.record([draft]).then((events) => acknowledge(tab, events));
    running.push(done);
    return done;
  };
  const plant = 'plant:01J0000000000000000000000P' as PlantId;
  const seen = (id: FlowerId): Draft => ({
    kind: 'flowerSeen',
    flower: id,
    plant,
    sex: 'female',
    stage: 'coloured',
    node: null,
  });
  const earlier: Tab = { id: 0, store: await storeOf(97, true).open(), opened: true };
  if (before > 0) for (const draft of bygone(plant)) await record(earlier, draft);
  for (let i = 0; i < before; i++) await record(earlier, seen(earlier.store.newId('flower')));
  earlier.store.close();
  const tabs = Array.from({ length: TABS }, open);
  const reopen = (index: number) => {
    const old = tabs[index] as Tab;
    old.store.close();
    world.kill(old.id);
    tabs[index] = open();
  };

  for (const { what, tab: index, pick, luck } of steps) {
    const tab = tabs[index % TABS] as Tab;
    if (what === 'turn')
      for (let i = pick % 6; i >= 0; i--) {
        world.turn(pick + i, i === 0 ? luck : 'done');
        if (i > 0) await settle();
      }
    else if (what === 'reload' || what === 'kill') reopen(index % TABS);
    else if (tab.opened) {
      const { store } = tab;
      const flowers = store.ledger.whole ? [...store.ledger.state.flowers.keys()] : [];
      const flower = flowers[pick % Math.max(1, flowers.length)];
      if (what === 'tap') void record(tab, seen(store.newId('flower')));
      else if (what === 'note' && flower)
        void record(tab, { kind: 'noted', subject: flower, text: `${pick}` });
      else if (what === 'undo') running.push(store.undo());
      else if (what === 'undo-twice') {
        const key = store.ledger.undoable.at(-1)?.key;
        running.push(store.undo(key), store.undo(key));
      } else if (what === 'save-again') running.push(store.saveAgain());
      else if (what === 'catch-up') running.push(store.catchUp().catch(() => undefined));
      else if (what === 'rest') running.push(store.rest().catch(() => undefined));
      else if (what === 'import') {
        const events = foreign(seed, pick);
        for (const { id } of events) imported.add(id);
        running.push(
          store.add(events).then(
            () => acknowledge(tab, events),
            () => undefined,
          ),
        );
      }
      for (const { events } of store.ledger.undoable)
        for (const { id } of events) if (imported.has(id)) throw new Error('the undo line offers a file');
    }
    await settle();
  }

  world.settle();
  await allSettled(running, settle);
  for (const tab of tabs) {
    // A tab that storage kept from opening is opened again, as its grower would.
    if (!tab.opened) await tab.store.open();
    await tab.store.rest();
    await tab.store.saveAgain();
    const { unsaved, waiting, trouble } = tab.store.ledger;
    if (unsaved.length + waiting.length > 0 || trouble !== null)
      throw new Error('storage is well again, and something is still not saved');
  }
  await settle();
  for (const tab of tabs) {
    // By word between the tabs alone; what was never acknowledged may still be unheard of.
    const heard = new Set((await tab.store.allEvents()).map(({ id }) => id));
    for (const { id, kind } of acknowledged.values())
      if (!heard.has(id))
        throw new Error(`acknowledged and not on the screen of tab ${tab.id}: ${kind} ${id}`);
    await tab.store.catchUp();
  }

  const fresh = await storeOf(99, true).open();
  const exported = await fresh.allEvents();
  const there = new Set(exported.map(({ id }) => id));
  for (const { id, kind } of acknowledged.values())
    if (!there.has(id)) throw new Error(`acknowledged and gone: ${kind} ${id}`);
  same('after a reload', await (await storeOf(98, true).open()).allEvents(), exported);
  for (const { id, store } of tabs) {
    same(`the screen of tab ${id}`, screen(store.ledger.state), screen(fold(exported)));
    same(`the export of tab ${id}`, await store.allEvents(), exported);
  }
  same('the screen after a reload', screen(fresh.ledger.state), screen(fold(exported)));
  if (junk !== null) {
    if ((await base.getMany([JUNK_KEY]))[JUNK_KEY] !== junk) throw new Error('unread bytes were touched');
    if (!fresh.ledger.damaged.includes(JUNK_KEY)) throw new Error('unread bytes are not told of');
  }
  const taken = exported.flatMap((event) =>
    event.kind === 'withdrawn' ? [`${(event as { target: string }).target}`] : [],
  );
  // Two tabs may both offer one tap, and each takes it back: no more than once each.
  for (const target of taken)
    if (taken.filter((each) => each === target).length > made)
      throw new Error('one entry was taken back again and again');
  for (const tab of tabs) tab.store.close();
}

/** A plant that is no more: its flowers are what a snapshot puts into late parts. */
function bygone(plant: PlantId): Draft[] {
  return [
    {
      kind: 'plantAdded',
      plant,
      stand: 'stand:01J0000000000000000000000S' as StandId,
      label: '1',
      xM: 0,
      yM: 0,
      plantedOn: null,
    },
    { kind: 'plantRemoved', plant },
  ];
}

async function allSettled(running: readonly Promise<unknown>[], settle: () => Promise<void>): Promise<void> {
  // A killed tab's promises never settle: what can go on has gone on after some rounds.
  let open = running.length;
  for (const each of running) void each.finally(() => open--).catch(() => undefined);
  for (let i = 0; i < 40 && open > 0; i++) await settle();
}

/** A few events of another phone's file; the same for the same pick, so that one file is taken in more than once. */
function foreign(seed: number, pick: number): AnyEvent[] {
  const n = pick % 4;
  const id = (what: string, i: number) => `01HZ${what}${n}${i}`.padEnd(26, '0');
  return Array.from({ length: n + 1 }, (_, i) => ({
    id: id('E', i),
    v: 3,
    at: new Date(START - 86_400_000 * (n + 1) - (seed % 1000)).toISOString(),
    by: 'Vesna',
    device: 'phone',
    kind: 'flowerSeen',
    flower: `flower:${id('F', i)}`,
    plant: 'plant:01J0000000000000000000000P',
    sex: 'male',
    stage: 'coloured',
    node: i,
  })) as AnyEvent[];
}

const screen = (state: State) => [...state.flowers.values()].sort((a, b) => (a.id < b.id ? -1 : 1));

function same(what: string, got: unknown, wanted: unknown): void {
  const [a, b] = [JSON.stringify(got), JSON.stringify(wanted)];
  if (a !== b) throw new Error(`${what} differs: ${a.slice(0, 400)} and ${b.slice(0, 400)}`);
}
