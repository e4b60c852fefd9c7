import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { loopsDue, markAt } from '.';

function marked() {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1, { reason: 'seed' }).plants as [PlantId];
  const female = garden.shut('2026-07-13', plant, 'female');
  garden.work(garden.time('2026-07-14', 5), female, []);
  garden.write(garden.time('2026-07-14', 5, 2), { kind: 'marked', flower: female, mark: markAt(0) });
  const due = (date: string) => loopsDue(garden.state, garden.place.zone, date).map(({ days }) => days);
  const look = (date: string, more: { markRead?: boolean; result?: 'growing' | 'yellowing' } = {}) =>
    garden.write(garden.time(date, 9), {
      kind: 'lookedAt',
      flower: female,
      result: 'growing',
      sizeMm: null,
      ...more,
    });
  return { garden, female, due, look };
}

test('an ear of corn has no loop to loosen', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('corn', 'Weir Copper', 1, { reason: 'seed' }).plants as [PlantId];
  const ear = garden.shut('2026-07-13', plant, 'female', 'shoot-bag');
  garden.work(garden.time('2026-07-14', 8), ear, []);
  garden.write(garden.time('2026-07-14', 8, 2), { kind: 'marked', flower: ear, mark: markAt(0) });
  expect(loopsDue(garden.state, garden.place.zone, '2026-08-14')).toEqual([]);
});

test('loops come up two and four weeks after marking, until somebody read the mark since', () => {
  const { due, look } = marked();
  expect([due('2026-07-27'), due('2026-07-28'), due('2026-08-05'), due('2026-08-11')]).toEqual([
    [],
    [14],
    [14],
    [28],
  ]);
  // Read too early, or a look at which nobody read it: the stalk grows on.
  look('2026-07-24', { markRead: true });
  look('2026-07-29');
  expect(due('2026-07-30')).toEqual([14]);
  look('2026-07-30', { markRead: true });
  expect([due('2026-07-31'), due('2026-08-12')]).toEqual([[], [28]]);
  look('2026-08-12', { markRead: true });
  expect(due('2026-08-30')).toEqual([]);
});

test('no loop of a fruit that failed, was picked or has lost its mark', () => {
  const failed = marked();
  failed.look('2026-07-20', { result: 'yellowing' });
  expect(failed.due('2026-07-30')).toEqual([]);
  const picked = marked();
  picked.garden.write(picked.garden.time('2026-07-29', 9), {
    kind: 'harvested',
    flower: picked.female,
    harvestFor: 'seed',
    weightG: null,
  });
  expect(picked.due('2026-07-30')).toEqual([]);
  const bare = marked();
  bare.garden.write(bare.garden.time('2026-07-29', 9), { kind: 'markLost', flower: bare.female });
  expect(bare.due('2026-07-30')).toEqual([]);
});
