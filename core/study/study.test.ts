import type { FlowerId, PlantId } from '../ids';
import type { Tool } from '../crops';
import { TestGarden } from '../testGarden';
import { addDays, type LocalDate } from '../time';
import { ALL, allCases, handsAnswer, seasonYear, study, weekOf, type Choice, type StudyQuestion } from '.';

const TODAY = '2026-08-20';

/** A stand of courgettes worked flower by flower; what was done, and whether it set. */
function courgettes(place?: ConstructorParameters<typeof TestGarden>[0], began?: LocalDate) {
  const garden = new TestGarden(place, began);
  const { plants, stand, variety } = garden.plant('squash-pepo', 'Low Lantern', 6, { reason: 'fruit' });
  const work = (
    date: LocalDate,
    plant: number,
    took: boolean | null,
    more: { tool?: Tool | null; hour?: number; father?: number | null } = {},
  ): FlowerId => {
    const { tool = 'brush', hour = 7, father = null } = more;
    const id = plants[plant % plants.length] as PlantId;
    const at = garden.time(date, hour);
    const flower = garden.see(at, id, 'female', 'open');
    if (tool === null) garden.write(at, { kind: 'leftOpen', flower });
    else
      garden.write(at, {
        kind: 'pollinated',
        flower,
        fathers: father === null ? [] : [{ plant: plants[father] as PlantId, males: 1, flowers: [] }],
        tool,
        purpose: 'kitchen',
      });
    if (took !== null) {
      garden.look(garden.time(addDays(date, 8), 18), flower, took ? 'growing' : 'gone');
      if (!took)
        garden.write(garden.time(addDays(date, 8), 18), { kind: 'lost', flower, cause: 'not-pollinated' });
    }
    return flower;
  };
  const ask = (question: Partial<StudyQuestion> = {}) =>
    study(garden.state, garden.place, {
      today: TODAY,
      choice: ALL,
      grouping: 'variety',
      pair: null,
      along: 'minutes',
      ...question,
    });
  return { garden, plants, stand, variety, work, ask };
}

test('no events: nothing is said, and nothing breaks', () => {
  const { ask } = courgettes();
  expect(ask()).toMatchObject({ shares: [], pair: null, flowers: [], model: { none: 'too-few' } });
  expect(ask().choices.seasons).toEqual([]);
});

test('one flower: one share, with all the doubt of one', () => {
  const { work, ask } = courgettes();
  work('2026-07-01', 0, true);
  const [share] = ask().shares;
  expect(share).toMatchObject({ set: 1, judged: 1, worked: 1, shrunken: null });
  expect(share?.low).toBeLessThan(0.25);
});

test('two tools are compared in flowers, and what changed with them is told', () => {
  const { work, ask } = courgettes();
  for (let i = 0; i < 36; i++) {
    work(addDays('2026-06-10', i % 4), i, Math.floor(i / 6) % 2 === 0, { tool: 'brush' });
    work(addDays('2026-07-20', i % 4), i, i % 12 !== Math.floor(i / 12), { tool: 'swab' });
  }
  const { shares, pair } = ask({ grouping: 'how', pair: ['brush', 'swab'] });
  expect(shares.map(({ id, set, judged }) => [id, set, judged])).toEqual([
    ['brush', 18, 36],
    ['swab', 33, 36],
  ]);
  expect(pair).toMatchObject({ verdict: 'more', among: 2 });
  expect(pair?.difference).toBeCloseTo(18 / 36 - 33 / 36, 12);
  expect(pair?.together).toContain('date');
  expect(pair?.together).not.toContain('plant');
});

test('flowers left to insects stand beside those worked, and never in the share of hands', () => {
  const { work, ask } = courgettes();
  for (let i = 0; i < 30; i++) {
    work('2026-07-10', i, i % 10 !== 0);
    work('2026-07-10', i, i % 3 === 0, { tool: null });
  }
  const { hands } = ask();
  expect(hands.shares.map(({ id, set, judged }) => [id, set, judged])).toEqual([
    ['hand', 27, 30],
    ['insects', 10, 30],
  ]);
  expect(hands.pairs[0] && handsAnswer(hands.pairs[0])).toBe('keep');
  expect(ask({ grouping: 'hour' }).shares.reduce((sum, { judged }) => sum + judged, 0)).toBe(30);
  expect(ask({ choice: { ...ALL, how: 'hand' } }).overview).toMatchObject({ worked: 30, set: 27 });
});

test('stop only where hands bring at most ten of a hundred; unsettled as long as both may be', () => {
  const answer = (low: number, high: number, verdict: 'luck' | 'too-few' = 'luck') =>
    handsAnswer({ low, high, verdict });
  expect(answer(0.05, 0.3)).toBe('keep');
  expect(answer(-0.1, 0.08)).toBe('stop');
  expect(answer(-0.1, 0.3)).toBe('unsettled');
  expect(answer(-0.1, 0.05, 'too-few')).toBe('unsettled');
});

