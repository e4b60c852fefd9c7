import { fold } from '../ledger';
import { fromJson } from '.';
import versionEight from './fixtures/version-8.json';
import versionFourteen from './fixtures/version-14.json';
import versionFifteen from './fixtures/version-15.json';
import versionSixteen from './fixtures/version-16.json';
import versionEleven from './fixtures/version-11.json';
import versionFive from './fixtures/version-5.json';
import versionFour from './fixtures/version-4.json';
import versionNine from './fixtures/version-9.json';
import versionOne from './fixtures/version-1.json';
import versionSeven from './fixtures/version-7.json';
import versionSix from './fixtures/version-6.json';
import versionTen from './fixtures/version-10.json';
import versionThirteen from './fixtures/version-13.json';
import versionThree from './fixtures/version-3.json';
import versionTwelve from './fixtures/version-12.json';
import versionTwo from './fixtures/version-2.json';

test('the fixture of version 1 is read for ever', () => {
  const read = fromJson(JSON.stringify(versionOne));
  expect(read.ok && fold(read.events).flowers.size).toBe(1);
  expect(read.ok && read.unknownKinds).toBe(1);
  // Version 2 only allows more: what version 1 wrote stands letter by letter, so two phones hold the same.
  expect(read.ok && read.events.every(({ v }) => v === 1)).toBe(true);
  expect(read.ok && read.practice).toEqual([]);
});

test('the fixture of version 2 is read for ever: a measured ovary, a gynoecious variety, practice beside', () => {
  const read = fromJson(JSON.stringify(versionTwo));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.varieties.values()].map(({ system }) => system)).toEqual(['gynoecious']);
  expect(
    [...state.flowers.values()].flatMap(({ sightings }) => sightings.map(({ ovaryMm }) => ovaryMm)),
  ).toEqual([18]);
  expect(read.practice.map(({ kind }) => kind)).toEqual(['practised', 'rehearsed']);
});

test('events of version 4 are read for ever: a counted group, a pollination of which no tool was said', () => {
  const read = fromJson(JSON.stringify(versionFour));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.stands.values()].flatMap(({ groups }) => groups)).toMatchObject([
    { how: 'insects', worked: 12, set: 7, bent: null },
  ]);
  expect([...state.flowers.values()].flatMap(({ pollinations }) => pollinations)[0]).toMatchObject({
    tool: null,
  });
  expect([...state.varieties.values()].map(({ traits }) => traits)).toEqual([{}, {}]);
});

test('events of version 5 are read for ever: what is said of a variety, and nothing over a bed', () => {
  const read = fromJson(JSON.stringify(versionFive));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.varieties.values()].map(({ traits }) => traits)).toEqual([
    { picked: 'ripe', f1: false },
    {},
  ]);
  expect([...state.beds.values()].flatMap(({ shelters }) => shelters)).toEqual([]);
  expect([...state.flowers.values()].map(({ reason, missed }) => [reason, missed])).toEqual(
    [...state.flowers.values()].map(() => [null, null]),
  );
});

test('events of version 3 are read for ever: goals, weather, clock notes, tallies, crosses', () => {
  const read = fromJson(JSON.stringify(versionThree));
  if (!read.ok) throw new Error(read.message);
  expect(read.unknownKinds).toBe(0);
  const state = fold(read.events);
  const [squash, tomato] = [...state.stands.values()];
  expect(squash).toMatchObject({
    goal: { seed: { amount: 20, unit: 'grams' }, mothers: 2, kitchenFruits: 3, bent: { setShare: 0.5 } },
    clock: [{ what: 'opened' }],
  });
  expect(tomato?.goal?.fatherVariety).toBe(squash?.variety);
  expect([...state.patches.values()][0]).toMatchObject({
    frostOn: '10-12',
    weather: { '2026-07-02': { minC: 14.5, felt: 'warm', origin: 'hand' } },
  });
  const flowers = [...state.flowers.values()];
  expect(flowers.flatMap(({ pollinations }) => pollinations)).toMatchObject([
    { lobes: 2, openS: 120, beeIn: true },
  ]);
  expect(flowers.filter(({ emasculated }) => emasculated !== null)).toHaveLength(1);
  expect([...state.plants.values()].flatMap(({ tallies }) => tallies)).toMatchObject([
    { tool: 'vibration', flowers: 6, truss: 2 },
  ]);
});

