import fc from 'fast-check';
import { bloomOutlook } from '../bloom';
import { cropOf } from '../crops';
import type { PlantId } from '../ids';
import type { Goal, Stand } from '../ledger';
import { comesOn, morningsOf } from '../patch';
import { nextRounds } from '../rounds';
import { TestGarden } from '../testGarden';
import { addDays, weekdayOf, type LocalDate } from '../time';
import { morningsAhead, wetFor } from './mornings';
import { goalSum, tonightPlan } from '.';

const EVENING = '2026-07-10';
const CROP = cropOf('squash-maxima');
const DAYS_TO_SEED = CROP.daysToSeed?.value[1] ?? 0;

/** Four vines with six females in colour and males enough, for so many fruits until so many mornings from today on. */
function garden(fruits: number, mornings: number, more: Partial<Goal> | null = {}) {
  const made = new TestGarden();
  const { stand, plants } = made.plant(CROP.id, 'Slate Dome', 4, {
    ...(more && {
      goal: {
        seed: { amount: fruits * 100, unit: 'seeds' },
        by: addDays(EVENING, DAYS_TO_SEED + mornings - 1),
        bent: { seedsPerFruit: 100 },
        ...more,
      },
    }),
  });
  for (let i = 0; i < 6; i++) {
    made.see(made.time(EVENING, 18, i), plants[i % 4] as PlantId, 'female', 'coloured', i + 8);
    made.see(made.time(EVENING, 18, 30 + i), plants[(i + 1) % 4] as PlantId, 'male', 'coloured', i + 20);
  }
  const tell = (date: LocalDate, comes: boolean) =>
    made.write(made.time(EVENING, 12), { kind: 'morningTold', patch: made.patchId, date, comes });
  const set = (weekdays: number[] | null, minutes: number | null) =>
    made.write(made.time(EVENING, 12), { kind: 'morningsSet', patch: made.patchId, weekdays, minutes });
  const tonight = (wet: readonly LocalDate[] = []) => {
    const outlook = bloomOutlook({ state: made.state, zone: made.place.zone, from: addDays(EVENING, 1) });
    const plan = tonightPlan(made.state, made.place, EVENING, outlook, wet);
    const [variety] = plan.varieties;
    if (!variety) throw new Error('no variety');
    return variety;
  };
  const sum = (wet: readonly LocalDate[] = []) => {
    const found = goalSum(made.state, made.place, made.state.stands.get(stand) as Stand, EVENING, {
      perMorning: 2,
      wet,
    });
    if (!found) throw new Error('no sum');
    return found;
  };
  return { made, tell, set, tonight, sum };
}

/** The plan is as sure as was asked for, give or take a flower: so much its chance moves by that alone. */
const A_FLOWER = 0.06;

const days = fc.array(fc.integer({ min: 1, max: 20 }), { maxLength: 8 });

test('what was said of a morning stands before its day of the week, and the last word of it counts', () => {
  const { made, tell, set } = garden(3, 20);
  const comes = (date: LocalDate) => comesOn(morningsOf(made.state), date);
  expect(comes('2026-07-14')).toBe(true);
  set([6, 7], null);
  expect([weekdayOf('2026-07-14'), comes('2026-07-14'), comes('2026-07-18')]).toEqual([2, false, true]);
  tell('2026-07-14', true);
  tell('2026-07-18', false);
  expect([comes('2026-07-14'), comes('2026-07-18')]).toEqual([true, false]);
  set(null, null);
  expect([comes('2026-07-18'), comes('2026-07-19')]).toEqual([false, true]);
});

test('mornings away never make a goal surer, and its mornings left are counted as before', () => {
  fc.assert(
    fc.property(days, fc.integer({ min: 1, max: 5 }), (away, fruits) => {
      const [free, busy] = [garden(fruits, 20), garden(fruits, 20)];
      for (const day of away) busy.tell(addDays(EVENING, day + 1), false);
      expect(busy.sum().plan.chance).toBeLessThanOrEqual(free.sum().plan.chance + A_FLOWER);
      expect(busy.sum().morningsLeft).toBe(free.sum().morningsLeft);
      expect(busy.sum().morningsComing).toBe(
        (free.sum().morningsComing ?? 0) - new Set(away.filter((day) => day < 20)).size,
      );
      expect(busy.tonight().aim?.mornings).toBe(busy.sum().morningsComing);
    }),
    { numRuns: 20 },
  );
});

