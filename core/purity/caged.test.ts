import type { FlowerId, PlantId } from '../ids';
import type { Draft, Flower } from '../ledger';
import { TestGarden } from '../testGarden';
import { gradeProof, proofOf } from '.';

const SHUT_ON = '2026-07-10';

/** Squash for seed under a cage that was shut on 10 July. */
function cage(more: Partial<Extract<Draft, { kind: 'shelterSet' }>> = {}) {
  const garden = new TestGarden();
  const [plant, other] = garden.plant('squash-pepo', 'Low Lantern', 2).plants as [PlantId, PlantId];
  garden.write(garden.time(SHUT_ON, 7), {
    kind: 'shelterSet',
    bed: garden.growing(plant).bed.id,
    shelter: 'cage',
    insects: 'put-in',
    lampHours: null,
    from: SHUT_ON,
    to: null,
    ...more,
  });
  return { garden, plant, other };
}
const picked = (garden: TestGarden, flower: FlowerId) =>
  garden.write(garden.time('2026-09-01', 9), {
    kind: 'harvested',
    flower,
    harvestFor: 'seed',
    weightG: null,
  });
const proven = (garden: TestGarden, id: FlowerId) => {
  const chain = proofOf(garden.state.flowers.get(id) as Flower, garden.state, '2026-09-02', null);
  return { ...gradeProof(chain), says: chain.links.map(({ says }) => says) };
};
const seen = (garden: TestGarden, plant: PlantId, date: string, stage: 'coloured' | 'open') =>
  garden.see(garden.time(date, 9), plant, 'female', stage);

test('one variety in a cage with bees of its own: a fruit of a flower that opened in there is sound, worked by nobody', () => {
  const { garden, plant } = cage();
  const flower = seen(garden, plant, '2026-07-14', 'open');
  picked(garden, flower);
  const { grade, says } = proven(garden, flower);
  expect(grade).toBe('sound');
  expect(new Set(says)).toEqual(new Set(['bees-put-in']));
});

test('a flower that stood open on the day the cage was shut is not proven by it; a bud seen that day is', () => {
  const { garden, plant } = cage();
  const open = seen(garden, plant, SHUT_ON, 'open');
  const bud = seen(garden, plant, SHUT_ON, 'coloured');
  for (const flower of [open, bud]) picked(garden, flower);
  expect(proven(garden, open).grade).toBe('distance-only');
  expect(proven(garden, bud).grade).toBe('sound');
});

test('worked by hand where insects are kept out it is proven by the cage too, and its mark still counts', () => {
  const { garden, plant, other } = cage({ insects: 'out' });
  const male = garden.see(garden.time('2026-07-14', 6), other, 'male', 'open');
  const flower = seen(garden, plant, '2026-07-14', 'open');
  garden.work(garden.time('2026-07-14', 9, 5), flower, [male], { clean: true, shutAgain: null } as never);
  garden.write(garden.time('2026-07-14', 9, 6), { kind: 'marked', flower, mark: '1-A' });
  picked(garden, flower);
  expect(proven(garden, flower)).toMatchObject({ grade: 'fair', weakest: 'mark-read' });
});

test('through a mesh wider than 1 mm small bees come: such a cage proves nothing', () => {
  const wide = cage({ mesh: 'wide' });
  const flower = seen(wide.garden, wide.plant, '2026-07-14', 'open');
  picked(wide.garden, flower);
  expect(proven(wide.garden, flower).grade).toBe('distance-only');
});
