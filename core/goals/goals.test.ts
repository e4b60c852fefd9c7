import fc from 'fast-check';
import { cropOf } from '../crops';
import { chanceOfAtLeast, pollinationsNeeded, ratesOf, workTime } from '../fruitset';
import type { Goal, Stand } from '../ledger';
import { TestGarden, type Planted } from '../testGarden';
import { addDays } from '../time';
import { goalSum, goalSums, lastUseful, NO_GOAL, type GoalSum } from '.';

const TODAY = '2026-07-10';
const seeds = (amount: number, more: Partial<Goal> = {}): Partial<Goal> => ({
  seed: { amount, unit: 'seeds' },
  ...more,
});

function garden(goal: Partial<Goal>, plants = 6) {
  const made = new TestGarden();
  const squash = made.plant('squash-maxima', 'Slate Dome', plants, { goal });
  return { made, squash };
}
const sumOf = ({ made, squash }: { made: TestGarden; squash: Planted }, today = TODAY, perMorning?: number) =>
  goalSum(made.state, made.place, made.state.stands.get(squash.stand) as never, today, {
    perMorning: perMorning ?? null,
  });

/** A female of plant `i` worked on a date, with a father's male; then growing or yellow on day 5. */
function worked(
  { made, squash }: { made: TestGarden; squash: Planted },
  i: number,
  date: string,
  fate: 'set' | 'dropped' | 'waiting',
  purpose: 'seed' | 'kitchen' = 'seed',
) {
  const evening = addDays(date, -1);
  const female = made.shut(evening, squash.plants[i] as never, 'female');
  const male = made.shut(evening, squash.plants[(i + 1) % squash.plants.length] as never, 'male');
  made.check(made.time(date, 5, 30), female, 'whole');
  made.work(made.time(date, 5, 33), female, [male], { purpose });
  if (fate !== 'waiting')
    made.look(made.time(addDays(date, 5), 9), female, fate === 'set' ? 'growing' : 'yellowing');
  return female;
}

test('the sum goes back from seed to tape, each number from the one before', () => {
  const sum = sumOf(garden(seeds(1000, { bent: { seedsPerFruit: 200, setShare: 0.5, wholeShare: 0.8 } })));
  expect(sum).toMatchObject({
    seeds: 1000,
    seedsPerFruit: { value: 200, from: 'bent' },
    forSeed: { wanted: 5, set: 0, waiting: 0, left: 5 },
    setShare: { value: 0.5, from: 'bent' },
    wholeShare: { value: 0.8, from: 'bent' },
    closure: 'tape',
  });
  // A share known exactly: the beta-binomial is the binomial. P(X >= 5) with p = 1/2: 0.8867 of 13, 0.9102 of 14.
  expect(sum?.forSeed.pollinations).toBe(14);
  expect(sum?.femalesToShut).toBe(Math.ceil(14 / 0.8));
  expect(sum?.malesToShut).toBe(Math.ceil((14 * 2) / 0.8) + 1);
  expect(sum?.tapeCm).toBe(((sum?.femalesToShut ?? 0) + (sum?.malesToShut ?? 0) + 14) * 12);
  expect(sum?.marks).toBe(14);
});

test('grams are turned into seeds by the catalogue, and it says so', () => {
  const sum = sumOf(garden({ seed: { amount: 50, unit: 'grams' } }));
  // 2 to 5 seeds of maxima a gram: the middle.
  expect(sum?.seeds).toBe(175);
  expect(sum?.seedsPerFruit?.from).toBe('catalogue');
});

test('fruit that needs no pollen is no seed fruit because it grows: it waits until it is opened', () => {
  const of = (system: 'parthenocarpic' | null) => {
    const made = new TestGarden();
    const squash = made.plant('cucumber', 'Plain Reach', 6, {
      goal: seeds(300, { bent: { seedsPerFruit: 100 } }),
      system,
    });
    worked({ made, squash }, 0, '2026-07-01', 'set');
    return sumOf({ made, squash });
  };
  expect(of(null)).toMatchObject({ forSeed: { set: 1, waiting: 0, left: 2 }, seedUnknown: 0, mothers: 1 });
  expect(of('parthenocarpic')).toMatchObject({
    forSeed: { set: 0, waiting: 1, left: 3 },
    seedUnknown: 1,
    mothers: 0,
  });
});

