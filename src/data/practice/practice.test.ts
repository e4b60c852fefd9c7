import { practiceHistory } from '@core/simulation';
import { memoryBox, PracticeStore } from '../store';

const history = practiceHistory(2);

test('what was answered is there again, in order, once each', async () => {
  const store = new PracticeStore(memoryBox());
  await store.add(history.slice(4));
  await store.add(history);
  expect(await store.all()).toEqual(history);
  expect(await store.missing(history)).toEqual([]);
});

test('what cannot be read is left where it is and keeps nothing else from being read', async () => {
  const kept = new Map([
    ['broken', '{"kind":'],
    ['strange', '{"kind":"practised","id":"x"}'],
  ]);
  const store = new PracticeStore(memoryBox(kept));
  await store.add(history.slice(0, 3));
  expect(await store.all()).toEqual(history.slice(0, 3));
  expect(kept.get('broken')).toBe('{"kind":');
});

test('a refused write is told to the caller', async () => {
  const box = { ...memoryBox(), set: () => Promise.reject(new Error('full')) };
  await expect(new PracticeStore(box).add(history.slice(0, 1))).rejects.toThrow('full');
});

test('the records of a file that are new are told apart', async () => {
  const store = new PracticeStore(memoryBox());
  await store.add(history.slice(0, 10));
  expect(await store.missing(history)).toEqual(history.slice(10));
});
