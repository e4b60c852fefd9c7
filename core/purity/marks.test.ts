import fc from 'fast-check';
import type { FlowerId, PlantId } from '../ids';
import type { Flower } from '../ledger';
import { TestGarden } from '../testGarden';
import { markAt, markMissing, nextMarkIn, rollOf } from '.';

/** A garden in which these marks are on fruits. */
function marked(marks: readonly string[]) {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  for (const mark of marks) {
    const flower = garden.see(garden.time('2026-07-14', 5), plant, 'female', 'open');
    garden.write(garden.time('2026-07-14', 6), { kind: 'marked', flower, mark });
  }
  return garden;
}

test('marks go on from the highest, skip letters that look alike, and leave foreign marks alone', () => {
  expect(nextMarkIn(marked([]).state)).toBe('1-A');
  expect(nextMarkIn(marked(['1-A', '1-B', 'red wool']).state)).toBe('1-C');
  expect(nextMarkIn(marked(['1-Y']).state)).toBe('2-A');
  fc.assert(
    fc.property(fc.nat(5000), (n) => expect(nextMarkIn(marked([markAt(n)]).state)).toBe(markAt(n + 1))),
    { numRuns: 30 },
  );
  expect(Array.from({ length: 40 }, (_, n) => markAt(n)).join('')).not.toMatch(/[IOQSZ]/);
});

test('the phone that began the patch goes on as ever; every other has a roll of its own', () => {
  const { state } = marked(['1-A', '1-B']);
  expect(rollOf(state, 'test')).toBe('');
  const roll = rollOf(state, 'device-17-99');
  expect(roll).toMatch(/^[A-Y]{4}$/);
  expect(nextMarkIn(state, roll)).toBe(`${roll}1-A`);
  expect(nextMarkIn(marked(['1-A', `${roll}1-A`]).state, roll)).toBe(`${roll}1-B`);
  // The plain roll takes no notice of the others.
  expect(nextMarkIn(marked(['1-A', `${roll}9-B`]).state)).toBe('1-B');
});

test('two hundred phones have two hundred rolls', () => {
  const { state } = marked([]);
  const rolls = Array.from({ length: 200 }, (_, n) => rollOf(state, `device-${n * 7919}-${n}`));
  expect(new Set(rolls).size).toBe(200);
});

test('a mark is asked for until it is on: of a seed fruit that grows, never of one for the kitchen', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
  const fruit = (purpose: 'seed' | 'kitchen', ...looks: ('growing' | 'yellowing')[]): FlowerId => {
    const flower = garden.shut('2026-07-13', plant, 'female');
    garden.work(garden.time('2026-07-14', 5), flower, [], { purpose } as never);
    looks.forEach((result, i) => garden.look(garden.time('2026-07-17', 9 + i), flower, result));
    return flower;
  };
  const missing = (id: FlowerId, whenGrowing: boolean) =>
    markMissing(garden.state.flowers.get(id) as Flower, whenGrowing);
  const growing = fruit('seed', 'growing', 'growing');
  expect([missing(growing, true), missing(growing, false)]).toEqual([true, true]);
  const waiting = fruit('seed');
  expect([missing(waiting, true), missing(waiting, false)]).toEqual([false, true]);
  expect(missing(fruit('kitchen', 'growing'), true)).toBe(false);
  expect(missing(fruit('seed', 'growing', 'yellowing'), true)).toBe(false);
  garden.write(garden.time('2026-07-18', 9), { kind: 'marked', flower: growing, mark: '1-A' });
  expect(missing(growing, true)).toBe(false);
});
