import { fold, isSealed, type AnyEvent, type Draft } from '@core/ledger';
import { seededRandom } from '@core/random';
import { demoSeason } from '@core/testLogs';
import { batchText } from './batch';
import { memoryBox, type Box } from './port';
import { LedgerStore } from './ledgerStore';
import { noNeighbours, type Neighbours } from './neighbours';
import { partsHere } from './testing/parts';

// The store's port to AsyncStorage needs a browser; its behaviour is held here against memory, and in Chromium in e2e/.
const T0 = Date.parse('2026-07-14T03:05:00.000Z');

function opened(box: Box, neighbours: Neighbours = noNeighbours, seed = 1, device = 'a') {
  let time = T0 + seed * 1000;
  const clock = { now: () => (time += 50) };
  return new LedgerStore({
    box,
    neighbours,
    clock,
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

/** Two tabs of one browser: what one tells, the other hears. */
function twoTabs() {
  const ears = new Set<{ self: object; hear: (message: unknown) => void }>();
  const tab = (): Neighbours => {
    const self = {};
    return {
      ...noNeighbours,
      tell: (message) => ears.forEach((ear) => ear.self !== self && ear.hear(message)),
      listen(hear) {
        const ear = { self, hear };
        ears.add(ear);
        return () => ears.delete(ear);
      },
    };
  };
  return [tab(), tab()] as const;
}
const settle = () => new Promise((resolve) => setTimeout(resolve, 20));

test('what is recorded is there after a reload', async () => {
  const box = memoryBox();
  const store = await opened(box);
  await store.record([begin(store)]);
  expect(names(await opened(box, noNeighbours, 2))).toEqual(['Home']);
});

test('where the clock stands still, as the demo’s does, a later entry is later all the same after a reload', async () => {
  for (let seed = 1; seed <= 12; seed++) {
    const box = memoryBox();
    const still = (random: number) =>
      new LedgerStore({
        box,
        neighbours: noNeighbours,
        clock: { now: () => T0 },
        random: seededRandom(random),
        device: 'a',
        by: () => 'Oda',
        parts: partsHere,
      }).open();
    const first = await still(seed);
    const patch = first.newId('patch');
    await first.record([{ kind: 'patchBegun', patch, name: 'Home' }]);
    for (const frostOn of ['10-05', '10-20', '11-02']) {
      const next = await still(100 * seed + Number(frostOn.slice(3)));
      await next.record([{ kind: 'frostExpected', patch, frostOn }]);
      expect(next.ledger.state.patches.get(patch)?.frostOn).toBe(frostOn);
    }
  }
});

test('an entry that the ledger does not accept names its field, and stores nothing', async () => {
  const box = memoryBox();
  const store = await opened(box);
  await expect(store.record([begin(store), begin(store, '')])).rejects.toMatchObject({
    reason: 'invalid',
    field: 'name',
  });
  expect(await box.keys()).toEqual([]);
  expect(store.ledger.state.count).toBe(0);
});

test('one tap is one key: a power cut in the middle of saving leaves all of it or nothing', async () => {
  const box = memoryBox();
  const store = await opened(box);
  await store.record([begin(store, 'One'), begin(store, 'Two')]);
  expect((await box.keys()).filter((key) => key.startsWith('tap/'))).toHaveLength(1);
});

test('undo withdraws the last entry whole, deletes nothing, and works after a reload', async () => {
  const box = memoryBox();
  const store = await opened(box);
  await store.record([begin(store, 'One')]);
  await store.record([begin(store, 'Two'), begin(store, 'Three')]);
  await store.undo();
  expect(names(store)).toEqual(['One']);
  expect((await store.allEvents()).length).toBe(5);
  const again = await opened(box, noNeighbours, 2);
  expect(names(again)).toEqual(['One']);
  // The patch itself is never taken back, however often somebody taps.
  await again.undo();
  await again.undo();
  expect(names(again)).toEqual(['One']);
  expect((await again.allEvents()).length).toBe(5);
});

test('what was taken back can be brought back, last first, until something else is written', async () => {
  const store = await opened(memoryBox());
  await store.record([begin(store, 'One')]);
  await store.record([begin(store, 'Two')]);
  await store.record([begin(store, 'Three')]);
  await store.undo();
  await store.undo();
  expect(names(store)).toEqual(['One']);
  const [, two] = store.ledger.redoable;
  await store.redo('another');
  expect(names(store)).toEqual(['One']);
  await store.redo(two?.tap.key ?? '');
  expect(names(store)).toEqual(['One', 'Two']);
  expect(store.ledger.undoable.at(-1)?.key).toBe(two?.tap.key);
  // Brought back, it can be taken back again.
  await store.undo();
  expect(names(store)).toEqual(['One']);
  await store.record([begin(store, 'Four')]);
  expect(store.ledger.redoable).toEqual([]);
});

test('two tabs that record at once see each other and lose nothing', async () => {
  const box = memoryBox();
  const [left, right] = twoTabs();
  const a = await opened(box, left, 1, 'a');
  const b = await opened(box, right, 2, 'b');
  await Promise.all(
    Array.from({ length: 20 }, (_, i) => (i % 2 ? a : b)).map((store, i) =>
      store.record([begin(store, `P${i}`)]),
    ),
  );
  await settle();
  expect(names(a)).toHaveLength(20);
  expect(names(b)).toEqual(names(a));
  expect(names(await opened(box, noNeighbours, 3))).toEqual(names(a));
});

describe.each([
  ['full', Object.assign(new Error('The quota has been exceeded'), { name: 'QuotaExceededError' }), 'full'],
  [
    'refused',
    new Error('A mutation operation was attempted on a database that did not allow mutations.'),
    'refused',
  ],
])('storage that is %s', (_name, error, trouble) => {
  test('the entry stays on screen and in the export, and is saved once storage allows', async () => {
    const memory = memoryBox();
    let refusing = false;
    const box: Box = {
      ...memory,
      set: (key, value) => (refusing ? Promise.reject(error) : memory.set(key, value)),
    };
    const store = await opened(box);
    await store.record([begin(store, 'Safe')]);
    refusing = true;
    await store.record([begin(store, 'Held')]);
    expect(store.ledger).toMatchObject({ trouble, unsaved: [{ name: 'Held' }] });
    expect(names(store)).toEqual(['Held', 'Safe']);
    expect((await store.allEvents()).length).toBe(2);
    refusing = false;
    await store.saveAgain();
    expect(store.ledger).toMatchObject({ trouble: null, unsaved: [] });
    expect(names(await opened(memory, noNeighbours, 2))).toEqual(['Held', 'Safe']);
  });
});

test('a batch that cannot be read is set aside by name; the rest opens, and its bytes stay', async () => {
  const contents = new Map<string, string>();
  const store = await opened(memoryBox(contents));
  await store.record([begin(store, 'Good')]);
  contents.set('log/01J00000000000000000000BAD', '[{"id":"01J0');
  const again = await opened(memoryBox(contents), noNeighbours, 2);
  await settle();
  expect(names(again)).toEqual(['Good']);
  expect(again.ledger.damaged).toEqual(['log/01J00000000000000000000BAD']);
  expect(await again.rawText('log/01J00000000000000000000BAD')).toBe('[{"id":"01J0');
});

describe('a long log', () => {
  const season = demoSeason();
  const full = fold(season);

  test('many small batches are packed, and read back the same', async () => {
    const contents = new Map<string, string>();
    season.slice(0, 200).forEach((event) => contents.set(`log/${event.id}`, JSON.stringify([event])));
    await opened(memoryBox(contents));
    await settle();
    expect([...contents.keys()].filter((key) => key.startsWith('log/'))).toHaveLength(0);
    expect([...contents.keys()].filter((key) => key.startsWith('pack/'))).toHaveLength(1);
    expect((await opened(memoryBox(contents), noNeighbours, 2)).ledger.state.count).toBe(200);
  });

  let made: readonly AnyEvent[] | null = null;
  const others = () => (made ??= [...demoSeason(2), ...demoSeason(3)]);

  /** The demo over and over with fresh ids, so that a snapshot is worth keeping. */
  async function withSnapshot() {
    const contents = new Map<string, string>();
    contents.set('log/01J00000000000000000000001', batchText([...season, ...others()]));
    const store = await opened(memoryBox(contents), noNeighbours, 40_000_000);
    while (!contents.has('snapshot')) await settle();
    return { contents, store };
  }

  test('a snapshot is kept and opens to the same state', async () => {
    const { contents, store } = await withSnapshot();
    expect(contents.has('snapshot')).toBe(true);
    const again = await opened(memoryBox(contents), noNeighbours, 2);
    expect(again.ledger.state.sealed).toBeGreaterThan(100);
    expect(new Map(again.ledger.state.flowers)).toEqual(new Map(store.ledger.state.flowers));
    expect((await again.allEvents()).length).toBe(store.ledger.state.count);
  });

  test('an entry about a sealed flower brings the whole log back, and is not lost', async () => {
    const { contents } = await withSnapshot();
    const again = await opened(memoryBox(contents), noNeighbours, 2);
    const flower = [...again.ledger.state.flowers.keys()].find((id) => isSealed(again.ledger.state, id));
    await again.record([{ kind: 'noted', subject: flower as string, text: 'kept the seed' }]);
    expect(again.ledger.state.sealed).toBe(0);
    expect(again.ledger.state.flowers.get(flower as string)?.notes[0]?.text).toBe('kept the seed');
    const third = await opened(memoryBox(contents), noNeighbours, 3);
    expect(third.ledger.state.flowers.get(flower as string)?.notes[0]?.text).toBe('kept the seed');
  });

  test.each([
    ['{"covers":["log/gone"],"snapshot":{}}'],
    ['{"covers":'],
    ['null'],
    ['{"covers":["log/01J00000000000000000000001"],"snapshot":{"version":0}}'],
  ])('a bad snapshot (%s) is thrown away and the log rebuilt', async (text) => {
    const contents = new Map<string, string>([
      ['log/01J00000000000000000000001', JSON.stringify(season)],
      ['snapshot', text],
    ]);
    const store = await opened(memoryBox(contents));
    expect(new Map(store.ledger.state.flowers)).toEqual(new Map(full.flowers));
    expect(contents.has('snapshot')).toBe(false);
  });
});

test('import adds what is new, once, and names ids that clash', async () => {
  const store = await opened(memoryBox());
  const season = demoSeason(2).slice(0, 50);
  expect((await store.preview(season)).fresh).toHaveLength(50);
  await store.add(season);
  await store.add(season);
  expect(store.ledger.state.count).toBe(50);
  const edited = season.map((event, i) => (i === 0 ? { ...event, name: 'Edited' } : event)) as AnyEvent[];
  expect((await store.preview(edited)).clashing).toEqual([season[0]?.id]);
});

test('a log too short for a snapshot is not gone through for one with every tap', async () => {
  let asked = 0;
  const memory = memoryBox();
  const box: Box = { ...memory, keys: () => (asked++, memory.keys()) };
  const store = await opened(box);
  await store.add(demoSeason(2).slice(0, 400));
  await settle();
  asked = 0;
  for (let i = 0; i < 20; i++) await store.record([begin(store, `P${i}`)]);
  await settle();
  expect(asked).toBeLessThan(5);
});

test('starting afresh empties this box alone, also in the other tab', async () => {
  const box = memoryBox();
  const [left, right] = twoTabs();
  const a = await opened(box, left, 1);
  const b = await opened(box, right, 2);
  await a.record([begin(a)]);
  await settle();
  await a.clear();
  expect([await box.keys(), names(a), names(b)]).toEqual([[], [], []]);
});
