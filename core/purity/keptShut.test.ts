import type { FlowerId, PlantId } from '../ids';
import type { Flower } from '../ledger';
import { TestGarden } from '../testGarden';
import { fitForSeed, proofOf } from '.';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';
const of = (garden: TestGarden, id: FlowerId) =>
  fitForSeed(garden.state.flowers.get(id) as Flower, garden.state);

test('anthers taken out of a flower that stood open came out too late, bagged or not; of one still shut in time', () => {
  const cross = (crop: 'tomato' | 'melon', stage: 'coloured' | 'open', bagged: boolean) => {
    const garden = new TestGarden();
    const system = crop === 'melon' ? ({ system: 'andromonoecious' } as const) : {};
    const [mother] = garden.plant(crop, 'Red Quay', 1, { reason: 'cross', ...system }).plants as [PlantId];
    const flower = garden.shut(EVENING, mother, crop === 'melon' ? 'female' : 'perfect', 'mesh-bag', 17);
    if (!bagged) garden.write(garden.time(EVENING, 17, 30), { kind: 'coverOff', flower });
    garden.write(garden.time(DAWN, 10), {
      kind: 'flowerSeen',
      flower,
      plant: mother,
      sex: crop === 'melon' ? 'female' : 'perfect',
      stage,
      node: null,
    });
    garden.write(garden.time(DAWN, 10, 1), { kind: 'emasculated', flower });
    garden.work(garden.time(DAWN, 10, 5), flower, [], { beeIn: false } as never);
    const { reasons, verdict } = of(garden, flower);
    const link = reasons.find((each) => each.link === 'anthers-out');
    return `${link?.state}: ${link?.what}${verdict === 'unfit' ? ', unfit' : ''}`;
  };
  for (const crop of ['tomato', 'melon'] as const) {
    expect(cross(crop, 'open', true)).toBe('broken: anthers-late, unfit');
    expect(cross(crop, 'open', false)).toBe('broken: anthers-late, unfit');
    expect(cross(crop, 'coloured', true)).toMatch(/^seen: anthers-out/);
  }
});

test('a melon that opened in its bag at dawn has selfed in there: anthers taken out in the round came out too late', () => {
  const out = (date: string, hour: number) => {
    const garden = new TestGarden();
    const [mother] = garden.plant('melon', 'Quiet Bell', 1, { reason: 'cross', system: 'andromonoecious' })
      .plants as [PlantId];
    const flower = garden.shut(EVENING, mother, 'female', 'mesh-bag', 18);
    garden.write(garden.time(date, hour), { kind: 'emasculated', flower });
    garden.check(garden.time(DAWN, 8), flower, 'whole');
    garden.work(garden.time(DAWN, 8, 5), flower, [], { beeIn: false } as never);
    return of(garden, flower).reasons.find(({ link }) => link === 'anthers-out')?.what;
  };
  expect(out(EVENING, 19)).toBe('anthers-out');
  expect(out(DAWN, 4)).toBe('anthers-out');
  expect(out(DAWN, 8)).toBe('anthers-late');
});

test('a tassel’s bag counts once it stood overnight: poured on the day it went on it holds other pollen', () => {
  const poured = (hour: number, date: string) => {
    const garden = new TestGarden();
    const [mother, father] = garden.plant('corn', 'Weir Copper', 2).plants as [PlantId, PlantId];
    const ear = garden.shut('2026-07-10', mother, 'female', 'shoot-bag');
    const tassel = garden.see(garden.time(date, hour), father, 'male', 'open');
    garden.write(garden.time(date, hour, 5), { kind: 'flowerShut', flower: tassel, closure: 'tassel-bag' });
    for (const flower of [ear, tassel]) garden.check(garden.time(DAWN, 9, 20), flower, 'whole');
    garden.work(garden.time(DAWN, 9, 30), ear, [tassel], { beeIn: false } as never);
    const { reasons } = of(garden, ear);
    return reasons.find(({ link }) => link === 'fathers')?.what;
  };
  expect(poured(9, DAWN)).toBe('bagged-that-day');
  expect(poured(16, EVENING)).toBe('pure-fathers');
});

test('torn within the days in which it must keep shut it is broken; later by a swelling fruit it says nothing, or leaves it open', () => {
  const torn = (crop: 'squash-maxima' | 'tomato', day: string, ...whole: readonly string[]) => {
    const garden = new TestGarden();
    const [mother, father] = garden.plant(crop, 'Slate Dome', 2).plants as [PlantId, PlantId];
    const sex = crop === 'tomato' ? 'perfect' : 'female';
    const female = garden.shut(EVENING, mother, sex);
    const male = garden.shut(EVENING, father, sex === 'perfect' ? 'perfect' : 'male');
    for (const flower of [female, male]) garden.check(garden.time(DAWN, 5), flower, 'whole');
    garden.work(garden.time(DAWN, 5, 10), female, sex === 'perfect' ? [] : [male], { beeIn: false } as never);
    for (const date of whole) garden.check(garden.time(date, 8), female, 'whole');
    garden.check(garden.time(day, 9), female, 'torn');
    const { verdict, reasons } = of(garden, female);
    const chain = proofOf(garden.state.flowers.get(female) as Flower, garden.state, '2026-07-25', null);
    const link = chain.links.find((each) => each.link === 'kept-shut');
    // One fruit never has two verdicts.
    expect(link?.state === 'broken').toBe(verdict === 'unfit');
    return reasons.find((each) => each.link === 'kept-shut')?.state ?? 'nothing';
  };
  expect(torn('squash-maxima', '2026-07-15')).toBe('broken');
  expect(torn('squash-maxima', '2026-07-18')).toBe('not-recorded');
  expect(torn('squash-maxima', '2026-07-18', '2026-07-15')).toBe('nothing');
  expect(torn('tomato', '2026-07-16', '2026-07-15')).toBe('broken');
  expect(torn('tomato', '2026-07-20', '2026-07-17')).toBe('nothing');
});
