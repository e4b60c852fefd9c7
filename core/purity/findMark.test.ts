import fc from 'fast-check';
import type { FlowerId, PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { doubleMarks, findMark, markAt, markCandidates, marksBeginning, nearestMarks } from '.';

const DAWN = '2026-07-14';

/** Fruits that carry these marks, in the order of their nodes. */
function marked(...marks: readonly string[]) {
  const garden = new TestGarden();
  const [plant, other] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
  const fruits = marks.map((mark, i): FlowerId => {
    const flower = garden.see(garden.time('2026-07-13', 19), plant, 'female', 'coloured', 10 + i);
    garden.work(garden.time(DAWN, 5), flower, []);
    garden.write(garden.time(DAWN, 6), { kind: 'marked', flower, mark });
    return flower;
  });
  return { garden, plant, other, fruits };
}

test('a fruit is found by its mark of today, of old or of one’s own making, however it is written', () => {
  const { garden, fruits } = marked(markAt(0), '1-A', 'red wool');
  for (const [text, fruit] of [
    ['f2 y', 0],
    ['F2Y', 0],
    ['1a', 1],
    ['Red Wool', 2],
  ] as const)
    expect(findMark(garden.state, text)).toMatchObject({
      kind: 'found',
      fruits: [{ flower: fruits[fruit], still: true }],
    });
});

test('an old mark of a fruit that was marked again is found, and no longer worn; what hangs twice is two fruits', () => {
  const { garden, fruits } = marked(markAt(0), markAt(1));
  const [one, two] = fruits as [FlowerId, FlowerId];
  garden.write(garden.time('2026-07-20', 9), { kind: 'markLost', flower: one });
  garden.write(garden.time('2026-07-20', 9), { kind: 'marked', flower: one, mark: markAt(2) });
  expect(findMark(garden.state, markAt(0))).toMatchObject({ fruits: [{ flower: one, still: false }] });
  expect(doubleMarks(garden.state)).toEqual([]);
  garden.write(garden.time('2026-07-21', 9), { kind: 'marked', flower: two, mark: markAt(2) });
  expect(findMark(garden.state, markAt(2))).toMatchObject({
    kind: 'found',
    fruits: [{ flower: one }, { flower: two }],
  });
  expect(doubleMarks(garden.state)).toEqual([{ mark: markAt(2), flowers: [one, two] }]);
});

test('one wrong character, two swapped, one left out: the true mark is among the nearest', () => {
  const marks = Array.from({ length: 12 }, (_, i) => markAt(i * 97));
  const { garden } = marked(...marks);
  fc.assert(
    fc.property(fc.constantFrom(...marks), fc.nat(3), fc.constantFrom(...'23F8XYK'), (mark, at, other) => {
      const bare = mark.replace('-', '');
      const i = at % bare.length;
      const wrong = bare.slice(0, i) + other + bare.slice(i + 1);
      if (wrong === bare) return;
      const found = findMark(garden.state, wrong);
      expect(found.kind).toBe('wrong');
      expect(nearestMarks(garden.state, wrong, 12).map((each) => each.mark)).toContain(mark);
    }),
  );
  expect(findMark(garden.state, markAt(2000))).toMatchObject({ kind: 'unknown', mark: markAt(2000) });
  expect(findMark(garden.state, 'O0')).toMatchObject({ kind: 'wrong', check: false, stray: ['O', '0'] });
  expect(marksBeginning(garden.state, 'F2').map(({ mark }) => mark)).toEqual([markAt(0)]);
  expect([nearestMarks(garden.state, ''), marksBeginning(garden.state, '-')]).toEqual([[], []]);
});

test('of fruits that one without a mark may be, plant, node, day and size tell the likeliest', () => {
  const { garden, plant, other, fruits } = marked(markAt(0), markAt(1), markAt(2));
  const [first, second, third] = fruits as [FlowerId, FlowerId, FlowerId];
  const later = garden.see(garden.time('2026-07-20', 19), other, 'female', 'coloured', 12);
  garden.work(garden.time('2026-07-21', 5), later, []);
  garden.write(garden.time('2026-07-24', 9), {
    kind: 'lookedAt',
    flower: first,
    result: 'growing',
    sizeMm: 60,
  });
  garden.write(garden.time('2026-07-24', 9), {
    kind: 'lookedAt',
    flower: second,
    result: 'growing',
    sizeMm: 150,
    markRead: true,
  });
  const nothing = { plant: null, node: null, workedOn: null, sizeMm: null };
  const ask = (seen: Partial<Parameters<typeof markCandidates>[1]>) =>
    markCandidates(garden.state, { ...nothing, ...seen }, garden.place.zone);
  expect(ask({})).toHaveLength(4);
  expect(ask({ plant, node: 12 })[0]).toMatchObject({ flower: third, reasons: ['plant', 'node'] });
  expect(ask({ plant }).some(({ flower }) => flower === later)).toBe(false);
  expect(ask({ workedOn: '2026-07-21' })[0]).toMatchObject({ flower: later, mark: null });
  expect(ask({ plant, sizeMm: 80 })[0]).toMatchObject({ flower: first, reasons: ['plant', 'size'] });
  expect(ask({ sizeMm: 80 }).at(-1)).toMatchObject({ flower: second, reasons: ['was-larger', 'mark-read'] });
  garden.write(garden.time('2026-07-25', 9), { kind: 'lost', flower: first, cause: 'knocked-off' });
  expect(ask({ plant }).some(({ flower }) => flower === first)).toBe(false);
});
