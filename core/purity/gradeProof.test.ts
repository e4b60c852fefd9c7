import fc from 'fast-check';
import { upperBound } from '../fruitset';
import {
  gradeProof,
  GRADES,
  growOutSize,
  lotShare,
  PROOF_LINKS,
  weakestGrade,
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
