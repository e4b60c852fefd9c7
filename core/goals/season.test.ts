import type { PlantId } from '../ids';
import type { Goal, Stand } from '../ledger';
import { bloomOutlook, frostAfter, seasonOf } from '../bloom';
import { cropOf, type CropId } from '../crops';
import { TestGarden, TEST_PLACE, type Planted } from '../testGarden';
import { addDays, daysBetween } from '../time';
import { goalSum, lastUseful, malesFor, tonightPlan } from '.';
import { freeMales } from '../rounds';

const seeds = (amount: number, more: Partial<Goal> = {}): Partial<Goal> => ({
  seed: { amount, unit: 'seeds' },
  ...more,
});
const sumOf = (garden: TestGarden, { stand }: Planted, today: string, perMorning: number | null = 1) =>
  goalSum(garden.state, garden.place, garden.state.stands.get(stand) as never, today, { perMorning });
const frost = (garden: TestGarden, frostOn: string) =>
  garden.write(garden.time('2026-06-01', 9), { kind: 'frostExpected', patch: garden.patchId, frostOn });
const planOf = (garden: TestGarden, date: string) =>
  tonightPlan(
    garden.state,
    garden.place,
    date,
    bloomOutlook({ state: garden.state, zone: garden.place.zone, from: addDays(date, 1) }),
  );
const buds = (garden: TestGarden, { plants }: Planted, date: string, node = 10) => {
  for (const plant of plants) garden.see(garden.time(date, 18), plant, 'female', 'coloured', node);
};

describe('the season', () => {
  test('of an annual ends with its first frost: no next year’s begins, and nothing is shut for it', () => {
    const garden = new TestGarden();
    const squash = garden.plant('squash-maxima', 'Slate Dome', 6, { goal: seeds(300) });
    frost(garden, '10-05');
    const before = sumOf(garden, squash, '2026-10-05');
    expect(before?.season.over).toBe(false);
    expect(before?.standing).toBe('unreachable');
    buds(garden, squash, '2026-10-06');
    const after = sumOf(garden, squash, '2026-10-06');
    expect(after).toMatchObject({ standing: 'over', morningsLeft: 0, femalesToShut: 0 });
    expect(planOf(garden, '2026-10-06').plants).toEqual([]);
    expect(sumOf(garden, squash, '2027-03-01')).toMatchObject({ standing: 'over', morningsLeft: 0 });
  });

  test('is not over when only the day wanted has passed: a later one can still be asked for', () => {
    const garden = new TestGarden();
    const squash = garden.plant('squash-maxima', 'Slate Dome', 6, { goal: seeds(300, { by: '2026-08-20' }) });
    frost(garden, '10-05');
    expect(sumOf(garden, squash, '2026-08-21')).toMatchObject({ standing: 'unreachable', morningsLeft: 0 });
    buds(garden, squash, '2026-08-21');
    expect(planOf(garden, '2026-08-21').plants).toEqual([]);
  });

  test('of a stand planted the year after is its own', () => {
    const garden = new TestGarden(TEST_PLACE, '2027-05-20');
    const squash = garden.plant('squash-maxima', 'Slate Dome', 6, { goal: seeds(300) });
    frost(garden, '10-05');
    expect(sumOf(garden, squash, '2027-07-01')?.season).toMatchObject({
      begins: '2027-05-20',
      frost: { early: '2027-10-05', from: 'said' },
      over: false,
    });
  });

  test('begins anew when a stand is planted again, whether or not somebody noted the end of last year’s plants', () => {
    const garden = new TestGarden();
    const squash = garden.plant('squash-maxima', 'Slate Dome', 2, { goal: seeds(300) });
    frost(garden, '10-05');
    expect(sumOf(garden, squash, '2027-06-10')?.standing).toBe('over');
    for (const [i, plantedOn] of ['2027-05-20', '2027-06-08'].entries())
      garden.write(garden.time(plantedOn, 9), {
        kind: 'plantAdded',
        plant: `plant:0000000000000000000000000${i + 1}` as PlantId,
        stand: squash.stand,
        label: `again ${i}`,
        xM: 1 + i,
        yM: 1,
        plantedOn,
      });
    expect(sumOf(garden, squash, '2027-06-10')?.season).toMatchObject({
      begins: '2027-05-20',
      frost: { early: '2027-10-05' },
      over: false,
    });
    expect(sumOf(garden, squash, '2027-10-06')?.standing).toBe('over');
  });

  test('of strawberries comes again: after a frost they rest, and the next belongs to next year', () => {
    const garden = new TestGarden();
    const berries = garden.plant('strawberry', 'Weir Early', 4, {
      reason: 'fruit',
      goal: { kitchenFruits: 20 },
    });
    frost(garden, '10-05');
    const stand = garden.state.stands.get(berries.stand) as never;
    const at = (date: string) => seasonOf(garden.state, garden.place, stand, date);
    expect(at('2026-10-06')).toMatchObject({ over: true, frost: { early: '2026-10-05' } });
    expect(at('2027-01-20').over).toBe(true);
    expect(at('2027-05-20')).toMatchObject({ over: false, frost: { early: '2027-10-05' } });
    expect(sumOf(garden, berries, '2027-05-20')?.standing).not.toBe('over');
  });

  test('once the goal is reached, its season over changes nothing of that', () => {
    const garden = new TestGarden();
    const squash = garden.plant('squash-maxima', 'Slate Dome', 2, { goal: { kitchenFruits: 1 } });
    frost(garden, '10-05');
    const flower = garden.see(garden.time('2026-07-02', 6), squash.plants[0] as PlantId, 'female', 'open');
    garden.work(garden.time('2026-07-02', 6, 5), flower, [], { purpose: 'kitchen' });
    garden.look(garden.time('2026-07-08', 9), flower, 'growing');
    expect(sumOf(garden, squash, '2026-11-01')?.standing).toBe('done');
  });
});

