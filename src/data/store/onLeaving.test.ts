import { memoryBox } from './port';
import { keepLeft, withLeft, type Refuge } from './onLeaving';
import { batchText } from './batch';
import { TestGarden } from '@core/testGarden';

function memoryRefuge(room = Infinity): Refuge & { readonly held: Map<string, string> } {
  const held = new Map<string, string>();
  return {
    held,
    get length() {
      return held.size;
    },
    key: (i) => [...held.keys()][i] ?? null,
    getItem: (key) => held.get(key) ?? null,
    setItem: (key, value) => {
      if (held.size >= room) throw new Error('full');
      held.set(key, value);
    },
    removeItem: (key) => void held.delete(key),
  };
}

const events = new TestGarden().events.slice(0, 2);
const entry = (key: string) => ({ key, events, saved: 'waiting' as const });

test('an entry that was on its way when the page was left is in the box at the next opening', async () => {
  const refuge = memoryRefuge();
  keepLeft(refuge, 'own', [entry('tap/1'), entry('tap/2')]);
  const contents = new Map<string, string>();
  const box = withLeft(memoryBox(contents), 'own', refuge);
  expect(await box.keys()).toEqual(['tap/1', 'tap/2']);
  expect(contents.get('tap/1')).toBe(batchText(events));
  expect(refuge.length).toBe(0);
});

test('one that storage had after all is left as it is stored, and the refuge is emptied', async () => {
  const refuge = memoryRefuge();
  keepLeft(refuge, 'own', [entry('tap/1')]);
  const box = withLeft(memoryBox(new Map([['tap/1', 'stored']])), 'own', refuge);
  expect(await box.keys()).toEqual(['tap/1']);
  expect(await box.getMany(['tap/1'])).toEqual({ 'tap/1': 'stored' });
  expect(refuge.length).toBe(0);
});

test('what was left in the demo does not get into the own patch', async () => {
  const refuge = memoryRefuge();
  keepLeft(refuge, 'demo', [entry('tap/1')]);
  expect(await withLeft(memoryBox(), 'own', refuge).keys()).toEqual([]);
  expect(refuge.length).toBe(1);
});

test('a box that refuses keeps it in the refuge; a full refuge keeps what fits', async () => {
  const refuge = memoryRefuge(1);
  keepLeft(refuge, 'own', [entry('tap/1'), entry('tap/2')]);
  expect([...refuge.held.keys()]).toEqual(['steady-trowel/left/own/tap/1']);
  const full = { ...memoryBox(), set: () => Promise.reject(new Error('full')) };
  expect(await withLeft(full, 'own', refuge).keys()).toEqual([]);
  expect(refuge.length).toBe(1);
});
