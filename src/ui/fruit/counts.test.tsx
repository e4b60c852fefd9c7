import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { countsDue } from '@core/fruitset';
import type { CropId } from '@core/crops';
import type { PlantId } from '@core/ids';
import { TestGarden } from '@core/testGarden';
import { gardenOf, renderIn } from '../testing';
import { CountRow } from './CountRow';
import { CountSheet } from './CountSheet';

const NOW = '2026-07-20';

/** A stand for the kitchen, in the garden of a screen. */
async function standOf(crop: CropId, name: string, write: (garden: TestGarden, plant: PlantId) => void) {
  const garden = new TestGarden();
  const { plants } = garden.plant(crop, name, 2, { reason: 'fruit' });
  write(garden, plants[0] as PlantId);
  const store = await gardenOf(garden.events, garden.time(NOW, 9));
  const groups = () => [...store.ledger.state.stands.values()].flatMap((stand) => stand.groups);
  return { garden, store, groups };
}
const type = (label: string, text: string) => fireEvent.changeText(screen.getByLabelText(label), text);

describe('flowers counted together', () => {
  test('are kept once it is said how they were worked, how many, and how many set', async () => {
    const { store, groups } = await standOf('strawberry', 'Sluice Red', () => undefined);
    renderIn(store, <CountSheet onClose={() => undefined} />);
    fireEvent.press(screen.getByText('Keep the count'));
    type('Flowers, about', '40');
    type('Of these set', '31');
    fireEvent.press(screen.getByText('Keep the count'));
    expect(await screen.findByText('Say how they came to their pollen')).toBeTruthy();
    expect(groups()).toEqual([]);
    fireEvent.press(screen.getByText('left to insects'));
    fireEvent.press(screen.getByText('Keep the count'));
    await waitFor(() =>
      expect(groups()).toMatchObject([{ how: 'insects', worked: 40, set: 31, bent: null, plant: null }]),
    );
  });

  test('days that run backwards, or lie ahead, are told', async () => {
    const { store } = await standOf('strawberry', 'Sluice Red', () => undefined);
    renderIn(store, <CountSheet onClose={() => undefined} />);
    type('Open from (day)', '2026-07-19');
    type('To (day)', '2026-07-18');
    expect(await screen.findByText('That is before the first day')).toBeTruthy();
    type('To (day)', '2026-07-21');
    expect(screen.getByText('That day is still to come.')).toBeTruthy();
  });

  test('more cannot set than were worked, nor be bent than set', async () => {
    const { store, groups } = await standOf('strawberry', 'Sluice Red', () => undefined);
    renderIn(store, <CountSheet onClose={() => undefined} />);
    fireEvent.press(screen.getByText('left to insects'));
    type('Flowers, about', '10');
    type('Of these set', '12');
    fireEvent.press(screen.getByText('Keep the count'));
    expect(await screen.findByText('That is more than there were')).toBeTruthy();
    // The other field puts it right as well.
    type('Flowers, about', '20');
    await waitFor(() => expect(screen.queryByText('That is more than there were') === null).toBe(true));
    type('Of those bent or small (may be left out)', '13');
    fireEvent.press(screen.getByText('Keep the count'));
    expect(await screen.findByText('That is more than set')).toBeTruthy();
    expect(groups()).toEqual([]);
  });
});

test('tallied flowers are asked about once they tell, and all of them may grow', async () => {
  const { garden, store, groups } = await standOf('tomato', 'Lock Keeper', (made, plant) =>
    made.write(made.time('2026-07-08', 11), {
      kind: 'tallied',
      plant,
      tool: 'vibration',
      flowers: 9,
      truss: 2,
    }),
  );
  const [due] = countsDue(garden.state, garden.place.zone, NOW);
  if (!due) throw new Error('nothing is due');
  renderIn(store, <CountRow due={due} />);
  expect(screen.getByText(/^About 9 flowers worked/)).toBeTruthy();
  fireEvent.press(screen.getByText('All of them grow'));
  fireEvent.press(screen.getByText('Keep the count'));
  await waitFor(() => expect(groups()).toMatchObject([{ worked: 9, set: 9, bent: null, how: 'vibration' }]));
});
