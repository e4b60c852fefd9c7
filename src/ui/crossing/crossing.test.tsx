import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { isolationOf, type StandIsolation } from '@core/isolation';
import type { StandId } from '@core/ids';
import { eventsOf, type Draft } from '@core/ledger';
import { TestGarden } from '@core/testGarden';
import { gardenOf, renderIn } from '../testing';
import { BloomCard } from './BloomCard';
import { IsolationCard } from './IsolationCard';
import { NeighboursCard } from './NeighboursCard';
import { NeighbourSheet } from './NeighbourSheet';
import { WeightsCard } from './WeightsCard';

const DAY = '2026-07-10';

/** Slate Dome for seed, and plantings next door. */
function patch(crop: 'squash-maxima' | 'corn' = 'squash-maxima') {
  const garden = new TestGarden();
  const { stand, plants } = garden.plant(crop, 'Slate Dome', 4, { reason: 'seed' }) as {
    stand: StandId;
    plants: readonly string[];
  };
  const nextDoor = (said: Partial<Extract<Draft, { kind: 'neighbourNoted' }>>) =>
    garden.nextDoor({ crop, variety: 'Tin Lantern', plants: 2, distanceM: 60, ...said }, garden.time(DAY, 8));
  const answer = () => isolationOf(garden.state, stand, DAY) as StandIsolation;
  const open = () => gardenOf(garden.events, garden.time(DAY, 9));
  return { garden, plants, nextDoor, answer, open };
}

describe('how far is enough', () => {
  test('too near: why, what weighs, and the ways out with the best first', async () => {
    const { nextDoor, answer, open } = patch();
    nextDoor({ between: ['hedge'] });
    renderIn(await open(), <IsolationCard isolation={answer()} />);
    expect(screen.getAllByText('too near')).toHaveLength(2);
    expect(screen.getByText(/^Shut the flowers and work them by hand/)).toBeTruthy();
    expect(screen.queryByText(/a hedge between/)).toBeNull();
    fireEvent.press(screen.getByLabelText('Why Tin Lantern counts so'));
    expect(screen.getByText(/^a hedge between: −15 %/)).toBeTruthy();
    expect(screen.getByText(/Reckoned as a variety you keep going/)).toBeTruthy();
    // Whoever grows squash for seed is warned of the bitter ones.
    expect(screen.getByText(/bitter/i)).toBeTruthy();
  });

  test('nothing near proves nothing: it says to look over the fence', async () => {
    const { answer, open } = patch();
    renderIn(await open(), <IsolationCard isolation={answer()} />);
    expect(screen.getByText(/Look over the fences out to the far end/)).toBeTruthy();
    expect(screen.queryByText('What you can do')).toBeNull();
  });

  test('days apart are said instead of metres that would not do', async () => {
    const { garden, plants, nextDoor, answer, open } = patch('corn');
    garden.see(garden.time('2026-07-20', 8), plants[0] as string, 'female', 'open', 1);
    nextDoor({ bloomFrom: '2026-06-01', bloomTo: '2026-06-20' });
    renderIn(await open(), <IsolationCard isolation={answer()} />);
    expect(screen.getByText('60 m away, and 29 days apart in flower: no pollen meets.')).toBeTruthy();
    expect(screen.getAllByText('far enough')).toHaveLength(2);
  });
});

