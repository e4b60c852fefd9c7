import { validateEvent, type AnyEvent, type Draft } from '@core/ledger';
import { seededRandom } from '@core/random';
import { batchText, readChecked, readSummed } from './batch';
import { memoryBox, type Box } from './port';
import { LedgerStore } from './ledgerStore';
import { noNeighbours, type Neighbours } from './neighbours';
import { partsHere } from './testing/parts';

const T0 = Date.parse('2026-07-14T03:05:00.000Z');
function opened(box: Box, neighbours: Neighbours = noNeighbours, seed = 1, device = 'a') {
  let time = T0 + seed * 1000;
  return new LedgerStore({
    box,
    neighbours,
    clock: { now: () => (time += 50) },
    random: seededRandom(seed),
    device,
    by: () => 'Oda',
    parts: partsHere,
  }).open();
}
const begin = (store: LedgerStore, name = 'Home'): Draft => ({
  kind: 'patchBegun',
  patch: store.newId('patch'),
  name,
});
const names = (store: LedgerStore) => [...store.ledger.state.patches.values()].map(({ name }) => name).sort();
const tick = () => new Promise((resolve) => setTimeout(resolve, 5));

test('two writes that overlap, the first refused and the second stored: neither is lost', async () => {
  const memory = memoryBox();
  let calls = 0;
  const box: Box = {
    ...memory,
    set: async (key, value) => {
      const mine = ++calls;
      await tick();
      if (mine === 1) throw new Error('refused');
      await tick();
      return memory.set(key, value);
    },
  };
  const store = await opened(box);
  await Promise.all([store.record([begin(store, 'One')]), store.record([begin(store, 'Two')])]);
  const unsaved = store.ledger.unsaved.length;
  const after = names(await opened(memory, noNeighbours, 2));
  expect(after.length + unsaved).toBe(2);
});
test('an entry that another tab writes while this one opens is on the screen', async () => {
  const memory = memoryBox();
  let late: (() => Promise<unknown>) | null = null;
  const other = await opened(memory, noNeighbours, 9, 'b');
  const box: Box = {
    ...memory,
    getMany: async (keys) => {
      const got = await memory.getMany(keys);
      const now = late;
      late = null;
      await now?.();
      return got;
    },
  };
  for (let i = 0; i < 70; i++) await other.record([begin(other, `P${i}`)]);
  late = () => other.record([begin(other, 'late')]);
  const store = await opened(box, noNeighbours, 2);
  await tick();
  await tick();
  expect(names(store)).toContain('late');
});
test('the undo line never offers a file, not even one’s own backup', async () => {
  const memory = memoryBox();
  const store = await opened(memory);
  await store.record([begin(store, 'One')]);
  const file = await store.allEvents();
  await store.clear();
  const fresh = await opened(memory, noNeighbours, 2);
  await fresh.add(file);
  const again = await opened(memory, noNeighbours, 3);
  expect(again.ledger.undoable).toEqual([]);
});
test('a stored batch that is JSON but no events is set aside, and the rest opens', async () => {
  const store = await opened(memoryBox(new Map([['log/01J00000000000000000000BAD', '[null]']])));
  expect(store.ledger.damaged).toEqual(['log/01J00000000000000000000BAD']);
});
test('two quick undos take back two entries, and one entry once', async () => {
  const store = await opened(memoryBox());
  await store.record([begin(store, 'One')]);
  await store.record([begin(store, 'Two')]);
  await Promise.all([store.undo(), store.undo()]);
  const targets = (await store.allEvents())
    .filter(({ kind }) => kind === 'withdrawn')
    .map((each) => (each as AnyEvent & { target: string }).target);
  expect(new Set(targets).size).toBe(targets.length);
  const third = await opened(memoryBox(), noNeighbours, 3);
  await third.record([begin(third, 'One')]);
  await third.record([begin(third, 'Two')]);
  const shown = third.ledger.undoable.at(-1)?.key;
  await Promise.all([third.undo(shown), third.undo(shown)]);
  expect(names(third)).toEqual(['One']);
});
test('stored events are checked as a file’s are', async () => {
  const memory = memoryBox(
    new Map([
      [
        'log/01J00000000000000000000BAD',
        JSON.stringify([
          {
            id: '01J00000000000000000000000',
            v: 1,
            at: '2026-07-14T03:05:00.000Z',
            by: 'x',
            device: 'y',
            kind: 'patchBegun',
            patch: 'patch:01J00000000000000000000000',
          },
        ]),
      ],
    ]),
  );
  const store = await opened(memory);
  expect(names(store)).toEqual([]);
  expect(store.ledger.damaged).toHaveLength(1);
});

test('an older version’s events are brought to today’s version when they are read', () => {
  const stored = JSON.stringify([{ kind: 'patchStarted', v: 1 }]);
  const read = readChecked(stored, validateEvent, () => ({
    id: '01J00000000000000000000000',
    v: 3,
    at: '2026-07-14T03:05:00.000Z',
    by: 'Oda',
    device: 'a',
    kind: 'patchBegun',
    patch: 'patch:01J00000000000000000000000',
    name: 'Brought over',
  }));
  expect(read).toMatchObject({ whole: true, events: [{ name: 'Brought over' }] });
});

test('a batch is read without a second check only when its text is just what was written', () => {
  const event = {
    id: '01J00000000000000000000000',
    v: 3,
    at: '2026-07-14T03:05:00.000Z',
    by: 'Oda',
    device: 'a',
  };
  const text = batchText([
    { ...event, kind: 'patchBegun', patch: 'patch:01J00000000000000000000000', name: 'Home' } as AnyEvent,
  ]);
  expect(readSummed(text)).toMatchObject({ whole: true, events: [{ name: 'Home' }] });
  for (const other of [text.replace('"name":"Home"', '"name":7'), text.slice(0, -9)]) {
    expect(readSummed(other)).toBe(null);
    expect(readChecked(other, validateEvent)).toEqual({ whole: false, events: [] });
  }
});

test('an entry on its way says that it waits; once stored, it waits no longer', async () => {
  const memory = memoryBox();
  let release = () => undefined as void;
  const held = new Promise<void>((go) => (release = go));
  const store = await opened({ ...memory, set: (key, value) => held.then(() => memory.set(key, value)) });
  const saving = store.record([begin(store, 'Soon')]);
  await tick();
  expect([names(store), store.ledger.waiting.length, (await memory.keys()).length]).toEqual([['Soon'], 1, 0]);
  release();
  await saving;
  expect([store.ledger.waiting.length, (await memory.keys()).length]).toEqual([0, 1]);
});