test('events of version 10 are read for ever: what was moved, outlined and weighed; no mark read that nobody read', () => {
  const read = fromJson(JSON.stringify(versionTen));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.beds.values()]).toMatchObject([{ xM: 4, yM: 6, turnedDeg: 30 }]);
  expect([...state.stands.values()]).toMatchObject([{ moved: { alongM: 1, acrossM: 0.5 } }]);
  expect([...state.neighbours.values()]).toMatchObject([{ sprayed: ['2026-06-20'], place: [60, -60] }]);
  expect([...state.flowers.values()]).toMatchObject([
    {
      mark: '1-A',
      markings: [{ mark: '1-A' }],
      markLost: null,
      looks: [{ markRead: null }],
      harvested: { markRead: null },
    },
  ]);
  expect([...state.plants.values()].every(({ offType }) => offType === null)).toBe(true);
});

test('events of version 9 are read for ever: what grows next door, and what is gone there', () => {
  const read = fromJson(JSON.stringify(versionNine));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.neighbours.values()]).toMatchObject([
    { crop: 'squash-pepo', distanceM: 120, bearingDeg: 90, goneAt: null, sprayed: [], place: null },
    { crop: 'beet', bearingDeg: null, goneAt: '2026-07-05T04:00:00.000Z' },
  ]);
  // A bed that nobody moved lies where it was measured.
  expect([...state.beds.values()]).toMatchObject([{ xM: 0, turnedDeg: 0, first: { xM: 0, yM: 0 } }]);
  expect(state.obstacles.size).toBe(0);
});

test('events of version 8 are read for ever: one in three left to the insects till none, and bees counted', () => {
  const read = fromJson(JSON.stringify(versionEight));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.stands.values()]).toMatchObject([{ leaving: null, bees: [{ visits: 4, seconds: 60 }] }]);
  expect([...state.flowers.values()].map(({ left }) => left !== null)).toEqual([true]);
  expect(state.neighbours.size).toBe(0);
});

test('events of version 7 are read for ever: stripped, threaded, pinched, an early count, two entries both true', () => {
  const read = fromJson(JSON.stringify(versionSeven));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.plants.values()].filter(({ strippedAt }) => strippedAt !== null)).toHaveLength(1);
  expect([...state.flowers.values()].map(({ thread, pinchedAt }) => [thread, pinchedAt !== null])).toEqual([
    ['red', true],
    [null, false],
  ]);
  expect([...state.stands.values()].flatMap(({ groups }) => groups)).toMatchObject([{ early: true, set: 9 }]);
  expect([...state.flowers.values()].every(({ left }) => left === null)).toBe(true);
  expect(read.events.filter(({ kind }) => kind === 'settled')).toHaveLength(1);
});

test('events of version 6 are read for ever: a shelter, a puff, a changed reason, what was left and what was picked', () => {
  const read = fromJson(JSON.stringify(versionSix));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.beds.values()].flatMap(({ shelters }) => shelters)).toMatchObject([
    { shelter: 'tunnel', insects: 'out' },
  ]);
  expect([...state.plants.values()].flatMap(({ tallies }) => tallies)).toMatchObject([{ puff: true }]);
  expect([...state.plants.values()].filter(({ reason }) => reason === 'fruit')).toHaveLength(1);
  expect([...state.flowers.values()].map(({ missed }) => missed?.why)).toEqual(['not-reached']);
  expect(
    [...state.stands.values()].map(({ picked, malesPicked }) => [picked[0]?.count, malesPicked[0]?.count]),
  ).toEqual([
    [4, undefined],
    [undefined, 24],
  ]);
});

