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

test('marks go on from the highest of their roll that was ever given out, and leave old and foreign marks alone', () => {
  expect(nextMarkIn(marked([]).state)).toBe('F2-Y');
  expect(nextMarkIn(marked([markAt(0), '1-A', 'red wool']).state)).toBe(markAt(1));
  fc.assert(
    fc.property(fc.nat(5000), (n) => expect(nextMarkIn(marked([markAt(n)]).state)).toBe(markAt(n + 1))),
    { numRuns: 30 },
  );
  // A mark that fell off is not given out again.
  const garden = marked([markAt(0), markAt(1)]);
  const last = [...garden.state.flowers.keys()].at(-1) as FlowerId;
  garden.write(garden.time('2026-07-15', 6), { kind: 'markLost', flower: last });
  expect(nextMarkIn(garden.state)).toBe(markAt(2));
});

test('the phone that began the patch has the short marks; every other a roll of its own', () => {
  const { state } = marked([markAt(0), markAt(1)]);
  expect(rollOf(state, 'test')).toBe('');
  const roll = rollOf(state, 'device-17-99');
  expect(roll).toMatch(/^[2-8][A-Y]..$/);
  expect(nextMarkIn(state, roll)).toBe(markAt(0, roll));
  expect(nextMarkIn(marked([markAt(0), markAt(0, roll)]).state, roll)).toBe(markAt(1, roll));
  // The plain roll takes no notice of the others.
  expect(nextMarkIn(marked([markAt(0), markAt(900, roll)]).state)).toBe(markAt(1));
});

test('thirty phones have thirty rolls', () => {
  const { state } = marked([]);
  const rolls = Array.from({ length: 30 }, (_, n) => rollOf(state, `device-${n * 7919}-${n}`));
  expect(new Set(rolls).size).toBe(30);
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
