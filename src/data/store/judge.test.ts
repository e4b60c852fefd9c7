import { SCHEMA_VERSION, type AnyEvent, type Draft } from '@core/ledger';
import { seededRandom } from '@core/random';
import { demoSeason } from '@core/testLogs';
import { batchText } from './batch';
import { LedgerStore, type StoreParts } from './ledgerStore';
import type { Limits } from './limits';
import { LogReader } from './logReader';
import { noNeighbours, type Neighbours } from './neighbours';
import { memoryBox, type Box } from './port';
import { partsHere } from './testing/parts';

// The judge of entries comes late (see `judgeBy`): who needs him waits, and nobody else.
const NOW = Date.parse('2026-07-14T03:05:00.000Z');
const PATCH = 'patch:01KS22Y8C047C4FEZDQK8Y1000';
const event = (n: number, draft: object) =>
  ({
    id: `01KS22Y8C047C4FEZDQK8Y${2000 + n}`,
    v: SCHEMA_VERSION,
    at: '2026-07-13T03:05:00.000Z',
    by: 'Oda',
    device: 'a',
    ...draft,
  }) as AnyEvent;
const begun = event(1, { kind: 'patchBegun', patch: PATCH, name: 'Hoem' });
const putRight = event(2, { kind: 'corrected', subject: PATCH, target: begun.id, changes: { name: 'Home' } });
const boxOf = (...batches: readonly string[]) =>
  memoryBox(new Map(batches.map((text, i) => [`log/01KS22Y8C047C4FEZDQK8Y${1000 + i}`, text])));

/** The late parts, held back until they are let go; with how often they were asked for. */
function late() {
  let letGo: () => void = () => undefined;
  const held = new Promise<void>((done) => (letGo = done));
  const asked = { times: 0 };
  const parts = async (): Promise<StoreParts> => {
    asked.times++;
    await held;
    return partsHere();
  };
  return { parts, letGo: () => letGo(), asked };
}
const turn = () => new Promise((done) => setTimeout(done, 5));
const patchIn = ({ ledger }: LogReader) => [...ledger.state.patches.values()].map(({ name }) => name);
const readerOn = (box: Box, parts: () => Promise<StoreParts>, neighbours: Neighbours = noNeighbours) =>
  new LogReader({ box, neighbours, parts });
const storeOn = (box: Box, parts: () => Promise<StoreParts>, limits: Partial<Limits> = {}) =>
  new LedgerStore({
    box,
    neighbours: noNeighbours,
    clock: { now: () => NOW },
    random: seededRandom(4),
    device: 'a',
    by: () => 'Oda',
    parts,
    limits,
  });

test('a log in which nothing was put right opens without him', async () => {
  const { parts, asked } = late();
  const reader = await readerOn(boxOf(batchText([begun])), parts).open();
  expect([patchIn(reader), asked.times]).toEqual([['Hoem'], 0]);
});

test.each([
  ['something was put right', [batchText([begun]), batchText([putRight])], 'Home'],
  ['an older version wrote it', [JSON.stringify([{ ...begun, v: 1 }])], 'Hoem'],
  ['its sum does not agree', [batchText([begun]).replace('Hoem', 'Hohm')], 'Hohm'],
])('one waits for him where %s', async (_why, batches, name) => {
  const { parts, letGo } = late();
  const reader = readerOn(boxOf(...batches), parts);
  const opening = reader.open();
  await turn();
  expect(patchIn(reader)).toEqual([]);
  letGo();
  await opening;
  expect(patchIn(reader)).toEqual([name]);
});

test('what an older version wrote is judged once: the next opening needs nobody', async () => {
  const contents = new Map([
    ['log/01KS22Y8C047C4FEZDQK8Y1000', JSON.stringify([{ ...begun, v: 1 }])],
    [
      'tap/01KS22Y8C047C4FEZDQK8Y1001',
      JSON.stringify([{ ...begun, id: '01KS22Y8C047C4FEZDQK8Y2009', v: 2 }]),
    ],
    ['log/01KS22Y8C047C4FEZDQK8Y1002', '[{"id":"01J0'],
  ]);
  const box = memoryBox(contents);
  const before = await storeOn(box, partsHere).open();
  while ([...contents.values()].some((text) => text.endsWith(']'))) await turn();
  expect(contents.get('log/01KS22Y8C047C4FEZDQK8Y1002')).toBe('[{"id":"01J0');
  contents.delete('log/01KS22Y8C047C4FEZDQK8Y1002');
  const { parts, asked } = late();
  const reader = await readerOn(box, parts).open();
  expect(asked.times).toBe(0);
  expect(reader.ledger.state.count).toBe(2);
  expect(await reader.allEvents()).toEqual(await before.allEvents());
});

