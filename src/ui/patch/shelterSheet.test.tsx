import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { TestGarden } from '@core/testGarden';
import type { Bed } from '@core/ledger';
import { gardenOf, renderIn } from '../testing';
import { ShelterSheet } from './ShelterSheet';

async function sheet() {
  const garden = new TestGarden();
  garden.plant('tomato', 'Tallow Bead', 1);
  const [bed] = [...garden.state.beds.values()] as [Bed];
  const store = await gardenOf(garden.events, garden.time('2026-07-01', 9));
  let closed = 0;
  renderIn(store, <ShelterSheet bed={bed} onClose={() => closed++} />);
  const shelters = () => store.ledger.state.beds.get(bed.id)?.shelters ?? [];
  return { shelters, closed: () => closed };
}
const keep = () => fireEvent.press(screen.getByText('Keep it'));

test('under cover it is asked whether insects get in, and nothing is kept before somebody says', async () => {
  const { shelters } = await sheet();
  fireEvent.press(screen.getByText('a tunnel'));
  keep();
  expect(shelters()).toEqual([]);
  expect(screen.getByText(/^It is hotter in there than outside/)).toBeTruthy();
  fireEvent.press(screen.getByText('kept out'));
  keep();
  await waitFor(() =>
    expect(shelters()).toMatchObject([
      { shelter: 'tunnel', insects: 'out', lampHours: null, from: '2026-07-01', to: null },
    ]),
  );
});

test('a lamp is asked for indoors alone, and may be left out', async () => {
  const { shelters } = await sheet();
  expect(screen.queryByLabelText(/^Lamp/)).toBeNull();
  fireEvent.press(screen.getByText('indoors'));
  fireEvent.press(screen.getByText('kept out'));
  expect(screen.getByLabelText('Lamp, hours a day (may be left out): not given')).toBeTruthy();
  keep();
  await waitFor(() => expect(shelters()).toMatchObject([{ shelter: 'indoors', lampHours: null }]));
});

test('a day that is none, or an end before the beginning, is told at its field and nothing is kept', async () => {
  const { shelters, closed } = await sheet();
  fireEvent.press(screen.getByText('a tunnel'));
  fireEvent.press(screen.getByText('can get in'));
  fireEvent.changeText(screen.getByLabelText('From which day on'), '2026-02-30');
  expect(screen.getByText('There is no such day.')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('From which day on'), '2026-07-10');
  fireEvent.changeText(screen.getByLabelText('Last day (may be left out)'), '2026-07-09');
  expect(await screen.findByText('That is before the first day')).toBeTruthy();
  keep();
  expect([shelters(), closed()]).toEqual([[], 0]);
});
