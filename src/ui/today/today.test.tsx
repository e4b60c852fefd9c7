import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { bloomDayOf, bloomOutlook } from '@core/bloom';
import type { Goal } from '@core/ledger';
import { goalSum, NO_GOAL, tonightPlan } from '@core/goals';
import { kitchenRound } from '@core/kitchen';
import { bandDay, nextRounds, pollinationRound, type PollinationRound } from '@core/rounds';
import { TEST_PLACE, TestGarden } from '@core/testGarden';
import { SumCard } from '../goals/SumCard';
import { standingSentence } from '../goals/words';
import { StandTally } from '../kitchen/StandTally';
import { gardenOf, renderIn } from '../testing';
import { RoundCard } from './RoundCard';
import { TodayBand } from './TodayBand';
import { TonightCard } from './TonightCard';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';

test('where the sun does not rise there is no band of dusk and dawn', async () => {
  const bands = [46.2, 69.65].map(async (latitude) => {
    const garden = new TestGarden({ ...TEST_PLACE, latitude });
    const now = garden.time('2026-12-20', 12);
    const bloom = bloomDayOf(garden.state, garden.place, '2026-12-20', () => null);
    const { toJSON } = renderIn(
      await gardenOf(garden.events, now),
      <TodayBand bloom={bloom} first={undefined} />,
    );
    return toJSON() === null;
  });
  expect(await Promise.all(bands)).toEqual([false, true]);
});

describe('the round to come', () => {
  function shut() {
    const garden = new TestGarden();
    for (const [crop, name] of [
      ['squash-maxima', 'Slate Dome'],
      ['melon', 'Quiet Bell'],
    ] as const)
      for (const plant of garden.plant(crop, name, 2).plants)
        for (const sex of ['female', 'male'] as const)
          garden.shut(EVENING, plant, sex, crop === 'melon' ? 'mesh-bag' : 'tape');
    return { garden, now: garden.time(DAWN, 5, 5) };
  }
  const round = (garden: TestGarden) =>
    pollinationRound(garden.state, garden.place, DAWN, 'dawn') as PollinationRound;

  test('counts, pockets, the time to the bees, and what opens only after them', async () => {
    const { garden, now } = shut();
    let started = 0;
    renderIn(
      await gardenOf(garden.events, now),
      <RoundCard round={round(garden)} onStart={() => started++} />,
    );
    expect(screen.getByText('females shut')).toBeTruthy();
    // Tape for the two squashes; the melons keep their bags.
    expect(
      screen.getByText(/Pockets: 24 cm tape, 4 marks \(from F2-Y\), a clean brush for each of 2 varieties\./),
    ).toBeTruthy();
    expect(
      screen.getByText(/2 flowers only open from 06:\d\d: the round comes back for them\./),
    ).toBeTruthy();
    fireEvent.press(screen.getByText('Start the 05:05 round'));
    expect(started).toBe(1);
  });

  test('two people need half the minutes', async () => {
    const { garden, now } = shut();
    const alone = round(garden).minutes;
    renderIn(
      await gardenOf(garden.events, now),
      <RoundCard round={round(garden)} onStart={() => undefined} />,
      {
        helpers: 1,
      },
    );
    expect(screen.getAllByText(String(Math.ceil(alone / 2))).length).toBeGreaterThan(0);
    expect(screen.getByText(/Started now, it is done before the bees/)).toBeTruthy();
    expect(screen.getByLabelText('People on this round: 2')).toBeTruthy();
  });

  test('shared by variety each keeps to one, and the longest part sets the time; in a chain all know their part', async () => {
    const { garden, now } = shut();
    const show = async (team: 'by-variety' | 'chain', helpers = 1) =>
      renderIn(
        await gardenOf(garden.events, now),
        <RoundCard round={round(garden)} onStart={() => undefined} />,
        { helpers, team },
      );
    const { unmount } = await show('by-variety');
    const shared = screen.getAllByText(/^(You|Helper 1): (Slate Dome|Quiet Bell) \(2 flowers\)$/);
    expect(shared).toHaveLength(2);
    unmount();
    await show('chain', 3);
    expect(
      screen.getByText(
        'One looks and opens, one brings the pollen, one shuts and marks; anyone else carries and writes.',
      ),
    ).toBeTruthy();
  });

  test('in US units the tape is in feet', async () => {
    const { garden, now } = shut();
    renderIn(
      await gardenOf(garden.events, now),
      <RoundCard round={round(garden)} onStart={() => undefined} />,
      {
        units: 'us',
      },
    );
    expect(screen.getByText(/Pockets: 1 ft tape/)).toBeTruthy();
  });
});

