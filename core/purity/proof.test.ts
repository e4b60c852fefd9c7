import fc from 'fast-check';
import type { FlowerId, PlantId } from '../ids';
import type { Draft } from '../ledger';
import { TestGarden } from '../testGarden';
import { upperBound } from '../fruitset';
import {
  closuresDue,
  gradeProof,
  GRADES,
  growOutSize,
  lotShare,
  PROOF_LINKS,
  proofOf,
  weakestGrade,
  yearPurity,
  type GradedLink,
  type Share,
} from '.';

const ABOUT: Share = { low: 0.02, likely: 0.1, high: 0.3 };
const links = (states: readonly GradedLink['state'][]): GradedLink[] =>
  PROOF_LINKS.map((link, i) => ({ link, state: states[i] ?? 'seen' }));
const grade = (states: readonly GradedLink['state'][], pressure: Share | null = ABOUT) =>
  gradeProof({ links: links(states), way: 'by-hand', pressure });
const state = fc.constantFrom<GradedLink['state']>('seen', 'not-recorded', 'broken');
const nine = fc.array(state, { minLength: 9, maxLength: 9 });

describe('the grade of a proof', () => {
  test.each([
    ['every link seen', [], 'sound'],
    ['one not recorded', ['not-recorded'], 'good'],
    ['two not recorded', ['seen', 'not-recorded', 'not-recorded'], 'good'],
    ['three not recorded', ['not-recorded', 'not-recorded', 'not-recorded'], 'fair'],
    ['a closure that failed', ['seen', 'broken'], 'distance-only'],
  ] as const)('%s: %s is %s', (_what, states, wanted) => {
    expect(grade(states).grade).toBe(wanted);
  });

  test('left to the insects it is by distance only, and its share is what flies about', () => {
    const { grade: found, foreignShare } = gradeProof({ links: links([]), way: 'open', pressure: ABOUT });
    expect(found).toBe('distance-only');
    expect(foreignShare.high).toBeGreaterThanOrEqual(0.3);
    expect(foreignShare.low).toBeGreaterThan(0.01);
  });

  test('a shut, whole flower is not made impure by what flies about', () => {
    for (const likely of [0, 0.1, 0.5]) {
      const { grade: found } = grade([], { low: likely / 4, likely, high: Math.min(0.9, likely * 4) });
      expect(found).toBe('sound');
    }
  });

  test('shares lie in order, and a link less well known never makes the range better', () => {
    fc.assert(
      fc.property(nine, fc.nat(8), (states, at) => {
        const { foreignShare } = grade(states);
        expect(foreignShare.low).toBeGreaterThanOrEqual(0);
        expect(foreignShare.low).toBeLessThanOrEqual(foreignShare.likely);
        expect(foreignShare.likely).toBeLessThanOrEqual(foreignShare.high);
        expect(foreignShare.high).toBeLessThanOrEqual(1);
        const better = grade(states.map((each, i) => (i === at ? 'seen' : each))).foreignShare;
        expect(better.high).toBeLessThanOrEqual(foreignShare.high + 1e-9);
        expect(better.likely).toBeLessThanOrEqual(foreignShare.likely + 1e-9);
      }),
      { numRuns: 40 },
    );
  });

  test('recording a link as seen, or any better, never lowers the grade or raises the likely share; a failed closure is no worse than none', () => {
    const rank = (of: readonly GradedLink['state'][]) => GRADES.indexOf(grade(of).grade);
    const likely = (of: readonly GradedLink['state'][]) => grade(of).foreignShare.likely;
    const order = ['seen', 'not-recorded', 'broken'] as const;
    fc.assert(
      fc.property(
        nine,
        fc.nat(8),
        fc.nat(2),
        fc.double({ min: 0.0001, max: 0.6, noNaN: true }),
        (states, at, how, about) => {
          const worse = order.indexOf(states[at] ?? 'seen');
          const better = states.map((each, i) => (i === at ? (order[Math.min(how, worse)] ?? 'seen') : each));
          const pressure = { low: about / 3, likely: about, high: Math.min(1, about * 3) };
          const of = (those: readonly GradedLink['state'][]) =>
            gradeProof({ links: links(those), way: 'by-hand', pressure });
          expect(GRADES.indexOf(of(better).grade)).toBeLessThanOrEqual(GRADES.indexOf(of(states).grade));
          expect(of(better).foreignShare.likely).toBeLessThanOrEqual(of(states).foreignShare.likely + 1e-9);
        },
      ),
      { numRuns: 60 },
    );
    // Never shut: the first link broken, and nobody saw a closure that was not there. Shut and torn: seen, and broken at dawn.
    const never = ['broken', 'not-recorded', 'seen', 'seen', 'seen', 'broken'] as const;
    for (const failed of [
      ['seen', 'broken'],
      ['seen', 'seen', 'seen', 'seen', 'broken'],
      ['seen', 'seen', 'seen', 'seen', 'seen', 'seen', 'broken'],
    ] as const) {
      expect(rank(failed)).toBeLessThanOrEqual(rank(never));
      expect(likely(failed)).toBeLessThanOrEqual(likely(never));
    }
  });

  test('however much failed, what flies about brings no more than to an open flower', () => {
    const broken = PROOF_LINKS.flatMap((link) =>
      link === 'fathers' || link === 'clean' ? [] : [{ link, state: 'broken' as const }],
    );
    const failed = gradeProof({ links: broken, way: 'by-hand', pressure: ABOUT }).foreignShare;
    const open = gradeProof({ links: [], way: 'open', pressure: ABOUT }).foreignShare;
    expect(failed.likely).toBeLessThanOrEqual(open.likely + 1e-9);
    expect(failed.high).toBeLessThanOrEqual(open.high + 1e-9);
    expect(failed.likely).toBeGreaterThan(open.likely * 0.9);
  });

  test('not pure is for foreign pollen that is known, and parents that are not true', () => {
    for (const known of [{ otherVariety: true }, { foreign: true }])
      expect(
        gradeProof({
          links: [{ link: 'fathers', state: 'broken', ...known }],
          way: 'by-hand',
          pressure: null,
        }).grade,
      ).toBe('not-pure');
  });

  test('more that flies about never makes an open link better', () => {
    fc.assert(
      fc.property(nine, fc.double({ min: 0.01, max: 0.4, noNaN: true }), (states, likely) => {
        const of = (p: number) => grade(states, { low: p / 2, likely: p, high: p * 2 }).foreignShare;
        expect(of(likely).likely).toBeLessThanOrEqual(of(likely * 1.2).likely + 1e-9);
      }),
      { numRuns: 40 },
    );
  });

  test('the weakest link is a broken one where there is one, and none where all were seen', () => {
    expect(grade([]).weakest).toBeNull();
    fc.assert(
      fc.property(nine, (states) => {
        const { weakest, reasons } = grade(states);
        const broken = PROOF_LINKS.filter((_, i) => states[i] === 'broken');
        if (broken.length > 0) expect(broken).toContain(weakest);
        expect(reasons).toHaveLength(states.filter((each) => each !== 'seen').length);
      }),
    );
  });

  test('a lot is as good as its weakest fruit, and its share lies between those of its fruits', () => {
    expect(weakestGrade(['sound', 'fair', 'good'])).toBe('fair');
    expect(weakestGrade([])).toBeNull();
    const clean = { chain: { links: links([]), way: 'by-hand', pressure: ABOUT } as const, seeds: 100 };
    const open = { chain: { links: links([]), way: 'open', pressure: ABOUT } as const, seeds: 100 };
    const both = lotShare([clean, open]).likely;
    expect(both).toBeGreaterThan(lotShare([clean]).likely);
    expect(both).toBeLessThan(lotShare([open]).likely);
  });
});

