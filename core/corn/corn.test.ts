import type { FlowerId, PlantId } from '../ids';
import type { Flower } from '../ledger';
import { fitForSeed } from '../purity';
import { TestGarden, type Planted } from '../testGarden';
import { cornDay, swapOrder } from '.';

const YESTERDAY = '2026-07-13';
const TODAY = '2026-07-14';

function patch(plants = 4): { garden: TestGarden; corn: Planted } {
  const garden = new TestGarden();
  return { garden, corn: garden.plant('corn', 'Weir Copper', plants) };
}

/** A shoot bagged some days ago, its silk seen under the bag on a date (`null` = not yet). */
function ear(garden: TestGarden, plant: PlantId | undefined, silkOn: string | null, baggedOn = '2026-07-08') {
  const id = garden.see(garden.time(baggedOn, 9), plant as PlantId, 'female', 'green');
  garden.write(garden.time(baggedOn, 9, 5), { kind: 'flowerShut', flower: id, closure: 'shoot-bag' });
  if (silkOn) silk(garden, id, plant as PlantId, silkOn);
  return id;
}
const silk = (garden: TestGarden, flower: FlowerId, plant: PlantId, on: string) =>
  garden.write(garden.time(on, 9), {
    kind: 'flowerSeen',
    flower,
    plant,
    sex: 'female',
    stage: 'open',
    node: null,
  });
/** A tassel seen shedding; bagged at an hour, or not at all. */
function tassel(garden: TestGarden, plant: PlantId | undefined, on: string, bagHour: number | null) {
  const id = garden.see(garden.time(on, 9), plant as PlantId, 'male', 'open');
  if (bagHour !== null)
    garden.write(garden.time(on, bagHour), { kind: 'flowerShut', flower: id, closure: 'tassel-bag' });
  return id;
}

test('from the scouting list to the pour: each ear stands where it belongs on a day', () => {
  const { garden, corn } = patch(6);
  const [a, b, c, d, e] = corn.plants;
  ear(garden, a, null);
  const ready = ear(garden, b, YESTERDAY);
  garden.see(garden.time(TODAY, 8), c as PlantId, 'female', 'green');
  const exposed = garden.see(garden.time(TODAY, 8), d as PlantId, 'female', 'open');
  const bag = tassel(garden, e, YESTERDAY, 16);
  const day = cornDay(garden.state, garden.place, TODAY);
  expect(day.toCheck).toHaveLength(1);
  expect(day.toBag).toHaveLength(1);
  expect(day.tooLate.map(({ flower }) => flower.id)).toEqual([exposed]);
  expect(day.toScout.map(({ plant }) => plant.id).sort()).toEqual([corn.plants[4], corn.plants[5]].sort());
  expect(day.pairs).toMatchObject([
    { turn: 1, ear: { flower: { id: ready }, silkDays: 1 }, tassel: { flower: { id: bag } } },
  ]);
});

test('a tassel bagged this morning stood open: its bag is poured tomorrow, not today', () => {
  const { garden, corn } = patch(2);
  const [a, b] = corn.plants;
  ear(garden, a, YESTERDAY);
  const bag = tassel(garden, b, TODAY, 9);
  expect(cornDay(garden.state, garden.place, TODAY).pairs).toEqual([]);
  expect(cornDay(garden.state, garden.place, '2026-07-15').pairs).toMatchObject([
    { tassel: { flower: { id: bag } } },
  ]);
});

test('as many tassel bags as silked ears; other plants’ tassels first; own only when nothing else is left', () => {
  const { garden, corn } = patch(2);
  const [a, b] = corn.plants;
  ear(garden, a, YESTERDAY);
  tassel(garden, a, TODAY, null);
  tassel(garden, b, TODAY, null);
  let day = cornDay(garden.state, garden.place, TODAY);
  expect(day).toMatchObject({ bagsWanted: 1, unpaired: 1, pairs: [] });
  expect(day.tasselsToBag.map(({ growing }) => growing.plant.id)).toEqual([b, a]);
  garden.write(garden.time(TODAY, 16), {
    kind: 'flowerShut',
    flower: day.tasselsToBag[1]?.flower.id as FlowerId,
    closure: 'tassel-bag',
  });
  day = cornDay(garden.state, garden.place, TODAY);
  expect(day.bagsWanted).toBe(0);
  const next = cornDay(garden.state, garden.place, '2026-07-15');
  expect(next.pairs.map(({ tassel: { growing } }) => growing.plant.id)).toEqual([a]);
  garden.school('selfing', 'never');
  expect(cornDay(garden.state, garden.place, '2026-07-15').pairs).toEqual([]);
});