test('seed and kitchen are two halves: kitchen fruit that set makes no seed, and the other way round', () => {
  const each = garden(seeds(300, { kitchenFruits: 4, bent: { seedsPerFruit: 100 } }));
  for (let i = 0; i < 4; i++) worked(each, i, '2026-07-01', 'set', 'kitchen');
  worked(each, 4, '2026-07-01', 'set');
  worked(each, 5, '2026-07-08', 'waiting');
  const sum = sumOf(each);
  expect(sum?.forKitchen).toMatchObject({ wanted: 4, set: 4, left: 0, pollinations: 0 });
  expect(sum?.forSeed).toMatchObject({ wanted: 3, set: 1, waiting: 1, left: 2 });
  const rate = ratesOf(each.made.state, each.made.place.zone).set(
    cropOf('squash-maxima'),
    each.squash.variety,
  );
  expect(sum?.forSeed.pollinations).toBe(
    pollinationsNeeded({ fruitsWanted: 2, alpha: rate.alpha, beta: rate.beta, assurance: 0.9 }) - 1,
  );
});

test('ten fruits of one mother are no three mothers', () => {
  const each = garden(seeds(200, { mothers: 3, bent: { seedsPerFruit: 100 } }));
  for (let day = 1; day <= 4; day++) worked(each, 0, `2026-07-0${day}`, 'set');
  expect(sumOf(each)).toMatchObject({ mothers: 1, forSeed: { wanted: 3, set: 4, left: 2 } });
  worked(each, 1, '2026-07-04', 'set');
  worked(each, 2, '2026-07-04', 'set');
  expect(sumOf(each)).toMatchObject({ mothers: 3, forSeed: { left: 0 }, standing: 'done' });
});

test('tallied kitchen flowers have no verdict: they count as waiting', () => {
  const each = garden({ kitchenFruits: 3 });
  const before = sumOf(each)?.forKitchen.pollinations ?? 0;
  each.made.write(each.made.time('2026-07-09', 9), {
    kind: 'tallied',
    plant: each.squash.plants[0] as never,
    tool: 'male-flower',
    flowers: 2,
    truss: null,
  });
  expect(sumOf(each)?.forKitchen).toMatchObject({ waiting: 2, pollinations: before - 2 });
});

test('the grower’s own records move the rate, other varieties less, and never past the certain', () => {
  const each = garden(seeds(100));
  const crop = cropOf('squash-maxima');
  const other = each.made.plant('squash-maxima', 'Other Dome', 2);
  const rate = (variety: string) => ratesOf(each.made.state, each.made.place.zone).set(crop, variety);
  const prior = rate(each.squash.variety).mean;
  for (let i = 0; i < 12; i++) worked(each, i % 6, '2026-07-01', 'set');
  const own = rate(each.squash.variety);
  const cousin = rate(other.variety);
  expect(own.own).toEqual({ k: 12, n: 12 });
  expect(own.mean).toBeGreaterThan(cousin.mean);
  expect(cousin.mean).toBeGreaterThan(prior);
  expect(own.mean).toBeLessThan(1);
});

test('standings: done, on course, behind, past the last useful day, more than will ever open', () => {
  expect(sumOf(garden(seeds(300)), TODAY, 3)?.standing).toBe('on-course');
  const late = garden(seeds(300, { by: addDays(TODAY, 40) }));
  expect(sumOf(late, TODAY, 3)).toMatchObject({ standing: 'unreachable', morningsLeft: 0 });
  const tight = garden(seeds(3000, { by: addDays(TODAY, 75 + 11), bent: { seedsPerFruit: 200 } }));
  expect(sumOf(tight, TODAY, 1.8)?.standing).toBe('behind');
  expect(sumOf(tight, TODAY, 0.1)?.standing).toBe('unreachable');
});

