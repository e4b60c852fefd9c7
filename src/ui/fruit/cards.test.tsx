import { fireEvent, screen, within } from '@testing-library/react-native';
import { ALL, type Choice } from '@core/study';
import { gardenOf, renderIn } from '../testing';
import { CausesCard } from './CausesCard';
import { FilterFoot, seasonName } from './FilterFoot';
import { HandsCard } from './HandsCard';
import { ModelCard } from './ModelCard';
import { ShapeCard } from './ShapeCard';
import { SharesCard } from './SharesCard';
import { WorkedList } from './WorkedList';
import { courgettes } from './testStand';

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

  test('the numbers stand behind the chart, fetched when asked for, and a heading puts them in order', async () => {
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
    const table = await screen.findByLabelText('set by tool', {}, { timeout: 20_000 });
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
    expect(await screen.findByText(/The kitchen round says which flower to leave/)).toBeTruthy();
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

test('causes by their number, and nothing at all where nothing was lost', async () => {
  const { garden, now, ask } = courgettes();
  renderIn(await gardenOf(garden.events, now), <CausesCard causes={ask().overview.causes} />);
  expect(screen.getByText('no or little pollen')).toBeTruthy();
  expect(screen.getByText(/^not pollinated \d+$/)).toBeTruthy();
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

test('the list shows a dozen, all on a tap, and only those of one fate', async () => {
  const { garden, now, ask } = courgettes();
  const { flowers, overview } = ask();
  const opened: string[] = [];
  renderIn(
    await gardenOf(garden.events, now),
    <WorkedList flowers={flowers} notLookedAt={0} onOpen={({ id }) => opened.push(id)} />,
  );
  expect(screen.getAllByRole('link')).toHaveLength(12);
  fireEvent.press(screen.getByText('Show all 36'));
  expect(screen.getAllByRole('link')).toHaveLength(36);
  fireEvent.press(screen.getByLabelText('dropped'));
  expect(screen.getAllByRole('link')).toHaveLength(overview.dropped);
  expect(screen.queryByText('not looked at')).toBeNull();
  fireEvent.press(screen.getAllByRole('link')[0] as never);
  expect(opened).toHaveLength(1);
});
