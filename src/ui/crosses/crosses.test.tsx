import { fireEvent, screen } from '@testing-library/react-native';
import { crossDay, selfingDay, type CrossStand, type FatherSide, type SelfingPlant } from '@core/crosses';
import type { FlowerId, PlantId } from '@core/ids';
import type { Draft } from '@core/ledger';
import { TestGarden } from '@core/testGarden';
import { FatherChoice } from '../goals/FatherChoice';
import { gardenOf, renderIn } from '../testing';
import { CrossCard } from './CrossCard';
import { FatherCard } from './FatherCard';
import { SelfingCard } from './SelfingCard';

// Where a key leads is for the journeys to test: the router has no page here.
jest.mock('expo-router', () => ({ useRouter: () => ({ navigate: () => undefined }) }));

const DAY = '2026-07-14';

function peppers() {
  const garden = new TestGarden();
  const father = garden.plant('pepper', 'Lock Flame', 1);
  const mother = garden.plant('pepper', 'Tallow Horn', 1, {
    reason: 'cross',
    goal: { seed: { amount: 60, unit: 'seeds' }, fatherVariety: father.variety },
  });
  const [plant] = mother.plants as [PlantId];
  const opened = (date = DAY) => {
    const flower = garden.see(garden.time(date, 9), plant, 'perfect', 'coloured');
    garden.write(garden.time(date, 9, 1), { kind: 'emasculated', flower });
    garden.write(garden.time(date, 9, 2), { kind: 'flowerShut', flower, closure: 'mesh-bag' });
    return flower;
  };
  const bagged = (date: string) => {
    const flower = garden.see(garden.time(date, 9), father.plants[0] as PlantId, 'perfect', 'coloured');
    garden.write(garden.time(date, 9, 5), { kind: 'flowerShut', flower, closure: 'mesh-bag' });
    return flower;
  };
  return { garden, father, mother, opened, bagged };
}

/** The card of the first cross as it stands on a day; what its keys record is kept. */
async function shown(garden: TestGarden, date: string) {
  const saved: Draft[][] = [];
  const cross = crossDay(garden.state, garden.place, date)[0] as CrossStand;
  renderIn(
    await gardenOf(garden.events, garden.time(date, 12)),
    <CrossCard cross={cross} busy={false} onSave={(...drafts) => saved.push(drafts)} />,
  );
  return { saved, cross };
}

test('a visit names all that it records, and says until when it helps', async () => {
  const { garden, opened, bagged } = peppers();
  bagged('2026-07-13');
  const flower = opened();
  const { saved } = await shown(garden, DAY);
  expect(screen.getByText('Tallow Horn × Lock Flame')).toBeTruthy();
  expect(screen.getByText(/0 visits, due now · takes pollen till/)).toBeTruthy();
  fireEvent.press(screen.getByText(/^Both bags whole, dabbed, bagged, clean brush, no bee in, mark /));
  expect(saved[0]?.map(({ kind }) => kind)).toEqual([
    'closureChecked',
    'closureChecked',
    'pollinated',
    'marked',
  ]);
  expect(saved[0]?.[2]).toMatchObject({ flower, tool: 'brush', shutAgain: 'mesh-bag', purpose: 'seed' });
});

test('who can’t say that all went well says how it went, and only that is written', async () => {
  const { garden, opened, bagged } = peppers();
  bagged('2026-07-13');
  const flower = opened();
  const { saved } = await shown(garden, DAY);
  fireEvent.press(screen.getByText('Not quite so'));
  expect(saved).toEqual([]);
  fireEvent.press(screen.getByText('can’t say'));
  expect(saved[0]?.map(({ kind }) => kind)).toEqual(['pollinated', 'marked']);
  expect(saved[0]?.[0]).not.toHaveProperty('clean');
  fireEvent.press(screen.getByText('her bag was torn: left'));
  expect(saved[1]).toEqual([{ kind: 'closureChecked', flower, result: 'torn' }]);
});