test('what not knowing the set rate costs is said: known to the point fewer would do, and own verdicts mend it', () => {
  const sum = sumOf(garden(seeds(300)), TODAY, 3);
  if (!sum) throw new Error('no sum');
  const { known, asKnown, toHalve } = sum.doubt;
  expect(asKnown).toBe(sum.pollinations);
  expect(known).toBeLessThan(asKnown);
  expect(toHalve).toBeGreaterThan(0);
  // A share given by hand is known: there is no doubt to pay for.
  const bent = sumOf(garden(seeds(300, { bent: { setShare: 0.4 } })), TODAY, 3);
  expect(bent?.doubt).toMatchObject({ toHalve: null, known: bent?.pollinations });
});

test('seed worked after the last useful day is no seed any more, where that day was said', () => {
  const made = garden(seeds(2000, { by: '2026-10-01' }));
  const stand = made.made.state.stands.get(made.squash.stand) as Stand;
  expect(lastUseful(made.made.state, made.made.place, stand, TODAY)).toMatchObject({
    on: '2026-07-18',
    said: true,
  });
  worked(made, 0, '2026-07-18', 'set');
  expect(sumOf(made, '2026-08-20', 3)?.forSeed.set).toBe(1);
  worked(made, 1, '2026-07-19', 'set');
  expect(sumOf(made, '2026-08-20', 3)).toMatchObject({ forSeed: { set: 1 }, standing: 'unreachable' });
});

test('a squash may ripen on indoors, so frost leaves it more days than a date on which it must be ripe', () => {
  const made = new TestGarden();
  const { stand } = made.plant('squash-maxima', 'Slate Dome', 1);
  made.write(made.time('2026-07-01', 9), { kind: 'frostExpected', patch: made.patchId, frostOn: '10-10' });
  const on = () => lastUseful(made.state, made.place, made.state.stands.get(stand) as Stand, TODAY).on;
  // Forty warm days: in the cool of autumn five more.
  expect(on()).toBe('2026-08-26');
  made.goal(stand, { seed: { amount: 100, unit: 'seeds' }, by: '2026-10-10' });
  // The late end of its days on the plant reaches back into the warmth.
  expect(on()).toBe('2026-07-27');
});

test('no goal, no plants, or a goal that asks for nothing: no sum, no crash', () => {
  const made = new TestGarden();
  const bare = made.plant('squash-maxima', 'Bare', 2);
  expect(goalSums(made.state, made.place, TODAY)).toEqual([]);
  made.goal(bare.stand, {});
  expect(goalSums(made.state, made.place, TODAY)).toEqual([]);
  made.goal(bare.stand, seeds(100));
  for (const plant of bare.plants) made.write(made.time('2026-07-01', 9), { kind: 'plantRemoved', plant });
  expect(goalSums(made.state, made.place, TODAY)).toEqual([]);
});

test('more assurance, or more fruit, never asks for fewer pollinations', () => {
  fc.assert(
    fc.property(
      fc.record({
        fruitsWanted: fc.integer({ min: 1, max: 60 }),
        alpha: fc.double({ min: 0.5, max: 40, noNaN: true }),
        beta: fc.double({ min: 0.5, max: 40, noNaN: true }),
        assurance: fc.double({ min: 0.5, max: 0.98, noNaN: true }),
      }),
      (asked) => {
        const n = pollinationsNeeded(asked);
        const surer = pollinationsNeeded({ ...asked, assurance: asked.assurance + 0.01 });
        const more = pollinationsNeeded({ ...asked, fruitsWanted: asked.fruitsWanted + 1 });
        expect(surer).toBeGreaterThanOrEqual(n);
        expect(more).toBeGreaterThanOrEqual(n);
        if (n === Infinity) return;
        const chance = (count: number) => chanceOfAtLeast(asked.fruitsWanted, count, asked.alpha, asked.beta);
        expect(chance(n)).toBeGreaterThanOrEqual(asked.assurance);
        expect(chance(n - 1)).toBeLessThan(asked.assurance);
      },
    ),
    { seed: 4, numRuns: 150 },
  );
});

