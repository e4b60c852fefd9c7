import fc from 'fast-check';
import { DEFAULT_SCHOOLS } from '../crops';
import type { FlowerId, PlantId } from '../ids';
import type { Flower } from '../ledger';
import { TestGarden } from '../testGarden';
import { fitForSeed, type FitReason } from '.';

const EVENING = '2026-07-13';
const DAWN = '2026-07-14';
const PRACTICAL = { ...DEFAULT_SCHOOLS, proof: 'practical' };
const of = (garden: TestGarden, id: FlowerId, schools = DEFAULT_SCHOOLS) =>
  fitForSeed(garden.state.flowers.get(id) as Flower, garden.state, schools);

describe('a closure counts by the opening hours of its flower', () => {
  /** A bud seen in the evening, covered at this hour of the next morning, and worked at that. */
  function shutAt([hour, minute]: readonly number[], work: readonly number[], more: object = {}) {
    const garden = new TestGarden();
    const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
    const male = garden.shut(EVENING, father, 'male');
    const female = garden.see(garden.time(EVENING, 19), mother, 'female', 'coloured');
    const at = (given: readonly number[], later = 0) =>
      garden.time(DAWN, given[0] ?? 0, (given[1] ?? 0) + later);
    garden.check(at([5, 5]), male, 'whole');
    garden.write(at([hour ?? 0, minute ?? 0]), {
      kind: 'flowerShut',
      flower: female,
      closure: 'tape',
      ...more,
    });
    garden.check(at(work), female, 'whole');
    garden.work(at(work, 2), female, [male], { beeIn: false } as never);
    return { garden, female };
  }
  const first = ({ garden, female }: ReturnType<typeof shutAt>) => {
    const { reasons, verdict } = of(garden, female);
    const { state, what } = reasons.find(({ link }) => link === 'shut-before') as FitReason;
    return `${state}: ${what}, ${verdict}`;
  };

  // Sunrise is at 05:22 there: squash opens with it, honeybees fly an hour after it.
  test.each([
    ['half past nine, long after insects flew', [9, 30], [9, 40], 'broken: shut-after-insects, unfit'],
    ['after it opened, before they flew', [5, 50], [6, 5], 'not-recorded: shut-after-opening, not-recorded'],
    ['before it opened that morning', [4, 30], [5, 40], 'seen: shut, fit'],
  ])('%s', (_what, shut, work, wanted) => {
    expect(first(shutAt(shut, work))).toBe(wanted);
  });

  test('a closure looked at on the very evening on which it went on is not late for that', () => {
    const garden = new TestGarden();
    const [mother] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
    for (const sex of ['female', 'male'] as const) {
      const flower = garden.shut(EVENING, mother, sex);
      garden.check(garden.time(EVENING, 20), flower, 'whole');
      expect(of(garden, flower).reasons.find(({ link }) => link === 'shut-before')?.what).toBe('shut');
    }
  });

  test('a male covered after insects flew gives no pure pollen that day, and one covered in the evening does', () => {
    const father = (date: string, hour: number) => {
      const garden = new TestGarden();
      const [mother, other] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
      const female = garden.shut(EVENING, mother, 'female');
      const male = garden.see(garden.time(EVENING, 18), other, 'male', 'coloured');
      garden.write(garden.time(date, hour), { kind: 'flowerShut', flower: male, closure: 'tape' });
      for (const flower of [male, female]) garden.check(garden.time(DAWN, 9, 5), flower, 'whole');
      garden.work(garden.time(DAWN, 9, 10), female, [male], { beeIn: false } as never);
      return of(garden, female).reasons.find(({ link }) => link === 'fathers')?.what;
    };
    expect([father(DAWN, 8), father(EVENING, 19)]).toEqual(['father-unfit', 'pure-fathers']);
  });

  test('seen to be still shut when it was covered it is as good as before it opened', () => {
    expect(first(shutAt([9, 30], [9, 40], { stillShut: true }))).toBe('seen: shut, fit');
  });

  test('a morning noted to be late moves the hours: what opened at seven was shut in time at half past five', () => {
    const early = shutAt([5, 50], [7, 30]);
    for (let day = 1; day < 9; day++)
      early.garden.write(early.garden.time(`2026-07-0${day}`, 7, 30), {
        kind: 'clockNoted',
        stand: [...early.garden.state.stands.keys()][0] as never,
        what: 'opened',
      });
    expect(first(early)).toBe('seen: shut, fit');
  });

  test('what opens at dusk is shut in the afternoon', () => {
    const garden = new TestGarden();
    const [mother, father] = garden.plant('bottle-gourd', 'Long Halyard', 2).plants as [PlantId, PlantId];
    const shut = (plant: PlantId, sex: 'male' | 'female', hour: number) =>
      garden.shut(DAWN, plant, sex, 'tape', hour);
    const male = shut(father, 'male', 16);
    const females = [shut(mother, 'female', 16), shut(mother, 'female', 22)];
    for (const flower of [male, ...females]) garden.check(garden.time(DAWN, 22, 30), flower, 'whole');
    for (const female of females)
      garden.work(garden.time(DAWN, 22, 35), female, [male], { beeIn: false } as never);
    expect(females.map((female) => of(garden, female).verdict)).toEqual(['fit', 'unfit']);
  });

  test('the practical school takes what was worked before that day’s insects: at three in the afternoon it was an open flower', () => {
    const at = (hour: number) => {
      const garden = new TestGarden();
      const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
      const female = garden.see(garden.time(DAWN, hour), mother, 'female', 'open');
      const male = garden.see(garden.time(DAWN, hour), father, 'male', 'open');
      garden.work(garden.time(DAWN, hour, 5), female, [male], { beeIn: false } as never);
      const { reasons } = of(garden, female, PRACTICAL);
      return reasons.find(({ link }) => link === 'shut-before')?.what;
    };
    expect([at(5), at(15)]).toEqual(['worked-as-it-opened', 'worked-after-insects']);
  });

  test('put on later a cover never proves more', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 590 }), fc.integer({ min: 0, max: 590 }), (a, b) => {
        const rank = (minute: number) =>
          ['seen', 'not-recorded', 'broken'].indexOf(
            first(shutAt([0, minute], [9, 55])).split(':')[0] as string,
          );
        expect(rank(Math.min(a, b))).toBeLessThanOrEqual(rank(Math.max(a, b)));
      }),
      { numRuns: 15 },
    );
  });
});
