import { kitchenRound } from '../kitchen';
import { eveningWalk, looksDue, nextRounds } from '../rounds';
import { toCsv } from '../formats';
import { CROP_IDS, ROUND_CROP_IDS } from '../crops';
import { TestGarden } from '../testGarden';
import { standingOrder, walkOrder } from '.';

const quietIds = CROP_IDS.filter((id) => !(ROUND_CROP_IDS as readonly string[]).includes(id));

test('lettuce, bean and pea stand in the patch and in its tables, and in no walk, round, look or kitchen', () => {
  const garden = new TestGarden();
  for (const reason of ['seed', 'fruit'] as const)
    for (const crop of quietIds) garden.plant(crop, `${crop} ${reason}`, 4, { reason });
  const now = garden.time('2026-07-14', 19);
  expect(standingOrder(garden.state)).toHaveLength(24);
  expect(walkOrder(garden.state)).toEqual([]);
  expect(eveningWalk(garden.state, garden.place, '2026-07-14')).toBeNull();
  expect(eveningWalk(garden.state, garden.place, '2026-07-14', { kitchen: true })).toBeNull();
  expect(nextRounds(garden.state, garden.place, now)).toEqual([]);
  expect(kitchenRound(garden.state, garden.place.zone, '2026-07-14')).toEqual([]);
  expect(looksDue(garden.state, garden.place.zone, '2026-07-14')).toEqual([]);
  expect(
    toCsv(garden.state, 'plants')
      .split('\n')
      .filter((row) => row.includes('lettuce')),
  ).toHaveLength(8);
});