test('a week, a season, a variety, a father', () => {
  const { work, ask, plants } = courgettes();
  work('2025-07-10', 0, true);
  work('2026-08-16', 1, null, { father: 2 });
  work('2026-08-10', 1, true, { father: 3 });
  const worked = (choice: Partial<Choice>) => ask({ choice: { ...ALL, ...choice } }).overview.worked;
  expect([worked({}), worked({ when: 'week' }), worked({ when: 2025 }), worked({ when: 2024 })]).toEqual([
    3, 1, 1, 0,
  ]);
  expect(worked({ father: plants[2] as string })).toBe(1);
  expect(ask().choices).toMatchObject({ seasons: [2026, 2025] });
  expect(ask().choices.fathers).toHaveLength(2);
});

test('south of the equator one summer is one season, over New Year', () => {
  expect([
    seasonYear('2026-12-30', -36.8),
    seasonYear('2027-01-02', -36.8),
    seasonYear('2027-07-01', -36.8),
  ]).toEqual([2026, 2026, 2027]);
  const south = { name: 'Far Reach', latitude: -36.8, longitude: 174.8, zone: 'Pacific/Auckland' };
  const { work, garden } = courgettes(south, '2026-10-20');
  work('2026-12-28', 0, true);
  work('2027-01-03', 1, false);
  const cases = allCases(garden.state, garden.place, '2027-02-01');
  expect(cases.map(({ season }) => season)).toEqual([2026, 2026]);
  const { overview } = study(garden.state, garden.place, {
    today: '2027-02-01',
    choice: { ...ALL, when: 2026 },
    grouping: 'variety',
    pair: null,
    along: 'minutes',
  });
  expect(overview).toMatchObject({ worked: 2, set: 1, dropped: 1 });
});

describe('what set hangs on', () => {
  test('a later hour that sets less is found', () => {
    const { work, ask } = courgettes();
    for (let i = 0; i < 120; i++) {
      const hour = 6 + (i % 5);
      work('2026-07-10', i, (Math.floor(i / 6) * 7) % 10 < 9 - 2 * (i % 5), { hour });
    }
    const { model } = ask();
    if ('none' in model) throw new Error(model.none);
    expect(model.terms[0]?.oddsRatio).toBeLessThan(0.8);
    expect(model.terms[0]?.high).toBeLessThan(1);
    expect(model.curve[0]?.share).toBeGreaterThan(model.curve.at(-1)?.share ?? 1);
    expect(model.dots.reduce((sum, { judged }) => sum + judged, 0)).toBe(120);
  });
  test('all early set and all late dropped: it is said that no curve can be drawn', () => {
    const { work, ask } = courgettes();
    for (let i = 0; i < 40; i++) work('2026-07-10', i, i < 20, { hour: i < 20 ? 6 : 9 });
    expect(ask().model).toEqual({ none: 'parted', known: 40 });
  });
  test('all set, or all dropped: too little of one kind', () => {
    for (const took of [true, false]) {
      const { work, ask } = courgettes();
      for (let i = 0; i < 30; i++) work('2026-07-10', i, took, { hour: 6 + (i % 3) });
      expect(ask().model).toMatchObject({ none: 'too-few' });
      expect(ask().shares[0]?.share).toBe(took ? 1 : 0);
    }
  });
  test('one hour for all: it never differed', () => {
    const { work, ask } = courgettes();
    for (let i = 0; i < 40; i++) work('2026-07-10', i, i % 2 === 0);
    expect(ask().model).toEqual({ none: 'same', known: 40 });
  });
});

test('the week on a sheet: what was worked and lost in it, and the looks that come', () => {
  const { work, garden } = courgettes();
  work('2026-08-11', 0, false);
  work('2026-08-18', 1, null);
  work('2026-07-01', 2, true);
  const week = weekOf(garden.state, garden.place, TODAY);
  expect(week).toMatchObject({ from: '2026-08-14', to: TODAY, worked: 1, missed: 0, harvested: 0 });
  expect([...week.lost]).toEqual([['not-pollinated', 1]]);
  expect(week.ahead.length).toBeGreaterThan(0);
  for (const { date } of week.ahead) expect(date > TODAY && date <= addDays(TODAY, 7)).toBe(true);
});

test('knocked off by hand: by name, with the plant as the unit, and without what nobody looked at', () => {
  const { garden, work, ask } = courgettes();
  const knocked = (id: FlowerId, date: LocalDate) =>
    garden.write(garden.time(date, 18), { kind: 'lost', flower: id, cause: 'knocked-off' });
  for (let i = 0; i < 20; i++) {
    const id = work(addDays('2026-07-01', i % 5), i, i % 4 === 0 ? null : true);
    if (i % 4 === 0) knocked(id, addDays('2026-07-03', i % 5));
  }
  work('2026-08-19', 1, null);
  const [share, ...others] = ask().knocked;
  expect(others).toEqual([]);
  expect(share).toMatchObject({ by: 'Oda', knocked: 5, worked: 20, share: 0.25 });
  expect(share && share.low < 0.12 && share.high > 0.45).toBe(true);
});