describe('growing out', () => {
  // 1 - 0.05^(1/n), common practice: 60 plants 4.9 %, 300 plants 1 %.
  test.each([
    [0.05, 0.95, 59],
    [0.01, 0.95, 299],
    [0.01, 0.99, 459],
  ])('under %d with %d: %d plants', (maxOffTypeShare, confidence, n) => {
    expect(growOutSize({ maxOffTypeShare, confidence })).toBe(n);
  });

  test('is the least number whose exact bound is low enough', () => {
    const share = fc.double({ min: 0.002, max: 0.9, noNaN: true });
    fc.assert(
      fc.property(share, fc.double({ min: 0.5, max: 0.999, noNaN: true }), (most, confidence) => {
        const n = growOutSize({ maxOffTypeShare: most, confidence });
        expect(upperBound(0, n, confidence)).toBeLessThanOrEqual(most + 1e-9);
        if (n > 1) expect(upperBound(0, n - 1, confidence)).toBeGreaterThan(most - 1e-9);
      }),
    );
  });

  test.each([0, 1, -0.1, NaN])('a share of %d is refused by its name', (maxOffTypeShare) => {
    expect(() => growOutSize({ maxOffTypeShare, confidence: 0.95 })).toThrow(/maxOffTypeShare/);
  });
});

