import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import type { StandId } from '@core/ids';
import { eventsOf, type Bed } from '@core/ledger';
import { growing, plantPlace } from '@core/patch';
import { TestGarden } from '@core/testGarden';
import type { LedgerStore } from '@/data/store';
import { BedSheet } from '../patch/BedSheet';
import { gardenOf, renderIn } from '../testing';
import { ContradictionCard } from '../today/ContradictionCard';
import { PlanPanel } from './PlanPanel';
import { usePlan } from './usePlan';

const DAY = '2026-07-10';

/** Slate Dome for seed beside Tin Lantern, and a hedge. */
async function terraces() {
  const garden = new TestGarden();
  const { plants } = garden.plant('squash-maxima', 'Slate Dome', 6, { reason: 'seed' });
  const { stand } = garden.plant('squash-maxima', 'Tin Lantern', 3, { reason: 'fruit' }) as {
    stand: StandId;
  };
  const hedge = garden.obstacle('hedge', [
    [0, -4],
    [20, -4],
  ]);
  const [bed] = [...garden.state.beds.values()] as [Bed];
  const store = await gardenOf(garden.events, garden.time(DAY, 9));
  return { garden, plants, stand, hedge, bed, store };
}

/** The panel without the drawing. */
function Panel() {
  return <PlanPanel plan={usePlan()} onPicked={() => undefined} onSheet={() => undefined} />;
}

const written = ({ events }: TestGarden, store: LedgerStore) =>
  eventsOf(store.ledger.state).filter(({ id }) => !events.some((own) => own.id === id));

test('a trial is no entry before it is kept, and put back it leaves nothing', async () => {
  const { garden, stand, store } = await terraces();
  renderIn(store, <Panel />);
  fireEvent.press(screen.getByLabelText('Tin Lantern'));
  fireEvent.press(screen.getByLabelText('10 m'));
  fireEvent.press(screen.getByLabelText('Tin Lantern 10 m to the south'));
  fireEvent.press(screen.getByLabelText('Tin Lantern 10 m to the south'));
  expect(screen.getByText('So it would be')).toBeTruthy();
  expect(written(garden, store)).toEqual([]);
  // Nothing else can be taken hold of meanwhile.
  fireEvent.press(screen.getByLabelText('Hedge'));
  expect(screen.queryByText(/^2 corners/)).toBeNull();
  fireEvent.press(screen.getByText('Put it back'));
  expect(screen.getByText('How far apart')).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Tin Lantern 10 m to the east'));
  fireEvent.press(screen.getByText('Keep it so'));
  await waitFor(() =>
    expect(written(garden, store)).toMatchObject([{ kind: 'standPlaced', stand, alongM: 10, acrossM: 0 }]),
  );
});