test('events of version 11 are read for ever: off-types, a lost mark, clean hands; a bed as large as it was measured', () => {
  const read = fromJson(JSON.stringify(versionEleven));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.beds.values()]).toMatchObject([
    { xM: 4, turnedDeg: 30, lengthM: 30, first: { xM: 0, yM: 0 }, sized: false },
  ]);
  expect([...state.flowers.values()]).toMatchObject([
    { mark: null, markings: [{ mark: '1-A' }], pollinations: [{ clean: true }], looks: [{ markRead: true }] },
  ]);
  expect([...state.flowers.values()].every(({ markLost }) => markLost !== null)).toBe(true);
  expect([...state.plants.values()].filter(({ offType }) => offType !== null)).toHaveLength(1);
});

test('events of version 12 are read for ever: a bed of another size; no lot, no clone and no keeper that nobody named', () => {
  const read = fromJson(JSON.stringify(versionTwelve));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.beds.values()]).toMatchObject([{ lengthM: 20, sized: true }]);
  expect(state.lots.size).toBe(0);
  expect([...state.stands.values()]).toMatchObject([{ sown: null }]);
  expect([...state.plants.values()].map(({ sown, cloneOf, keepers }) => [sown, cloneOf, keepers])).toEqual([
    [null, null, []],
    [null, null, []],
  ]);
  expect([...state.plants.values()].flatMap(({ offType }) => offType ?? [])).toMatchObject([
    { shownBy: 'leaf', rogued: null },
  ]);
});

test('events of version 13 are read for ever: a lot, what was sown from it, a keeper; no spray and no prop that nobody noted', () => {
  const read = fromJson(JSON.stringify(versionThirteen));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.lots.values()]).toMatchObject([{ from: 'bought', year: 2025 }]);
  expect([...state.stands.values()]).toMatchObject([{ cares: [], sown: { lot: [...state.lots.keys()][0] } }]);
  expect([...state.plants.values()].flatMap(({ keepers }) => keepers)).toMatchObject([{ trait: 'early' }]);
  expect([...state.flowers.values()].map(({ propped }) => propped)).toEqual([null, null]);
});

test('events of version 14 are read for ever: a board under a fruit; of no cover is it said that the flower was still shut', () => {
  const read = fromJson(JSON.stringify(versionFourteen));
  if (!read.ok) throw new Error(read.message);
  const flowers = [...fold(read.events).flowers.values()];
  expect(flowers.flatMap(({ propped }) => propped ?? [])).toMatchObject([{ prop: 'board' }]);
  expect(flowers.flatMap(({ shuttings }) => shuttings.map(({ stillShut }) => stillShut))).toEqual([
    false,
    false,
  ]);
});

test('events of version 15 are read for ever: a cover over a flower that was still shut; no stand was looked over, no corn has a kind', () => {
  const read = fromJson(JSON.stringify(versionFifteen));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect(
    [...state.flowers.values()].flatMap(({ shuttings }) => shuttings.map(({ stillShut }) => stillShut)),
  ).toEqual([false, true]);
  expect([...state.stands.values()].map(({ rogueLooks }) => rogueLooks)).toEqual([[]]);
  expect([...state.varieties.values()].map(({ traits }) => traits)).toEqual([{}]);
});

test('events of version 16 are read for ever: a stand looked over; of no morning is it said that nobody comes', () => {
  const read = fromJson(JSON.stringify(versionSixteen));
  if (!read.ok) throw new Error(read.message);
  const state = fold(read.events);
  expect([...state.stands.values()].flatMap(({ rogueLooks }) => rogueLooks)).toMatchObject([
    { stage: 'seedling' },
  ]);
  expect([...state.patches.values()].map(({ mornings }) => mornings)).toEqual([
    { weekdays: null, minutes: null, told: {} },
  ]);
});