test('nobody comes tomorrow: nothing is shut tonight, with a goal or without', () => {
  for (const more of [{}, null]) {
    const made = garden(2, 20, more);
    expect(made.tonight()).toMatchObject({ nobodyComes: false });
    expect(made.tonight().females).toBeGreaterThan(0);
    made.tell(addDays(EVENING, 1), false);
    expect(made.tonight()).toMatchObject({ nobodyComes: true, females: 0, femalesWanted: 0, males: 0 });
  }
});

test('the only morning left that somebody comes to is tomorrow’s: as many as would do are shut, and the days away are told', () => {
  const free = garden(1, 9);
  const busy = garden(1, 9);
  for (let day = 2; day <= 9; day++) busy.tell(addDays(EVENING, day), false);
  expect(busy.tonight().females).toBeGreaterThan(free.tonight().females);
  expect(busy.tonight().awaySoon).toContain(addDays(EVENING, 2));
  expect(free.tonight().awaySoon).toEqual([]);
});

test('rain tomorrow: left to dry mornings while there are many, covered all the same when there is no other, and a roof keeps it off', () => {
  const wet = [addDays(EVENING, 1)];
  expect(garden(1, 30).tonight(wet)).toMatchObject({ rain: 'leave', females: 0 });
  const late = garden(2, 1);
  expect(late.tonight(wet)).toMatchObject({ rain: 'cover' });
  expect(late.tonight(wet).females).toBe(late.tonight().females);
  expect(late.tonight()).toMatchObject({ rain: null });
  expect(garden(2, 20, null).tonight(wet)).toMatchObject({ rain: 'cover', females: 6 });
  const roofed = garden(1, 30);
  const [bed] = [...roofed.made.state.beds.keys()];
  roofed.made.write(roofed.made.time('2026-06-01', 9), {
    kind: 'shelterSet',
    bed: bed as never,
    shelter: 'tunnel',
    insects: 'in',
    lampHours: null,
    from: '2026-06-01',
    to: null,
  });
  expect(roofed.tonight(wet)).toMatchObject({ rain: null });
  expect(roofed.tonight(wet).females).toBeGreaterThan(0);
});

test('where all that was seen is shut in the rain as it would be in the dry, nobody is told to shut fewer', () => {
  const wet = [addDays(EVENING, 1)];
  // Six buds, and many more wanted than that.
  const short = garden(12, 3);
  expect(short.tonight().females).toBe(6);
  expect(short.tonight(wet)).toMatchObject({ females: 6, rain: 'cover' });
});

test('what opens at dusk is no matter of a wet morning', () => {
  const made = new TestGarden();
  const { stand } = made.plant('bottle-gourd', 'Night Bottle', 2);
  const of = made.state.stands.get(stand) as Stand;
  expect(wetFor(made.state, of, cropOf('bottle-gourd'), [addDays(EVENING, 1)])).toEqual([]);
});

test('rain never asks for more flowers tonight than a dry morning, nor makes the goal surer', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 30 }), (fruits, mornings) => {
      const made = garden(fruits, mornings);
      const wet = [1, 2].map((day) => addDays(EVENING, day));
      expect(made.tonight(wet).females).toBeLessThanOrEqual(made.tonight().females);
      expect(made.sum(wet).plan.chance).toBeLessThanOrEqual(made.sum().plan.chance + A_FLOWER);
    }),
    { numRuns: 20 },
  );
});

test('a morning may take ten minutes: no more is shut than there is time to work, and what stays open for it is counted', () => {
  const made = garden(6, 6);
  const before = made.tonight();
  made.set(null, 10);
  const after = made.tonight();
  expect(after.females).toBeLessThan(before.females);
  expect(after.noTime).toBe(before.females - after.females);
  expect(after.leftOut).toBeGreaterThanOrEqual(after.noTime);
  // Whatever is shut is worked in those minutes.
  expect(after.females).toBeGreaterThan(0);
  made.set(null, 1);
  expect(made.tonight().females).toBe(0);
  expect(made.sum().plan.chance).toBeLessThan(garden(6, 6).sum().plan.chance);
});