test('tonight: what each variety asks for, what is too late and open ends in words', async () => {
  const garden = new TestGarden();
  const open = garden.plant('squash-maxima', 'Open Dome', 2);
  const late = garden.plant('squash-moschata', 'Late Lamp', 1, {
    goal: { seed: { amount: 10, unit: 'seeds' }, by: '2026-07-20' },
  });
  const wanting = garden.plant('squash-pepo', 'Wanting', 1, {
    goal: { seed: { amount: 3000, unit: 'seeds' } },
  });
  for (const { plants } of [open, late, wanting])
    for (const plant of plants)
      for (const sex of ['female', 'male', 'male', 'male'] as const)
        garden.see(garden.time(EVENING, 18), plant, sex, 'coloured');
  const outlook = bloomOutlook({ state: garden.state, zone: garden.place.zone, from: DAWN });
  const plan = tonightPlan(garden.state, garden.place, EVENING, outlook);
  renderIn(await gardenOf(garden.events, garden.time(EVENING, 19)), <TonightCard plan={plan} />);
  expect(screen.getByText(/^2 females \(no goal: every likely one\) · \d males$/)).toBeTruthy();
  expect(screen.getByText('too late to ripen · 1 may stay open')).toBeTruthy();
  expect(
    screen.getByText(
      /^1 female of the \d+ that would do · \d+ mornings left if frost comes early · chance \d+ in 100 · \d males?$/,
    ),
  ).toBeTruthy();
  expect(
    screen.getByText(/^Pockets, with the morning’s: .* tape, 3 marks \(from F2-Y\), 2 brushes\.$/),
  ).toBeTruthy();
});

describe('a goal', () => {
  function sumOf(goal: Partial<Goal>, today = '2026-07-10', perMorning = 3) {
    const garden = new TestGarden();
    const dome = garden.plant('squash-maxima', 'Slate Dome', 4, { goal });
    const stand = garden.state.stands.get(dome.stand);
    const sum = goalSum(garden.state, garden.place, stand as never, today, { perMorning });
    if (!sum) throw new Error('no sum');
    return { garden, sum };
  }

  test('is a sum that can be followed from seed to tape, and says where each number is from', async () => {
    const { garden, sum } = sumOf({
      ...NO_GOAL,
      seed: { amount: 50, unit: 'grams' },
      mothers: 3,
      kitchenFruits: 2,
      bent: { seedsPerFruit: 100 },
    });
    renderIn(await gardenOf(garden.events, garden.time('2026-07-10', 20)), <SumCard sum={sum} />);
    for (const line of [
      '50 g by the usual weight',
      /^100 seeds in one \(your number\); one for each of 3 mothers; 0 set, 0 waiting/,
      'behind the set fruit stand 0 of 3 mothers',
      /^60 % set \(usual\); enough with 90 % certainty\. Were that share certain, \d+ would do; not knowing it costs \d+; \d+ more verdicts of your own would halve that$/,
      /^86 % stay whole in tape \(usual\)$/,
      '2 for one, and a spare',
    ])
      expect(screen.getByText(line)).toBeTruthy();
  });

  test.each([
    [
      'on-course',
      { seed: { amount: 300, unit: 'seeds' } },
      /^About \d+ pollinations to go, the last useful one about .*: 9\d in 100 that it is reached\.$/,
    ],
    [
      'behind',
      { seed: { amount: 4400, unit: 'seeds' }, by: '2026-10-05', bent: { seedsPerFruit: 200 } },
      /shut every likely female/,
    ],
    [
      'unreachable',
      { seed: { amount: 300, unit: 'seeds' }, by: '2026-08-01' },
      /would not ripen in time.*A later date/,
    ],
    [
      'unreachable',
      { seed: { amount: 90_000, unit: 'seeds' }, by: '2026-10-05' },
      /More flowers are needed than will open/,
    ],
    ['behind', { seed: { amount: 90_000, unit: 'seeds' } }, /if the frost comes early/],
  ] as const)('%s is said with what to do', (standing, goal, words) => {
    const { sum } = sumOf(goal as Partial<Goal>);
    expect(sum.standing).toBe(standing);
    expect(standingSentence(sum)).toMatch(words);
  });
});

