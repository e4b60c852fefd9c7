import fc from 'fast-check';
import { Shards } from './shards';

type Step = { readonly kind: 'set' | 'delete' | 'branch'; readonly key: number; readonly value: number };
const steps = fc.array(
  fc.record<Step>({
    kind: fc.constantFrom('set', 'set', 'set', 'delete', 'branch'),
    key: fc.integer({ min: 0, max: 700 }),
    value: fc.integer(),
  }),
  { maxLength: 40 },
);
const sorted = (table: ReadonlyMap<number, number>) => [...table].sort(([a], [b]) => a - b);

test('holds what a map holds, and no copy ever changes what came before it or goes another way', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 600 }), steps, (size, all) => {
      const plain = new Map(Array.from({ length: size }, (_, i) => [i, -i]));
      const seen: { table: Shards<number, number>; should: Map<number, number> }[] = [
        { table: Shards.of(plain), should: plain },
      ];
      for (const { kind, key, value } of all) {
        // "branch" goes on from an older copy, as a state and the one before it may both be written from.
        const from = seen[kind === 'branch' ? key % seen.length : seen.length - 1] as (typeof seen)[number];
        const table = from.table.copy();
        const should = new Map(from.should);
        if (kind === 'delete') expect(table.delete(key)).toBe(should.delete(key));
        else {
          table.set(key, value);
          should.set(key, value);
        }
        seen.push({ table, should });
      }
      for (const { table, should } of seen) {
        expect(table.size).toBe(should.size);
        // As text: comparing them number by number is what takes the time.
        expect(String(sorted(table))).toBe(String(sorted(should)));
        const every7th = Array.from({ length: 101 }, (_, i) => 7 * i);
        expect(every7th.map((key) => table.get(key))).toEqual(every7th.map((key) => should.get(key)));
        expect(every7th.map((key) => table.has(key))).toEqual(every7th.map((key) => should.has(key)));
      }
    }),
    { seed: 3, numRuns: 150 },
  );
});

test('keys come in the order in which they first came, and every way of walking agrees', () => {
  const table = Shards.of(new Map(Array.from({ length: 1000 }, (_, i) => [`k${i}`, i]))).copy();
  table.set('k3', -3).set('new', 1);
  const keys = [...table.keys()];
  expect(keys.slice(0, 4)).toEqual(['k0', 'k1', 'k2', 'k3']);
  expect(keys[keys.length - 1]).toBe('new');
  expect([...table.entries()]).toEqual([...table]);
  expect([...table.values()]).toEqual([...table].map(([, value]) => value));
  const walked: [string, number][] = [];
  table.forEach((value, key) => walked.push([key, value]));
  expect(walked).toEqual([...table]);
  expect(table.get('k3')).toBe(-3);
  expect(Shards.of(table)).toBe(table);
});
