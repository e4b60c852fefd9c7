import fc from 'fast-check';
import { bloomOutlook } from '../bloom';
import type { FlowerId, PlantId } from '../ids';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { chainCost, cornChain, cornDay, cornScouting, unlinked } from '.';

const TODAY = '2026-07-14';
const YESTERDAY = '2026-07-13';

function plot(count = 4) {
  const garden = new TestGarden();
  const corn = garden.plant('corn', 'Weir Copper', count);
  const at = (i: number) => corn.plants[i] as PlantId;
  const look = (date = TODAY) => cornScouting(garden.state, garden.place, date);
  const bag = (date: string, flower: FlowerId, closure: 'shoot-bag' | 'tassel-bag', hour = 16) =>
    garden.write(garden.time(date, hour), { kind: 'flowerShut', flower, closure });
  /** An ear bagged some days ago with silk under it, and yesterday's tassel bag poured over it. */
  const poured = (mother: PlantId, father: PlantId) => {
    const ear = garden.see(garden.time('2026-07-08', 9), mother, 'female', 'green');
    bag('2026-07-08', ear, 'shoot-bag');
    garden.write(garden.time(YESTERDAY, 9), {
      kind: 'flowerSeen',
      flower: ear,
      plant: mother,
      sex: 'female',
      stage: 'open',
      node: null,
    });
    const tassel = garden.see(garden.time(YESTERDAY, 15), father, 'male', 'open');
    bag(YESTERDAY, tassel, 'tassel-bag');
    garden.work(garden.time(TODAY, 9), ear, [tassel], { tool: 'pouring', shutAgain: 'tassel-bag' });
    return ear;
  };
  return { garden, corn, at, look, bag, poured };
}

test('every plant grown for seed is on the daily look, in walking order, till something or nothing was noted of it that day', () => {
  const { garden, at, look } = plot();
  garden.plant('corn', 'Kitchen Copper', 3, { reason: 'fruit' });
  expect(look().map(({ growing }) => growing.plant.id)).toHaveLength(4);
  expect(look().every(({ done }) => !done)).toBe(true);
  garden.see(garden.time(TODAY, 8), at(0), 'female', 'green');
  garden.write(garden.time(TODAY, 8, 5), { kind: 'plantPassed', plant: at(1) });
  const done = () => look().filter((each) => each.done);
  expect(new Set(done().map(({ growing }) => growing.plant.id))).toEqual(new Set([at(0), at(1)]));
  expect(look(addDays(TODAY, 1)).some((each) => each.done)).toBe(false);
});

test('an ear is bare, bagged, silked, poured or spoiled; silk without a bag spoils it for good', () => {
  const { garden, at, look, bag, poured } = plot();
  const stands = () => look().flatMap(({ ears }) => ears.map(({ stands: how }) => how));
  const bare = garden.see(garden.time(TODAY, 8), at(0), 'female', 'green');
  expect(stands()).toEqual(['bare']);
  bag(TODAY, bare, 'shoot-bag');
  expect(stands()).toEqual(['bagged']);
  const late = garden.see(garden.time(TODAY, 9), at(1), 'female', 'open');
  bag(TODAY, late, 'shoot-bag', 10);
  poured(at(2), at(3));
  expect(stands().sort()).toEqual(['bagged', 'poured', 'spoiled']);
});

test('a tassel sheds for a week after it was seen to, is bagged for a day at a time, and then over', () => {
  const { garden, at, look, bag } = plot(1);
  const is = (date: string) => look(date)[0]?.tasselIs;
  expect(is(TODAY)).toBe('none');
  const tassel = garden.see(garden.time(TODAY, 9), at(0), 'male', 'open');
  expect([TODAY, addDays(TODAY, 7), addDays(TODAY, 8)].map(is)).toEqual(['sheds', 'sheds', 'over']);
  bag(TODAY, tassel, 'tassel-bag');
  const later = [TODAY, addDays(TODAY, 1), addDays(TODAY, 2), addDays(TODAY, 8)];
  expect(later.map(is)).toEqual(['bagged', 'bagged', 'sheds', 'over']);
});

test('a shedding or a bagged tassel is a father: the warning of females without one knows it', () => {
  const lonely = (withTassel: boolean) => {
    const { garden, at } = plot(2);
    const ear = garden.see(garden.time(TODAY, 8), at(0), 'female', 'coloured');
    expect(ear).toBeDefined();
    if (withTassel) garden.see(garden.time(TODAY, 9), at(1), 'male', 'open');
    return bloomOutlook({ state: garden.state, zone: garden.place.zone, from: addDays(TODAY, 1) }).flatMap(
      (each) => each.lonely,
    );
  };
  expect(lonely(false).length).toBeGreaterThan(0);
  expect(lonely(true)).toEqual([]);
});

test('the chain counts each plant once as mother and once as father, and names those that are neither', () => {
  const { garden, corn, at, poured } = plot();
  poured(at(0), at(1));
  const chain = cornChain(garden.state, corn.stand);
  expect([...chain.mothers.keys()]).toEqual([at(0)]);
  expect([...chain.fathers.keys()]).toEqual([at(1)]);
  expect(unlinked(garden.state, chain).sort()).toEqual(['3', '4']);
  // The pair turned round costs, a father that served costs, a new link costs nothing.
  expect(chainCost(chain, at(1), at(0))).toBeGreaterThan(0);
  expect(chainCost(chain, at(2), at(1))).toBeGreaterThan(0);
  expect(chainCost(chain, at(1), at(2))).toBe(0);
});

test('of two tassels that could be poured the one is taken whose plant was no father yet', () => {
  const { garden, at, bag, poured } = plot();
  poured(at(0), at(1));
  const next = addDays(TODAY, 1);
  const ear = garden.see(garden.time('2026-07-10', 9), at(3), 'female', 'green');
  bag('2026-07-10', ear, 'shoot-bag');
  garden.write(garden.time(TODAY, 9, 30), {
    kind: 'flowerSeen',
    flower: ear,
    plant: at(3),
    sex: 'female',
    stage: 'open',
    node: null,
  });
  for (const i of [1, 2]) {
    const tassel = garden.see(garden.time(TODAY, 15), at(i), 'male', 'open');
    bag(TODAY, tassel, 'tassel-bag', 17);
  }
  expect(
    cornDay(garden.state, garden.place, next).pairs.map(({ tassel }) => tassel.growing.plant.id),
  ).toEqual([at(2)]);
});

test('the chain’s cost is never below none, and more for a father the oftener he served', () => {
  const { garden, corn, at, poured } = plot();
  const served = [0, 1, 2].map((times) => {
    if (times > 0) poured(at(times - 1), at(3));
    return chainCost(cornChain(garden.state, corn.stand), at(2), at(3));
  });
  expect(served).toEqual([...served].sort((a, b) => a - b));
  fc.assert(
    fc.property(fc.nat(3), fc.nat(3), (mother, father) => {
      expect(chainCost(cornChain(garden.state, corn.stand), at(mother), at(father))).toBeGreaterThanOrEqual(
        0,
      );
    }),
  );
});
