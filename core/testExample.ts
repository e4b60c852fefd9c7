import { cropOf } from './crops';
import { trialsOfStand } from './fruitset';
import type { FlowerId, PlantId } from './ids';
import type { Flower, Stand } from './ledger';
import { TestGarden } from './testGarden';

/**
 * For tests only: what an example may speak of besides crops: a stand of three squashes for seed at 46 N. On 5 July a `female` of the first (`mother`)
 * and two males of the second (one is `male`) were shut; at 6:10 next morning she was worked with both before a bee came, marked 1-A at once, and on
 * the 12th she was growing.
 */
export function exampleGarden() {
  const garden = new TestGarden();
  const { stand, plants } = garden.plant('squash-maxima', 'Slate Dome', 3);
  const [first, second] = plants as [PlantId, PlantId];
  const female = garden.shut('2026-07-05', first, 'female');
  const males = [garden.shut('2026-07-05', second, 'male'), garden.shut('2026-07-05', second, 'male')];
  for (const flower of [female, ...males]) garden.check(garden.time('2026-07-06', 6), flower, 'whole');
  garden.work(garden.time('2026-07-06', 6, 10), female, males, { beeIn: false });
  garden.write(garden.time('2026-07-06', 6, 12), { kind: 'marked', flower: female, mark: '1-A' });
  garden.look(garden.time('2026-07-12', 18), female, 'growing');
  const { state, place } = garden;
  return {
    state,
    place,
    zone: place.zone,
    crop: cropOf('squash-maxima'),
    mother: garden.growing(first),
    female: state.flowers.get(female) as Flower,
    male: state.flowers.get(males[0] as FlowerId) as Flower,
    stand: state.stands.get(stand) as Stand,
    trials: trialsOfStand(state, stand, place.zone),
  };
}
