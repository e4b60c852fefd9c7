import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { Stand } from '@core/ledger';
import { TestGarden } from '@core/testGarden';
import { useGarden } from '@/data/garden/garden';
import { gardenOf, renderIn } from '../testing';
import { MalesButton, PickedSheet } from '../kitchen/PickedSheet';
import { CareSheet } from './CareSheet';

const DAY = '2026-07-10';

/** Two stands in one bed, and what was sprayed on the first. */
async function world(spray: { reentryHours: number | null; daysToHarvest: number | null } | null) {
  const garden = new TestGarden();
  const { stand } = garden.plant('squash-pepo', 'Long Halyard', 1, { reason: 'fruit' });
  const { stand: other } = garden.plant('squash-maxima', 'Slate Dome', 1);
  if (spray)
    garden.write(garden.time('2026-07-09', 18), {
      kind: 'careGiven',
      stand,
      care: 'sprayed',
      product: 'soap',
      ...spray,
    });
  const store = await gardenOf(garden.events, garden.time(DAY, 9));
  const of = (id: typeof stand) => store.ledger.state.stands.get(id) as Stand;
  return { store, stand: of(stand), cares: () => of(stand).cares, others: () => of(other).cares };
}

test('water is one press and Keep it; nothing is kept before it is said what was done', async () => {
  const { store, stand, cares } = await world(null);
  let closed = 0;
  renderIn(store, <CareSheet stand={stand} name="Long Halyard" onClose={() => closed++} />);
  fireEvent.press(screen.getByText('Keep it'));
  expect(cares()).toEqual([]);
  fireEvent.press(screen.getByText('watered'));
  expect(screen.queryByText(/^Hours to keep out/)).toBeNull();
  fireEvent.press(screen.getByText('Keep it'));
  await waitFor(() => expect(closed).toBe(1));
  expect(cares()).toMatchObject([{ care: 'watered', product: '', reentryHours: null, daysToHarvest: null }]);
});

test('what is being kept moves nothing in the sheet that is about to close', async () => {
  const { store, stand, cares } = await world(null);
  // The patch hands on the stand as it is now, as the screen below the sheet does.
  const Live = () => (
    <CareSheet
      stand={useGarden().state.stands.get(stand.id) as Stand}
      name="Long Halyard"
      onClose={() => undefined}
    />
  );
  renderIn(store, <Live />);
  fireEvent.press(screen.getByText('sprayed'));
  fireEvent.press(screen.getByLabelText(/^Days until it may be eaten.*one more$/));
  fireEvent.press(screen.getByText('Keep it'));
  await waitFor(() => expect(cares()).toHaveLength(1));
  expect(screen.queryByText(/eat nothing of it/)).toBeNull();
  expect(screen.queryByText(/: sprayed · /)).toBeNull();
});

test('what was done on an earlier day is kept for that day, once it is said which', async () => {
  const { store, stand, cares } = await world(null);
  renderIn(store, <CareSheet stand={stand} name="Long Halyard" onClose={() => undefined} />);
  fireEvent.press(screen.getByText('mulched'));
  fireEvent.press(screen.getByText('on an earlier day'));
  fireEvent.press(screen.getByText('Keep it'));
  fireEvent.changeText(screen.getByLabelText('On which day'), '2026-07-11');
  expect(screen.getByText('That day is still to come.')).toBeTruthy();
  fireEvent.press(screen.getByText('Keep it'));
  expect(cares()).toEqual([]);
  fireEvent.changeText(screen.getByLabelText('On which day'), '2026-07-07');
  fireEvent.press(screen.getByText('Keep it'));
  await waitFor(() => expect(cares()).toMatchObject([{ care: 'mulched', on: '2026-07-07' }]));
});

test('waiting times of a spray begin as not noted, and are kept as they were copied', async () => {
  const { store, stand, cares, others } = await world(null);
  renderIn(store, <CareSheet stand={stand} name="Long Halyard" onClose={() => undefined} />);
  fireEvent.press(screen.getByText('sprayed'));
  expect(screen.getByText(/^Read the label and keep to it/)).toBeTruthy();
  fireEvent.press(screen.getByLabelText(/^Days until it may be eaten.*one more$/));
  fireEvent.press(screen.getByLabelText(/^Days until it may be eaten.*one more$/));
  fireEvent.press(screen.getByText('Keep it'));
  await waitFor(() =>
    expect(cares()).toMatchObject([{ care: 'sprayed', reentryHours: null, daysToHarvest: 8 }]),
  );
  expect(others()).toEqual([]);
});

test('picking tells of the days that a spray still asks for, and of one that nobody noted', async () => {
  const waited = await world({ reentryHours: 4, daysToHarvest: 7 });
  const { unmount } = renderIn(
    waited.store,
    <PickedSheet stand={waited.stand} name="Long Halyard" onClose={() => undefined} />,
  );
  expect(
    screen.getByText('Sprayed on 9 July with soap: eat nothing of it, flowers too, before 16 July.'),
  ).toBeTruthy();
  unmount();
  const unknown = await world({ reentryHours: null, daysToHarvest: null });
  renderIn(
    unknown.store,
    <PickedSheet stand={unknown.stand} name="Long Halyard" onClose={() => undefined} />,
  );
  expect(screen.getByText(/how long to wait was not noted: read the label/)).toBeTruthy();
});

test('males to eat: without any entry nothing is claimed', async () => {
  const { store, stand } = await world(null);
  renderIn(store, <MalesButton stand={stand} name="Long Halyard" />);
  fireEvent.press(screen.getByText('Males for the kitchen'));
  expect(screen.getByText(/what nobody wrote down is not known/)).toBeTruthy();
});
