import fc from 'fast-check';
import type { FlowerId, PlantId } from '../ids';
import { fitForSeed } from '../purity';
import { TestGarden } from '../testGarden';
import { addDays } from '../time';
import { selfingDay, SHAKEN_MORNINGS, type SelfingPlant } from '.';

const DAY = '2026-07-14';

function tomatoes(crop: 'tomato' | 'pepper' = 'tomato') {
  const garden = new TestGarden();
  const { plants } = garden.plant(crop, 'Quay Ember', 2);
  const [plant] = plants as [PlantId];
  const day = (date = DAY) => selfingDay(garden.state, garden.place, date)[0] as SelfingPlant;
  const bagged = (date = DAY) => {
    const flower = garden.see(garden.time(date, 18), plant, 'perfect', 'coloured');
    garden.write(garden.time(date, 18, 1), { kind: 'flowerShut', flower, closure: 'mesh-bag' });
    return flower;
  };
  const shake = (date: string, flower: FlowerId) => {
    garden.check(garden.time(date, 10), flower, 'whole');
    garden.write(garden.time(date, 10, 1), {
      kind: 'pollinated',
      flower,
      fathers: [],
      tool: 'vibration',
      shutAgain: 'mesh-bag',
      beeIn: false,
      purpose: 'seed',
    });
  };
  const ids = (list: readonly { readonly flower: { readonly id: string } }[]) =>
    list.map(({ flower }) => flower.id);
  return { garden, plant, day, bagged, shake, ids };
}

test('from bud to mark: strip, bag, shake on some mornings, wait, mark, and sound evidence at the end', () => {
  const { garden, plant, day, bagged, shake, ids } = tomatoes();
  expect(day()).toMatchObject({ toStrip: true, withoutBags: null });
  garden.write(garden.time(DAY, 17), { kind: 'stripped', plant });
  expect(day().toStrip).toBe(false);
  const truss = bagged();
  // On the evening of the bag there is nothing to shake yet.
  expect(ids(day().waiting)).toEqual([truss]);
  for (let i = 1; i <= SHAKEN_MORNINGS; i++) {
    const date = addDays(DAY, i);
    expect(ids(day(date).toShake)).toEqual([truss]);
    shake(date, truss);
    expect(day(date).toShake).toMatchObject([{ shaken: i, shakenToday: true }]);
  }
  const after = addDays(DAY, SHAKEN_MORNINGS + 1);
  expect(ids(day(after).waiting)).toEqual([truss]);
  garden.look(garden.time('2026-07-26', 9), truss, 'growing');
  expect(ids(day('2026-07-26').toMark)).toEqual([truss]);
  const at = garden.time('2026-07-26', 9, 5);
  garden.write(at, { kind: 'coverOff', flower: truss });
  garden.write(at + 1000, { kind: 'marked', flower: truss, mark: '1-A' });
  garden.write(at + 2000, { kind: 'pinched', flower: truss });
  expect(ids(day('2026-07-26').marked)).toEqual([truss]);
  const flower = garden.state.flowers.get(truss);
  expect(flower?.pinchedAt).not.toBeNull();
  expect(flower && fitForSeed(flower, garden.state).verdict).toBe('fit');
});

test('a bud seen and not bagged is to be bagged while it is shut; once its days are past it is no more', () => {
  const { garden, plant, day, ids } = tomatoes('pepper');
  const bud = garden.see(garden.time(DAY, 8), plant, 'perfect', 'coloured');
  expect(ids(day().toBag)).toEqual([bud]);
  expect(day(addDays(DAY, 3)).toBag).toEqual([]);
});

