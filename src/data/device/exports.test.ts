import { fromJson } from '@core/formats';
import { TestGarden } from '@core/testGarden';
import { exportEverything } from './exports';
import { laterFrom } from './later';

/** Stands in for the parts of a browser through which a file is saved; gives the text of the last one. */
function browser() {
  const kept: { name: string; blob: Blob | null } = { name: '', blob: null };
  const link = { href: '', download: '', click: () => (kept.name = link.download) };
  jest.spyOn(URL, 'createObjectURL').mockImplementation((blob) => {
    kept.blob = blob as Blob;
    return 'blob:1';
  });
  (globalThis as { document?: unknown }).document = { createElement: () => link };
  return { kept, text: async () => (await kept.blob?.text()) ?? '' };
}

beforeEach(() => void jest.useFakeTimers({ doNotFake: ['queueMicrotask', 'nextTick', 'setImmediate'] }));
afterEach(() => {
  jest.useRealTimers();
  jest.restoreAllMocks();
});

test('the garden’s record is carried out even where the code that reads practice cannot be had', async () => {
  const { kept, text } = browser();
  const garden = new TestGarden();
  garden.plant('squash-pepo', 'Long Halyard', 1);
  laterFrom(() => Promise.reject(new Error('no network')));
  const count = await exportEverything(garden.events, 'own', '2026-07-14');
  expect([count, kept.name]).toEqual([garden.events.length, 'steady-trowel-2026-07-14.json']);
  const read = fromJson(await text());
  expect(read.ok && read.events.map(({ id }) => id).sort()).toEqual(garden.events.map(({ id }) => id).sort());
});