test('silk that was out before the bag, or a torn bag, is no seed; silk has its days', () => {
  const { garden, corn } = patch(3);
  const [a, b, c] = corn.plants;
  const late = garden.see(garden.time(YESTERDAY, 8), a as PlantId, 'female', 'open');
  garden.write(garden.time(YESTERDAY, 9), { kind: 'flowerShut', flower: late, closure: 'shoot-bag' });
  const torn = ear(garden, b, YESTERDAY);
  garden.check(garden.time(TODAY, 8), torn, 'torn');
  const old = ear(garden, c, '2026-07-09');
  expect(cornDay(garden.state, garden.place, TODAY)).toMatchObject({
    silked: [{ flower: { id: old }, silkDays: 5 }],
  });
  expect(
    cornDay(garden.state, garden.place, TODAY)
      .tooLate.map(({ flower }) => flower.id)
      .sort(),
  ).toEqual([late, torn].sort());
  expect(cornDay(garden.state, garden.place, '2026-07-20').silked).toEqual([]);
});

test('the oldest silk gets what the only bag holds; a poured ear is covered till harvest', () => {
  const { garden, corn } = patch(5);
  const youngest = ear(garden, corn.plants[0], TODAY);
  const older = ['2026-07-10', '2026-07-11', '2026-07-12'].map((on, i) =>
    ear(garden, corn.plants[i + 1], on),
  );
  const bag = tassel(garden, corn.plants[4], YESTERDAY, 16);
  const poured = cornDay(garden.state, garden.place, TODAY).pairs.map(({ ear: { flower } }) => flower.id);
  expect(poured.sort()).toEqual([...older].sort());
  for (const flower of older)
    garden.work(garden.time(TODAY, 9), flower, [bag], { tool: 'pouring', shutAgain: 'tassel-bag' });
  const { covered, pairs, unpaired, silked } = cornDay(garden.state, garden.place, TODAY);
  expect([covered, pairs, unpaired]).toEqual([3, [], 1]);
  expect(silked.map(({ flower }) => flower.id)).toEqual([youngest]);
});

test('swaps go against the wind: the ear furthest downwind first', () => {
  const { garden, corn } = patch(6);
  const pairs = corn.plants.map((plant) => ({
    ear: { growing: garden.growing(plant), flower: null as never },
  }));
  const xs = (from: number | null) => swapOrder(pairs, from).map(({ ear: { growing } }) => growing.plant.xM);
  const ys = (from: number) => swapOrder(pairs, from).map(({ ear: { growing } }) => growing.plant.yM);
  const rising = (list: number[]) => list.every((x, i) => i === 0 || x >= (list[i - 1] as number));
  // From the west it blows towards the east: the eastern end (large x) is downwind, so it comes first.
  expect(rising(xs(270).reverse())).toBe(true);
  expect(rising(xs(90))).toBe(true);
  // From the north (small y): the southern end first.
  expect(rising(ys(0).reverse())).toBe(true);
  expect(xs(null)).toEqual(pairs.map(({ ear: { growing } }) => growing.plant.xM));
});

test('corn for the kitchen asks for nothing', () => {
  const garden = new TestGarden();
  garden.plant('corn', 'Kitchen Copper', 3, { reason: 'fruit' });
  expect(cornDay(garden.state, garden.place, TODAY)).toMatchObject({ toScout: [], pairs: [], bagsWanted: 0 });
});

