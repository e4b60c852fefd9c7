import type { Pair, SetModel, Study } from '@core/study';
import {
  dropWords,
  groupName,
  modelWords,
  overviewWords,
  pairWords,
  termWords,
  togetherWords,
} from './studyWords';

const side = (set: number, judged: number) => ({
  id: 'x',
  set,
  judged,
  share: set / judged,
  plants: 6,
  low: 0,
  high: 1,
  designEffect: 1,
  worked: judged,
  waiting: 0,
  oneOnly: false,
  shrunken: null,
});
const pair = (more: Partial<Pair>): Pair => ({
  a: side(61, 80),
  b: side(70, 82),
  difference: -0.09,
  low: -0.21,
  high: 0.03,
  verdict: 'luck',
  wouldTell: 300,
  among: 2,
  together: [],
  ...more,
});

test('a comparison is said in flowers, and how many would settle it', () => {
  expect(pairWords(pair({}), ['brush', 'male flower'])).toEqual([
    'brush 61 of 80, male flower 70 of 82: the difference could easily be luck. It would take about 300 flowers each to settle it.',
    'The true difference lies somewhere from −21 to +3 points, with the plant as the unit.',
  ]);
  const [first, ...rest] = pairWords(pair({ verdict: 'more', among: 5 }), ['brush', 'male flower']);
  expect(first).toMatch(/more than luck is likely: male flower set more\.$/);
  expect(rest.at(-1)).toMatch(/^Of 5 groups/);
});

test('how many would settle it is no finer than a guess can be', () => {
  const said = (wouldTell: number) => pairWords(pair({ wouldTell }), ['a', 'b'])[0];
  expect(said(82)).toMatch(/about 85 flowers each/);
  expect(said(431)).toMatch(/about 440 flowers each/);
  expect(said(4892)).toMatch(/more than a thousand flowers each/);
});

test('under ten on a side nothing is said but that: what so few differ by foretells nothing', () => {
  expect(pairWords(pair({ verdict: 'too-few', wouldTell: 4892 }), ['a', 'b'])).toEqual([
    'a 61 of 80, b 70 of 82: can’t tell: under ten flowers on a side say nothing.',
  ]);
});

test('what changed together is named, or nothing is said', () => {
  expect(togetherWords([])).toBeNull();
  expect(togetherWords(['date', 'maxC', 'how'])).toBe(
    'Between the two the time of year, the warmth of the day and the tool differed too: any of it may be the reason.',
  );
});

test('odds as per cent of both, with their range; a curve that luck explains says so', () => {
  const term = { what: 'minutes', step: 60, oddsRatio: 0.52, low: 0.3, high: 0.9 } as const;
  // 0.7 / 0.3 times 0.52 is odds of 1.21, which are 55 of 100.
  expect(termWords(term, 0.7)).toBe('an hour later: 55 % would set where 70 % do now (95 %: 41 to 68)');
  const model: SetModel = {
    along: 'minutes',
    flowers: 120,
    plants: 6,
    share: 0.7,
    terms: [term],
    dots: [],
    curve: [],
  };
  expect(modelWords(model)).toBe(
    'From 120 flowers on 6 plants: an hour later, and fewer set; more than luck is likely.',
  );
  expect(
    modelWords({
      ...model,
      terms: [
        { ...term, high: 1.4 },
        { ...term, what: 'males' },
      ],
    }),
  ).toBe(
    'From 120 flowers on 6 plants, males being equal: whatever difference the hour makes could be luck.',
  );
});

test('what rests on one plant a side can’t be told, whatever its counts; two plants are asked about themselves', () => {
  const [first, ...rest] = pairWords(pair({ verdict: 'one-plant' }), ['brush', 'male flower']);
  expect(first).toMatch(/can’t tell: one side rests on a single plant or tray/);
  expect(rest).toEqual([]);
  expect(pairWords(pair({}), ['1', '2'], true)[1]).toMatch(/for these two plants\.$/);
});

test('no verdict, none followed, none dropped', () => {
  const study = (more: object) =>
    ({ overview: { share: null, interval: null }, ...more }) as unknown as Study;
  expect(overviewWords(study({}))).toBe('No verdict yet.');
  expect(dropWords(study({ curve: { followed: 0 } }))).toBe('No fruit has been looked at yet.');
  expect(dropWords(study({ curve: { followed: 3, dropped: 0 } }))).toBe(
    'Of 3 fruits followed none has dropped.',
  );
});

test('hours are named by the sun, hands by what was done', () => {
  expect(['-1', '0', '2'].map((id) => groupName({} as never, 'hour', id))).toEqual([
    'before sunrise',
    '0 to 1 h after sunrise',
    '2 to 3 h after sunrise',
  ]);
  expect(['hand', 'insects', 'before'].map((id) => groupName({} as never, 'hands', id))).toEqual([
    'by hand',
    'left to insects',
    'before hand work',
  ]);
});