test('a bed is turned and put by numbers at once; what is no number is named', async () => {
  const { garden, bed, store } = await terraces();
  renderIn(store, <Panel />);
  fireEvent.press(screen.getByLabelText('bed 1'));
  fireEvent.press(screen.getByText('By numbers'));
  fireEvent.changeText(screen.getByLabelText('Turned to the right, degrees'), 'a bit');
  fireEvent.press(screen.getByText('Try it there'));
  expect(await screen.findByText('How far it is turned must be a number from -360 to 360')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Turned to the right, degrees'), '30');
  fireEvent.changeText(screen.getByLabelText('From the left edge of the plan, metres'), '−2,5');
  fireEvent.press(screen.getByText('Try it there'));
  await screen.findByText('By numbers');
  fireEvent.press(screen.getByLabelText('Turn bed 1 15 degrees to the left'));
  fireEvent.press(screen.getByText('Keep it so'));
  await waitFor(() =>
    expect(written(garden, store)).toMatchObject([
      { kind: 'bedPlaced', bed: bed.id, xM: -2.5, yM: 0, turnedDeg: 15 },
    ]),
  );
});

test('a bed is made longer by numbers, and keeps that length when it is moved before it is kept', async () => {
  const { garden, bed, plants, store } = await terraces();
  renderIn(store, <Panel />);
  fireEvent.press(screen.getByLabelText('bed 1'));
  expect(screen.getByText(/^Drag a round handle/)).toBeTruthy();
  expect(screen.queryByText('One more corner')).toBeNull();
  fireEvent.press(screen.getByText('By numbers'));
  fireEvent.changeText(screen.getByLabelText('Width, metres'), '0');
  fireEvent.press(screen.getByText('Try it there'));
  expect(await screen.findByText('The width must be a number of metres above 0, up to 1000')).toBeTruthy();
  fireEvent.changeText(screen.getByLabelText('Width, metres'), '4');
  fireEvent.press(screen.getByText('Try it there'));
  await screen.findByText('By numbers');
  fireEvent.press(screen.getByLabelText('bed 1 1 m to the east'));
  fireEvent.press(screen.getByText('Keep it so'));
  await waitFor(() =>
    expect(written(garden, store)).toMatchObject([
      { kind: 'bedPlaced', xM: 1, sized: { lengthM: 30, widthM: 4 } },
    ]),
  );
  const [after, before] = [
    growing(store.ledger.state, plants[0] as string),
    growing(garden.state, plants[0] as string),
  ];
  if (after && before) expect(plantPlace(after).xM - plantPlace(before).xM).toBeCloseTo(1, 6);
  // The form puts right a size that was written since, where it was written.
  const sized = store.ledger.state.beds.get(bed.id) as Bed;
  renderIn(store, <BedSheet bed={sized} beds={[sized]} units="us" onClose={() => undefined} />);
  fireEvent.changeText(screen.getByLabelText('Length, feet'), '50');
  fireEvent.press(screen.getByText('Keep the change'));
  await waitFor(() =>
    expect(store.ledger.state.beds.get(bed.id)).toMatchObject({ lengthM: 15.24, widthM: 4 }),
  );
});

test('a hedge is added and given corners, never fewer than a line has, and can be gone', async () => {
  const { garden, hedge, store } = await terraces();
  renderIn(store, <Panel />);
  fireEvent.press(screen.getByText('Add a hedge, building, hill or water'));
  fireEvent.press(screen.getByLabelText('Water'));
  expect(screen.getByText('4 corners: drag the round handles.')).toBeTruthy();
  fireEvent.press(screen.getByText('One corner less'));
  expect(screen.queryByText('One corner less')).toBeNull();
  fireEvent.press(screen.getByText('Keep it so'));
  await waitFor(() =>
    expect(written(garden, store)).toMatchObject([{ kind: 'obstacleNoted', what: 'water', area: true }]),
  );
  fireEvent.press(screen.getByText('Let go'));
  fireEvent.press(screen.getByLabelText('Hedge'));
  expect(screen.queryByText('One corner less')).toBeNull();
  fireEvent.press(screen.getByText('It is gone'));
  await waitFor(() =>
    expect(written(garden, store).at(-1)).toMatchObject({ kind: 'obstacleGone', obstacle: hedge }),
  );
});

test('a stand’s ground is outlined, and goes back to its plants', async () => {
  const { garden, store } = await terraces();
  const seed = [...garden.state.stands.values()][0];
  const at = garden.time(DAY, 8);
  garden.write(at, {
    kind: 'outlineSet',
    stand: seed?.id as string,
    outline: [
      [0, 0],
      [9, 0],
      [9, 3],
    ],
  });
  const outlined = await gardenOf(garden.events, garden.time(DAY, 9));
  expect(store).not.toBe(outlined);
  renderIn(outlined, <Panel />);
  fireEvent.press(screen.getByLabelText('Slate Dome'));
  fireEvent.press(screen.getByText('As its plants stand'));
  fireEvent.press(screen.getByText('Keep it so'));
  await waitFor(() =>
    expect(written(garden, outlined)).toMatchObject([{ kind: 'outlineSet', outline: null }]),
  );
});

test('a bed moved by its form takes its plants along; with nothing changed nothing is written', async () => {
  const { garden, plants, bed, store } = await terraces();
  const form = () => <BedSheet bed={bed} beds={[bed]} units="metric" onClose={() => undefined} />;
  const { unmount } = renderIn(store, form());
  fireEvent.press(screen.getByText('Keep the change'));
  expect(written(garden, store)).toEqual([]);
  unmount();
  renderIn(store, form());
  fireEvent.changeText(screen.getByLabelText('From the left edge of the patch, metres'), '12');
  fireEvent.changeText(screen.getByLabelText('Name'), 'Gate bed');
  fireEvent.press(screen.getByText('Keep the change'));
  await waitFor(() =>
    expect(written(garden, store).map(({ kind }) => kind)).toEqual(['corrected', 'bedPlaced']),
  );
  const found = growing(store.ledger.state, plants[0] as string);
  const before = growing(garden.state, plants[0] as string);
  expect(found?.bed.name).toBe('Gate bed');
  if (found && before) expect(plantPlace(found).xM - plantPlace(before).xM).toBeCloseTo(12, 6);
});

test('a bed that two phones moved is shown with both places, for a choice', async () => {
  const { garden, bed } = await terraces();
  for (const [device, xM] of [
    ['one', 5],
    ['two', 9],
  ] as const)
    garden.write(garden.time(DAY, 8), {
      kind: 'bedPlaced',
      bed: bed.id,
      xM,
      yM: 0,
      turnedDeg: 0,
      device,
    } as never);
  const store = await gardenOf(garden.events, garden.time(DAY, 9));
  renderIn(store, <ContradictionCard />);
  await screen.findByText('Which is true?');
  expect(screen.getByText('where bed 1 lies: 5 m from the left, 0 m from the top, turned 0°')).toBeTruthy();
  fireEvent.press(screen.getByLabelText(/^This is true: where bed 1 lies: 5 m/));
  await waitFor(() => expect(store.ledger.state.beds.get(bed.id)?.xM).toBe(5));
});