describe('the kitchen tally', () => {
  function fruit(plants: number) {
    const garden = new TestGarden();
    garden.plant('tomato', 'Lock Keeper', plants, { reason: 'fruit' });
    const now = garden.time(DAWN, 12);
    return { garden, now, plants: () => kitchenRound(garden.state, garden.place.zone, DAWN) };
  }
  const flowers = (store: Awaited<ReturnType<typeof gardenOf>>) =>
    [...store.ledger.state.plants.values()].map(({ tallies }) =>
      tallies.map((each) => [each.flowers, each.truss]),
    );

  test('one tap counts for all plants, or for one; the truss goes along', async () => {
    const { garden, now, plants } = fruit(3);
    const store = await gardenOf(garden.events, now);
    renderIn(store, <StandTally plants={plants()} />);
    fireEvent.press(screen.getByLabelText('3 flowers worked on each plant of Lock Keeper'));
    await waitFor(() => expect(flowers(store)).toEqual([[[3, null]], [[3, null]], [[3, null]]]));
    fireEvent.press(screen.getByLabelText('Truss (may be left out): one more'));
    fireEvent.press(screen.getByLabelText('1 flower worked on Lock Keeper 2'));
    await waitFor(() =>
      expect(flowers(store).filter((each) => each.length === 2)).toEqual([
        [
          [3, null],
          [1, 1],
        ],
      ]),
    );
  });

  test('a large stand is counted together until somebody asks for each plant', async () => {
    const { garden, now, plants } = fruit(12);
    renderIn(await gardenOf(garden.events, now), <StandTally plants={plants()} />);
    expect(screen.queryByText('Plant 5')).toBeNull();
    fireEvent.press(screen.getByText('Plant by plant'));
    expect(screen.getByText('Plant 5')).toBeTruthy();
  });

  test('another tool is chosen once for the stand and written with each flower', async () => {
    const { garden, now, plants } = fruit(1);
    const store = await gardenOf(garden.events, now);
    renderIn(store, <StandTally plants={plants()} />);
    fireEvent.press(screen.getByLabelText('Change the tool for Lock Keeper'));
    fireEvent.press(screen.getByText('shaking'));
    fireEvent.press(screen.getByLabelText('5 flowers worked on Lock Keeper 1'));
    await waitFor(() =>
      expect([...store.ledger.state.plants.values()][0]?.tallies).toMatchObject([
        { tool: 'shaking', flowers: 5 },
      ]),
    );
  });
});

describe('the band', () => {
  const bandAt = async (garden: TestGarden, now: number) => {
    const morning = bloomDayOf(garden.state, garden.place, bandDay(garden.place, now).date);
    const first = nextRounds(garden.state, garden.place, now)[0];
    renderIn(await gardenOf(garden.events, now), <TodayBand bloom={morning} first={first} />);
  };
  const courgette = () => {
    const garden = new TestGarden();
    garden.plant('squash-pepo', 'Low Lantern', 1, { reason: 'fruit' });
    return garden;
  };

  test.each([
    [8, /^Monday 13 July: sun rises .*squash open/],
    [15, /^Monday 13 July: sun sets/],
    [22, /^Tuesday 14 July: sun rises/],
  ] as const)('for one courgette plant at %i o’clock shows what is still to come', async (hour, says) => {
    const garden = courgette();
    await bandAt(garden, garden.time(EVENING, hour));
    expect(screen.getByLabelText(says)).toBeTruthy();
  });

  test('strawberries have all day: their morning is over when it is too late to brush them', async () => {
    const garden = new TestGarden();
    garden.plant('strawberry', 'Robin Bed', 12, { reason: 'fruit' });
    await bandAt(garden, garden.time(EVENING, 14));
    expect(screen.getByLabelText(/^Monday 13 July: sun rises .*strawberry open/)).toBeTruthy();
  });

  test('once the evening walk is done it is the morning of the round', async () => {
    const garden = new TestGarden();
    const [plant] = garden.plant('squash-maxima', 'Slate Dome', 1).plants;
    if (plant) for (const sex of ['female', 'male'] as const) garden.shut(EVENING, plant, sex);
    await bandAt(garden, garden.time(EVENING, 19, 40));
    expect(screen.getByLabelText(/^Tuesday 14 July: sun rises/)).toBeTruthy();
  });
});