test('what another tab puts right waits for him, too', async () => {
  const { parts, letGo } = late();
  let hear: (message: unknown) => void = () => undefined;
  const neighbours = { ...noNeighbours, listen: (ear: typeof hear) => ((hear = ear), () => undefined) };
  const contents = new Map([['log/01KS22Y8C047C4FEZDQK8Y1000', batchText([begun])]]);
  const reader = await readerOn(memoryBox(contents), parts, neighbours).open();
  const key = 'tap/01KS22Y8C047C4FEZDQK8Y1001';
  contents.set(key, batchText([putRight]));
  hear({ key });
  await turn();
  expect(patchIn(reader)).toEqual(['Hoem']);
  letGo();
  await reader.catchUp();
  expect(patchIn(reader)).toEqual(['Home']);
});

test('an entry waits for him: it is neither shown nor stored unjudged, and then is of the time at which it was tapped', async () => {
  const { parts, letGo } = late();
  const contents = new Map<string, string>();
  const store = await storeOn(memoryBox(contents), parts).open();
  const recording = store.record([{ kind: 'patchBegun', patch: store.newId('patch'), name: 'Home' }]);
  const wrong = store.record([{ kind: 'patchBegun', patch: 'patch:x', name: 'Home' } as unknown as Draft]);
  await turn();
  expect([store.ledger.state.count, contents.size]).toEqual([0, 0]);
  letGo();
  await expect(wrong).rejects.toThrow('"patch" is not an id of ours.');
  const [made] = await recording;
  expect(made?.at).toBe(new Date(NOW).toISOString());
  expect([patchIn(store), contents.size]).toEqual([['Home'], 1]);
});

test('where he can’t be had it is said, and the next entry tries again', async () => {
  let online = false;
  const parts = async () => (online ? partsHere() : Promise.reject(new Error('no network')));
  const store = await storeOn(memoryBox(), parts).open();
  const enter = () => store.record([{ kind: 'patchBegun', patch: PATCH, name: 'Home' }]);
  await expect(enter()).rejects.toThrow(/could not be fetched/);
  expect([store.ledger.unjudged, store.ledger.state.count]).toEqual([true, 0]);
  online = true;
  await enter();
  expect([store.ledger.unjudged, store.ledger.state.count]).toEqual([false, 1]);
});

test('two quick presses on one line take it back once, however late he comes', async () => {
  const { parts, letGo } = late();
  let those: () => Promise<StoreParts> = partsHere;
  const store = await storeOn(memoryBox(), () => those()).open();
  await store.record([{ kind: 'patchBegun', patch: PATCH, name: 'Home' }]);
  await store.record([{ kind: 'noted', subject: PATCH, text: 'dry' }]);
  those = parts;
  const key = store.ledger.undoable.at(-1)?.key;
  const presses = [store.undo(key), store.undo(key)];
  letGo();
  await Promise.all(presses);
  expect(store.ledger.state.count).toBe(3);
});

test.each([
  [false, 0],
  [true, 1],
])('a snapshot says whether anything in it was put right (%s)', async (corrected, times) => {
  const season = demoSeason();
  const patch = season.find(({ kind }) => kind === 'patchBegun') as AnyEvent & { patch: string };
  const change = { ...putRight, subject: patch.patch, target: patch.id };
  const contents = new Map([
    ['log/01KS22Y8C047C4FEZDQK8Y1000', batchText(corrected ? [...season, change] : season)],
  ]);
  const limits = { snapshotAbove: 100, snapshotEvery: 1, sealAfterDays: 0 };
  const box = memoryBox(contents);
  await storeOn(box, partsHere, limits).open();
  while (!contents.has('snapshot')) await turn();
  const { parts, letGo, asked } = late();
  letGo();
  const reader = await readerOn(box, parts).open();
  expect(asked.times).toBe(times);
  expect(patchIn(reader)[0] === 'Home').toBe(corrected);
});
