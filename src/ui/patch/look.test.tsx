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

test('yellowing, and the sheet of causes closed: the look is kept, its cause stays open', async () => {
  const { card, store, news } = female(worked);
  const open = await store();
  renderIn(open, card);
  fireEvent.press(screen.getByText('yellowing'));
  fireEvent.press(screen.getByText('Close'));
  await waitFor(() => expect(news(open)).toMatchObject([{ kind: 'lookedAt', result: 'yellowing' }]));
});

test('picked for seed on day 8 it is asked whether that can be ripe; in time nobody asks', async () => {
  const seed = (today: string) => {
    const garden = new TestGarden();
    const [plant] = garden.plant('squash-pepo', 'Low Lantern', 1).plants as [PlantId];
    const flower = garden.shut('2026-06-30', plant, 'female');
    garden.work(garden.time('2026-07-01', 7, 5), flower, []);
    const own = new Set(garden.events.map(({ id }) => id));
    return {
      open: gardenOf(garden.events, garden.time(today, 9)),
      card: (
        <FlowerCard flower={garden.state.flowers.get(flower) as Flower} growing={garden.growing(plant)} />
      ),
      news: (store: LedgerStore) => eventsOf(store.ledger.state).filter(({ id }) => !own.has(id)),
    };
  };
  const early = seed(DAY);
  const store = await early.open;
  renderIn(store, early.card);
  fireEvent.press(screen.getByText('Harvested for seed'));
  expect(
    screen.getByText(/^Day 8: by the usual days its seed is ripe in 32 days at the earliest/),
  ).toBeTruthy();
  expect(early.news(store)).toEqual([]);
  fireEvent.press(screen.getByText('It is picked all the same'));
  await waitFor(() => expect(early.news(store)).toMatchObject([{ kind: 'harvested', harvestFor: 'seed' }]));
  screen.unmount();
  const ripe = seed('2026-08-20');
  const later = await ripe.open;
  renderIn(later, ripe.card);
  fireEvent.press(screen.getByText('Harvested for seed'));
  await waitFor(() => expect(ripe.news(later)).toHaveLength(1));
});
