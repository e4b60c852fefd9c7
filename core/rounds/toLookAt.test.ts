import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { closuresDue, loopsDue } from '../purity';
import { addDays } from '../time';
import { looksDue, marksMissing, toLookAt } from '.';

/** A marked fruit, one without its mark, and a plant of tallied flowers, all worked on the fifth. */
function garden() {
  const made = new TestGarden();
  const [a, b] = made.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
  for (const [plant, mark] of [
    [a, '1-A'],
    [b, null],
  ] as const) {
    const flower = made.shut('2026-07-05', plant, 'female');
    made.check(made.time('2026-07-06', 5), flower, 'whole');
    made.work(made.time('2026-07-06', 5, 10), flower, []);
    if (mark) made.write(made.time('2026-07-06', 5, 11), { kind: 'marked', flower, mark });
  }
  return made;
}

test('every fruit once, on every day of its first six weeks, and none that nobody is owed', () => {
  const { state, place } = garden();
  for (let i = 0; i < 42; i++) {
    const today = addDays('2026-07-06', i);
    const { owed, counts, shut, unmarked, loops, rogues, early, total } = toLookAt(state, place.zone, today);
    const owedNow = new Set(owed.map(({ flower }) => flower.id));
    expect([...unmarked, ...loops].filter(({ flower }) => owedNow.has(flower.id))).toEqual([]);
    const flowers = owed.length + counts.length + shut.length + unmarked.length + loops.length;
    expect(total).toBe(flowers + rogues.length);
    expect(early).toEqual([]);
    // Nothing gets lost on the way: what is owed, without a mark or on a loop is on the list somewhere.
    const listed = new Set([...owed, ...unmarked, ...loops, ...shut].map(({ flower }) => flower.id));
    for (const { flower } of [
      ...looksDue(state, place.zone, today),
      ...marksMissing(state),
      ...loopsDue(state, place.zone, today),
      ...closuresDue(state, place.zone, today),
    ])
      expect(listed.has(flower.id)).toBe(true);
  }
});

test('the closures of yesterday come first, the looks a week on', () => {
  const { state, place } = garden();
  const on = (today: string) => toLookAt(state, place.zone, today);
  expect(on('2026-07-07').shut).toHaveLength(2);
  expect(on('2026-07-07').unmarked).toHaveLength(1);
  expect(on('2026-07-13').owed.length).toBeGreaterThan(0);
});
