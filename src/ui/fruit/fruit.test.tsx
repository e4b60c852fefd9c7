import { fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { eventsOf, type AnyEvent, type Flower } from '@core/ledger';
import type { FlowerId, PlantId } from '@core/ids';
import { looksDue } from '@core/rounds';
import { ALL, study, type Choice, type Study, type StudyQuestion } from '@core/study';
import { TestGarden } from '@core/testGarden';
import type { LedgerStore } from '@/data/store';
import { gardenOf, renderIn } from '../testing';
import { AllFine } from './AllFine';
import { BeesSheet } from './BeesSheet';
import { CausesCard } from './CausesCard';
import { CauseSheet } from './CauseSheet';
import { FilterFoot, seasonName } from './FilterFoot';
import { HandsCard } from './HandsCard';
import { LeavingSheet } from './LeavingSheet';
import { LookRow } from './LookRow';
import { ModelCard } from './ModelCard';
import { ShapeCard } from './ShapeCard';
import { SharesCard } from './SharesCard';
import { SizeAsk } from './SizeAsk';
import { WorkedList } from './WorkedList';

const WORKED = '2026-07-01';
const TODAY = '2026-07-12';

/** A stand of courgettes, worked with brush and swab, some left to the insects; every third of the swab drops, half of the brush. */
function courgettes() {
  const garden = new TestGarden();
  const { plants, stand, variety } = garden.plant('squash-pepo', 'Low Lantern', 4, { reason: 'fruit' });
  const flowers: FlowerId[] = [];
  const open = (i: number, at = garden.time(WORKED, 6 + (i % 3), i % 50)) => {
    const flower = garden.see(at, plants[i % 4] as PlantId, 'female', 'open', i + 1);
    flowers.push(flower);
    return { flower, at };
  };
  const look = (flower: FlowerId, result: 'growing' | 'bent' | 'gone') =>
    garden.write(garden.time('2026-07-09', 18), { kind: 'lookedAt', flower, result, sizeMm: null });
  for (let i = 0; i < 36; i++) {
    const { flower, at } = open(i);
    const swab = i % 2 === 0;
    garden.write(at, {
      kind: 'pollinated',
      flower,
      fathers: [{ plant: plants[(i + 1) % 4] as PlantId, males: 1 + (i % 2), flowers: [] }],
      tool: swab ? 'swab' : 'brush',
      purpose: 'kitchen',
    });
    const took = swab ? Math.floor(i / 4) % 3 !== 0 : Math.floor(i / 4) % 2 === 0;
    look(flower, took ? (i % 9 === 0 ? 'bent' : 'growing') : 'gone');
    if (!took)
      garden.write(garden.time('2026-07-09', 18, 1), { kind: 'lost', flower, cause: 'not-pollinated' });
  }
  const ask = (question: Partial<StudyQuestion> = {}): Study =>
    study(garden.state, garden.place, {
      today: TODAY,
      choice: ALL,
      grouping: 'how',
      pair: null,
      along: 'minutes',
      ...question,
    });
  return { garden, plants, stand, variety, flowers, open, look, ask, now: garden.time(TODAY, 9) };
}

/** What was written besides the garden's own events, in the order of writing. */
function written({ events }: TestGarden, store: LedgerStore): AnyEvent[] {
  const own = new Set(events.map(({ id }) => id));
  return eventsOf(store.ledger.state)
    .filter(({ id }) => !own.has(id))
    .sort((one, other) => (one.id < other.id ? -1 : 1));
}

describe('what sets best', () => {
  test('groups are said with their counts and ranges, and two of them can be picked', async () => {
    const { garden, now, ask } = courgettes();
    const pairs: (readonly string[])[] = [];
    const card = (pair: readonly string[]) => (
      <SharesCard
        study={ask({ pair: pair.length === 2 ? (pair as [string, string]) : null })}
        grouping="how"
        onGrouping={() => undefined}
        pair={pair}
        onPair={(next) => pairs.push(next)}
      />
    );
    const { unmount } = renderIn(await gardenOf(garden.events, now), card([]));
    fireEvent.press(screen.getByLabelText(/^swab: \d+ of 18 set/));
    expect(pairs).toEqual([['swab']]);
    unmount();
    renderIn(await gardenOf(garden.events, now), card(['swab', 'brush']));
    expect(screen.getByText(/^Swab \d+ of 18, dry brush \d+ of 18: /)).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^swab: /));
    expect(pairs.at(-1)).toEqual(['brush']);
  });

  test('the numbers stand behind the chart, and a heading puts them in order', async () => {
    const { garden, now, ask } = courgettes();
    renderIn(
      await gardenOf(garden.events, now),
      <SharesCard
        study={ask()}
        grouping="how"
        onGrouping={() => undefined}
        pair={[]}
        onPair={() => undefined}
      />,
    );
    expect(screen.queryByLabelText('set by tool')).toBeNull();
    fireEvent.press(screen.getByLabelText('Show the numbers: set by tool'));
    const table = screen.getByLabelText('set by tool');
    fireEvent.press(within(table).getByLabelText('Sort by Share'));
    expect(within(table).getByText(/^Share [↑↓]$/)).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Hide the numbers: set by tool'));
    expect(screen.queryByLabelText('set by tool')).toBeNull();
  });
});

