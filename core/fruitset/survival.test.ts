import fc from 'fast-check';
import { agrees, named } from './testReference';
import { cumulativeIncidence, kaplanMeier, logRank, type Followed } from '.';
import survival from './fixtures/survival.json';

describe('survival (R 4.2.2 survival 3.5.3; source in the fixture)', () => {
  test.each(named(survival))('%s', (_id, { input, expected, tolerance }) => {
    const time = input.time as number[];
    if (input.kind === 'competing-risks') {
      const causes = input.causes as Record<string, string>;
      const cause = input.cause as number[];
      const { steps } = cumulativeIncidence(
        time.map((t, i) => ({ time: t, cause: cause[i] === 0 ? null : (causes[cause[i] ?? 0] ?? null) })),
      );
      const of = (name: string, what: 'incidence' | 'standardError') =>
        steps.map(({ byCause }) => byCause[name]?.[what] ?? 0);
      agrees(
        steps.map((step) => step.time),
        expected.time,
        tolerance,
      );
      agrees(
        steps.map((step) => step.remaining),
        expected.onPlant,
        tolerance,
      );
      agrees(of('drop', 'incidence'), expected.cumulativeIncidenceDrop, tolerance);
      agrees(of('harvest', 'incidence'), expected.cumulativeIncidenceHarvest, tolerance);
      agrees(of('drop', 'standardError'), expected.standardErrorDrop, tolerance);
      agrees(of('harvest', 'standardError'), expected.standardErrorHarvest, tolerance);
      return;
    }
    const event = input.event as number[];
    const followed = time.map((t, i): Followed => ({ time: t, event: event[i] === 1 }));
    if (input.kind === 'log-rank') {
      const group = input.group as number[];
      const ids = [...new Set(group)].sort((a, b) => a - b);
      const found = logRank(ids.map((id) => followed.filter((_, i) => group[i] === id)));
      agrees(
        [found.chiSquare, found.degreesOfFreedom, found.pValue],
        [expected.chiSquare, expected.df, expected.p],
        tolerance,
      );
      agrees(found.observed, expected.observed, tolerance);
      agrees(found.expected, expected.expected, tolerance);
      return;
    }
    const { steps, median } = kaplanMeier(followed, { confidence: input.confidence as number });
    agrees(median, expected.median, tolerance);
    agrees(
      steps.map((step) => step.survival),
      expected.survival,
      tolerance,
    );
    agrees(
      steps.map((step) => step.standardError),
      expected.standardError,
      tolerance,
    );
    agrees(
      steps.map((step) => step.low),
      expected.lower,
      tolerance,
    );
    agrees(
      steps.map((step) => step.high),
      expected.upper,
      tolerance,
    );
  });
});

const followedList = fc.array(fc.record({ time: fc.integer({ min: 0, max: 40 }), event: fc.boolean() }), {
  maxLength: 60,
});

test('a curve falls from step to step within its bounds, and without censoring is the share still there', () => {
  fc.assert(
    fc.property(followedList, (followed) => {
      const { steps } = kaplanMeier(followed, { confidence: 0.95 });
      let before = 1;
      for (const { survival: left, low, high } of steps) {
        expect(left).toBeLessThan(before);
        if (low !== null && high !== null) {
          expect(low).toBeLessThanOrEqual(left + 1e-12);
          expect(high).toBeGreaterThanOrEqual(left - 1e-12);
        }
        before = left;
      }
      const all = followed.map(({ time }) => ({ time, event: true }));
      for (const { time, survival: left } of kaplanMeier(all, { confidence: 0.95 }).steps)
        expect(left).toBeCloseTo(all.filter((each) => each.time > time).length / all.length, 10);
    }),
  );
});

test('incidences and what remains add up to one, and with one cause it is the curve turned over', () => {
  const ends = fc.array(
    fc.record({ time: fc.integer({ min: 0, max: 30 }), cause: fc.constantFrom('drop', 'harvest', null) }),
    { maxLength: 60 },
  );
  fc.assert(
    fc.property(ends, (followed) => {
      for (const { remaining, byCause } of cumulativeIncidence(followed).steps) {
        const sum = Object.values(byCause).reduce((all, { incidence }) => all + incidence, remaining);
        expect(sum).toBeCloseTo(1, 10);
      }
      const drops = followed.map(({ time, cause }) => ({ time, cause: cause === 'drop' ? 'drop' : null }));
      const curve = kaplanMeier(
        drops.map(({ time, cause }) => ({ time, event: cause !== null })),
        { confidence: 0.95 },
      ).steps;
      const turned = cumulativeIncidence(drops).steps;
      expect(turned).toHaveLength(curve.length);
      turned.forEach((step, i) => expect(step.remaining).toBeCloseTo(curve[i]?.survival ?? NaN, 10));
    }),
  );
});

test('the log-rank test knows no order of its groups, and sees nothing between a group and itself', () => {
  fc.assert(
    fc.property(followedList, followedList, followedList, (a, b, c) => {
      const one = logRank([a, b, c]);
      const other = logRank([c, a, b]);
      expect(one.chiSquare).toBeCloseTo(other.chiSquare, 6);
      expect(one.observed.reduce((x, y) => x + y, 0)).toBeCloseTo(
        one.expected.reduce((x, y) => x + y, 0),
        8,
      );
      expect(logRank([a, a]).chiSquare).toBeCloseTo(0, 8);
    }),
  );
});

test('what is no time and no confidence is refused by name', () => {
  expect(() => kaplanMeier([{ time: -1, event: true }], { confidence: 0.95 })).toThrow(/time/);
  expect(() => kaplanMeier([], { confidence: 1 })).toThrow(/confidence/);
  expect(kaplanMeier([], { confidence: 0.95 })).toEqual({ steps: [], median: null });
  expect(logRank([[], []])).toMatchObject({ chiSquare: 0, pValue: 1 });
  expect(cumulativeIncidence([])).toEqual({ steps: [] });
});
