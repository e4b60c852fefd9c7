import fc from 'fast-check';
import type { PlantId } from '../ids';
import { TEST_PLACE, TestGarden } from '../testGarden';
import { addDays } from '../time';
import { lastUseful, tooLateForSeed } from '.';
import { daysToRipenBy } from './ripening';

const at = (latitude: number) => ({ latitude, longitude: 14 });

test('ripening takes the usual days in the warm, more in the cool of autumn, and never more than half as many again', () => {
  expect(daysToRipenBy(at(46), '2026-08-20', 50)).toBe(50);
  fc.assert(
    fc.property(
      fc.double({ min: -58, max: 58, noNaN: true }),
      fc.integer({ min: 20, max: 90 }),
      fc.integer({ min: 0, max: 364 }),
      (latitude, usual, day) => {
        const days = daysToRipenBy(at(latitude), addDays('2026-01-01', day), usual);
        expect(days).toBeGreaterThanOrEqual(usual);
        expect(days).toBeLessThanOrEqual(Math.round(usual * 1.5));
      },
    ),
  );
  // From August to November each later day has had less warmth before it.
  const autumn = ['2026-08-20', '2026-09-20', '2026-10-10', '2026-10-30'].map((day) =>
    daysToRipenBy(at(46), day, 50),
  );
  expect(autumn).toEqual([...autumn].sort((a, b) => a - b));
  expect(autumn[3]).toBeGreaterThan(55);
  // The south has its autumn half a year on.
  expect(daysToRipenBy(at(-46), '2026-04-20', 50)).toBeGreaterThan(daysToRipenBy(at(-46), '2026-02-20', 50));
});

test('a fruit’s own page says what the goal says: too late for seed is one rule', () => {
  const garden = new TestGarden();
  const { stand, plants } = garden.plant('melon', 'Quiet Bell', 1, {
    goal: { seed: { amount: 100, unit: 'seeds' } },
  });
  garden.write(garden.time('2026-06-01', 9), {
    kind: 'frostExpected',
    patch: garden.patchId,
    frostOn: '10-05',
  });
  const view = () => garden.state.stands.get(stand) as never;
  const { on } = lastUseful(garden.state, TEST_PLACE, view(), '2026-08-20');
  const worked = (date: string) => {
    const flower = garden.see(garden.time(date, 7), plants[0] as PlantId, 'female', 'open');
    garden.work(garden.time(date, 7, 5), flower, []);
    return garden.state.flowers.get(flower) as never;
  };
  const late = (date: string) => tooLateForSeed(garden.state, TEST_PLACE, worked(date), view(), '2026-09-01');
  expect(late(on as string)).toBeNull();
  expect(late(addDays(on as string, 1))).toEqual({ by: on, until: '2026-10-05' });
});