describe('a tassel sheds for days', () => {
  const bagOn = (garden: TestGarden, flower: FlowerId, date: string, hour = 16) =>
    garden.write(garden.time(date, hour), { kind: 'flowerShut', flower, closure: 'tassel-bag' });
  const fathersOf = (garden: TestGarden, id: FlowerId) =>
    fitForSeed(garden.state.flowers.get(id) as Flower, garden.state).reasons.find(
      ({ link }) => link === 'fathers',
    )?.what;

  test('poured this morning it gets a fresh bag this afternoon, and serves the ears of tomorrow', () => {
    const { garden, corn } = patch(3);
    const [a, b, c] = corn.plants;
    const first = ear(garden, a, YESTERDAY);
    const second = ear(garden, b, TODAY);
    const bag = tassel(garden, c, YESTERDAY, 16);
    // It hangs until it is poured, and until then asks for nothing.
    expect(cornDay(garden.state, garden.place, TODAY).tasselsToBag).toEqual([]);
    garden.check(garden.time(TODAY, 9), bag, 'torn');
    const torn = (on: string) => cornDay(garden.state, garden.place, on).pairs.length;
    expect(torn(TODAY)).toBe(0);
    const { garden: whole, corn: rows } = patch(3);
    const ears = [ear(whole, rows.plants[0], YESTERDAY), ear(whole, rows.plants[1], TODAY)] as const;
    const again = tassel(whole, rows.plants[2], YESTERDAY, 16);
    whole.check(whole.time(TODAY, 9), again, 'whole');
    whole.check(whole.time(TODAY, 9), ears[0], 'whole');
    whole.work(whole.time(TODAY, 9, 5), ears[0], [again], { beeIn: false, clean: true } as never);
    const afternoon = cornDay(whole.state, whole.place, TODAY).tasselsToBag;
    expect(afternoon.map(({ flower }) => flower.id)).toEqual([again]);
    bagOn(whole, again, TODAY);
    expect(cornDay(whole.state, whole.place, TODAY).tasselsToBag).toEqual([]);
    const next = cornDay(whole.state, whole.place, '2026-07-15').pairs;
    expect(next).toMatchObject([{ ear: { flower: { id: ears[1] } }, tassel: { flower: { id: again } } }]);
    // What befell yesterday's bag says nothing of today's, and the other way about.
    bagOn(garden, bag, TODAY);
    garden.check(garden.time('2026-07-15', 9), bag, 'whole');
    garden.check(garden.time('2026-07-15', 9), second, 'whole');
    garden.work(garden.time('2026-07-15', 9, 5), second, [bag], { beeIn: false, clean: true } as never);
    expect(fathersOf(garden, second)).toBe('pure-fathers');
    garden.work(garden.time('2026-07-15', 9, 10), first, [bag], { beeIn: false, clean: true } as never);
    expect(fathersOf(garden, first)).toBe('pure-fathers');
  });

  test('a fresh bag poured on the day it went on holds other pollen, whatever hung there before', () => {
    const { garden, corn } = patch(2);
    const silked = ear(garden, corn.plants[0], YESTERDAY);
    const bag = tassel(garden, corn.plants[1], YESTERDAY, 16);
    bagOn(garden, bag, TODAY, 8);
    garden.check(garden.time(TODAY, 9), bag, 'whole');
    garden.work(garden.time(TODAY, 9, 5), silked, [bag], { beeIn: false, clean: true } as never);
    expect(fathersOf(garden, silked)).toBe('bagged-that-day');
  });

  test('one good bag does for several ears: each but the last is told that more come after it', () => {
    const { garden, corn } = patch(6);
    for (const plant of corn.plants.slice(0, 4)) ear(garden, plant, YESTERDAY);
    tassel(garden, corn.plants[5], YESTERDAY, 16);
    const { pairs, unpaired } = cornDay(garden.state, garden.place, TODAY);
    expect([pairs.length, unpaired]).toEqual([3, 1]);
    expect(pairs.map(({ after }) => after)).toEqual([2, 1, 0]);
    // Where there are bags enough each ear has one of its own.
    for (const plant of corn.plants.slice(0, 4)) tassel(garden, plant, YESTERDAY, 16);
    const spread = cornDay(garden.state, garden.place, TODAY).pairs;
    expect(spread.map(({ after }) => after)).toEqual([0, 0, 0, 0]);
  });
});
