import type { BedId, FlowerId, PlantId, StandId } from '../ids';
import { TestGarden } from '../testGarden';
import { chainTable, fruitProof } from '.';

const TODAY = '2026-07-20';

/** A squash for seed in a closed house, worked with a male of its neighbour in there; nothing was shut. */
function house() {
  const garden = new TestGarden();
  const roof = (stand: StandId) =>
    garden.write(garden.time('2026-06-01', 9), {
      kind: 'shelterSet',
      bed: garden.state.stands.get(stand)?.bed as BedId,
      shelter: 'closed-house',
      insects: 'out',
      lampHours: null,
      from: '2026-06-01',
      to: null,
    });
  const { stand, plants } = garden.plant('squash-maxima', 'Slate Dome', 2);
  roof(stand);
  const [mother, father] = plants as [PlantId, PlantId];
  const male = garden.see(garden.time('2026-07-06', 5), father, 'male', 'open');
  const female = garden.see(garden.time('2026-07-06', 5), mother, 'female', 'open');
  garden.work(garden.time('2026-07-06', 6), female, [male], { beeIn: false, clean: true } as never);
  const before = () => fruitProof(garden.state, garden.state.flowers.get(female as FlowerId) as never, TODAY);
  const shut = () => before().chain.links.find(({ link }) => link === 'shut-before');
  return { garden, roof, shut };
}

test('under a roof that it has to itself a fruit needs no cover, until it is known that another variety stood there too', () => {
  const { garden, roof, shut } = house();
  expect(shut()).toMatchObject({ state: 'seen', says: 'no-insects-here' });
  const other = garden.plant('squash-maxima', 'Tin Lantern', 1);
  expect(shut()).toMatchObject({ state: 'seen', says: 'no-insects-here' });
  roof(other.stand);
  expect(shut()).toMatchObject({ state: 'broken' });
});

test('that the other one was planted becomes known last, from another phone', () => {
  const { garden, roof, shut } = house();
  const other = garden.plant('squash-maxima', 'Tin Lantern', 0);
  roof(other.stand);
  expect(shut()).toMatchObject({ state: 'seen' });
  garden.write(garden.time('2026-07-07', 9), {
    kind: 'plantAdded',
    plant: 'plant:01KS22Y8C047C4FEZDQK8Y1000' as PlantId,
    stand: other.stand,
    label: '1',
    xM: 1,
    yM: 6,
    plantedOn: '2026-05-20',
  });
  expect(shut()).toMatchObject({ state: 'broken' });
});

test('side by side each link stands in its own column; one that does not apply to a fruit has no state there', () => {
  const whole = { link: 'whole', state: 'seen' } as const;
  const read = { link: 'mark-read', state: 'broken' } as const;
  const anthers = { link: 'anthers-out', state: 'not-recorded' } as const;
  expect(chainTable([{ links: [whole, read] }, { links: [read] }, { links: [whole, anthers] }])).toEqual({
    links: ['whole', 'anthers-out', 'mark-read'],
    rows: [
      ['seen', null, 'broken'],
      [null, null, 'broken'],
      ['seen', 'not-recorded', null],
    ],
  });
});
