import { fireEvent, screen, waitFor } from '@testing-library/react-native';
import { bloomDayOf } from '@core/bloom';
import { planRound } from '@core/planning';
import { dawnQuestion, fathersFor, pollinationRound, stopsOf, type PollinationRound } from '@core/rounds';
import type { FlowerId } from '@core/ids';
import { TEST_PLACE, TestGarden } from '@core/testGarden';
import type { DawnPlan } from '@/data/round/dawnPlan';
import { gardenOf, renderIn } from '../testing';
import { CollectMales } from './CollectMales';
import { DeadlineLine } from './DeadlineLine';
import { FatherTiles } from './FatherTiles';
import { HowItWent } from './HowItWent';
import { NoFatherCard } from './NoFatherCard';
import { NextStops } from './NextStops';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';

function morning(lone = false) {
  const garden = new TestGarden();
  const dome = garden.plant('squash-maxima', 'Slate Dome', 3);
  const shut = dome.plants.map((plant) => ({
    female: garden.shut(EVENING, plant, 'female'),
    males: [garden.shut(EVENING, plant, 'male'), garden.shut(EVENING, plant, 'male')],
  }));
  if (lone)
    garden.shut(EVENING, garden.plant('squash-moschata', 'Lone Lamp', 1).plants[0] as never, 'female');
  const now = garden.time(DAWN, 5, 5);
  const round = () => pollinationRound(garden.state, garden.place, DAWN, 'dawn') as PollinationRound;
  /** What the hook would hand to the screens, worked out by the same core. */
  const dawn = (): DawnPlan => {
    const day = bloomDayOf(garden.state, garden.place, DAWN);
    const question = dawnQuestion(garden.state, garden.place, DAWN, 'dawn', day, {
      now,
      people: ['me', 'helper 1'],
      deadline: round().end,
    });
    const plan = planRound({ ...question.request, effort: 10_000 });
    return {
      question,
      morning: day,
      plan,
      at: new Map(
        plan.routes.flatMap(({ stops, worker }) =>
          stops.map(({ id, begin }) => [id, { begin, worker }] as const),
        ),
      ),
      mine: plan.routes[0]?.stops ?? [],
      collectFor: () => [],
      order: plan.routes.flatMap(({ stops }) => stops.map(({ id }) => id as FlowerId)),
      pace: 1,
      hands: null,
    };
  };
  return { garden, dome, shut, now, round, dawn, store: () => gardenOf(garden.events, now) };
}

describe('collecting males', () => {
  const nothing = () => undefined;
  const props = { badge: null, foot: null, side: null, onLeave: nothing };

  test('one torn is written at once, the rest are whole in one tap', async () => {
    const { dawn, store: open } = morning();
    const store = await open();
    const { collecting } = dawn().question;
    renderIn(store, <CollectMales collecting={collecting} hands={null} {...props} />);
    expect(screen.getByText('Collect 6 males')).toBeTruthy();
    const results = () =>
      [...store.ledger.state.flowers.values()]
        .filter(({ sex }) => sex === 'male')
        .flatMap(({ checks }) => checks.map(({ result }) => result));
    fireEvent.press(screen.getByLabelText('A male of Slate Dome 1 is torn'));
    await waitFor(() => expect(results()).toEqual(['torn']));
    fireEvent.press(screen.getByText('Picked: 6 males, all whole'));
    await waitFor(() => expect(results()).toHaveLength(7));
  });

  test('warns of the other variety on the hands, by name', async () => {
    const { dawn, store: open } = morning(true);
    const store = await open();
    const other = [...store.ledger.state.varieties.values()].find(({ name }) => name === 'Lone Lamp');
    renderIn(
      store,
      <CollectMales collecting={dawn().question.collecting} hands={other?.id ?? null} {...props} />,
    );
    expect(screen.getByText('Your hands and brush carry Lone Lamp pollen')).toBeTruthy();
    expect(screen.getByText(/take the dry brush for Slate Dome/)).toBeTruthy();
  });
});