describe('the chain of a fruit', () => {
  const DAWN = '2026-07-14';
  const at = (garden: TestGarden, day: number, hour: number) =>
    garden.time(`2026-07-${String(day).padStart(2, '0')}`, hour);

  function worked(said: Partial<Extract<Draft, { kind: 'pollinated' }>> = {}) {
    const garden = new TestGarden();
    const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
    const female = garden.shut('2026-07-13', mother, 'female');
    const male = garden.shut('2026-07-13', father, 'male');
    garden.check(garden.time(DAWN, 5), male, 'whole');
    garden.check(garden.time(DAWN, 5, 5), female, 'whole');
    garden.work(garden.time(DAWN, 5, 10), female, [male], { beeIn: false, clean: true, ...said } as never);
    return { garden, female, father };
  }
  const chain = ({ garden, female }: { garden: TestGarden; female: FlowerId }, today = '2026-07-20') => {
    const flower = garden.state.flowers.get(female);
    if (!flower) throw new Error('no flower');
    return proofOf(flower, garden.state, today, ABOUT);
  };
  const told = (found: ReturnType<typeof chain>) =>
    Object.fromEntries(found.links.map(({ link, says }) => [link, says]));

  function seen() {
    const made = worked();
    const { garden, female } = made;
    garden.write(garden.time(DAWN, 5, 11), { kind: 'marked', flower: female, mark: '1-A' });
    garden.check(at(garden, 15, 6), female, 'whole');
    garden.write(at(garden, 20, 8), {
      kind: 'lookedAt',
      flower: female,
      result: 'growing',
      sizeMm: null,
      markRead: true,
    });
    return made;
  }

  test('with every link seen it is sound, and each link cites its entries', () => {
    const made = seen();
    const found = chain(made);
    expect(gradeProof(found).grade).toBe('sound');
    expect(found.links.map(({ link }) => link)).toEqual(PROOF_LINKS);
    const ids = new Set(made.garden.events.map(({ id }) => id));
    for (const { events } of found.links) {
      expect(events.length).toBeGreaterThan(0);
      for (const id of events) expect(ids.has(id)).toBe(true);
    }
  });

  test('what nobody answered is not recorded, and says until when it can be made good', () => {
    const found = chain(worked({ clean: undefined, beeIn: undefined }), DAWN);
    expect(gradeProof(found).grade).toBe('fair');
    expect(told(found)).toMatchObject({
      clean: 'nobody-said',
      'no-insect': 'nobody-said',
      marked: 'no-mark',
    });
    expect(found.links.find(({ link }) => link === 'kept-shut')).toMatchObject({ until: '2026-07-16' });
    // Three days on nobody can see any more whether it was whole.
    expect(chain(worked(), '2026-07-20').links.find(({ link }) => link === 'kept-shut')).toMatchObject({
      state: 'not-recorded',
      until: null,
    });
  });

  test('torn the next day: broken there, and not at that dawn', () => {
    const made = worked();
    made.garden.check(at(made.garden, 15, 6), made.female, 'torn');
    const found = chain(made);
    expect(told(found)).toMatchObject({ whole: 'whole', 'kept-shut': 'torn' });
    expect(gradeProof(found)).toMatchObject({ grade: 'distance-only', weakest: 'kept-shut' });
  });

  test('whole the next day says nothing of a dawn at which nobody looked', () => {
    const garden = new TestGarden();
    const [mother] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId];
    const female = garden.shut('2026-07-13', mother, 'female');
    garden.work(garden.time(DAWN, 5, 10), female, [], { beeIn: false } as never);
    garden.check(at(garden, 15, 6), female, 'whole');
    expect(told(chain({ garden, female }))).toMatchObject({
      whole: 'not-looked-at',
      'kept-shut': 'stayed-shut',
    });
  });

  test('a mark put on a week later shows so; one lost and put on again leaves it in doubt', () => {
    const made = worked();
    const { garden, female } = made;
    garden.write(at(garden, 20, 8), { kind: 'marked', flower: female, mark: '1-A' });
    expect(told(chain(made))).toMatchObject({ marked: 'late' });
    garden.write(at(garden, 21, 8), { kind: 'markLost', flower: female });
    expect(garden.state.flowers.get(female)?.mark).toBeNull();
    garden.write(at(garden, 22, 8), { kind: 'marked', flower: female, mark: '1-B' });
    const found = chain(made);
    expect(told(found)).toMatchObject({ 'mark-read': 'marked-again' });
    expect(gradeProof(found).grade).toBe('fair');
  });

  test('lost and put on again in one breath is in doubt all the same; of two marks one may go', () => {
    const made = seen();
    const { garden, female } = made;
    garden.write(at(garden, 22, 8), { kind: 'marked', flower: female, mark: '1-B' });
    garden.write(at(garden, 22, 8), { kind: 'markLost', flower: female, mark: '1-B' });
    expect(garden.state.flowers.get(female)).toMatchObject({ mark: '1-A', markLost: null });
    expect(told(chain(made))['mark-read']).not.toBe('marked-again');
    garden.write(at(garden, 23, 8), { kind: 'markLost', flower: female });
    garden.write(at(garden, 23, 8), { kind: 'marked', flower: female, mark: '1-C' });
    expect(told(chain(made))).toMatchObject({ 'mark-read': 'marked-again' });
  });

  test('never marked, or its mark not read when it was picked, it is fair at best', () => {
    for (const markRead of [true, false, undefined]) {
      const made = seen();
      made.garden.write(at(made.garden, 30, 8), {
        kind: 'harvested',
        flower: made.female,
        harvestFor: 'seed',
        weightG: null,
        ...(markRead === undefined ? {} : { markRead }),
      });
      expect(gradeProof(chain(made)).grade).toBe(markRead ? 'sound' : 'fair');
    }
  });

  test('a father found off-type later flags every fruit that he served', () => {
    const made = seen();
    const { garden, father } = made;
    expect(gradeProof(chain(made)).grade).toBe('sound');
    garden.write(at(garden, 30, 8), { kind: 'offTypeFound', plant: father, shownBy: 'fruit' });
    expect(told(chain(made))).toMatchObject({ fathers: 'father-off-type' });
    expect(gradeProof(chain(made))).toMatchObject({ grade: 'not-pure', weakest: 'fathers' });
  });

  test('shut and bearing seed, and no work written down: its father is not recorded', () => {
    const garden = new TestGarden();
    const [mother] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
    const female = garden.shut('2026-07-13', mother, 'female');
    expect(told(chain({ garden, female }))).toMatchObject({ fathers: 'no-father' });
    expect(gradeProof(chain({ garden, female })).grade).toBe('fair');
  });

  test('corn is asked until its silk is brown: whole next day is too soon to tell', () => {
    const garden = new TestGarden();
    const [mother] = garden.plant('corn', 'Weir Copper', 2).plants as [PlantId];
    const female = garden.shut('2026-07-08', mother, 'female');
    garden.work(garden.time(DAWN, 9), female, [], { beeIn: false } as never);
    garden.check(at(garden, 15, 9), female, 'whole');
    const link = () =>
      chain({ garden, female }, '2026-07-21').links.find((each) => each.link === 'kept-shut');
    expect(link()).toMatchObject({ state: 'not-recorded', until: '2026-07-22' });
    garden.check(at(garden, 21, 9), female, 'whole');
    expect(link()).toMatchObject({ state: 'seen', says: 'stayed-shut' });
  });

  test('only vines worked yesterday or the day before and not looked at since are asked about', () => {
    const made = worked();
    const due = (day: string) => closuresDue(made.garden.state, 'Europe/Ljubljana', day).length;
    expect(['2026-07-14', '2026-07-15', '2026-07-16', '2026-07-17'].map(due)).toEqual([0, 1, 1, 0]);
    made.garden.check(at(made.garden, 15, 6), made.female, 'whole');
    expect(due('2026-07-16')).toBe(0);
    const left = worked({ shutAgain: null });
    expect(closuresDue(left.garden.state, 'Europe/Ljubljana', '2026-07-15')).toEqual([]);
  });

  test('a year of a variety: its weakest fruit first and for its grade, its plants counted', () => {
    const made = seen();
    const other = made.garden.shut('2026-07-15', made.father, 'female');
    made.garden.work(made.garden.time('2026-07-16', 5), other, [], { beeIn: true } as never);
    const { year, years, varieties } = yearPurity(made.garden.state, '2026-07-20', null);
    expect([year, years]).toEqual(['2026', ['2026']]);
    expect(varieties).toMatchObject([
      { name: 'Slate Dome', grade: 'distance-only', mothers: 2, fathers: 1, fruits: [{ flower: other }, {}] },
    ]);
    expect(varieties[0]?.fruits[1]).toMatchObject({ grade: 'sound', weakest: null });
    expect(yearPurity(made.garden.state, '2026-07-20', '2025').varieties).toEqual([]);
  });

  test('never shut and never worked: by distance only', () => {
    const garden = new TestGarden();
    const [mother] = garden.plant('squash-maxima', 'Slate Dome', 1).plants as [PlantId];
    const female = garden.see(garden.time(DAWN, 6), mother, 'female', 'open');
    expect(gradeProof(chain({ garden, female })).grade).toBe('distance-only');
  });

  test('the school moves the threshold and never the facts: worked as it opened is fair, or no better than open', () => {
    const garden = new TestGarden();
    const [mother, father] = garden.plant('squash-maxima', 'Slate Dome', 2).plants as [PlantId, PlantId];
    const male = garden.shut('2026-07-13', father, 'male');
    garden.check(garden.time(DAWN, 5), male, 'whole');
    const female = garden.see(garden.time(DAWN, 5), mother, 'female', 'open');
    garden.work(garden.time(DAWN, 5, 10), female, [male], { beeIn: false, clean: true } as never);
    expect(gradeProof(chain({ garden, female })).grade).toBe('distance-only');
    garden.school('proof', 'practical');
    expect(gradeProof(chain({ garden, female })).grade).toBe('fair');
  });
});
