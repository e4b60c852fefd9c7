import { bloomDayOf, nodeTaken } from '../bloom';
import type { FlowerId, PlantId } from '../ids';
import type { Flower } from '../ledger';
import { countSet, allTrials } from '../fruitset';
import { TestGarden } from '../testGarden';
import { leftDrafts, leftFlowers, stopsOf, whyNoFather, withoutMaleDrafts, type Stop } from '.';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';

function patch(plants = 2) {
  const garden = new TestGarden();
  const dome = garden.plant('squash-maxima', 'Slate Dome', plants).plants as PlantId[];
  const left = (hour: number, date = DAWN) =>
    leftFlowers(garden.state, garden.place.zone, garden.time(date, hour), date, (day) =>
      bloomDayOf(garden.state, garden.place, day),
    ).map(({ flower }) => flower.id);
  const stop = (id: FlowerId) =>
    stopsOf(garden.state, DAWN, garden.place.zone, 'dawn').find(({ flower }) => flower.id === id) as Stop;
  return { garden, dome, left, stop };
}

describe('flowers left in a round', () => {
  test('are asked about once their hours are over, and not before; for some days, and not for ever', () => {
    const { garden, dome, left } = patch();
    const [one, two] = [0, 1].map(() => garden.shut(EVENING, dome[0] as PlantId, 'female'));
    garden.work(garden.time(DAWN, 5), one as FlowerId, []);
    expect(left(6)).toEqual([]);
    expect(left(12)).toEqual([two]);
    expect(left(12, '2026-07-16')).toEqual([two]);
    expect(left(12, '2026-07-20')).toEqual([]);
  });

  test.each([
    ['not reached', 'not-reached', { missed: 1, worked: 0 }],
    ['worked and not noted', 'worked', { missed: 0, worked: 1 }],
    ['torn', 'torn', { missed: 0, worked: 0 }],
  ] as const)('%s: asked no more, and counted for what it is', (_, what, counted) => {
    const { garden, dome, left } = patch();
    const flower = garden.shut(EVENING, dome[0] as PlantId, 'female');
    const view = garden.state.flowers.get(flower) as Flower;
    const growing = garden.growing(dome[0] as PlantId);
    for (const draft of leftDrafts({ flower: view, growing }, what))
      garden.write(garden.time(DAWN, 10), draft);
    expect(left(12)).toEqual([]);
    const sum = countSet(allTrials(garden.state, garden.place.zone), '2026-07-15');
    expect({ missed: sum.missed, worked: sum.worked }).toEqual(counted);
    expect(sum.dropped).toBe(0);
  });

  test('one of a stand for the fruit that was worked is kitchen work, not seed', () => {
    const { garden, dome } = patch();
    const plant = dome[0] as PlantId;
    const flower = garden.shut(EVENING, plant, 'female');
    garden.write(garden.time(EVENING, 20), { kind: 'reasonSet', subject: plant, reason: 'fruit' });
    const view = garden.state.flowers.get(flower) as Flower;
    expect(leftDrafts({ flower: view, growing: garden.growing(plant) }, 'worked')).toMatchObject([
      { purpose: 'kitchen' },
    ]);
  });

  test('one that was lost, torn or found not open yet is no question', () => {
    const { garden, dome, left } = patch();
    const [lost, torn, later] = [0, 1, 2].map(() => garden.shut(EVENING, dome[0] as PlantId, 'female'));
    garden.write(garden.time(DAWN, 6), { kind: 'lost', flower: lost as FlowerId, cause: 'knocked-off' });
    garden.check(garden.time(DAWN, 6), torn as FlowerId, 'torn');
    garden.check(garden.time(DAWN, 6), later as FlowerId, 'not-open');
    expect(left(12)).toEqual([]);
    // The one that was late is asked about when its own morning is over.
    expect(left(12, '2026-07-15')).toEqual([later]);
  });
});

describe('why there is no father', () => {
  const why = ({ garden, stop }: ReturnType<typeof patch>, id: FlowerId, selfing = 'others-first') =>
    whyNoFather(garden.state, stop(id), DAWN, garden.place.zone, selfing);

  test('one plant in a patch that never selfs: its own males are there, and that is said', () => {
    const one = patch(1);
    const plant = one.dome[0] as PlantId;
    const female = one.garden.shut(EVENING, plant, 'female');
    expect(why(one, female)).toBe('never-shut');
    one.garden.shut(EVENING, plant, 'male');
    expect(why(one, female, 'never')).toBe('own-only');
    expect(why(one, female)).toBeNull();
  });

  test('torn or gone is something else than used', () => {
    const two = patch();
    const [mother, father] = two.dome as [PlantId, PlantId];
    const female = two.garden.shut(EVENING, mother, 'female');
    const male = two.garden.shut(EVENING, father, 'male');
    expect(why(two, female)).toBeNull();
    const other = two.garden.shut(EVENING, mother, 'female');
    two.garden.work(two.garden.time(DAWN, 5), other, [male]);
    expect(why(two, female)).toBe('used');
    two.garden.check(two.garden.time(DAWN, 5, 5), male, 'no-pollen');
    expect(why(two, female)).toBe('spoiled');
  });

  test('left for want of a male she is no failure, and the round goes on', () => {
    const one = patch(1);
    const female = one.garden.shut(EVENING, one.dome[0] as PlantId, 'female');
    for (const draft of withoutMaleDrafts(one.stop(female)))
      one.garden.write(one.garden.time(DAWN, 5), draft);
    expect(one.stop(female).state).toBe('missed');
    expect(one.left(12)).toEqual([]);
  });
});

test('a second female at a node that has one is asked about; a male, or a node that is free again, is not', () => {
  const { garden, dome } = patch();
  const plant = dome[0] as PlantId;
  const flower = garden.see(garden.time(EVENING, 19), plant, 'female', 'coloured', 12);
  const on = () => [...garden.state.flowers.values()];
  expect(nodeTaken({ sex: 'female', node: 12 }, on())?.words).toMatch(/Node 12 has a female already/);
  expect(nodeTaken({ sex: 'female', node: 13 }, on())).toBeNull();
  expect(nodeTaken({ sex: 'female', node: null }, on())).toBeNull();
  expect(nodeTaken({ sex: 'male', node: 12 }, on())).toBeNull();
  garden.write(garden.time(DAWN, 6), { kind: 'lost', flower, cause: 'knocked-off' });
  expect(nodeTaken({ sex: 'female', node: 12 }, on())).toBeNull();
});