describe('the first frost', () => {
  const at = (latitude: number, today = '2026-07-10') => {
    const garden = new TestGarden({ ...TEST_PLACE, latitude });
    const squash = garden.plant('squash-maxima', 'Slate Dome', 6, { goal: seeds(90_000) });
    return { frost: frostAfter(garden.state, garden.place, today), sum: sumOf(garden, squash, today, 0.1) };
  };

  test('is the grower’s own, else a guessed range from 40 degrees polewards, else not known', () => {
    const garden = new TestGarden();
    frost(garden, '09-20');
    expect(frostAfter(garden.state, garden.place, '2026-07-10')).toEqual({
      early: '2026-09-20',
      late: '2026-09-20',
      from: 'said',
    });
    expect(frostAfter(garden.state, garden.place, '2026-09-20').early).toBe('2027-09-20');
    const guess = at(46.2).frost;
    expect(guess.from).toBe('guess');
    expect((guess.early ?? '') < (guess.late ?? '')).toBe(true);
    expect(at(-46.2, '2027-01-10').frost).toMatchObject({
      from: 'guess',
      early: expect.stringMatching(/^2027-0[345]/),
    });
    for (const latitude of [38, 35, 10, -30])
      expect(at(latitude).frost).toEqual({ early: null, late: null, from: 'unknown' });
  });

  test('squash for seed is picked 40 warm days after its work: with the cool of a late autumn before it that takes longer', () => {
    const garden = new TestGarden();
    const squash = garden.plant('squash-maxima', 'Slate Dome', 6, { goal: seeds(300) });
    const daysBefore = (frostOn: string) => {
      frost(garden, frostOn);
      const stand = garden.state.stands.get(squash.stand) as Stand;
      const { on, until } = lastUseful(garden.state, garden.place, stand, '2026-07-10');
      return daysBetween(on ?? '', until ?? '');
    };
    expect(daysBefore('08-25')).toBe(40);
    expect(daysBefore('10-20')).toBeGreaterThan(45);
  });

  test('a guess makes no goal hopeless and ends no season; a day that was said does', () => {
    expect(at(46.2).sum?.standing).toBe('behind');
    expect(at(46.2, '2026-10-20').sum?.standing).toBe('behind');
    const garden = new TestGarden();
    const squash = garden.plant('squash-maxima', 'Slate Dome', 6, { goal: seeds(90_000) });
    frost(garden, '10-05');
    expect(sumOf(garden, squash, '2026-07-10', 0.1)?.standing).toBe('unreachable');
  });
});