describe('do the hands help?', () => {
  test('with nothing left to insects it says how to begin', async () => {
    const { garden, now, ask } = courgettes();
    renderIn(await gardenOf(garden.events, now), <HandsCard study={ask()} />);
    expect(screen.getByText(/leave some flowers to the insects and follow them/)).toBeTruthy();
    fireEvent.press(screen.getByText('Leave some to insects'));
    expect(screen.getByText(/The kitchen round says which flower to leave/)).toBeTruthy();
  });

  test('flowers left beside those worked: both lines, and an answer that does not overreach', async () => {
    const { garden, now, ask, open, look } = courgettes();
    for (let i = 0; i < 12; i++) {
      const { flower, at } = open(40 + i);
      garden.write(at, { kind: 'leftOpen', flower });
      look(flower, i % 3 === 0 ? 'growing' : 'gone');
    }
    renderIn(await gardenOf(garden.events, now), <HandsCard study={ask()} />);
    expect(screen.getByLabelText(/^left to insects: 4 of 12 set/)).toBeTruthy();
    expect(screen.getByText('Not settled yet. Keep on, and go on leaving some.')).toBeTruthy();
  });

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

describe('what to show', () => {
  test('a season over New Year has two years in its name', () => {
    expect([seasonName(2026, 46.2), seasonName(2026, -36.8), seasonName(1999, -36.8)]).toEqual([
      '2026',
      '2026/27',
      '1999/00',
    ]);
  });

  test('a tool is chosen, shown on the key, and lifted by a second tap', async () => {
    const { garden, now, ask } = courgettes();
    const chosen: Choice[] = [];
    const foot = (choice: Choice) => (
      <FilterFoot choice={choice} choices={ask().choices} onChoice={(next) => chosen.push(next)} />
    );
    const { unmount } = renderIn(await gardenOf(garden.events, now), foot(ALL));
    fireEvent.press(screen.getByLabelText('This week'));
    fireEvent.press(screen.getByLabelText('Season 2026'));
    fireEvent.press(screen.getByLabelText('Show only some'));
    fireEvent.press(screen.getByText('swab'));
    expect(chosen).toEqual([
      { ...ALL, when: 'week' },
      { ...ALL, when: 2026 },
      { ...ALL, how: 'swab' },
    ]);
    unmount();
    renderIn(await gardenOf(garden.events, now), foot({ ...ALL, how: 'swab' }));
    fireEvent.press(screen.getByLabelText('Showing only swab'));
    fireEvent.press(within(screen.getByLabelText('Tool')).getByText('swab'));
    fireEvent.press(screen.getByText('Everything again'));
    expect(chosen.slice(3)).toEqual([ALL, ALL]);
  });

  test('fathers are those of the flowers that are otherwise chosen', () => {
    const { ask, plants } = courgettes();
    expect(ask().choices.fathers).toHaveLength(4);
    // The swab went to even plants alone, from the odd ones.
    expect(new Set(ask({ choice: { ...ALL, how: 'swab' } }).choices.fathers)).toEqual(
      new Set([plants[1], plants[3]]),
    );
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
      <LookRow
        owed={due[0] as (typeof due)[number]}
        onAnswer={(...answer) => answers.push(answer)}
        markWhenGrowing={false}
      />,
    );
    fireEvent.press(screen.getByText('growing'));
    fireEvent.press(screen.getByText('size …'));
    fireEvent.press(screen.getByText('egg'));
    fireEvent.press(screen.getByText('growing'));
    expect(answers).toEqual([
      ['growing', null],
      ['growing', 55],
    ]);
  });

  test('picked from the look itself, for what the plant is grown for', async () => {
    const { garden, due, store } = await owed();
    renderIn(
      store,
      <LookRow owed={due[0] as (typeof due)[number]} onAnswer={() => undefined} markWhenGrowing={false} />,
    );
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

test('causes by their number, and nothing at all where nothing was lost', async () => {
  const { garden, now, ask } = courgettes();
  renderIn(await gardenOf(garden.events, now), <CausesCard causes={ask().overview.causes} />);
  expect(screen.getByText('not pollinated')).toBeTruthy();
  expect(screen.getByText(String(ask().overview.dropped))).toBeTruthy();
});

test('shape stands apart from set, by week and by males', async () => {
  const { garden, now, ask } = courgettes();
  const { all } = ask().shape;
  renderIn(await gardenOf(garden.events, now), <ShapeCard study={ask()} />);
  expect(all.bent).toBeGreaterThan(0);
  expect(screen.getByText(new RegExp(`^${all.bent} of ${all.looked} fruits that set `))).toBeTruthy();
  expect(screen.getByLabelText(/^week of 29 June: /)).toBeTruthy();
  expect(screen.getByLabelText(/^1 male: /)).toBeTruthy();
});

test('too little noted for a curve is said, and another axis can be asked for', async () => {
  const { garden, now, ask } = courgettes();
  const asked: string[] = [];
  renderIn(
    await gardenOf(garden.events, now),
    <ModelCard study={ask({ along: 'maxC' })} along="maxC" onAlong={(along) => asked.push(along)} />,
  );
  expect(screen.getByText(/^Too little noted so far/)).toBeTruthy();
  fireEvent.press(screen.getByText('lobes'));
  expect(asked).toEqual(['lobes']);
});

test('the list shows a dozen, more on a tap, and only those of one fate', async () => {
  const { garden, now, ask } = courgettes();
  const { flowers, overview } = ask();
  const opened: string[] = [];
  renderIn(
    await gardenOf(garden.events, now),
    <WorkedList flowers={flowers} notLookedAt={0} onOpen={({ id }) => opened.push(id)} />,
  );
  expect(screen.getAllByRole('link')).toHaveLength(12);
  fireEvent.press(screen.getByText('Show 12 more of 36'));
  expect(screen.getAllByRole('link')).toHaveLength(24);
  fireEvent.press(screen.getByLabelText('dropped'));
  expect(screen.getAllByRole('link')).toHaveLength(Math.min(24, overview.dropped));
  expect(screen.queryByText('not looked at')).toBeNull();
  fireEvent.press(screen.getAllByRole('link')[0] as never);
  expect(opened).toHaveLength(1);
});
