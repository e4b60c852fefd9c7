import { bloomDayOf } from '../bloom';
import type { FlowerId, PlantId } from '../ids';
import { TEST_PLACE, TestGarden, type Planted } from '../testGarden';
import { planRound } from '../planning';
import {
  dawnQuestion,
  fathersFor,
  inHand,
  pollinationRound,
  stopsOf,
  surplusMales,
  type DawnQuestion,
} from '.';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';

const planDawn = ({ request }: DawnQuestion) => planRound({ ...request, effort: 30_000 });

interface Shut {
  readonly females: FlowerId[];
  readonly males: FlowerId[];
}

/** On every plant so many females and males shut the evening before. */
function shutAll(garden: TestGarden, { plants }: Planted, females: number, males: number): Shut {
  const shut = (sex: 'female' | 'male', count: number) =>
    plants.flatMap((plant) => Array.from({ length: count }, () => garden.shut(EVENING, plant, sex)));
  return { females: shut('female', females), males: shut('male', males) };
}

function ask(garden: TestGarden, more: { people?: string[]; now?: number; carrying?: string | null } = {}) {
  const morning = bloomDayOf(garden.state, garden.place, DAWN);
  const round = pollinationRound(garden.state, garden.place, DAWN, 'dawn');
  return dawnQuestion(garden.state, garden.place, DAWN, 'dawn', morning, {
    now: more.now ?? round?.window.opens ?? 0,
    people: more.people ?? ['me'],
    deadline: round?.end ?? 0,
    ...(more.carrying === undefined ? {} : { carrying: more.carrying }),
  });
}

test('every female gets other plants’ males of her variety, and the plan works her after they are picked', () => {
  const garden = new TestGarden();
  const dome = garden.plant('squash-maxima', 'Slate Dome', 3);
  const lamp = garden.plant('squash-moschata', 'Ferryman', 3);
  const shut = [shutAll(garden, dome, 1, 3), shutAll(garden, lamp, 1, 3)];
  const question = ask(garden);
  expect(question.match.pairs).toHaveLength(12);
  for (const { female, male } of question.match.pairs) {
    const [mother, father] = [female, male].map((id) => garden.state.flowers.get(id as FlowerId)?.plant);
    expect(mother).not.toBe(father);
    expect(dome.plants.includes(mother as PlantId)).toBe(dome.plants.includes(father as PlantId));
  }
  const plan = planDawn(question);
  const order = plan.routes[0]?.stops.map(({ id }) => id) ?? [];
  for (const stop of question.request.stops)
    for (const need of stop.needs) expect(order.indexOf(need)).toBeLessThan(order.indexOf(stop.id));
  expect(plan.skipped).toEqual([]);
  // One variety at a time: no change back and forth.
  const kinds = order.map((id) => question.request.stops.find((stop) => stop.id === id)?.pollen);
  expect(kinds.filter((kind, i) => kind !== kinds[i - 1])).toHaveLength(2);
  expect(shut.flatMap(({ females }) => females).every((id) => order.includes(id))).toBe(true);
});

test('no males: every female is listed, left out for want of pollen', () => {
  const garden = new TestGarden();
  const { females } = shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 2), 2, 0);
  const question = ask(garden);
  expect(question.match.unmet.map(({ why }) => why)).toEqual(females.map(() => 'no-male'));
  expect(planDawn(question).skipped).toEqual(females.map((id) => ({ id, reason: 'pollen' })));
});

test('no females: no round; males shut for nothing crash nothing', () => {
  const garden = new TestGarden();
  shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 2), 0, 3);
  expect(pollinationRound(garden.state, garden.place, DAWN, 'dawn')).toBeNull();
  expect(planDawn(ask(garden))).toMatchObject({ skipped: [], value: 0 });
});

test('one plant only: its own pollen, or none where selfing is never', () => {
  const garden = new TestGarden();
  shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 1), 1, 2);
  expect(ask(garden).match.pairs).toHaveLength(2);
  garden.school('selfing', 'never');
  expect(ask(garden).match).toMatchObject({ pairs: [], unmet: [{ why: 'only-own', missing: 2 }] });
});

test('everything torn: nothing to do, nothing planned, all of it told', () => {
  const garden = new TestGarden();
  const shut = shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 2), 1, 2);
  for (const id of [...shut.females, ...shut.males]) garden.check(garden.time(DAWN, 5), id, 'torn');
  const round = pollinationRound(garden.state, garden.place, DAWN, 'dawn');
  expect(round?.toDo).toEqual([]);
  expect(round?.stops.map(({ state }) => state)).toEqual(['spoiled', 'spoiled']);
  expect(planDawn(ask(garden))).toMatchObject({ routes: [{ stops: [] }], skipped: [] });
});