test('without bags is a school for closed cones: weaker evidence, said so; a pepper is bagged all the same', () => {
  for (const crop of ['tomato', 'pepper'] as const) {
    const { garden, plant, day } = tomatoes(crop);
    garden.school('cones', 'open');
    expect(day().withoutBags).toBe(crop === 'tomato' ? 'school' : null);
    const flower = garden.see(garden.time(DAY, 11), plant, 'perfect', 'open');
    garden.write(garden.time(DAY, 11, 1), {
      kind: 'pollinated',
      flower,
      fathers: [],
      tool: 'vibration',
      purpose: 'seed',
    });
    const fit = fitForSeed(garden.state.flowers.get(flower) as never, garden.state);
    expect(fit.verdict).toBe(crop === 'tomato' ? 'fit' : 'unfit');
    if (crop === 'tomato') expect(fit.reasons.map(({ what }) => what)).toContain('closed-cone');
  }
});

test('stands for a cross or for fruit have no such round, but one flower kept for seed does', () => {
  const garden = new TestGarden();
  const { plants } = garden.plant('tomato', 'Quay Ember', 1, { reason: 'fruit' });
  const days = () => selfingDay(garden.state, garden.place, DAY);
  expect(days()).toEqual([]);
  const flower = garden.see(garden.time(DAY, 8), plants[0] as PlantId, 'perfect', 'coloured');
  garden.write(garden.time(DAY, 8, 5), { kind: 'reasonSet', subject: flower, reason: 'seed' });
  expect(days()).toMatchObject([{ toStrip: false, toBag: [{ flower: { id: flower } }] }]);
});

test('whatever is noted of a covered truss, it stands in one list until it is lost or picked', () => {
  const steps = ['shake', 'growing', 'same', 'mark', 'nothing'] as const;
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom(...steps), fc.integer({ min: 1, max: 14 })), { maxLength: 7 }),
      fc.integer({ min: 0, max: 40 }),
      (done, after) => {
        const { garden, bagged, shake, day } = tomatoes();
        const truss = bagged();
        for (const [step, days] of done) {
          const date = addDays(DAY, days);
          if (step === 'shake') shake(date, truss);
          else if (step === 'mark')
            garden.write(garden.time(date, 12), { kind: 'marked', flower: truss, mark: '1-A' });
          else if (step !== 'nothing') garden.look(garden.time(date, 17), truss, step);
        }
        const { toBag, toShake, waiting, toMark, marked } = day(addDays(DAY, after));
        const listed = [...toBag, ...toShake, ...waiting, ...toMark, ...marked];
        expect(listed.map(({ flower }) => flower.id)).toEqual([truss]);
      },
    ),
    { numRuns: 60 },
  );
});

test('an alpine strawberry comes true from seed under its bag; the large one is never asked', () => {
  const garden = new TestGarden();
  const { plants } = garden.plant('alpine-strawberry', 'Weir Pip', 1);
  const [plant] = plants as [PlantId];
  garden.plant('strawberry', 'Sluice Red', 1, { reason: 'fruit' });
  const truss = garden.see(garden.time(DAY, 18), plant, 'perfect', 'coloured');
  expect(selfingDay(garden.state, garden.place, DAY)).toMatchObject([{ toBag: [{ flower: { id: truss } }] }]);
  garden.write(garden.time(DAY, 18, 1), { kind: 'flowerShut', flower: truss, closure: 'mesh-bag' });
  expect(selfingDay(garden.state, garden.place, '2026-07-15')).toMatchObject([{ toShake: [{ shaken: 0 }] }]);
});

test('a stigma that stands out of its cone wants a bag, by whatever school; so does a potato’s', () => {
  const withoutBags = (crop: 'tomato' | 'potato', traits: object) => {
    const garden = new TestGarden();
    garden.school('cones', 'open');
    const { variety } = garden.plant(crop, 'Quay Ember', 1);
    garden.write(garden.time('2026-06-01', 9), {
      kind: 'corrected',
      subject: variety,
      target: garden.state.varieties.get(variety)?.event as string,
      changes: { traits },
    });
    return selfingDay(garden.state, garden.place, DAY)[0]?.withoutBags;
  };
  expect(withoutBags('tomato', {})).toBe('school');
  expect(withoutBags('tomato', { stigmaOut: true })).toBeNull();
  expect(withoutBags('potato', {})).toBeNull();
});
