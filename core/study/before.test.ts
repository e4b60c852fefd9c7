import type { PlantId } from '../ids';
import { firstHandWork, handWorkWithin } from '../fruitset';
import { toCsv, csvRows } from '../formats';
import { TestGarden } from '../testGarden';
import { ALL, GROUPINGS, study } from '.';

const TODAY = '2026-08-10';

/** Tomatoes: 40 flowers counted before hand work, 20 of which set; 30 shaken, 27 of which set, and a tally nobody has counted yet. */
function tomatoes() {
  const garden = new TestGarden();
  const { stand, plants } = garden.plant('tomato', 'Quay Cherry', 3, { reason: 'fruit' });
  const [plant] = plants as [PlantId];
  const count = (how: 'before' | 'shaking', from: string, to: string, worked: number, set: number) =>
    garden.write(garden.time('2026-07-20', 9), {
      kind: 'groupCounted',
      stand,
      plant: how === 'before' ? plant : null,
      how,
      from,
      to,
      worked,
      set,
      bent: null,
    });
  count('before', '2026-06-20', '2026-06-27', 40, 20);
  count('shaking', '2026-06-28', '2026-07-08', 30, 27);
  garden.write(garden.time('2026-08-09', 12), {
    kind: 'tallied',
    plant,
    tool: 'shaking',
    flowers: 4,
    truss: 2,
  });
  const ask = (grouping: (typeof GROUPINGS)[number]) =>
    study(garden.state, garden.place, {
      today: TODAY,
      choice: ALL,
      grouping,
      pair: null,
      along: 'minutes',
    });
  return { garden, stand, plant, ask };
}

test('what set before hand work is a group of its own: in no sum of worked flowers, by no tool, plant or variety', () => {
  const { ask } = tomatoes();
  for (const grouping of GROUPINGS) {
    const { overview, shares, hands } = ask(grouping);
    expect(overview).toMatchObject({ worked: 34, set: 27, dropped: 3, waiting: 4 });
    if (grouping !== 'hands') for (const { judged } of shares) expect(judged).toBeLessThanOrEqual(30);
    expect(hands.shares.find(({ id }) => id === 'before')).toMatchObject({ set: 20, judged: 40 });
  }
});

test('what rests on one count is compared with no other: one tray a side can’t be told, and shows no range', () => {
  const { hands, shares } = tomatoes().ask('how');
  expect(hands.pairs.find(({ b }) => b.id === 'before')?.verdict).toBe('one-plant');
  expect(shares.map(({ oneOnly }) => oneOnly)).toEqual([true]);
});

test('the table of groups holds what the screen lists, tallies that wait for their count as well', () => {
  const { garden } = tomatoes();
  const rows = csvRows(toCsv(garden.state, 'groups', TODAY));
  expect(rows).toHaveLength(4);
  expect(rows.slice(1).map((row) => row[7])).toEqual(['40', '30', '4']);
});

test('hand work begins where somebody first worked by hand, whatever was counted before it', () => {
  const { garden, stand, plant } = tomatoes();
  const at = garden.state.stands.get(stand);
  if (!at) throw new Error('no stand');
  expect(firstHandWork(garden.state, at, null, '2026-01-01', garden.place.zone)).toBe('2026-06-28');
  expect(firstHandWork(garden.state, at, plant, '2026-01-01', garden.place.zone)).toBe('2026-06-28');
});

test('a count of what set before hand work that reaches into it is told, however the two came to be written down', () => {
  const { garden, stand, plant } = tomatoes();
  const told = (to: string, how: 'before' | 'insects' = 'before', from = to) => {
    const at = garden.state.stands.get(stand);
    return at ? handWorkWithin(garden.state, at, { how, plant, from, to }, garden.place.zone) : 'no stand';
  };
  expect(told('2026-06-27')).toBeNull();
  expect(told('2026-06-28')).toBe('2026-06-28');
  expect(told('2026-07-30', 'insects')).toBeNull();
  // Work of the week before comes in by a file, later.
  garden.write(garden.time('2026-06-21', 9), {
    kind: 'tallied',
    plant,
    tool: 'shaking',
    flowers: 3,
    truss: 1,
  });
  expect(told('2026-06-27')).toBe('2026-06-21');
  // A strawberry bed of last year begins anew.
  expect(told('2027-06-20')).toBeNull();
});