test('a male torn or missing is out, another takes its place', () => {
  const garden = new TestGarden();
  const { females, males } = shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 3), 1, 3);
  const before = ask(garden).match.pairs;
  const used = before.map(({ male }) => male);
  for (const id of used.slice(0, 3)) garden.check(garden.time(DAWN, 5), id as FlowerId, 'gone');
  const after = ask(garden).match.pairs;
  expect(after).toHaveLength(females.length * 2);
  expect(after.some(({ male }) => used.slice(0, 3).includes(male))).toBe(false);
  expect(males.length).toBe(9);
});

test('a flower found not open yet is asked for again 20 minutes later', () => {
  const garden = new TestGarden();
  const { females } = shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 2), 1, 2);
  const looked = garden.time(DAWN, 5, 20);
  garden.check(looked, females[0] as FlowerId, 'not-open');
  const question = ask(garden, { now: looked });
  const plan = planDawn(question);
  const stop = plan.routes[0]?.stops.find(({ id }) => id === females[0]);
  expect(stop?.begin).toBeGreaterThanOrEqual(looked + 20 * 60_000);
  expect(plan.skipped).toEqual([]);
});

test('males in hand are not collected again; hands that carry another variety are cleaned in time', () => {
  const garden = new TestGarden();
  const dome = garden.plant('squash-maxima', 'Slate Dome', 3);
  const { males } = shutAll(garden, dome, 1, 2);
  const now = garden.time(DAWN, 5, 10);
  for (const id of males) garden.check(now, id, 'whole');
  expect(inHand(garden.state.flowers.get(males[0] as FlowerId) as never, DAWN, TEST_PLACE.zone)).toBe(true);
  const own = planDawn(ask(garden, { now, carrying: dome.variety }));
  const foreign = planDawn(ask(garden, { now, carrying: 'variety:other' }));
  expect(own.routes[0]?.stops.map(({ id }) => id).filter((id) => id.startsWith('males of'))).toEqual([]);
  expect(foreign.finish - own.finish).toBe(60_000);
});

test('what is in hand is used before anything more is fetched', () => {
  const garden = new TestGarden();
  const { females } = shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 5), 1, 3);
  const now = garden.time(DAWN, 5, 10);
  const first = ask(garden).match.pairs;
  for (const { male } of first) garden.check(now, male as FlowerId, 'whole');
  for (const [i, mother] of females.slice(0, 3).entries()) {
    const used = ask(garden).match.pairs.filter(({ female }) => female === mother);
    garden.check(now + i * 180_000, mother, 'whole');
    garden.work(
      now + i * 180_000 + 60_000,
      mother,
      used.map(({ male }) => male as FlowerId),
    );
    const question = ask(garden, { now: now + i * 180_000 });
    const inHandNow = new Set(first.map(({ male }) => male));
    expect(question.match.pairs.every(({ male }) => inHandNow.has(male))).toBe(true);
    expect(question.match.pairs).toHaveLength(first.length - 2 * (i + 1));
  }
});

test('a small-flowered crop is not picked before it opens', () => {
  const garden = new TestGarden();
  shutAll(garden, garden.plant('melon', 'Quiet Bell', 3), 1, 2);
  const question = ask(garden, { now: garden.time(DAWN, 4, 50) });
  const opens = bloomDayOf(garden.state, garden.place, DAWN).window(
    garden.growing([...garden.state.plants.keys()][0] as PlantId).crop,
  ).opens;
  const plan = planDawn(question);
  expect(plan.skipped).toEqual([]);
  for (const { id, begin } of plan.routes[0]?.stops ?? [])
    expect(begin).toBeGreaterThanOrEqual(id.startsWith('males of') ? opens - 10 * 60_000 : opens);
});

test('two people share the round and are done sooner', () => {
  const garden = new TestGarden();
  shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 6), 1, 2);
  const alone = planDawn(ask(garden));
  const pair = planDawn(ask(garden, { people: ['me', 'helper 1'] }));
  expect(pair.value).toBeGreaterThanOrEqual(alone.value);
  expect(pair.finish).toBeLessThan(alone.finish);
  expect(pair.routes.every(({ stops }) => stops.length > 0)).toBe(true);
});

