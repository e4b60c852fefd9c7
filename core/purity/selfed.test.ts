import type { PlantId } from '../ids';
import type { Flower } from '../ledger';
import { TestGarden } from '../testGarden';
import { gradeProof, proofOf } from '.';

const DAWN = '2026-07-14';

/** A cross, or seed of a melon with anthers of its own; her anthers out while she was shut, once she stood open, or nobody said. */
function fruit(anthers: 'in time' | 'late' | null, reason: 'cross' | 'seed' = 'cross', selfing = 'never') {
  const garden = new TestGarden();
  garden.school('selfing', selfing);
  const [mother, father] = garden.plant('melon', 'Quiet Bell', 2, { reason, system: 'andromonoecious' })
    .plants as [PlantId, PlantId];
  const female = garden.shut('2026-07-13', mother, 'female', 'mesh-bag');
  const male = garden.shut('2026-07-13', father, 'male', 'mesh-bag');
  if (anthers === 'in time')
    garden.write(garden.time('2026-07-13', 19, 30), { kind: 'emasculated', flower: female });
  for (const flower of [male, female]) garden.check(garden.time(DAWN, 7), flower, 'whole');
  if (anthers === 'late') {
    garden.write(garden.time(DAWN, 8), {
      kind: 'flowerSeen',
      flower: female,
      plant: mother,
      sex: 'female',
      stage: 'open',
      node: null,
    });
    garden.write(garden.time(DAWN, 8, 1), { kind: 'emasculated', flower: female });
  }
  garden.work(garden.time(DAWN, 8, 5), female, [male], { beeIn: false, clean: true } as never);
  garden.write(garden.time(DAWN, 8, 6), { kind: 'marked', flower: female, mark: '1-A' });
  garden.check(garden.time('2026-07-15', 8), female, 'whole');
  garden.write(garden.time('2026-07-24', 8), {
    kind: 'lookedAt',
    flower: female,
    result: 'growing',
    sizeMm: null,
    markRead: true,
  });
  const flower = garden.state.flowers.get(female) as Flower;
  return gradeProof(proofOf(flower, garden.state, '2026-08-01', null));
}

test('anthers out in time: a proven cross; never said: fair at best; out of an open flower: hardly a cross at all', () => {
  const [inTime, unsaid, late] = [fruit('in time'), fruit(null), fruit('late')];
  expect([inTime.grade, unsaid.grade, late.grade]).toEqual(['sound', 'fair', 'distance-only']);
  expect([inTime.cross, unsaid.cross, late.cross]).toEqual([true, false, false]);
  const likely = [inTime, unsaid, late].map(({ selfedShare }) => selfedShare?.likely ?? 0);
  expect(likely).toEqual([...likely].sort((a, b) => a - b));
  for (const { selfedShare } of [inTime, unsaid, late])
    expect(selfedShare?.low).toBeLessThan(selfedShare?.high ?? 0);
});

test('her own pollen is no foreign pollen: the share of foreign fathers stays what it is', () => {
  expect(fruit(null).foreignShare).toEqual(fruit('in time').foreignShare);
  expect(fruit('late').foreignShare).toEqual(fruit('in time').foreignShare);
});

test('where a plant may self nothing is asked of her anthers; where seed of her own pollen is unwanted it is no cross either', () => {
  expect(fruit(null, 'seed', 'allowed')).toMatchObject({ grade: 'sound', selfedShare: null, cross: null });
  const unwanted = fruit(null, 'seed');
  expect(unwanted).toMatchObject({ grade: 'good', cross: null });
  expect(unwanted.selfedShare).not.toBeNull();
});
