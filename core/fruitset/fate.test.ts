import { cropOf } from '../crops';
import { fold, type AnyEvent, type Draft, type Flower } from '../ledger';
import { testIds } from '../testing';
import { addDays } from '../time';
import { fateOf, lookDue } from '.';

const zone = 'Europe/Ljubljana';
const DAY0 = '2026-07-02';
const squash = cropOf('squash-maxima');

/** A female worked at 05:41 garden time on day 0, then looked at on the given days. */
function worked(
  looks: readonly [day: number, result: string][],
  more: readonly [day: number, draft: object][] = [],
): Flower {
  const ids = testIds();
  const flower = ids.subject('flower', 1);
  const plant = ids.subject('plant', 1);
  let n = 0;
  const event = (day: number, draft: object): AnyEvent =>
    ({
      id: ids.event(Date.parse(DAY0) + n++),
      v: 1,
      at: `${addDays(DAY0, day)}T03:41:00.000Z`,
      by: 'Oda',
      device: 't',
      flower,
      ...draft,
    }) as unknown as AnyEvent & Draft;
  const log = [
    event(-1, { kind: 'flowerSeen', plant, sex: 'female', stage: 'coloured', node: 5 }),
    event(0, { kind: 'pollinated', fathers: [], tool: 'male-flower', shutAgain: 'tape', purpose: 'seed' }),
    ...looks.map(([day, result]) => event(day, { kind: 'lookedAt', result, sizeMm: null })),
    ...more.map(([day, draft]) => event(day, draft)),
  ];
  return fold(log).flowers.get(flower) as Flower;
}

// Days and signs after common practice: swelling by day 2-3, growing by 4-5, verdict by 7-10.
test.each([
  ['nothing looked at', [], 'waiting'],
  ['swelling on day 3 is not yet a verdict', [[3, 'growing']], 'waiting'],
  [
    'growing on day 5',
    [
      [3, 'growing'],
      [5, 'growing'],
    ],
    'set',
  ],
  [
    'yellow on day 5',
    [
      [3, 'same'],
      [5, 'yellowing'],
    ],
    'dropped',
  ],
  ['the same on day 5: wait', [[5, 'same']], 'waiting'],
  [
    'the same on day 8: it did not take',
    [
      [5, 'same'],
      [8, 'same'],
    ],
    'dropped',
  ],
  [
    'called yellow too early, grew after all',
    [
      [3, 'yellowing'],
      [5, 'growing'],
    ],
    'set',
  ],
  [
    'set, then lost',
    [
      [5, 'growing'],
      [12, 'gone'],
    ],
    'lost-later',
  ],
] as const)('%s', (_name, looks, fate) => {
  expect(fateOf(worked(looks as never), squash, zone, addDays(DAY0, 12))).toBe(fate);
});

test('knocked off before any verdict is a drop; harvested is set', () => {
  expect(
    fateOf(worked([], [[1, { kind: 'lost', cause: 'knocked-off' }]]), squash, zone, addDays(DAY0, 2)),
  ).toBe('dropped');
  expect(
    fateOf(
      worked([], [[4, { kind: 'harvested', harvestFor: 'kitchen', weightG: null }]]),
      squash,
      zone,
      addDays(DAY0, 4),
    ),
  ).toBe('set');
});

test('looks fall due on day 3, 5 and 8, once each, and stop at the verdict', () => {
  const due = (flower: Flower, day: number) =>
    lookDue(flower, squash, zone, addDays(DAY0, day))?.scheduled ?? null;
  expect([1, 2, 3, 4, 5, 7, 8, 20].map((day) => due(worked([]), day))).toEqual([
    null,
    null,
    3,
    3,
    5,
    5,
    8,
    8,
  ]);
  expect([3, 4, 5].map((day) => due(worked([[3, 'growing']]), day))).toEqual([null, null, 5]);
  expect(due(worked([[5, 'growing']]), 8)).toBeNull();
  expect(due(worked([[5, 'same']]), 8)).toBe(8);
});

test('days are calendar days in the garden: a late evening look on day 5 is still day 5', () => {
  // 23:30 in Ljubljana on 7 July is 21:30 UTC; in UTC+14 the same moment is already day 6.
  const flower = worked([]);
  expect(lookDue(flower, squash, 'Pacific/Kiritimati', '2026-07-07')?.day).toBe(5);
});