describe('work times', () => {
  test('are the catalogue’s until the log knows better; a pause is no work', () => {
    const each = garden(seeds(100));
    const crop = cropOf('squash-maxima');
    expect(workTime(each.made.state, crop)).toEqual({ minutes: 3, from: 0 });
    const time = (minute: number) => each.made.time('2026-07-02', 5, minute);
    for (const minute of [0, 2, 4, 6, 8, 40, 42]) {
      const female = each.made.shut('2026-07-01', each.squash.plants[0] as never, 'female');
      each.made.work(time(minute), female, []);
    }
    const learnt = workTime(each.made.state, crop);
    // Five gaps of two minutes and one pause of 32; worth five flowers beside the catalogue's six.
    expect(learnt.from).toBe(5);
    expect(learnt.minutes).toBeCloseTo((3 * 6 + 2 * 5) / 11, 10);
  });

  test('differ by method, and two people’s gaps are not mixed', () => {
    const each = garden(seeds(100));
    const crop = cropOf('squash-maxima');
    const at = (minute: number) => each.made.time('2026-07-02', 5, minute);
    const female = () => each.made.shut('2026-07-01', each.squash.plants[0] as never, 'female');
    for (const minute of [0, 2, 4, 6]) each.made.work(at(minute), female(), [], { tool: 'male-flower' });
    for (const minute of [10, 15, 20, 25]) each.made.work(at(minute), female(), [], { tool: 'brush' });
    expect(workTime(each.made.state, crop, 'brush').minutes).toBeGreaterThan(
      workTime(each.made.state, crop, 'male-flower').minutes,
    );
    each.made.write(
      at(26),
      { kind: 'pollinated', flower: female(), fathers: [], tool: 'brush', shutAgain: null, purpose: 'seed' },
      'Tilen',
    );
    expect(workTime(each.made.state, crop, 'brush').from).toBe(4);
  });
});

test('pure seed of what selfs under its cover asks for trusses and bags, minutes, and no father (common practice)', () => {
  const sum = (crop: 'tomato' | 'pepper', reason: 'seed' | 'cross' = 'seed') => {
    const garden = new TestGarden();
    const { stand } = garden.plant(crop, 'Quay Ember', 6, { reason });
    garden.write(garden.time('2026-06-10', 9), {
      kind: 'goalSet',
      stand,
      goal: { ...NO_GOAL, seed: { amount: 500, unit: 'seeds' }, mothers: 1, fathers: 4 },
    });
    return goalSum(
      garden.state,
      garden.place,
      garden.state.stands.get(stand) as Stand,
      '2026-07-01',
    ) as GoalSum;
  };
  const tomato = sum('tomato');
  expect(tomato).toMatchObject({ malesToShut: 0, brushes: 0, underCover: 6 });
  expect(tomato.femalesToShut).toBeLessThanOrEqual(4);
  expect(tomato.minutes).toBeLessThan(10);
  expect(tomato.bags).toBe(tomato.femalesToShut);
  expect(tomato.marks).toBe(tomato.forSeed.left);
  expect(sum('pepper')).toMatchObject({ malesToShut: 0, underCover: 2 });
  // A cross is worked flower by flower.
  expect(sum('tomato', 'cross')).toMatchObject({ underCover: null });
  expect(sum('tomato', 'cross').malesToShut).toBeGreaterThan(0);
});

test('a goal on beans, peas or lettuce, as a file may bring it, has no sum and stops no other', () => {
  const garden = new TestGarden();
  for (const crop of ['bean', 'pea', 'lettuce', 'squash-maxima'] as const) {
    const { stand } = garden.plant(crop, `A ${crop}`, 3);
    garden.write(garden.time('2026-06-10', 9), {
      kind: 'goalSet',
      stand,
      goal: { ...NO_GOAL, seed: { amount: 300, unit: 'seeds' } },
    });
  }
  expect(goalSums(garden.state, garden.place, '2026-07-01').map(({ crop }) => crop.id)).toEqual([
    'squash-maxima',
  ]);
});
