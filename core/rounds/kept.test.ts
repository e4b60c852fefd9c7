import fc from 'fast-check';
import { teachingFlowers } from '../bloom';
import { cropOf } from '../crops';
import { allTrials, countSet, ratesOf, workTime } from '../fruitset';
import type { FlowerId, PlantId } from '../ids';
import { fold } from '../ledger';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { nextMarkIn } from '../purity';
import { looksDue } from '.';

// Sums over flowers are kept by shard, and only what changed is gone through again. Whatever is entered, in whatever order, they
// must say what a state folded anew from the whole log says.

const DAY = '2026-07-02';
const squash = cropOf('squash-maxima');

type Step =
  | { readonly kind: 'work'; readonly plant: number; readonly minute: number }
  | { readonly kind: 'look'; readonly flower: number; readonly day: number; readonly grows: boolean }
  | { readonly kind: 'check'; readonly flower: number; readonly whole: boolean }
  | { readonly kind: 'health' | 'end' | 'group'; readonly plant: number };

const step: fc.Arbitrary<Step> = fc.oneof(
  fc.record({ kind: fc.constant('work' as const), plant: fc.nat(3), minute: fc.nat(59) }),
  fc.record({ kind: fc.constant('work' as const), plant: fc.nat(3), minute: fc.nat(59) }),
  fc.record({
    kind: fc.constant('look' as const),
    flower: fc.nat(400),
    day: fc.integer({ min: 1, max: 20 }),
    grows: fc.boolean(),
  }),
  fc.record({ kind: fc.constant('check' as const), flower: fc.nat(400), whole: fc.boolean() }),
  fc.record({ kind: fc.constantFrom('health' as const, 'end' as const, 'group' as const), plant: fc.nat(3) }),
);

/** All that is kept, asked for at a state. */
function kept(garden: TestGarden, state: TestGarden['state'], variety: string) {
  const zone = garden.place.zone;
  const today = addDays(DAY, 12);
  const rates = ratesOf(state, zone);
  return {
    set: rates.set(squash, variety),
    whole: rates.whole(squash, variety, 'tape'),
    mark: nextMarkIn(state),
    work: workTime(state, squash),
    looks: looksDue(state, zone, today).map(({ flower, due }) => `${flower.id} ${due.scheduled}`),
    tally: countSet(allTrials(state, zone), today),
    teaching: teachingFlowers(state, today)
      .map(({ id }) => id)
      .sort(),
  };
}

test('what is kept by shard says what the whole log says', () => {
  fc.assert(
    fc.property(fc.array(step, { minLength: 1, maxLength: 25 }), (steps) => {
      const garden = new TestGarden();
      const { stand, variety, plants } = garden.plant('squash-maxima', 'Slate Dome', 4);
      // More than a shard of them, so that some shards stay as they are.
      const flowers: FlowerId[] = Array.from({ length: 260 }, (_, i) =>
        garden.shut(addDays(DAY, -1), plants[i % 4] as PlantId, 'female'),
      );
      kept(garden, garden.state, variety);
      for (const [i, each] of steps.entries()) {
        const at = (day: number) => garden.time(addDays(DAY, day), 9, i);
        if (each.kind === 'work') {
          const flower = garden.shut(addDays(DAY, -1), plants[each.plant] as PlantId, 'female');
          garden.work(garden.time(DAY, 5, each.minute), flower, []);
          garden.write(garden.time(DAY, 5, each.minute), { kind: 'marked', flower, mark: `${1 + i}-C` });
          flowers.push(flower);
        } else if (each.kind === 'look')
          garden.look(
            at(each.day),
            flowers[(flowers.length - 1 - (each.flower % 30)) % flowers.length] as FlowerId,
            each.grows ? 'growing' : 'yellowing',
          );
        else if (each.kind === 'check')
          garden.check(
            at(0),
            flowers[each.flower % flowers.length] as FlowerId,
            each.whole ? 'whole' : 'torn',
          );
        else if (each.kind === 'health')
          garden.write(at(1), {
            kind: 'plantChecked',
            plant: plants[each.plant] as PlantId,
            health: 'doubtful',
          });
        else if (each.kind === 'end')
          garden.write(at(6), { kind: 'plantRemoved', plant: plants[each.plant] as PlantId });
        else {
          const [from, to] = [DAY, addDays(DAY, 2)];
          const count = { worked: 5, set: 3, bent: null, how: 'insects' } as const;
          garden.write(at(9), { kind: 'groupCounted', stand, plant: null, from, to, ...count });
        }
        expect(kept(garden, garden.state, variety)).toEqual(kept(garden, fold(garden.events), variety));
      }
    }),
    { seed: 7, numRuns: 12 },
  );
});
