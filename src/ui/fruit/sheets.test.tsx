import { fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import type { Flower } from '@core/ledger';
import type { FlowerId, PlantId } from '@core/ids';
import { looksDue, type OwedLook } from '@core/rounds';
import { TestGarden } from '@core/testGarden';
import { gardenOf, renderIn } from '../testing';
import { AllFine } from './AllFine';
import { BeesSheet } from './BeesSheet';
import { CauseSheet } from './CauseSheet';
import { LeavingSheet } from './LeavingSheet';
import { LookRow } from './LookRow';
import { SizeAsk } from './SizeAsk';
import { courgettes, TODAY, WORKED, written } from './testStand';

describe('leaving some, and counting bees', () => {
  test('how many are left is said once, for the one stand there is, and taken back as easily', async () => {
    const { garden, now, stand } = courgettes();
    const store = await gardenOf(garden.events, now);
    renderIn(store, <LeavingSheet onClose={() => undefined} />);
    fireEvent.press(screen.getByText('every 5th'));
    await waitFor(() => expect(screen.getByText('So far 0 worked and 0 left.')).toBeTruthy());
    fireEvent.press(screen.getByText('none'));
    await waitFor(() => expect(screen.queryByText(/^So far/)).toBeNull());
    expect(written(garden, store)).toMatchObject([
      { kind: 'leaveSet', stand, every: 5 },
      { kind: 'leaveSet', stand, every: null },
    ]);
  });

  test('strawberries and trusses are told to count a row apart', async () => {
    const garden = new TestGarden();
    garden.plant('strawberry', 'Sluice Red', 3, { reason: 'fruit' });
    renderIn(
      await gardenOf(garden.events, garden.time(TODAY, 9)),
      <LeavingSheet onClose={() => undefined} />,
    );
    expect(screen.getByText(/leave a plant or a row alone, and count it apart/)).toBeTruthy();
    expect(screen.queryByText('every 5th')).toBeNull();
  });

  test('bees: nothing is kept before the minute was begun, and the caution for stings stands there', async () => {
    const { garden, now } = courgettes();
    renderIn(await gardenOf(garden.events, now), <BeesSheet onClose={() => undefined} />);
    expect(screen.getByText(/^Allergic to stings/)).toBeTruthy();
    expect(screen.queryByText('Keep it')).toBeNull();
    fireEvent.press(screen.getByText('Start the minute'));
    fireEvent.press(screen.getByLabelText('One more visit, 0 so far'));
    expect(screen.getByLabelText('One more visit, 1 so far')).toBeTruthy();
  });
});

describe('a look', () => {
  /** Two fruits of one plant, unlooked at on the day of their verdict. */
  async function owed() {
    const garden = new TestGarden();
    const [plant] = garden.plant('squash-pepo', 'Low Lantern', 1, { reason: 'fruit' }).plants as [PlantId];
    for (const node of [4, 6]) {
      const at = garden.time(WORKED, 7, node);
      garden.write(at, {
        kind: 'pollinated',
        flower: garden.see(at, plant, 'female', 'open', node),
        fathers: [],
        purpose: 'kitchen',
      });
    }
    const now = garden.time('2026-07-09', 9);
    const due = looksDue(garden.state, garden.place.zone, '2026-07-09');
    return { garden, due, store: await gardenOf(garden.events, now) };
  }

  const row = (due: readonly OwedLook[], onAnswer: (...answer: unknown[]) => void = () => undefined) => (
    <LookRow owed={due[0] as OwedLook} onAnswer={onAnswer} markWhenGrowing={false} />
  );

  test('all fruits of a plant in one tap, each with an entry of its own, and no mark read', async () => {
    const { garden, due, store } = await owed();
    renderIn(store, <AllFine owed={due} />);
    expect(screen.getByText(/No mark is read by this/)).toBeTruthy();
    fireEvent.press(screen.getByText('All 2 on Low Lantern 1 grow'));
    await waitFor(() => expect(written(garden, store)).toHaveLength(2));
    expect(written(garden, store)).toMatchObject(
      due.map(({ flower }) => ({ kind: 'lookedAt', flower: flower.id, result: 'growing', sizeMm: null })),
    );
  });

  test('a size goes with the answer only when it was said', async () => {
    const { due, store } = await owed();
    const answers: unknown[] = [];
    renderIn(
      store,
      row(due, (...answer) => answers.push(answer)),
    );
    fireEvent.press(screen.getByText('growing'));
    fireEvent.press(screen.getByText('size …'));
    fireEvent.press(screen.getByText('egg'));
    fireEvent.press(screen.getByText('growing'));
    expect(answers).toEqual([
      ['growing', null, null],
      ['growing', 55, null],
    ]);
  });

  test('picked from the look itself, for what the plant is grown for', async () => {
    const { garden, due, store } = await owed();
    renderIn(store, row(due));
    fireEvent.press(screen.getByText('harvested'));
    await waitFor(() => expect(written(garden, store)).toHaveLength(1));
    expect(written(garden, store)).toMatchObject([{ kind: 'harvested', harvestFor: 'kitchen' }]);
  });

  test('by the tape, in inches too; what is no size is none', async () => {
    const { store } = await owed();
    const sizes: (number | null)[] = [];
    renderIn(store, <SizeAsk us sizeMm={null} onSize={(size) => sizes.push(size)} />);
    fireEvent.press(screen.getByText('Say its size first'));
    fireEvent.press(screen.getByText('By the tape'));
    for (const typed of ['2', 'two', '-3', '2,5', '999999'])
      fireEvent.changeText(screen.getByLabelText('By the tape, inches'), typed);
    expect(sizes).toEqual([50.8, null, null, 63.5, 5000]);
  });
});

describe('why it was lost', () => {
  test('what the record speaks for comes first with its reason, and every cause can still be said', async () => {
    const { garden, now, flowers, plants } = courgettes();
    const causes: string[] = [];
    const flower = garden.state.flowers.get(flowers[0] as FlowerId) as Flower;
    const one = garden.see(garden.time('2026-07-10', 7), plants[0] as PlantId, 'female', 'open');
    garden.write(garden.time('2026-07-10', 7), { kind: 'leftOpen', flower: one });
    expect(flower).toBeTruthy();
    renderIn(
      await gardenOf(garden.events, now),
      <CauseSheet
        open
        title="What happened?"
        onClose={() => undefined}
        onCause={(cause) => causes.push(cause)}
        of={{
          flower: garden.state.flowers.get(one) as Flower,
          growing: garden.growing(plants[0] as PlantId),
        }}
      />,
    );
    const likely = screen.getByLabelText('What you wrote down speaks for');
    expect(within(likely).getByText('not pollinated')).toBeTruthy();
    expect(within(likely).getByText(/it never grew, left to the insects/)).toBeTruthy();
    fireEvent.press(screen.getByText('frost'));
    expect(causes).toEqual(['frost']);
  });

  test('where nothing is known of the fruit no cause is put before another', async () => {
    const { garden, now } = courgettes();
    renderIn(
      await gardenOf(garden.events, now),
      <CauseSheet
        open
        title="What happened?"
        onClose={() => undefined}
        onCause={() => undefined}
        of={null}
      />,
    );
    expect(screen.queryByLabelText('What you wrote down speaks for')).toBeNull();
  });
});