describe('what grows next door', () => {
  test('nothing is chosen beforehand, and what is missing is named', async () => {
    const { garden, open } = patch();
    const store = await open();
    renderIn(store, <NeighbourSheet neighbour={null} onClose={() => undefined} />);
    fireEvent.press(screen.getByText('Keep it'));
    for (const words of ['Say what grows there', 'Say how you know', /distance must be a number/])
      expect(await screen.findByText(words)).toBeTruthy();
    expect(store.ledger.state.count).toBe(garden.events.length);
  });

  test('a change keeps what was said before; gone, it is listed no longer', async () => {
    const { nextDoor, open } = patch();
    const id = nextDoor({ sprayed: ['2026-06-30'], place: [70, 0] });
    const store = await open();
    const closed: boolean[] = [];
    const { unmount } = renderIn(
      store,
      <NeighbourSheet
        neighbour={store.ledger.state.neighbours.get(id) ?? null}
        onClose={() => closed.push(true)}
      />,
    );
    fireEvent.changeText(screen.getByLabelText('About how many plants (may be left out)'), '7');
    fireEvent.press(screen.getByText('Keep it'));
    await waitFor(() => expect(closed).toEqual([true]));
    expect(store.ledger.state.neighbours.get(id)).toMatchObject({
      plants: 7,
      variety: 'Tin Lantern',
      sprayed: ['2026-06-30'],
      place: [70, 0],
    });
    unmount();
    renderIn(store, <NeighboursCard />);
    fireEvent.press(screen.getByLabelText('Tin Lantern next door is gone'));
    await waitFor(() => expect(screen.queryByText('Tin Lantern')).toBeNull());
    expect(screen.getByText(/^Nothing written down yet/)).toBeTruthy();
  });

  test('spray days are picked one after the other; the last counts though nobody put it to the others', async () => {
    const { nextDoor, open } = patch();
    const id = nextDoor({ sprayed: ['2026-06-30'] });
    const store = await open();
    const closed: boolean[] = [];
    renderIn(
      store,
      <NeighbourSheet
        neighbour={store.ledger.state.neighbours.get(id) ?? null}
        onClose={() => closed.push(true)}
      />,
    );
    fireEvent.changeText(screen.getByLabelText('Sprayed again on'), '2026-06-02');
    fireEvent.press(screen.getByText('And on another day'));
    fireEvent.press(screen.getByText('30 June'));
    fireEvent.changeText(screen.getByLabelText('Sprayed again on'), '2026-05-12');
    fireEvent.press(screen.getByText('Keep it'));
    await waitFor(() => expect(closed).toEqual([true]));
    expect(store.ledger.state.neighbours.get(id)?.sprayed).toEqual(['2026-05-12', '2026-06-02']);
  });
});

test('a weight is changed by a tap, and taken back to what we propose', async () => {
  const { garden, open } = patch();
  const store = await open();
  renderIn(store, <WeightsCard />);
  expect(screen.queryByText(/^a hedge between/)).toBeNull();
  fireEvent.press(screen.getByLabelText('Show what weighs how much'));
  expect(screen.getByText('a hedge between: −15 % of the way to the far end')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('a hedge between: less'));
  await waitFor(() =>
    expect(screen.getByText('a hedge between: −20 % of the way to the far end')).toBeTruthy(),
  );
  fireEvent.press(screen.getByLabelText('a hedge between: as proposed'));
  await waitFor(() =>
    expect(screen.getByText('a hedge between: −15 % of the way to the far end')).toBeTruthy(),
  );
  expect(eventsOf(store.ledger.state).slice(garden.events.length)).toMatchObject([
    { kind: 'weightSet', reason: 'hedge', weight: -0.2 },
    { kind: 'weightSet', reason: 'hedge', weight: null },
  ]);
});

describe('when they flower', () => {
  test('bars by what could cross, with how it is known; days nobody knows are said', async () => {
    const { garden, plants, nextDoor, open } = patch('corn');
    garden.plant('cucumber', 'Pale Reed', 2, { reason: 'fruit' });
    garden.see(garden.time('2026-07-05', 8), plants[0] as string, 'female', 'open', 1);
    nextDoor({ bloomFrom: '2026-08-01', bloomTo: '2026-08-14', knownBy: 'told' });
    nextDoor({ variety: 'Far Row' });
    renderIn(await open(), <BloomCard />);
    expect(screen.getByText(/^Slate Dome: from .*5 July to .*19 July, seen$/)).toBeTruthy();
    expect(screen.getByText(/^Tin Lantern next door: .*as told$/)).toBeTruthy();
    expect(screen.getByText('Far Row next door: nobody knows when')).toBeTruthy();
    expect(screen.getByText('Slate Dome and Tin Lantern next door: 12 days apart.')).toBeTruthy();
    // A cucumber alone has nobody to cross with.
    expect(screen.queryByText(/^Pale Reed/)).toBeNull();
  });
});