test('a male serves one female, or as many as the patch says, and no more', () => {
  const garden = new TestGarden();
  const { males, females } = shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 2), 2, 1);
  const uses = () => {
    const counts = new Map<string, number>();
    for (const { male } of ask(garden).match.pairs) counts.set(male, (counts.get(male) ?? 0) + 1);
    return [...counts.values()];
  };
  expect(uses()).toEqual([1, 1]);
  garden.school('sharing', '2');
  expect(uses()).toEqual([2, 2]);
  garden.check(garden.time(DAWN, 5), females[0] as FlowerId, 'whole');
  garden.work(garden.time(DAWN, 5, 2), females[0] as FlowerId, [males[1] as FlowerId]);
  expect(Math.max(...uses())).toBeLessThanOrEqual(2);
  const last = stopsOf(garden.state, DAWN, TEST_PLACE.zone, 'dawn').find(({ state }) => state === 'to-do');
  const offers = fathersFor(garden.state, last as never, DAWN, TEST_PLACE.zone, 'others-first');
  expect(offers.flatMap(({ free }) => free)).toContain(males[1]);
});

test('a cross of two squashes offers the father’s males and no others', () => {
  const garden = new TestGarden();
  const father = garden.plant('squash-maxima', 'Father Dome', 2);
  const mother = garden.plant('squash-maxima', 'Mother Dome', 2, {
    reason: 'cross',
    goal: { seed: { amount: 100, unit: 'seeds' }, fatherVariety: father.variety },
  });
  shutAll(garden, mother, 1, 2);
  const { males } = shutAll(garden, father, 0, 2);
  const { pairs } = ask(garden).match;
  expect(pairs.map(({ male }) => male).sort()).toEqual([...males].sort());
  const stop = stopsOf(garden.state, DAWN, TEST_PLACE.zone, 'dawn')[0];
  const offers = fathersFor(garden.state, stop as never, DAWN, TEST_PLACE.zone, 'others-first');
  expect(offers.map(({ growing }) => growing.variety.id)).toEqual([father.variety, father.variety]);
});

test('only males that no female needs go to the kitchen', () => {
  const garden = new TestGarden();
  shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 2), 1, 4);
  const { match } = ask(garden);
  const reserved = new Set(match.pairs.map(({ male }) => male));
  const surplus = surplusMales(garden.state, garden.place, DAWN, match);
  expect(surplus).toHaveLength(4);
  expect(surplus.some(({ id }) => reserved.has(id))).toBe(false);
});

test.each([
  ['polar day', { name: 'North', latitude: 70, longitude: 25, zone: 'Europe/Oslo' }],
  ['polar night', { name: 'South', latitude: -75, longitude: 25, zone: 'UTC' }],
])('%s: the clock stands in, and the round is still planned', (_name, place) => {
  const garden = new TestGarden(place);
  shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 2), 1, 2);
  const plan = planDawn(ask(garden));
  expect(plan.skipped).toEqual([]);
  expect(plan.routes[0]?.stops.length).toBeGreaterThan(0);
});

test('entries made with a clock that was wrong change no other day, and are all kept', () => {
  const garden = new TestGarden();
  const { females } = shutAll(garden, garden.plant('squash-maxima', 'Slate Dome', 2), 1, 2);
  garden.check(garden.time('2031-01-01', 5), females[0] as FlowerId, 'torn');
  garden.check(garden.time('2026-05-21', 5), females[1] as FlowerId, 'not-open');
  expect(() => planDawn(ask(garden))).not.toThrow();
  expect(garden.state.count).toBe(garden.events.length);
});

test('a second morning: what was worked yesterday stands in the round once more, for less worth, and one look settles it', () => {
  for (const school of ['one', 'second']) {
    const garden = new TestGarden();
    garden.school('mornings', school);
    const dome = garden.plant('squash-maxima', 'Slate Dome', 2);
    const [mother, father] = dome.plants as [PlantId, PlantId];
    const yesterday = garden.shut('2026-07-12', mother, 'female');
    const male = garden.shut('2026-07-12', father, 'male');
    garden.check(garden.time(EVENING, 5, 30), yesterday, 'whole');
    garden.work(garden.time(EVENING, 5, 31), yesterday, [male]);
    const fresh = garden.shut(EVENING, mother, 'female');
    const stops = () =>
      stopsOf(garden.state, DAWN, garden.place.zone, 'dawn').map(({ flower, again }) => [flower.id, again]);
    expect(new Map(stops() as [FlowerId, boolean][])).toEqual(
      new Map(
        school === 'second'
          ? [
              [yesterday, true],
              [fresh, false],
            ]
          : [[fresh, false]],
      ),
    );
    const worth = ask(garden).request.stops.filter(({ kind }) => kind !== 'collect');
    if (school === 'second')
      expect(worth.find(({ id }) => id === yesterday)?.value).toBeLessThan(
        worth.find(({ id }) => id === fresh)?.value ?? 0,
      );
    garden.check(garden.time(DAWN, 5, 30), yesterday, 'whole');
    expect(stops()).toEqual([[fresh, false]]);
  }
});
