import type { PlantId } from '../ids';
import { selfingDay } from '../crosses';
import { mixingOf, fathersNext } from '../lineage';
import { proofOf } from '../purity';
import { TestGarden } from '../testGarden';
import { fathersFor, freeMales, stopsOf } from '.';

const DAY = '2026-07-13';

/** Two plants, a male and a female shut on each; the first is found not to be true to the variety. */
function patch() {
  const garden = new TestGarden();
  const { variety, plants } = garden.plant('squash-maxima', 'Slate Dome', 2);
  const [off, good] = plants as [PlantId, PlantId];
  for (const plant of [off, good]) {
    garden.shut('2026-07-12', plant, 'male');
    garden.shut('2026-07-12', plant, 'female');
  }
  const find = () =>
    garden.write(garden.time('2026-07-12', 20), { kind: 'offTypeFound', plant: off, shownBy: 'leaf' });
  const fathers = () =>
    stopsOf(garden.state, DAY, garden.place.zone, 'dawn').map((stop) => ({
      mother: stop.growing.plant.id,
      fathers: fathersFor(garden.state, stop, DAY, garden.place.zone, 'allowed').map(
        ({ growing }) => growing.plant.id,
      ),
    }));
  return { garden, variety, off, good, find, fathers };
}

test('a plant that is not true to its variety ends as a father, in the round and in the plan', () => {
  const { garden, variety, off, good, find, fathers } = patch();
  expect(fathers().find(({ mother }) => mother === good)?.fathers).toEqual([off, good]);
  find();
  expect(fathers().find(({ mother }) => mother === good)?.fathers).toEqual([good]);
  expect(new Set(freeMales(garden.state, garden.place, DAY).map(({ plant }) => plant))).toEqual(
    new Set([good]),
  );
  const next = fathersNext(garden.state, variety, mixingOf(garden.state, variety, '2026').plants);
  expect(next.map(({ plant }) => plant)).toEqual([good]);
});

test('and as a mother: what is shut on it is worked for the kitchen', () => {
  const { garden, off, find } = patch();
  const reasonOf = () =>
    stopsOf(garden.state, DAY, garden.place.zone, 'dawn').find(({ growing }) => growing.plant.id === off)
      ?.growing.stand.reason;
  expect(reasonOf()).toBe('seed');
  find();
  expect(reasonOf()).toBe('fruit');
});

test('what was worked on it before stays a fruit for seed in its proof, and says why it is none', () => {
  const { garden, off, good, find } = patch();
  const zone = garden.place.zone;
  const stop = stopsOf(garden.state, DAY, zone, 'dawn').find(({ growing }) => growing.plant.id === off);
  const male = freeMales(garden.state, garden.place, DAY).find(({ plant }) => plant === good);
  if (!stop || !male) throw new Error('no stop');
  garden.check(garden.time(DAY, 6), stop.flower.id, 'whole');
  garden.work(garden.time(DAY, 6, 5), stop.flower.id, [male.id]);
  find();
  const flower = garden.state.flowers.get(stop.flower.id);
  if (!flower) throw new Error('no flower');
  const { links } = proofOf(flower, garden.state, DAY, null);
  expect(links.map(({ says }) => says)).toContain('mother-off-type');
});

test('an off-type tomato is bagged no more, and its berries are for the kitchen', () => {
  const garden = new TestGarden();
  const [plant] = garden.plant('tomato', 'Quay Ember', 1).plants as [PlantId];
  const plants = () => selfingDay(garden.state, garden.place, DAY).length;
  expect(plants()).toBe(1);
  garden.write(garden.time(DAY, 8), { kind: 'offTypeFound', plant, shownBy: 'leaf' });
  expect(plants()).toBe(0);
});
