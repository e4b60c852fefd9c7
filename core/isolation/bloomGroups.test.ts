import fc from 'fast-check';
import type { CropId } from '../crops';
import { TestGarden } from '../testGarden';
import { shuffled } from '../testing';
import { bloomGroups } from '.';

/** Crops planted in some order: the groups by name, each sorted. */
function groupsOf(crops: readonly CropId[], nextDoor: readonly CropId[] = []): string[] {
  const garden = new TestGarden();
  for (const crop of crops) garden.plant(crop, `own ${crop}`, 2, { reason: 'seed' });
  for (const crop of nextDoor) garden.nextDoor({ crop });
  return bloomGroups(garden.state)
    .map(({ rows }) =>
      rows
        .map(({ kind, own }) => `${own ? '' : 'next door '}${kind.crop}`)
        .sort()
        .join(' + '),
    )
    .sort();
}

// Argyrosperma crosses with moschata now and then, moschata with maxima rarely, argyrosperma with maxima never (general texts, from memory).
test('what is joined by a third stands in one group, in whatever order it was planted', () => {
  const squash: readonly CropId[] = ['squash-maxima', 'squash-moschata', 'squash-argyrosperma'];
  const one = ['squash-argyrosperma + squash-maxima + squash-moschata'];
  for (let seed = 0; seed < 8; seed++) expect(groupsOf(shuffled(squash, seed))).toEqual(one);
});

const CROPS: readonly CropId[] = [
  'squash-maxima',
  'squash-moschata',
  'squash-argyrosperma',
  'squash-pepo',
  'corn',
  'melon',
  'cucumber',
];

test('the groups are the same whatever was planted first', () => {
  fc.assert(
    fc.property(fc.subarray([...CROPS, ...CROPS]), fc.subarray([...CROPS]), fc.nat(), (own, others, seed) => {
      expect(groupsOf(shuffled(own, seed), shuffled(others, seed))).toEqual(groupsOf(own, others));
    }),
  );
});

test('what only crosses next door is left out, and so is what stands alone', () => {
  expect(groupsOf(['squash-maxima', 'corn'], ['melon', 'melon'])).toEqual([]);
  expect(groupsOf(['melon'], ['melon', 'corn'])).toEqual(['melon + next door melon']);
});

test('days in common are those with what it could cross with itself, and not with its own variety', () => {
  const garden = new TestGarden();
  for (const crop of ['squash-maxima', 'squash-moschata', 'squash-argyrosperma'] as const)
    garden.plant(crop, crop, 1, { reason: 'seed' });
  const days = (from: string, to: string) => ({ bloomFrom: from, bloomTo: to, knownBy: 'seen' as const });
  garden.nextDoor({ crop: 'squash-argyrosperma', ...days('2026-05-01', '2026-05-10') });
  const [group] = bloomGroups(garden.state);
  const both = (crop: string) => group?.rows.find(({ kind, own }) => own && kind.crop === crop)?.both ?? null;
  expect(group?.rows).toHaveLength(4);
  // Argyrosperma and moschata flower together in summer; maxima has moschata alone.
  expect(both('squash-argyrosperma')).not.toBeNull();
  expect(both('squash-maxima')?.from).toBe(
    group?.rows.find(({ kind }) => kind.crop === 'squash-maxima')?.bloom?.from,
  );
  garden.plant('melon', 'Quiet Bell', 1, { reason: 'seed' });
  garden.plant('melon', 'Quiet Bell', 1, { reason: 'seed' });
  const melons = bloomGroups(garden.state).find(({ rows }) => rows[0]?.kind.crop === 'melon');
  expect(melons?.rows.map((row) => row.both)).toEqual([null, null]);
});
