import { screen } from '@testing-library/react-native';
import type { Draft, Flower } from '@core/ledger';
import type { FlowerId, PlantId } from '@core/ids';
import { TestGarden } from '@core/testGarden';
import { gardenOf, renderIn } from '../testing';
import { FlowerCard } from './FlowerCard';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';

async function shown(
  write: (garden: TestGarden, female: FlowerId, male: FlowerId) => void,
  { reason = 'seed', proof }: { reason?: 'seed' | 'fruit'; proof?: string } = {},
) {
  const garden = new TestGarden();
  const { plants } = garden.plant('squash-maxima', 'Slate Dome', 2, { reason });
  if (proof) garden.school('proof', proof);
  const [one, two] = plants as [PlantId, PlantId];
  const male = garden.shut(EVENING, two, 'male');
  garden.check(garden.time(DAWN, 5, 20), male, 'whole');
  const female = garden.see(garden.time(EVENING, 18), one, 'female', 'coloured', 7);
  write(garden, female, male);
  renderIn(
    await gardenOf(garden.events, garden.time(DAWN, 9)),
    <FlowerCard flower={garden.state.flowers.get(female) as Flower} growing={garden.growing(one)} />,
  );
}
const shut = (garden: TestGarden, flower: FlowerId, hour = 19) =>
  garden.write(garden.time(EVENING, hour), { kind: 'flowerShut', flower, closure: 'tape' });

test('a flower with every link seen is fit for seed, and nothing is said to be missing', async () => {
  await shown((garden, female, male) => {
    shut(garden, female);
    garden.check(garden.time(DAWN, 5, 30), female, 'whole');
    garden.work(garden.time(DAWN, 5, 33), female, [male], { beeIn: false } as Partial<Draft>);
  });
  expect(screen.getByText('fit for seed')).toBeTruthy();
  expect(screen.queryByText(/not noted|nobody noted/)).toBeNull();
});

test('what nobody said is named, and spoils nothing', async () => {
  await shown((garden, female, male) => {
    shut(garden, female);
    garden.write(garden.time(DAWN, 5, 33), {
      kind: 'pollinated',
      flower: female,
      fathers: [{ plant: garden.state.flowers.get(male)?.plant as PlantId, males: 1, flowers: [male] }],
      purpose: 'seed',
    });
  });
  expect(screen.getByText('seed: not all recorded')).toBeTruthy();
  expect(
    screen.getByText(
      'nobody noted how the closure was found; bees while it was worked: not noted; shut again afterwards: not noted.',
    ),
  ).toBeTruthy();
});

test('a broken link is named alone: what else is missing does not matter any more', async () => {
  await shown((garden, female) => {
    shut(garden, female);
    garden.check(garden.time(DAWN, 5, 30), female, 'torn');
  });
  expect(screen.getByText('not for seed')).toBeTruthy();
  expect(screen.getByText('closure found torn.')).toBeTruthy();
});

test('worked as it opened, then tied: the school of proof decides, the facts stay', async () => {
  const open = (garden: TestGarden, flower: FlowerId, male: FlowerId) => {
    garden.write(garden.time(DAWN, 5, 25), {
      kind: 'flowerSeen',
      flower,
      plant: garden.state.flowers.get(flower)?.plant as PlantId,
      sex: 'female',
      stage: 'open',
      node: 7,
    });
    garden.work(garden.time(DAWN, 5, 33), flower, [male], { beeIn: false } as Partial<Draft>);
  };
  await shown(open);
  expect(screen.getByText('not shut before it opened.')).toBeTruthy();
  screen.unmount();
  await shown(open, { proof: 'practical' });
  expect(screen.getByText('fit for seed')).toBeTruthy();
});

test('of a flower grown for the kitchen nobody asks whether it is fit for seed', async () => {
  await shown((garden, female) => shut(garden, female), { reason: 'fruit' });
  expect(screen.queryByText(/fit for seed|not for seed|seed: /)).toBeNull();
});
