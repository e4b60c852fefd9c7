import type { StandId } from '../ids';
import { validateEvent, type Corner, type Draft, type ObstacleKind } from '../ledger';
import { TestGarden } from '../testGarden';
import { between, groundOf, neighbourPlace, seenFromPatch, standing } from '../patch';
import { isolationOf, standDistance } from '.';

const DAY = '2026-07-10';

function patch(crop: 'squash-maxima' | 'corn' = 'squash-maxima') {
  const garden = new TestGarden();
  const { stand } = garden.plant(crop, 'Slate Dome', 4, { reason: 'seed' }) as { stand: StandId };
  const other = garden.plant(crop, 'Tin Lantern', 3, { reason: 'fruit' }) as { stand: StandId };
  let serial = 0;
  const now = () => garden.time(DAY, 9, serial++);
  const write = (draft: Draft) => garden.write(now(), draft);
  const obstacle = (what: ObstacleKind, corners: Corner[], area = false) =>
    garden.obstacle(what, corners, area, now());
  const nextDoor = (said: Partial<Extract<Draft, { kind: 'neighbourNoted' }>>) =>
    garden.nextDoor({ crop, ...said }, now());
  const answer = () => isolationOf(garden.state, stand, DAY);
  const rival = (from: 'own' | 'neighbour') => answer()?.rivals.find((each) => each.from === from);
  return { garden, stand, other: other.stand, write, obstacle, nextDoor, answer, rival };
}

test('moving a stand away until it is far enough', () => {
  const { write, rival, other } = patch();
  expect(rival('own')?.verdict).toBe('too-near');
  const needed = rival('own')?.needed.chosenM as number;
  write({ kind: 'standPlaced', stand: other, alongM: 0, acrossM: needed + 10 });
  expect(rival('own')).toMatchObject({ verdict: 'fine' });
});

test('an outline counts instead of the plants, and taken back the plants count again', () => {
  const { garden, stand, write } = patch();
  const plants = standing(garden.state, stand);
  const hull = plants && groundOf(plants);
  write({
    kind: 'outlineSet',
    stand,
    outline: [
      [-5, -5],
      [20, -5],
      [20, 2],
      [-5, 2],
    ],
  });
  const outlined = standing(garden.state, stand);
  expect(outlined && groundOf(outlined)).toMatchObject({
    type: 'Polygon',
    coordinates: [
      [
        [-5, -5],
        [20, -5],
        [20, 2],
        [-5, 2],
      ],
    ],
  });
  write({ kind: 'outlineSet', stand, outline: null });
  const again = standing(garden.state, stand);
  expect(again && groundOf(again)).toEqual(hull);
});

test('a hedge between two stands shortens what is needed; one beside them, or one that is gone, does not', () => {
  const { obstacle, rival, write } = patch();
  const open = rival('own')?.needed.chosenM as number;
  obstacle('hedge', [
    [-50, -3],
    [50, -3],
  ]);
  expect(rival('own')?.needed.chosenM).toBe(open);
  const across = obstacle('hedge', [
    [-50, 4],
    [50, 4],
  ]);
  expect(rival('own')?.needed.chosenM).toBeLessThan(open);
  write({ kind: 'obstacleGone', obstacle: across });
  expect(rival('own')?.needed.chosenM).toBe(open);
});

test('an area is crossed through any of its sides, the last one too; what runs along the way is not across it', () => {
  const { garden, obstacle } = patch();
  obstacle(
    'building',
    [
      [0, 20],
      [10, 20],
      [10, 30],
      [0, 30],
    ],
    true,
  );
  expect(between(garden.state.obstacles, [-5, 25], [5, 25])).toEqual(['building']);
  expect(between(garden.state.obstacles, [-5, 10], [5, 10])).toEqual([]);
  obstacle('hedge', [
    [0, 50],
    [10, 50],
  ]);
  expect(between(garden.state.obstacles, [-5, 50], [15, 50])).toEqual([]);
  // A line has no last side.
  obstacle('water', [
    [100, 0],
    [110, 0],
    [110, 10],
  ]);
  expect(between(garden.state.obstacles, [100, 6], [104, 4])).toEqual([]);
});

test('what lies next door in a direction is measured to each stand, and does not move when a bed does', () => {
  const { garden, nextDoor, rival, write, stand } = patch();
  const id = nextDoor({ distanceM: 100, bearingDeg: 0 });
  const place = () => neighbourPlace(garden.state.beds, garden.state.neighbours.get(id) as never) as Corner;
  const [, y] = place();
  expect(y).toBeCloseTo(-100, 6);
  const before = rival('neighbour')?.distanceM as number;
  expect(before).toBeGreaterThanOrEqual(100);
  const bed = garden.state.stands.get(stand)?.bed as string;
  write({ kind: 'bedPlaced', bed, xM: 0, yM: 40, turnedDeg: 0 });
  expect(place()[1]).toBeCloseTo(-100, 6);
  // Almost: its nearest corner looks a little past due north.
  expect(rival('neighbour')?.distanceM).toBeCloseTo(before + 40, 0);
});

test('a direction read off the plan puts a planting back in the same place', () => {
  const { garden } = patch();
  for (const [bearingDeg, distanceM] of [
    [0, 0],
    [45, 12.5],
    [90, 3000],
    [200, 40],
    [315, 7],
  ] as const) {
    const place = neighbourPlace(garden.state.beds, { place: null, bearingDeg, distanceM }) as Corner;
    expect(seenFromPatch(garden.state.beds, place)).toEqual({ bearingDeg, distanceM });
  }
  const told = neighbourPlace(garden.state.beds, { place: [7, 8], bearingDeg: 90, distanceM: 3 });
  expect(told).toEqual([7, 8]);
  expect(neighbourPlace(garden.state.beds, { place: null, bearingDeg: null, distanceM: 3 })).toBeNull();
});