describe('whose pollen', () => {
  test('each tap takes one male more, then none again; a torn one is written', async () => {
    const { garden, round, store: open } = morning();
    const store = await open();
    const stop = stopsOf(garden.state, DAWN, TEST_PLACE.zone, 'dawn')[0];
    const offers = fathersFor(garden.state, stop as never, DAWN, TEST_PLACE.zone, 'others-first');
    const changes: Record<string, number>[] = [];
    const shown = (males: Record<string, number>) => (
      <FatherTiles offers={offers} males={males} onChange={(next) => changes.push(next)} />
    );
    const id = offers[0]?.growing.plant.id ?? '';
    const label = `Slate Dome ${offers[0]?.growing.plant.label}`;
    const view = renderIn(store, shown({ [id]: 1 }));
    fireEvent.press(screen.getByLabelText(`Pollen of ${label}: 1 of 2 males`));
    expect(changes.at(-1)).toEqual({ [id]: 2 });
    view.unmount();
    renderIn(store, shown({ [id]: 2 }));
    fireEvent.press(screen.getByLabelText(`Pollen of ${label}: 2 of 2 males`));
    expect(changes.at(-1)).toEqual({ [id]: 0 });
    fireEvent.press(screen.getByLabelText(`A male of ${label} is torn`));
    expect(changes.at(-1)).toEqual({ [id]: 1 });
    await waitFor(() =>
      expect(
        [...store.ledger.state.flowers.values()].some(({ checks }) => checks[0]?.result === 'torn'),
      ).toBe(true),
    );
    expect(round().toDo).toHaveLength(3);
  });

  test('none to be had is said, with why and the ways out', async () => {
    const done: string[] = [];
    const { garden, store } = morning();
    const crop = garden.growing([...garden.state.plants.keys()][0] as never).crop;
    const note = (what: string) => () => void done.push(what);
    renderIn(
      await store(),
      <NoFatherCard
        why="own-only"
        crop={crop}
        onSelf={note('self')}
        onKitchen={note('kitchen')}
        onLeave={note('leave')}
      />,
    );
    expect(screen.getByText(/true to this mother/)).toBeTruthy();
    for (const key of ['Use its own males this once', 'Work it for the kitchen, with any open male'])
      fireEvent.press(screen.getByText(key));
    fireEvent.press(screen.getByText('Leave it: not worked'));
    expect(done).toEqual(['self', 'kitchen', 'leave']);
  });
});

describe('what comes next', () => {
  test('three stops with their times; all of them with helpers and what is left out, with why', async () => {
    const { round, dawn: plan, store: open } = morning(true);
    const store = await open();
    const dawn = plan();
    const numbered = [...dawn.order, ...round().stops.map(({ flower }) => flower.id as string)].filter(
      (id, i, all) => round().stops.some(({ flower }) => flower.id === id) && all.indexOf(id) === i,
    );
    const gone: string[] = [];
    const view = renderIn(
      store,
      <NextStops
        round={round()}
        dawn={dawn}
        numbered={numbered}
        current={numbered[0] as string}
        onGo={(id) => gone.push(id)}
      />,
    );
    expect(screen.getAllByText('Go')).toHaveLength(3);
    fireEvent.press(screen.getAllByText('Go')[0] as never);
    expect(gone).toEqual([numbered[1]]);
    view.unmount();
    renderIn(
      store,
      <NextStops round={round()} dawn={dawn} numbered={numbered} current="" onGo={() => undefined} all />,
    );
    expect(screen.getByText(/left out: no male to be had for it/)).toBeTruthy();
    expect(screen.getAllByText(/ · helper 1$/).length).toBeGreaterThan(0);
  });

  test('the deadline: what is left, how long to the bees, when done, what is left out', async () => {
    const { round, dawn, store: open } = morning(true);
    renderIn(await open(), <DeadlineLine round={round()} dawn={dawn()} />);
    expect(
      screen.getByText(/^4 left · bees from 0\d:\d\d · done about 0\d:\d\d · 1 flower left out$/),
    ).toBeTruthy();
  });
});

test('how it went is not said until somebody says it; then three questions, none answered beforehand', () => {
  const { garden, now } = morning();
  const crop = garden.growing([...garden.state.plants.keys()][0] as never).crop;
  const changes: object[] = [];
  const props = {
    crop,
    value: { lobes: null, openS: null, beeIn: null },
    onOpen: () => undefined,
    onChange: (part: object) => changes.push(part),
  };
  return gardenOf(garden.events, now).then((store) => {
    const view = renderIn(store, <HowItWent {...props} open={false} />);
    expect(screen.getByText('How it went: say, if you like')).toBeTruthy();
    view.unmount();
    renderIn(store, <HowItWent {...props} open />);
    for (const tap of ['2', '1-3 minutes', 'a bee got in']) fireEvent.press(screen.getByText(tap));
    expect(changes).toEqual([{ lobes: 2 }, { openS: 120 }, { beeIn: true }]);
  });
});
