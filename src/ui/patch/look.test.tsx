import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { FlowerId, PlantId } from '@core/ids';
import { eventsOf, type Flower } from '@core/ledger';
import { TestGarden } from '@core/testGarden';
import type { LedgerStore } from '@/data/store';
import { TablesCard } from '../settings/TablesCard';
import { gardenOf, renderIn } from '../testing';
import { FlowerCard } from './FlowerCard';

const DAY = '2026-07-09';

/** A female of a courgette: open, and whatever was done with it. */
function female(write: (garden: TestGarden, flower: FlowerId) => void = () => undefined) {
  const garden = new TestGarden();
  const [plant] = garden.plant('squash-pepo', 'Low Lantern', 1, { reason: 'fruit' }).plants as [PlantId];
  const flower = garden.see(garden.time('2026-07-01', 7), plant, 'female', 'open', 5);
  write(garden, flower);
  const own = new Set(garden.events.map(({ id }) => id));
  return {
    garden,
    card: <FlowerCard flower={garden.state.flowers.get(flower) as Flower} growing={garden.growing(plant)} />,
    store: () => gardenOf(garden.events, garden.time(DAY, 9)),
    news: (store: LedgerStore) => eventsOf(store.ledger.state).filter(({ id }) => !own.has(id)),
  };
}

const worked = (garden: TestGarden, flower: FlowerId) =>
  garden.write(garden.time('2026-07-01', 7, 5), {
    kind: 'pollinated',
    flower,
    fathers: [],
    purpose: 'kitchen',
  });

test('an open female can be left to the insects on purpose, and is followed like one that was worked', async () => {
  const { card, store, news } = female();
  const open = await store();
  renderIn(open, card);
  fireEvent.press(screen.getByText('Left to the insects'));
  await waitFor(() => expect(news(open)).toMatchObject([{ kind: 'leftOpen' }]));
});

test('one left is asked how it is, by the day since it was left', async () => {
  const { card, store } = female((garden, flower) =>
    garden.write(garden.time('2026-07-01', 7, 5), { kind: 'leftOpen', flower }),
  );
  renderIn(await store(), card);
  expect(screen.getByText('How is it now, day 8?')).toBeTruthy();
  expect(screen.getByText('Left to the insects on purpose')).toBeTruthy();
  expect(screen.queryByText('Pollinated now, for the kitchen')).toBeNull();
});

test('a size is written with the look it was said for, and with no other', async () => {
  const { card, store, news } = female(worked);
  const open = await store();
  renderIn(open, card);
  fireEvent.press(screen.getByText('Say its size first'));
  fireEvent.press(screen.getByText('apple'));
  fireEvent.press(screen.getByText('growing'));
  await waitFor(() => expect(news(open)).toHaveLength(1));
  fireEvent.press(screen.getByText('growing'));
  await waitFor(() => expect(news(open)).toHaveLength(2));
  expect(new Set(news(open).map((event) => (event as { sizeMm?: unknown }).sizeMm))).toEqual(
    new Set([75, null]),
  );
});

test('yellow is no loss before somebody says why', async () => {
  const { card, store, news } = female(worked);
  const open = await store();
  renderIn(open, card);
  fireEvent.press(screen.getByText('yellowing'));
  expect(news(open)).toEqual([]);
  fireEvent.press(screen.getByText('heat'));
  await waitFor(() =>
    expect(
      news(open)
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual(['lookedAt', 'lost']),
  );
});

test('the tables wait behind one key; each says what it is', async () => {
  const { store } = female();
  renderIn(await store(), <TablesCard />);
  expect(screen.queryByText('Trials')).toBeNull();
  fireEvent.press(screen.getByText('As tables (CSV)'));
  for (const name of ['Entries', 'Fruits followed', 'Weather', 'What the columns mean'])
    expect(screen.getByLabelText(`${name} as a table (CSV)`)).toBeTruthy();
});
