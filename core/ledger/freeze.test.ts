import { bloomDayOf } from '../bloom';
import { cropOf } from '../crops';
import { workTime } from '../fruitset';
import { kitchenRound } from '../kitchen';
import { walkOrder } from '../patch';
import { fitForSeed, markIndexIn, rollOf } from '../purity';
import { contradictions, leftFlowers, nextRounds, toLookAt } from '../rounds';
import { DEMO_PLACE, DEMO_TODAY, demoStart } from '../simulation';
import { demoSeason, twoYears } from '../testLogs';
import { addDays, type LocalDate } from '../time';
import { eventsOf, fold, freeze, LatePart, resume, Shards, type AnyEvent, type Flower, type State } from '.';
import { saidOf } from './parts';

const { zone } = DEMO_PLACE;

const log = twoYears();
const whole = fold(log);
const sealBefore = `${addDays(DEMO_TODAY, -60)}T00:00:00.000Z`;
const frozen = freeze(whole, { sealBefore, partSize: 40 });
const thawed = (textOf?: (key: string) => string | undefined) => {
  const result = resume(JSON.parse(frozen.head), [], textOf);
  if (!result.ok) throw new Error(result.reason);
  return result;
};
const text = (key: string) => frozen.fresh.get(key);

/** All that Today says before the worker has answered. */
function today(state: State) {
  const now = demoStart();
  const named = (value: unknown) =>
    JSON.stringify(value, (_, each: unknown) => (each instanceof Map ? [...each] : each));
  return {
    rounds: named(nextRounds(state, DEMO_PLACE, now)),
    looks: named(toLookAt(state, zone, DEMO_TODAY)),
    kitchen: named(kitchenRound(state, zone, DEMO_TODAY)),
    left: named(
      leftFlowers(state, zone, now, DEMO_TODAY, (date: LocalDate) => bloomDayOf(state, DEMO_PLACE, date)),
    ),
    apart: named(contradictions(state, zone, DEMO_TODAY)),
    walk: walkOrder(state).map(({ plant }) => plant.id),
    minutes: workTime(state, cropOf('squash-maxima')),
    mark: ['phone', 'another'].map((device) => markIndexIn(state, rollOf(state, device))),
  };
}

test('flowers of bygone plants lie in parts that come late, and what Today says needs none of them', () => {
  const { state, late } = thawed();
  expect(late.length).toBeGreaterThan(5);
  expect(late.every(({ isHere }) => !isHere)).toBe(true);
  expect(state.flowers.size).toBe(whole.flowers.size);
  expect(frozen.head.length).toBeLessThan(0.7 * freeze(whole, { sealBefore: '' }).head.length);
  expect(today(state)).toEqual(today(whole));
  expect(late.every(({ isHere }) => !isHere)).toBe(true);
});

test('who asks for one of them before it came is told so, and finds it afterwards', () => {
  const { state, late } = thawed();
  const [first] = late;
  if (!first) throw new Error('no late part');
  const bygone = first.head.first;
  expect(() => state.flowers.get(bygone)).toThrow(expect.objectContaining({ reason: 'not-here' }));
  expect(state.flowers.get('flower:7ZZZZZZZZZZZZZZZZZZZZZZZZZ')).toBeUndefined();
  expect(first.bring('[]')).toBe(false);
  expect(first.bring(text(first.head.key) ?? '')).toBe(true);
  expect(state.flowers.get(bygone)).toEqual(whole.flowers.get(bygone));
});

test('with its parts a snapshot is the state it was made of, and made again it keeps every part', () => {
  const { state } = thawed(text);
  for (const table of [
    'patches',
    'beds',
    'varieties',
    'stands',
    'plants',
    'flowers',
    'flowersOf',
    'lots',
  ] as const)
    expect(new Map<string, unknown>(state[table])).toEqual(new Map<string, unknown>(whole[table]));
  expect(() => eventsOf(state)).toThrow(expect.objectContaining({ reason: 'sealed' }));
  for (const id of whole.flowers.keys()) if (!state.flowers.has(id)) throw new Error(`${id} is gone`);
  const again = freeze(state, { sealBefore, partSize: 40 });
  expect([...again.fresh]).toEqual([]);
  expect(again.keys).toEqual(frozen.keys);
  expect(JSON.parse(again.head)).toEqual(JSON.parse(frozen.head));
});

test('what a part says of itself is what its flowers say', () => {
  const { state } = thawed(text);
  const heads = (JSON.parse(frozen.head) as { late: { flowers: { key: string; said: unknown }[] } }).late
    .flowers;
  const plain = fold(log).flowers;
  let said = 0;
  for (const part of Shards.of(state.flowers).parts) {
    if (!(part instanceof LatePart)) continue;
    const { key, said: kept } = part.head;
    said += Object.keys(kept).length;
    const same = new Map([...part.keys()].map((id) => [id, plain.get(id as never) as Flower]));
    expect(saidOf(same, '')).toMatchObject(kept);
    expect(heads.find((head) => head.key === key)?.said).toEqual(kept);
  }
  expect(said).toBeGreaterThan(20);
});

test('a part that is not the text that was frozen is refused', () => {
  const [key] = frozen.fresh.keys();
  const result = resume(JSON.parse(frozen.head), [], (asked) =>
    asked === key ? (text(asked) ?? '').replace('female', 'femalf') : text(asked),
  );
  expect(result).toEqual({ ok: false, reason: 'broken' });
});

test('the males that a fruit rests on are there with it, though their plant is gone', () => {
  const season = demoSeason(5);
  const before = fold(season);
  const father = [...before.flowers.values()].flatMap(({ plant, pollinations }) =>
    pollinations.flatMap(({ fathers }) =>
      fathers.filter((each) => each.plant !== plant && each.flowers.length > 0),
    ),
  )[0];
  if (!father) throw new Error('no father');
  const removed = {
    ...season[0],
    id: '7ZZZZZZZZZZZZZZZZZZZZZZZZZ',
    at: season.at(-1)?.at,
    kind: 'plantRemoved',
  };
  const grown = fold([...season, { ...removed, plant: father.plant } as unknown as AnyEvent]);
  const { head } = freeze(grown, { sealBefore: '2027-06-01T00:00:00.000Z', partSize: 4 });
  const early = resume(JSON.parse(head), []);
  if (!early.ok) throw new Error(early.reason);
  expect(early.late.length).toBeGreaterThan(0);
  const resting = [...grown.flowers.values()].filter(
    ({ plant, pollinations }) => !grown.plants.get(plant)?.ended && pollinations.length > 0,
  );
  for (const flower of resting)
    expect(fitForSeed(flower, early.state).verdict).toBe(fitForSeed(flower, grown).verdict);
  expect(
    resting.some(({ pollinations }) =>
      pollinations.some(({ fathers }) => fathers.some(({ plant }) => plant === father.plant)),
    ),
  ).toBe(true);
});
