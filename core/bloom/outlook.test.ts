import {
  bloomOutlook,
  budRecords,
  budsOfPlant,
  doubtAbout,
  likeliest,
  openedNextDay,
  teachingFlowers,
} from '.';
import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { fold, SCHEMA_VERSION, type AnyEvent, type Draft } from '../ledger';
import { testIds } from '../testing';

const ZONE = 'Europe/Ljubljana';
const ids = testIds(3);
const at = (day: string, time: string) => new Date(`${day}T${time}:00Z`).toISOString();
let written = 0;
const event = (when: string, draft: Draft): AnyEvent => ({
  id: ids.event(Date.parse(when) + written++),
  v: SCHEMA_VERSION,
  at: when,
  by: 'Oda',
  device: 'test',
  ...draft,
});
const START = Date.parse('2026-05-01T08:00:00Z');
const patch = ids.subject('patch', START);
const bed = ids.subject('bed', START);
const variety = ids.subject('variety', START);
const stand = ids.subject('stand', START);
const plants = [1, 2].map(() => ids.subject('plant', START));
const [first = '', second = ''] = plants;
const flower = () => ids.subject('flower', START);

const begun: AnyEvent[] = [
  event(at('2026-05-01', '08:00'), { kind: 'patchBegun', patch, name: 'Test' }),
  event(at('2026-05-01', '08:01'), {
    kind: 'bedAdded',
    bed,
    patch,
    name: 'Bed',
    xM: 0,
    yM: 0,
    lengthM: 8,
    widthM: 1,
  }),
  event(at('2026-05-01', '08:02'), {
    kind: 'varietyAdded',
    variety,
    patch,
    name: 'Slate Dome',
    crop: 'squash-maxima',
    shape: 'ribbed',
  }),
  event(at('2026-05-01', '08:03'), { kind: 'standAdded', stand, bed, variety, reason: 'seed' }),
  ...plants.map((plant, i) =>
    event(at('2026-05-01', '08:04'), {
      kind: 'plantAdded',
      plant,
      stand,
      label: String(i + 1),
      xM: i,
      yM: 0,
      plantedOn: null,
    }),
  ),
];
const seen = (
  when: string,
  id: string,
  plant: string,
  sex: 'female' | 'male',
  stage: 'green' | 'coloured' | 'open',
  node: number,
) => event(when, { kind: 'flowerSeen', flower: id, plant, sex, stage, node });
const told = (events: readonly AnyEvent[], from = '2026-07-15') =>
  bloomOutlook({ state: fold([...begun, ...events]), zone: ZONE, from })[0];

test('a female without a male of another plant is warned of; a male there settles it', () => {
  const female = seen(at('2026-07-14', '18:00'), flower(), first, 'female', 'coloured', 9);
  const own = seen(at('2026-07-14', '18:01'), flower(), first, 'male', 'coloured', 7);
  const other = seen(at('2026-07-14', '18:02'), flower(), second, 'male', 'coloured', 7);
  expect(told([female])?.lonely).toMatchObject([{ date: '2026-07-15', females: 1, withoutMale: 1 }]);
  expect(told([female, own])?.lonely).toHaveLength(1);
  expect(told([female, own, other])?.lonely).toEqual([]);
  const selfing = event(at('2026-07-01', '08:00'), {
    kind: 'schoolChosen',
    patch,
    school: 'selfing',
    choice: 'allowed',
  });
  expect(told([female, own, selfing])?.lonely).toEqual([]);
});

test('the only plant of its variety has its own males: no alarm for what nothing can mend, unless they are never offered', () => {
  const alone = (choice: string | null) => {
    const garden = new TestGarden();
    const [plant] = garden.plant('melon', 'Tideglass', 1).plants as [PlantId];
    if (choice)
      garden.write(garden.time('2026-07-01', 8), {
        kind: 'schoolChosen',
        patch: garden.patchId,
        school: 'selfing',
        choice,
      });
    garden.see(garden.time('2026-07-14', 18), plant, 'female', 'coloured', 9);
    garden.see(garden.time('2026-07-14', 18, 1), plant, 'male', 'coloured', 7);
    const state = fold(garden.events);
    return bloomOutlook({ state, zone: garden.place.zone, from: '2026-07-15' })[0]?.lonely.length;
  };
  expect([null, 'others-first', 'allowed', 'never'].map(alone)).toEqual([0, 0, 0, 1]);
});

test('males that were only counted are expected too; a newer count stands for the older', () => {
  const count = (when: string, stage: 'green' | 'coloured', males: number) =>
    event(when, { kind: 'malesCounted', plant: first, stage, count: males });
  const events = [
    count(at('2026-07-13', '18:00'), 'green', 5),
    count(at('2026-07-14', '18:00'), 'coloured', 4),
  ];
  const day = told(events)?.days[0];
  expect(day?.males?.mean).toBeCloseTo(3.3, 0);
  expect(told(events)?.buds).toHaveLength(4);
});

