import type { PlantId } from '../ids';
import type { Flower } from '../ledger';
import { TestGarden } from '../testGarden';
import { gradeProof, proofOf } from '.';

/** A bud or truss bagged, shaken inside on two mornings, its bag off and its mark on when fruits stand: as its card writes it. */
function bagged(crop: 'tomato' | 'pepper', found: 'whole' | 'torn' | null, markedOn = '2026-07-24') {
  const garden = new TestGarden();
  const [plant] = garden.plant(crop, 'Quay Ember', 1).plants as [PlantId];
  const flower = garden.shut('2026-07-13', plant, 'perfect', 'mesh-bag', 18);
  for (const day of ['2026-07-14', '2026-07-15']) {
    garden.check(garden.time(day, 11), flower, 'whole');
    garden.write(garden.time(day, 11), {
      kind: 'pollinated',
      flower,
      fathers: [],
      tool: 'vibration',
      purpose: 'seed',
      shutAgain: 'mesh-bag',
      beeIn: false,
    });
  }
  garden.look(garden.time('2026-07-24', 11), flower, 'growing');
  if (found) garden.check(garden.time('2026-07-24', 11, 1), flower, found);
  garden.write(garden.time('2026-07-24', 11, 1), { kind: 'coverOff', flower });
  garden.write(garden.time(markedOn, 11, 2), { kind: 'marked', flower, mark: '1-A' });
  garden.write(garden.time('2026-09-10', 9), {
    kind: 'harvested',
    flower,
    harvestFor: 'seed',
    weightG: null,
    markRead: true,
  });
  const chain = proofOf(garden.state.flowers.get(flower) as Flower, garden.state, '2026-09-11', null);
  return { chain, grade: gradeProof(chain).grade };
}

test('bagged, shaken inside, marked as the bag came off whole: sound, and nothing asked of hands that carried nothing', () => {
  for (const crop of ['tomato', 'pepper'] as const) {
    const { chain, grade } = bagged(crop, 'whole');
    expect(chain.links.filter(({ state }) => state !== 'seen')).toEqual([]);
    expect(chain.links.map(({ link }) => link)).not.toContain('clean');
    expect(grade).toBe('sound');
  }
});

test('how the bag was found when it came off counts, and so does a mark that was put on days later', () => {
  expect(bagged('tomato', null).grade).toBe('good');
  expect(bagged('tomato', 'whole', '2026-07-28').grade).toBe('good');
  // Torn a week after the petals fell: nobody can say when.
  expect(bagged('tomato', 'torn').grade).toBe('good');
});
