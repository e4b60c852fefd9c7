import fc from 'fast-check';
import type { PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { leavingOf } from '.';

test('who does as told leaves exactly one in so many; who works one too many is told to leave the next', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 6 }),
      fc.array(fc.boolean(), { minLength: 1, maxLength: 25 }),
      (every, disobeys) => {
        const garden = new TestGarden();
        const { stand, plants } = garden.plant('squash-pepo', 'Low Lantern', 3, { reason: 'fruit' });
        const now = () => leavingOf(garden.state, garden.state.stands.get(stand) as never);
        expect(now()).toBeNull();
        garden.write(garden.time('2026-07-01', 5), { kind: 'leaveSet', stand, every });
        disobeys.forEach((disobey, i) => {
          const at = garden.time('2026-07-01', 6, i);
          const flower = garden.see(at, plants[i % 3] as PlantId, 'female', 'open');
          const told = now()?.next ?? false;
          if (told && !disobey) garden.write(at, { kind: 'leftOpen', flower });
          else garden.work(at, flower, []);
          const { worked = 0, left = 0 } = now() ?? {};
          expect(worked + left).toBe(i + 1);
          expect(left).toBeLessThanOrEqual(Math.floor((i + 1) / every));
          if (!disobeys.slice(0, i + 1).some(Boolean)) expect(left).toBe(Math.floor((i + 1) / every));
          if (told && disobey) expect(now()?.next).toBe(true);
        });
        garden.write(garden.time('2026-07-02', 5), { kind: 'leaveSet', stand, every: null });
        expect(now()).toBeNull();
      },
    ),
    { seed: 11, numRuns: 40 },
  );
});
