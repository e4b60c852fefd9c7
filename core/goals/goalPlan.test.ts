import { cropOf } from '../crops';
import type { PlantId } from '../ids';
import type { Goal, Stand } from '../ledger';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { goalSum, goalSums } from '.';

const TODAY = '2026-07-10';
const CROP = cropOf('squash-maxima');
const DAYS_TO_SEED = CROP.daysToSeed?.value[1] ?? 0;

/** Six vines, a hundred seeds a fruit; the last useful morning is `mornings` days from today on. */
function garden(fruits: number, mornings: number, more: Partial<Goal> = {}) {
  const made = new TestGarden();
  const { stand, plants } = made.plant(CROP.id, 'Slate Dome', 6, {
    goal: {
      seed: { amount: fruits * 100, unit: 'seeds' },
      by: addDays(TODAY, DAYS_TO_SEED + mornings - 1),
      bent: { seedsPerFruit: 100 },
      ...more,
    },
  });
  const sum = (perMorning: number | null = 3) => {
    const found = goalSum(made.state, made.place, made.state.stands.get(stand) as Stand, TODAY, {
      perMorning,
    });
    if (!found) throw new Error('no sum');
    return found;
  };
  const work = (plant: number, on: string, grows: boolean) => {
    const flower = made.shut(addDays(on, -1), plants[plant] as PlantId, 'female');
    made.work(made.time(on, 6), flower, []);
    made.look(made.time(addDays(on, 8), 9), flower, grows ? 'growing' : 'gone');
  };
  return { made, sum, work };
}

test('with weeks to go a few are out at once; one more as the mornings run out, and all that would do on the last', () => {
  const shut = [30, 12, 6, 1].map((mornings) => garden(3, mornings).sum(40).shutNow);
  expect(shut).toEqual([...shut].sort((a, b) => a - b));
  expect(shut[0]).toBeLessThan((shut[3] as number) / 1.5);
  const { shutNow, femalesToShut } = garden(3, 1).sum(40);
  expect(shutNow).toBeGreaterThanOrEqual(femalesToShut - 2);
});

test('past the last useful morning what waits may still do it: that is no goal out of reach', () => {
  const { made, sum } = garden(1, 0);
  const plants = [...made.state.plants.keys()] as PlantId[];
  expect(sum()).toMatchObject({ standing: 'unreachable', plan: { chance: 0 } });
  for (const plant of plants.slice(0, 2))
    made.work(made.time('2026-07-08', 6), made.shut('2026-07-07', plant, 'female'), []);
  const { standing, plan } = sum();
  // Two of three in five each: one at least in 84 of 100, were the rate known.
  expect(plan.chance).toBeGreaterThan(0.75);
  expect(standing).toBe('on-course');
});

test('surer wants more, or at least no fewer', () => {
  const now = ([0.8, 0.9, 0.95] as const).map((assurance) => garden(4, 20, { assurance }).sum().shutNow);
  expect(now).toEqual([...now].sort((a, b) => a - b));
});

test('too late, nothing opening, none of twelve so far, no end known: told by its chance', () => {
  expect(garden(3, 0).sum()).toMatchObject({ standing: 'unreachable', morningsLeft: 0 });
  expect(garden(3, 20).sum(0)).toMatchObject({ standing: 'unreachable', plan: { chance: 0 } });
  const poor = garden(3, 20);
  const before = poor.sum();
  for (let i = 0; i < 12; i++) poor.work(i % 6, addDays('2026-06-20', i % 4), false);
  const after = poor.sum();
  expect(after.plan.expected).toBeGreaterThan(before.plan.expected * 2);
  expect(after.shutNow).toBeGreaterThan(before.shutNow);
  // With few openings that is not to be had any more.
  expect(poor.sum(0.3).standing).toBe('behind');
  // On record there is no frost and no day: then nothing is short.
  expect(garden(3, 20, { by: null }).sum().plan.chance).toBeGreaterThan(0.85);
});

test('what is shut now is never more than the whole sum, and a reached goal asks for none', () => {
  for (const fruits of [1, 2, 5, 12, 40]) {
    const { shutNow, femalesToShut, plan } = garden(fruits, 25).sum(8);
    expect(shutNow).toBeLessThanOrEqual(femalesToShut);
    expect(shutNow).toBeGreaterThan(0);
    expect(plan.without).toBeLessThanOrEqual(plan.chance);
    expect(plan.withAll).toBeGreaterThanOrEqual(plan.chance);
  }
  const reached = garden(1, 25);
  reached.work(0, '2026-06-25', true);
  expect(reached.sum()).toMatchObject({ standing: 'done', shutNow: 0, plan: { now: 0, chance: 1 } });
});

test('two fruits of one mother are no two mothers: she who has none is what the plan still works for', () => {
  const { sum, work } = garden(2, 25, { mothers: 2 });
  work(0, '2026-06-25', true);
  work(0, '2026-06-26', true);
  const one = sum();
  expect(one.standing).not.toBe('done');
  expect(one.shutNow).toBeGreaterThan(0);
  work(1, '2026-06-26', true);
  expect(sum()).toMatchObject({ standing: 'done', shutNow: 0 });
});

test('what was seen to open counts beside what is usual', () => {
  const quiet = garden(3, 25);
  const { made } = quiet;
  const usual = quiet.sum(null).perMorning;
  const plants = [...made.state.plants.keys()] as PlantId[];
  for (let day = 0; day < 5; day++)
    for (const plant of plants) made.see(made.time(addDays(TODAY, day - 5), 19), plant, 'female', 'coloured');
  expect(quiet.sum(null).perMorning).toBeGreaterThan(usual * 1.5);
  // Forty goals are forty sums.
  for (let i = 0; i < 39; i++) made.plant('melon', `Melon ${i}`, 1, { goal: { kitchenFruits: 2 } });
  expect(goalSums(made.state, made.place, TODAY)).toHaveLength(40);
});
