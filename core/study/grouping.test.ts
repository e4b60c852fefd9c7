import fc from 'fast-check';
import type { PlantId } from '../ids';
import { fruitsBefore } from '../fruitset';
import { fold } from '../ledger';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { allCases, type Case } from './cases';
import { byHand, chosen, ALL } from './choice';
import { byCluster, GROUPINGS, groupsOf, sharesBy } from './grouping';
import { changedTogether } from './together';
import { shapeOf } from './shape';

const TODAY = '2026-08-10';

/** Seasons of flowers as chance has it: plants, tools, hours, fates, harvests, plants that end. */
function anyGarden(rolls: readonly number[]): TestGarden {
  const garden = new TestGarden();
  const stands = ['Low Lantern', 'Slate Dome'].map((name) =>
    garden.plant('squash-pepo', name, 3, { reason: 'fruit' }),
  );
  rolls.forEach((roll, i) => {
    const { plants } = stands[roll % 2] as (typeof stands)[number];
    const plant = plants[roll % 3] as PlantId;
    const date = addDays('2026-06-20', roll % 40);
    const at = garden.time(date, 5 + (roll % 5), i % 60);
    const flower = garden.see(at, plant, 'female', 'open');
    if (roll % 7 === 0) garden.write(at, { kind: 'leftOpen', flower });
    else
      garden.write(at, {
        kind: 'pollinated',
        flower,
        fathers:
          roll % 5 === 0
            ? []
            : [{ plant: plants[(roll + 1) % 3] as PlantId, males: 1 + (roll % 3), flowers: [] }],
        ...(roll % 4 === 0 ? {} : { tool: roll % 4 === 1 ? ('brush' as const) : ('swab' as const) }),
        purpose: 'kitchen',
      });
    const seen = garden.time(addDays(date, 7), 18);
    if (roll % 6 !== 5)
      garden.write(seen, {
        kind: 'lookedAt',
        flower,
        result: roll % 3 === 0 ? 'gone' : roll % 11 === 0 ? 'bent' : 'growing',
        sizeMm: null,
      });
    if (roll % 13 === 1)
      garden.write(garden.time(addDays(date, 9), 9), {
        kind: 'harvested',
        flower,
        harvestFor: 'kitchen',
        weightG: null,
      });
  });
  return garden;
}

const rolls = fc.array(fc.integer({ min: 0, max: 10_000 }), { maxLength: 60 });

test('every flower is in the group of its plant and hands once, and the groups add up to the whole', () => {
  fc.assert(
    fc.property(rolls, (some) => {
      const garden = anyGarden(some);
      const cases = allCases(garden.state, garden.place, TODAY);
      const whole = byCluster(cases).reduce((sum, { n }) => sum + n, 0);
      for (const grouping of ['variety', 'plant', 'hands'] as const) {
        const shares = sharesBy(cases, grouping);
        expect(shares.reduce((sum, { judged }) => sum + judged, 0)).toBe(whole);
        expect(shares.reduce((sum, { worked }) => sum + worked, 0)).toBe(
          cases.filter(({ outcome }) => outcome !== 'missed').length,
        );
      }
      for (const grouping of GROUPINGS)
        for (const { share, low, high, set, judged, shrunken } of sharesBy(cases, grouping)) {
          expect(set).toBeLessThanOrEqual(judged);
          if (share === null) continue;
          expect(low).toBeLessThanOrEqual(share + 1e-12);
          expect(high).toBeGreaterThanOrEqual(share - 1e-12);
          if (shrunken !== null) expect(shrunken >= 0 && shrunken <= 1).toBe(true);
        }
    }),
    { seed: 21, numRuns: 60 },
  );
});