test('two weeks between silk and pollen keep two corns apart, a day less does not', () => {
  const { garden, nextDoor, rival, write, stand, other } = patch('corn');
  for (const { id, stand: of } of [...garden.state.plants.values()])
    if (of === other) write({ kind: 'plantRemoved', plant: id });
  const plant = [...garden.state.plants.values()].find((each) => each.stand === stand)?.id as string;
  garden.see(garden.time('2026-07-20', 8), plant, 'female', 'open', 1);
  nextDoor({ distanceM: 5, bloomFrom: '2026-06-20', bloomTo: '2026-07-05' });
  expect(rival('neighbour')).toMatchObject({ apartDays: 14, verdict: 'fine' });
  nextDoor({ distanceM: 4, bloomFrom: '2026-06-20', bloomTo: '2026-07-06' });
  expect(
    isolationOf(garden.state, stand, DAY)?.rivals.find((each) => each.distanceM < 5 || each.apartDays === 13),
  ).toMatchObject({ apartDays: 13, verdict: 'too-near' });
});

test('a guess of days keeps nothing apart', () => {
  const { garden, nextDoor, rival, stand } = patch();
  const plant = [...garden.state.plants.values()].find((each) => each.stand === stand)?.id as string;
  garden.see(garden.time('2026-07-20', 8), plant, 'female', 'open', 1);
  const days = { distanceM: 5, bloomFrom: '2026-05-01', bloomTo: '2026-06-01' };
  const id = nextDoor({ ...days, knownBy: 'guessed' });
  expect(rival('neighbour')).toMatchObject({ apartDays: 0, verdict: 'too-near', source: { bloom: null } });
  garden.write(garden.time(DAY, 20), { kind: 'neighbourGone', neighbour: id });
  nextDoor({ ...days, knownBy: 'told' });
  expect(rival('neighbour')).toMatchObject({ apartDays: 48, verdict: 'fine' });
});

test('the grower’s own weights count, until taken back', () => {
  const { garden, rival, write } = patch();
  const ours = rival('own')?.needed.chosenM as number;
  write({ kind: 'weightSet', patch: garden.patchId, reason: 'keep', weight: 1 });
  expect(rival('own')?.needed.chosenM).toBeGreaterThan(ours);
  write({ kind: 'weightSet', patch: garden.patchId, reason: 'keep', weight: null });
  expect(rival('own')?.needed.chosenM).toBe(ours);
});

test('outlines that cross themselves, or have no width, are measured and never below 0', () => {
  const { garden, stand, other, write } = patch();
  for (const outline of [
    [
      [0, 0],
      [10, 10],
      [10, 0],
      [0, 10],
    ],
    [
      [0, 0],
      [10, 0],
      [20, 0],
    ],
    [
      [3, 3],
      [3, 3],
      [3, 3],
    ],
  ] as Corner[][]) {
    expect(validateEvent(write({ kind: 'outlineSet', stand, outline }))).toMatchObject({ ok: true });
    const [a, b] = [standing(garden.state, stand), standing(garden.state, other)];
    expect(a && b && standDistance(groundOf(a), groundOf(b))).toBeGreaterThanOrEqual(0);
  }
});

test.each([
  ['turnedDeg', { kind: 'bedPlaced', xM: 0, yM: 0, turnedDeg: 360 }],
  ['xM', { kind: 'bedPlaced', xM: 20_000, yM: 0, turnedDeg: 0 }],
  [
    'outline',
    {
      kind: 'outlineSet',
      outline: [
        [0, 0],
        [1, 1],
      ],
    },
  ],
  [
    'outline',
    {
      kind: 'outlineSet',
      outline: [
        [0, 0],
        [1, 1],
        [0, 'x'],
      ],
    },
  ],
  ['corners', { kind: 'obstacleNoted', what: 'hedge', corners: [[0, 0]], area: false }],
  [
    'what',
    {
      kind: 'obstacleNoted',
      what: 'wall',
      corners: [
        [0, 0],
        [1, 1],
      ],
      area: false,
    },
  ],
  ['weight', { kind: 'weightSet', reason: 'hedge', weight: 2 }],
  ['reason', { kind: 'weightSet', reason: 'moon', weight: 0 }],
])('what can’t be drawn or weighed is refused by its field: %s', (field, change) => {
  const { garden, stand, obstacle } = patch();
  const id = obstacle('hedge', [
    [0, 0],
    [1, 1],
  ]);
  const own = { bed: garden.state.stands.get(stand)?.bed, stand, obstacle: id, patch: garden.patchId };
  const wanted = {
    bedPlaced: ['bed'],
    outlineSet: ['stand'],
    obstacleNoted: ['obstacle', 'patch'],
    weightSet: ['patch'],
  };
  const names = wanted[change.kind as keyof typeof wanted] as (keyof typeof own)[];
  const {
    id: event,
    v,
    at,
    by,
    device,
  } = garden.events.at(-1) as { id: string; v: number; at: string; by: string; device: string };
  const read = validateEvent({
    id: event,
    v,
    at,
    by,
    device,
    ...Object.fromEntries(names.map((name) => [name, own[name]])),
    ...change,
  });
  expect(read.ok ? '' : read.field).toContain(field);
});
