import { isSealed, type AnyEvent, type Draft } from '@core/ledger';
import { seededRandom } from '@core/random';
import { demoSeason } from '@core/testLogs';
import { batchText } from './batch';
import { LedgerStore } from './ledgerStore';
import { LogReader } from './logReader';
import { noNeighbours, type Neighbours } from './neighbours';
import { partsHere } from './testing/parts';
import { memoryBox, type Box } from './port';

const T0 = Date.parse('2026-07-14T03:05:00.000Z');

function storeOn(box: Box, neighbours: Neighbours = noNeighbours) {
  let time = T0;
  const clock = { now: () => (time += 50) };
  return new LedgerStore({
    box,
    neighbours,
    clock,
    random: seededRandom(1),
    device: 'a',
    by: () => 'Oda',
    parts: partsHere,
  }).open();
}

/** Names the keys that are written, and lets nothing be removed. */
function watched(box: Box) {
  const touched: string[] = [];
  const set = async (key: string, value: string) => {
    touched.push(key);
    await box.set(key, value);
  };
  return {
    touched,
    box: { ...box, set, remove: async (keys: readonly string[]) => void touched.push(...keys) },
  };
}

const begin = (store: LedgerStore, name: string): Draft => ({
  kind: 'patchBegun',
  patch: store.newId('patch'),
  name,
});
const season = demoSeason();

test('a reader has what is stored, and hears of what comes', async () => {
  const ears = new Set<(message: unknown) => void>();
  const neighbours: Neighbours = {
    ...noNeighbours,
    listen: (hear) => {
      ears.add(hear);
      return () => ears.delete(hear);
    },
  };
  const box = memoryBox();
  const store = await storeOn(box, {
    ...noNeighbours,
    tell: (message) => ears.forEach((hear) => hear(message)),
  });
  await store.record([begin(store, 'Home')]);
  const reader = await new LogReader({ box, neighbours, parts: partsHere }).open();
  expect(reader.ledger.state.count).toBe(1);
  await store.record([begin(store, 'Allotment')]);
  await reader.catchUp();
  expect(new Map(reader.ledger.state.patches)).toEqual(new Map(store.ledger.state.patches));
});

test('a reader is handed what storage has not taken yet, once or twice, and keeps it when the log is read anew', async () => {
  const box = memoryBox();
  const store = await storeOn({ ...box, set: async () => Promise.reject(new Error('quota')) });
  await store.record([begin(store, 'Home')]);
  const reader = await new LogReader({ box, neighbours: noNeighbours, parts: partsHere }).open();
  expect(reader.ledger.state.count).toBe(0);
  await reader.takeIn(store.recent);
  await reader.takeIn(store.recent);
  expect(reader.ledger.state.count).toBe(1);
  expect(await reader.allEvents()).toEqual(await store.allEvents());
});

test('an entry about a flower that a snapshot sealed brings a reader the whole log', async () => {
  const contents = new Map([
    ['log/01J00000000000000000000001', batchText([...season, ...demoSeason(2), ...demoSeason(3)])],
  ]);
  const late = { now: () => T0 + 400 * 86_400_000 };
  await new LedgerStore({
    box: memoryBox(contents),
    neighbours: noNeighbours,
    clock: late,
    random: seededRandom(2),
    device: 'b',
    by: () => 'Oda',
    parts: partsHere,
  }).open();
  while (!contents.has('snapshot')) await new Promise((resolve) => setTimeout(resolve, 20));
  const { box, touched } = watched(memoryBox(contents));
  const reader = await new LogReader({ box, neighbours: noNeighbours, parts: partsHere }).open();
  const flower = [...reader.ledger.state.flowers.keys()].find((id) => isSealed(reader.ledger.state, id));
  expect(flower).toBeDefined();
  const before = await new LogReader({ box, neighbours: noNeighbours, parts: partsHere }).open();
  const note = {
    ...(season[0] as AnyEvent),
    id: '7ZZZZZZZZZZZZZZZZZZZZZZZZZ',
    kind: 'noted',
    subject: flower,
    text: 'kept',
  };
  delete (note as { patch?: unknown }).patch;
  delete (note as { name?: unknown }).name;
  await before.takeIn([note as AnyEvent]);
  expect(before.ledger.state.sealed).toBe(0);
  expect(before.ledger.state.flowers.get(flower as string)?.notes[0]?.text).toBe('kept');
  expect(touched).toEqual([]);
});