describe('by stand, always', () => {
  test('a finished seed stand’s females are not shut for the unfinished one beside it', () => {
    const garden = new TestGarden();
    const goal = seeds(100, { bent: { seedsPerFruit: 100, setShare: 0.99, wholeShare: 1 } });
    const done = garden.plant('squash-maxima', 'Slate Dome', 3, { goal });
    const { variety } = done;
    const bed = garden.state.stands.get(done.stand)?.bed as never;
    const lacking = garden.plant('squash-maxima', 'Helper', 1);
    // The second stand grows the same variety, for a cross.
    garden.write(garden.time('2026-06-01', 9), {
      kind: 'corrected',
      subject: lacking.stand,
      target: garden.state.stands.get(lacking.stand)?.event as never,
      changes: { variety, bed, reason: 'cross' },
    });
    garden.goal(lacking.stand, { ...goal, fatherVariety: variety });
    const male = garden.shut('2026-07-01', done.plants[1] as PlantId, 'male');
    const set = garden.shut('2026-07-01', done.plants[0] as PlantId, 'female');
    garden.check(garden.time('2026-07-02', 5), set, 'whole');
    garden.check(garden.time('2026-07-02', 5), male, 'whole');
    garden.work(garden.time('2026-07-02', 5, 10), set, [male]);
    garden.look(garden.time('2026-07-08', 9), set, 'growing');
    buds(garden, done, '2026-07-10');
    buds(garden, lacking, '2026-07-10');
    expect(sumOf(garden, done, '2026-07-10')?.standing).toBe('done');
    const shut = planOf(garden, '2026-07-10').plants.filter(({ females }) => females.length > 0);
    expect(shut.map(({ growing }) => growing.stand.id)).toEqual([lacking.stand]);
  });
});

test('a flower waiting on a plant that is a mother already brings no missing mother', () => {
  const garden = new TestGarden();
  const squash = garden.plant('squash-maxima', 'Slate Dome', 4, {
    goal: seeds(200, { mothers: 2, bent: { seedsPerFruit: 100, setShare: 0.99, wholeShare: 1 } }),
  });
  const work = (i: number, date: string, look: boolean) => {
    const [female, male] = [
      garden.shut(addDays(date, -1), squash.plants[i] as PlantId, 'female'),
      garden.shut(addDays(date, -1), squash.plants[3] as PlantId, 'male'),
    ];
    for (const each of [female, male]) garden.check(garden.time(date, 5), each, 'whole');
    garden.work(garden.time(date, 5, 10), female, [male]);
    if (look) garden.look(garden.time(addDays(date, 5), 9), female, 'growing');
  };
  work(0, '2026-07-01', true);
  work(0, '2026-07-02', true);
  work(0, '2026-07-09', false);
  expect(sumOf(garden, squash, '2026-07-10')).toMatchObject({
    mothers: 1,
    forSeed: { left: 1, pollinations: 1 },
  });
  work(1, '2026-07-09', false);
  expect(sumOf(garden, squash, '2026-07-10')?.forSeed.pollinations).toBe(0);
});

test('what nobody looked at in time is counted on no longer', () => {
  const garden = new TestGarden();
  const squash = garden.plant('squash-maxima', 'Slate Dome', 8, { goal: { kitchenFruits: 8 } });
  for (const plant of squash.plants) {
    const flower = garden.see(garden.time('2026-07-02', 6), plant, 'female', 'open');
    garden.work(garden.time('2026-07-02', 6, 5), flower, [], { purpose: 'kitchen' });
  }
  expect(sumOf(garden, squash, '2026-07-04')?.forKitchen.waiting).toBe(8);
  const later = sumOf(garden, squash, addDays('2026-07-02', 39));
  expect(later?.forKitchen).toMatchObject({ waiting: 0, left: 8 });
  expect(later?.pollinations).toBeGreaterThan(0);
});

test('a male that was not open is free again on its new morning', () => {
  const garden = new TestGarden();
  const squash = garden.plant('squash-maxima', 'Slate Dome', 2);
  const male = garden.shut('2026-07-01', squash.plants[1] as PlantId, 'male');
  garden.check(garden.time('2026-07-02', 5, 30), male, 'not-open');
  garden.shut('2026-07-02', squash.plants[0] as PlantId, 'female');
  const free = (date: string) => freeMales(garden.state, garden.place, date).map(({ id }) => id);
  expect(free('2026-07-02')).toEqual([]);
  expect(free('2026-07-03')).toEqual([male]);
});

test('males for a female: as the crop needs, unless a number is chosen', () => {
  const males = (crop: CropId, school?: string) => {
    const garden = new TestGarden();
    garden.plant(crop, 'Any', 1);
    if (school) garden.school('males', school);
    return malesFor(garden.state, cropOf(crop), null);
  };
  expect(males('watermelon')).toEqual({ value: 3, from: 'catalogue' });
  expect(males('squash-maxima')).toEqual({ value: 2, from: 'catalogue' });
  expect(males('squash-maxima', '1')).toEqual({ value: 1, from: 'goal' });
  expect(males('corn', '3').value).toBe(1);
});
