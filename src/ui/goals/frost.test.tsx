import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { goalSum, NO_GOAL } from '@core/goals';
import { TEST_PLACE, TestGarden } from '@core/testGarden';
import { gardenOf, renderIn } from '../testing';
import { FrostCard } from './FrostCard';
import { GoalRow } from './GoalRow';
import { standingSentence, standingWords } from './words';

const shown = async (latitude: number, frostOn?: string) => {
  const garden = new TestGarden({ ...TEST_PLACE, latitude });
  if (frostOn)
    garden.write(garden.time('2026-06-01', 9), { kind: 'frostExpected', patch: garden.patchId, frostOn });
  const store = await gardenOf(garden.events, garden.time('2026-07-10', 9));
  renderIn(store, <FrostCard />);
  return store;
};

test('where nobody has said, it is a question: a guess away from the equator, no word of it nearer', async () => {
  await shown(46.2);
  expect(screen.getByText('When does the first frost usually come here?')).toBeTruthy();
  expect(screen.getByText(/perhaps between .* That is a guess/)).toBeTruthy();
  screen.unmount();
  await shown(10);
  expect(screen.getByText(/The latitude does not tell/)).toBeTruthy();
});

test('said once, it stands aside and is not guessed any more; a day that is none is refused', async () => {
  const store = await shown(46.2);
  const field = screen.getByLabelText('Your own date, in any year');
  fireEvent.changeText(field, '2026-13-40');
  expect(screen.getByText('There is no such day.')).toBeTruthy();
  fireEvent.press(screen.getByText('Keep this frost date'));
  fireEvent.changeText(field, '2026-10-05');
  fireEvent.press(screen.getByText('Keep this frost date'));
  await waitFor(() => expect(store.ledger.state.count).toBe(3));
  expect(await screen.findByText('First frost')).toBeTruthy();
  expect(screen.getByText(/Monday 5 October, as you said/)).toBeTruthy();
});

test('behind with fruit alone, nobody is told to shut anything', () => {
  const garden = new TestGarden();
  const { stand } = garden.plant('strawberry', 'Weir Early', 1, {
    reason: 'fruit',
    goal: { kitchenFruits: 400 },
  });
  const view = garden.state.stands.get(stand) as never;
  const sum = goalSum(garden.state, garden.place, view, '2026-08-10', { perMorning: 0.1 });
  expect(sum && standingSentence(sum)).toMatch(/work every flower that opens, on more plants/);
});

test('a goal whose season is over says what it fell short by, and asks for nothing', () => {
  const garden = new TestGarden();
  const { stand } = garden.plant('squash-maxima', 'Slate Dome', 2, { goal: { kitchenFruits: 4 } });
  garden.write(garden.time('2026-06-01', 9), {
    kind: 'frostExpected',
    patch: garden.patchId,
    frostOn: '10-05',
  });
  const sum = goalSum(garden.state, garden.place, garden.state.stands.get(stand) as never, '2026-10-06');
  expect(sum && [standingWords[sum.standing], standingSentence(sum)]).toEqual([
    'season over',
    'The season is over: 4 fruits short of it.',
  ]);
});

test('a goal that is on record is never called none while its sum is worked out', async () => {
  const garden = new TestGarden();
  const { stand } = garden.plant('squash-maxima', 'Slate Dome', 2);
  const row = async () => {
    const store = await gardenOf(garden.events, garden.time('2026-07-10', 9));
    const { stands, varieties } = store.ledger.state;
    const own = stands.get(stand);
    const variety = own && varieties.get(own.variety);
    if (!variety) throw new Error('no such stand');
    renderIn(store, <GoalRow stand={own} sum={null} onOpen={jest.fn()} />);
  };
  await row();
  expect(screen.getByText(/no goal yet/)).toBeTruthy();
  expect(screen.getByText('Set')).toBeTruthy();
  screen.unmount();
  garden.write(garden.time('2026-06-02', 9), {
    kind: 'goalSet',
    stand,
    goal: { ...NO_GOAL, kitchenFruits: 3 },
  });
  await row();
  expect(screen.queryByText(/no goal yet/)).toBeNull();
  expect(screen.getByText('Open')).toBeTruthy();
});
