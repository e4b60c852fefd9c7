import { cropOf } from '../crops';
import type { PlantId } from '../ids';
import type { CheckResult } from '../ledger';
import { TestGarden } from '../testGarden';
import { ratesOf } from '.';

test('how often a closure holds is what was found when its turn came, and not what a fruit tore days later', () => {
  const garden = new TestGarden();
  const { plants, variety } = garden.plant('squash-maxima', 'Slate Dome', 1);
  const counted = () =>
    ratesOf(garden.state, garden.place.zone).whole(cropOf('squash-maxima'), variety, 'tape').own;
  const flower = (atDawn: CheckResult, worked: boolean) => {
    const female = garden.shut('2026-07-13', plants[0] as PlantId, 'female');
    garden.check(garden.time('2026-07-14', 5), female, atDawn);
    if (worked) garden.work(garden.time('2026-07-14', 5, 10), female, []);
    return female;
  };
  const held = flower('whole', true);
  flower('torn', false);
  expect(counted()).toEqual({ k: 1, n: 2 });
  garden.check(garden.time('2026-07-17', 8), held, 'torn');
  expect(counted()).toEqual({ k: 1, n: 2 });
  // Worked, and how it was found nobody noted: it says nothing, whatever was seen of it afterwards.
  const unseen = garden.shut('2026-07-15', plants[0] as PlantId, 'female');
  garden.work(garden.time('2026-07-16', 5, 10), unseen, []);
  garden.check(garden.time('2026-07-17', 8), unseen, 'torn');
  expect(counted()).toEqual({ k: 1, n: 2 });
});