test('all male so far is said early in the season, and no longer once a female was seen', () => {
  const male = seen(at('2026-07-10', '18:00'), flower(), first, 'male', 'coloured', 5);
  expect(told([male], '2026-07-11')?.allMaleSoFar).toBe(true);
  const female = seen(at('2026-07-11', '18:00'), flower(), first, 'female', 'green', 9);
  expect(told([male, female], '2026-07-12')?.allMaleSoFar).toBe(false);
});

test('what was seen teaches: opened next day, found shut still, seen open', () => {
  const [a, b, c] = [flower(), flower(), flower()];
  const events = [
    seen(at('2026-07-10', '18:00'), a, first, 'female', 'coloured', 5),
    event(at('2026-07-11', '03:30'), {
      kind: 'pollinated',
      flower: a,
      fathers: [],
      tool: 'brush',
      shutAgain: 'tape',
      purpose: 'seed',
    }),
    seen(at('2026-07-10', '18:01'), b, first, 'female', 'coloured', 6),
    event(at('2026-07-11', '03:40'), { kind: 'closureChecked', flower: b, result: 'not-open' }),
    event(at('2026-07-12', '03:40'), {
      kind: 'pollinated',
      flower: b,
      fathers: [],
      tool: 'brush',
      shutAgain: 'tape',
      purpose: 'seed',
    }),
    seen(at('2026-07-10', '18:02'), c, first, 'male', 'green', 7),
    seen(at('2026-07-12', '05:00'), c, first, 'male', 'open', 7),
  ];
  const records = budRecords(fold([...begun, ...events]), ZONE);
  expect(openedNextDay(records, 'coloured')).toEqual({ opened: 1, known: 2 });
  const green = records.find(({ stage }) => stage === 'green');
  expect([green?.openedFrom, green?.openedTo]).toEqual(['2026-07-11', '2026-07-12']);
  expect(told(events)?.nextDay).toEqual({ opened: 1, known: 2 });
  expect(told(events)?.nextDayHere).toEqual({ opened: 1, known: 2 });
  // An old season teaches nothing any more.
  expect(teachingFlowers(fold([...begun, ...events]), '2029-07-15')).toEqual([]);
});

test('buds of a plant come soonest first, and leave the list once worked', () => {
  const [green, coloured] = [flower(), flower()];
  const events = [
    seen(at('2026-07-14', '18:00'), green, first, 'female', 'green', 9),
    seen(at('2026-07-14', '18:01'), coloured, first, 'female', 'coloured', 8),
  ];
  const outlook = told(events);
  const buds = budsOfPlant(outlook ? [outlook] : [], first);
  expect(buds.map(({ stage }) => stage)).toEqual(['coloured', 'green']);
  expect(likeliest(buds[0]?.forecast ?? [])?.date).toBe('2026-07-15');
  const worked = event(at('2026-07-15', '03:40'), {
    kind: 'pollinated',
    flower: coloured,
    fathers: [],
    tool: 'brush',
    shutAgain: 'tape',
    purpose: 'seed',
  });
  expect(told([...events, worked])?.buds.map(({ stage }) => stage)).toEqual(['green']);
});

describe('observations that cannot be', () => {
  const now = Date.parse('2026-07-14T18:00:00Z');
  const seenNow = { crop: 'squash-maxima', sex: 'female', stage: 'coloured', at: now } as const;
  const before = (stage: 'green' | 'coloured') => {
    const id = flower();
    const when = stage === 'green' ? at('2026-07-14', '05:00') : at('2026-07-12', '18:00');
    return fold([...begun, seen(when, id, first, 'female', stage, 4)]).flowers.get(id) ?? null;
  };
  test('what is likely raises no question', () => {
    expect(doubtAbout(seenNow, null, now, ZONE)).toBeNull();
    expect(doubtAbout({ ...seenNow, ovaryMm: 24 }, before('green'), now, ZONE)).toBeNull();
  });
  test.each([
    ['a male with an ovary', { ...seenNow, sex: 'male', ovaryMm: 20 } as const, 'male-with-ovary', 'ovaryMm'],
    ['seen tomorrow', { ...seenNow, at: now + 86_400_000 }, 'seen-later', 'at'],
    ['a tomato that is female', { ...seenNow, crop: 'tomato' } as const, 'not-this-crop', 'sex'],
    ['an ovary as long as an arm', { ...seenNow, ovaryMm: 400 }, 'ovary-size', 'ovaryMm'],
  ] as const)('%s gets a question back', (_name, observation, reason, field) => {
    const doubt = doubtAbout(observation, null, now, ZONE);
    expect([doubt?.reason, doubt?.field]).toEqual([reason, field]);
    expect(doubt?.words).toMatch(/\?$/);
  });
  test('a bud that grew younger, changed its sex, or grew up within a day', () => {
    expect(doubtAbout({ ...seenNow, stage: 'pin' }, before('coloured'), now, ZONE)?.reason).toBe(
      'grown-younger',
    );
    expect(doubtAbout({ ...seenNow, sex: 'male' }, before('coloured'), now, ZONE)?.reason).toBe('other-sex');
    expect(doubtAbout({ ...seenNow, stage: 'open' }, before('green'), now, ZONE)?.reason).toBe('too-quick');
  });
});