test('a mother that dropped writes nothing before the cause is said; one that was spoilt gets no cause', async () => {
  const { garden, opened } = peppers();
  const worked = opened('2026-07-10');
  garden.work(garden.time('2026-07-10', 12), worked, [], { tool: 'brush', shutAgain: 'mesh-bag' });
  const { saved } = await shown(garden, '2026-07-20');
  fireEvent.press(screen.getByText('Dropped'));
  expect(saved).toEqual([]);
  fireEvent.press(screen.getByText('eaten'));
  expect(saved[0]).toMatchObject([
    { kind: 'lookedAt', result: 'gone' },
    { kind: 'lost', cause: 'pest' },
  ]);
});

test('the bag of a spoilt mother comes off without a cause that nobody saw', async () => {
  const { garden, opened } = peppers();
  const torn = opened();
  garden.check(garden.time(DAY, 11), torn, 'torn');
  const { saved } = await shown(garden, DAY);
  expect(screen.getByText(/spoilt: something got to her/)).toBeTruthy();
  fireEvent.press(screen.getByText('Bag off, left'));
  expect(saved[0]).toEqual([{ kind: 'coverOff', flower: torn }]);
});

test('fathers are asked for by name, and those bagged today are listed and wanted no more', async () => {
  const { garden, opened, bagged } = peppers();
  opened();
  const card = async () => {
    const father = crossDay(garden.state, garden.place, DAY)[0]?.father as FatherSide;
    const { unmount } = renderIn(
      await gardenOf(garden.events, garden.time(DAY, 12)),
      <FatherCard father={father} busy={false} onSave={() => undefined} />,
    );
    return unmount;
  };
  const unmount = await card();
  expect(screen.getByText(/^Bag 2 buds of Lock Flame today/)).toBeTruthy();
  unmount();
  bagged(DAY);
  bagged(DAY);
  await card();
  expect(screen.getByText(/^Enough bagged today: 2 buds of Lock Flame/)).toBeTruthy();
  expect(screen.getAllByText(/bagged today: ready tomorrow$/)).toHaveLength(2);
});

test('who can be the father: the possible to choose, the rare with a word, the impossible with the reason', async () => {
  const garden = new TestGarden();
  const mother = garden.plant('squash-moschata', 'Long Halyard', 1, { reason: 'cross' });
  garden.plant('squash-moschata', 'Ferryman', 1);
  garden.plant('squash-pepo', 'Low Lantern', 1);
  garden.plant('melon', 'Quiet Bell', 1);
  const variety = garden.state.varieties.get(mother.variety);
  if (!variety) throw new Error('no variety');
  const chosen: (string | null)[] = [];
  renderIn(
    await gardenOf(garden.events, garden.time(DAY, 12)),
    <FatherChoice variety={variety} chosen={null} onChoose={(father) => chosen.push(father)} />,
  );
  expect(screen.getByText('seldom takes')).toBeTruthy();
  expect(screen.getByText(/^Not possible here: .*never cross/)).toBeTruthy();
  expect(screen.queryByText('Quiet Bell')).toBeNull();
  fireEvent.press(screen.getByText('Ferryman'));
  expect(chosen).toHaveLength(1);
});

test('a truss is shaken inside its bag, and marked with all that belongs to the visit', async () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('tomato', 'Quay Ember', 1).plants as [PlantId];
  const truss = garden.see(garden.time('2026-07-12', 18), plant, 'perfect', 'coloured') as FlowerId;
  garden.write(garden.time('2026-07-12', 18, 1), { kind: 'flowerShut', flower: truss, closure: 'mesh-bag' });
  const saved: Draft[][] = [];
  const card = async () => {
    const each = selfingDay(garden.state, garden.place, DAY)[0] as SelfingPlant;
    return renderIn(
      await gardenOf(garden.events, garden.time(DAY, 12)),
      <SelfingCard plant={each} busy={false} onSave={(...drafts) => saved.push(drafts)} />,
    );
  };
  const { unmount } = await card();
  fireEvent.press(screen.getByText('Bag whole, shaken inside'));
  expect(saved[0]).toMatchObject([
    { kind: 'closureChecked', result: 'whole' },
    { kind: 'pollinated', fathers: [], shutAgain: 'mesh-bag', beeIn: false },
  ]);
  unmount();
  garden.look(garden.time(DAY, 11), truss, 'growing');
  await card();
  fireEvent.press(screen.getByText(/^Bag whole, off, mark .* on, the rest pinched off$/));
  expect(saved[1]?.map(({ kind }) => kind)).toEqual(['closureChecked', 'coverOff', 'marked', 'pinched']);
});