test('what was kept of an earlier state gives the same cases as a log read anew, entry by entry', () => {
  fc.assert(
    fc.property(rolls, (some) => {
      const garden = anyGarden(some);
      allCases(garden.state, garden.place, TODAY);
      const plant = [...garden.state.plants.keys()][0] as PlantId;
      garden.write(garden.time('2026-08-01', 9), { kind: 'plantDied', plant, cause: 'pest' });
      const kept = allCases(garden.state, garden.place, TODAY);
      // Another place object with the same numbers, as it comes by message to the worker.
      const fresh = allCases(fold(garden.events), { ...garden.place }, TODAY);
      expect(kept).toEqual(fresh);
      for (const { trial, load } of kept)
        expect(load).toBe(fruitsBefore(garden.state, trial, garden.place.zone));
    }),
    { seed: 22, numRuns: 40 },
  );
});

test('a choice takes away, and never adds', () => {
  fc.assert(
    fc.property(rolls, (some) => {
      const garden = anyGarden(some);
      const cases = allCases(garden.state, garden.place, TODAY);
      expect(chosen(cases, ALL, TODAY)).toHaveLength(cases.length);
      const hand = chosen(cases, { ...ALL, how: 'hand' }, TODAY);
      const left = chosen(cases, { ...ALL, how: 'insects' }, TODAY);
      expect(hand.length + left.length).toBe(cases.length);
      expect(hand.every(({ trial }) => byHand(trial.how))).toBe(true);
      expect(left.every(({ minutes }) => minutes === null)).toBe(true);
    }),
    { seed: 23, numRuns: 40 },
  );
});

test('groups are named by what was written down; what nobody said is in none', () => {
  const garden = anyGarden([1, 5, 7, 8]);
  const cases = allCases(garden.state, garden.place, TODAY);
  const of = (how: string | null) => cases.find(({ trial }) => trial.how === how) as Case;
  expect(groupsOf(of('brush'), 'how')).toEqual(['brush']);
  expect(groupsOf(of('insects'), 'hands')).toEqual(['insects']);
  expect(groupsOf(of(null), 'how')).toEqual([]);
  expect(groupsOf(of(null), 'hands')).toEqual(['hand']);
  expect(groupsOf(of('insects'), 'hour')).toEqual([]);
});

describe('what changed together', () => {
  const base = allCases(anyGarden([1]).state, anyGarden([1]).place, TODAY)[0] as Case;
  const side = (change: (i: number) => { trial?: Partial<Case['trial']>; [key: string]: unknown }, n = 12) =>
    Array.from({ length: n }, (_, i): Case => {
      const { trial, ...rest } = change(i);
      return { ...base, ...rest, trial: { ...base.trial, ...trial } } as Case;
    });
  test('alike sides differ in nothing', () => {
    const alike = side((i) => ({ minutes: i * 5 }));
    expect(changedTogether(alike, alike)).toEqual([]);
  });
  test('another time of year, another hour, other plants are each named', () => {
    const early = side((i) => ({ minutes: i, trial: { on: '2026-06-10', plant: 'plant:a' as PlantId } }));
    const late = side((i) => ({
      minutes: 200 + i,
      trial: { on: '2026-08-01', plant: 'plant:b' as PlantId },
    }));
    expect(changedTogether(early, late)).toEqual(['date', 'minutes', 'plant']);
    expect(changedTogether(early, late, ['plant'])).toEqual(['date', 'minutes']);
  });
  test('a few cases say nothing', () => {
    const few = side(() => ({ minutes: 0 }), 4);
    expect(
      changedTogether(
        few,
        side(() => ({ minutes: 300 }), 12),
      ),
    ).toEqual([]);
  });
  test('what nobody wrote down is no difference', () => {
    const unknown = side(() => ({ maxC: null }));
    expect(
      changedTogether(
        unknown,
        side(() => ({ maxC: 35 })),
      ),
    ).not.toContain('maxC');
  });
});

test('shape counts only fruit that set and that somebody looked at', () => {
  const garden = anyGarden([22, 44, 4, 3, 9]);
  const { all, byWeek, byMales } = shapeOf(allCases(garden.state, garden.place, TODAY));
  expect(all.bent).toBe(2);
  expect(all.looked).toBe(3);
  expect(byWeek.reduce((sum, { looked }) => sum + looked, 0)).toBe(3);
  expect(byMales.reduce((sum, { looked }) => sum + looked, 0)).toBeLessThanOrEqual(3);
});