test('of mornings ahead: none of one nobody comes to, part of a wet one, and the nearer the rain the more is lost', () => {
  const wet = [1, 3].map((day) => addDays(EVENING, day));
  const told = { [addDays(EVENING, 2)]: false };
  const [first, second, third, fourth] = morningsAhead(
    { weekdays: null, minutes: null, told },
    EVENING,
    4,
    wet,
  ) as [number, number, number, number];
  expect([second, fourth]).toEqual([0, 1]);
  expect(first).toBeLessThan(third);
  expect(third).toBeLessThan(1);
});

describe('a goal that is met', () => {
  /** One fruit wanted, one set long enough ago to stay. */
  function met() {
    const of = garden(1, 20);
    const { made } = of;
    const [first] = [...made.state.plants.keys()] as PlantId[];
    const flower = made.shut('2026-06-20', first as PlantId, 'female');
    made.work(made.time('2026-06-21', 6), flower, []);
    made.look(made.time('2026-06-29', 9), flower, 'growing');
    const evening = () =>
      tonightPlan(
        made.state,
        made.place,
        EVENING,
        bloomOutlook({ state: made.state, zone: made.place.zone, from: addDays(EVENING, 1) }),
      );
    return { made, evening };
  }

  test('its plants come last, and its grower can sleep in, unless something else is due at dawn', () => {
    const { made, evening } = met();
    expect(evening().varieties[0]?.aim?.met).toBe(true);
    expect(evening()).toMatchObject({ restAtDawn: true, done: [...made.state.plants.keys()] });
    made.plant('squash-pepo', 'Low Lantern', 1, { reason: 'fruit' });
    expect(evening().restAtDawn).toBe(false);
  });

  test('nobody sleeps in on a flower that was shut, nor where no goal says that enough has set', () => {
    const { made, evening } = met();
    made.shut(EVENING, [...made.state.plants.keys()][1] as PlantId, 'female');
    expect(evening().restAtDawn).toBe(false);
    const open = garden(1, 20, null);
    open.tell(addDays(EVENING, 1), true);
    expect(open.tonight().femalesWanted).toBeNull();
  });

  test('a walk is over when only plants are left whose goal is met, and counts them nowhere', () => {
    const { made, evening } = met();
    const [first, ...others] = [...made.state.plants.keys()] as PlantId[];
    // The next evening: on this one every plant was seen already.
    const date = addDays(EVENING, 1);
    const walk = () =>
      nextRounds(made.state, made.place, made.time(date, 20), undefined, others).filter(
        (round) => round.date === date && round.kind === 'walk',
      );
    expect(evening().done).toEqual(expect.arrayContaining(others));
    expect(walk()).toMatchObject([{ plants: [{ plant: { id: first } }], walked: [], minutes: 2 }]);
    made.write(made.time(date, 19, 50), { kind: 'plantPassed', plant: first as PlantId });
    expect(walk()).toEqual([]);
  });
});

test('one plant bears tonight’s mothers: males come from others first, from itself last or never, as the school has it', () => {
  const malesOn = (school: 'others-first' | 'allowed' | 'never', otherMales: number) => {
    const made = new TestGarden();
    const [mother, other] = made.plant(CROP.id, 'Slate Dome', 2).plants as [PlantId, PlantId];
    made.write(made.time(EVENING, 9), {
      kind: 'schoolChosen',
      patch: made.patchId,
      school: 'selfing',
      choice: school,
    });
    made.see(made.time(EVENING, 18), mother, 'female', 'coloured', 8);
    for (let i = 0; i < 4; i++) made.see(made.time(EVENING, 18, 1 + i), mother, 'male', 'coloured', 20 + i);
    for (let i = 0; i < otherMales; i++)
      made.see(made.time(EVENING, 18, 10 + i), other, 'male', 'coloured', 20 + i);
    const outlook = bloomOutlook({ state: made.state, zone: made.place.zone, from: addDays(EVENING, 1) });
    const { plants } = tonightPlan(made.state, made.place, EVENING, outlook);
    return [mother, other].map((id) => plants.find(({ growing }) => growing.plant.id === id)?.males ?? 0) as [
      number,
      number,
    ];
  };
  expect(malesOn('others-first', 6)[0]).toBe(0);
  expect(malesOn('others-first', 6)[1]).toBeGreaterThanOrEqual(3);
  const short = malesOn('others-first', 1);
  expect(short[1]).toBe(1);
  expect(short[0]).toBeGreaterThan(0);
  expect(malesOn('never', 1)[0]).toBe(0);
  expect(malesOn('allowed', 6)[0]).toBeGreaterThan(0);
});
