import fc from 'fast-check';
import {
  confusions,
  decksOf,
  describe as inWords,
  dueCount,
  isSkill,
  makeQuestion,
  mergePractice,
  nextUp,
  SKILLS,
  skillResults,
  skillsFor,
  validatePractice,
  type Practised,
  type Skill,
} from '.';
import { catalogue, cropOf, stageAdvice, type CropId, type Stage } from '../crops';
import { practiceHistory } from '../simulation';
import { idMaker } from '../ids';
import { seededRandom } from '../random';

const pairs = catalogue.flatMap((crop) => skillsFor(crop).map((skill) => [crop.id, skill] as const));
const seeds = fc.integer({ min: 0, max: 1e9 });

test('every skill is asked of some crop', () => {
  expect(new Set(pairs.map(([, skill]) => skill)).size).toBe(SKILLS.length);
  expect(isSkill('stage') && !isSkill('cooking')).toBe(true);
});

test.each(pairs)('%s: %s has one right answer, a reason and a form in words', (crop, skill) => {
  fc.assert(
    fc.property(seeds, fc.double({ min: 0, max: 1, noNaN: true }), (seed, hard) => {
      const question = makeQuestion(skill, crop, seededRandom(seed), hard);
      expect(question).toMatchObject({ skill, crop });
      expect(question.options.filter(({ id }) => id === question.truth)).toHaveLength(1);
      expect(new Set(question.options.map(({ words }) => words)).size).toBe(question.options.length);
      expect(question.why.length).toBeGreaterThan(20);
      expect(question.described).toHaveLength(question.specimens.length);
      for (const [i, words] of question.described.entries()) {
        expect(words.length).toBeGreaterThan(25);
        // The words must not say the answer.
        for (const option of question.options)
          if (skill === 'sex') expect(question.described[i]).not.toMatch(new RegExp(`\\b${option.words}\\b`));
      }
      for (const { fullness, tint, cover, grown } of question.specimens) {
        expect(Math.abs(fullness)).toBeLessThanOrEqual(1);
        expect(Math.abs(tint)).toBeLessThanOrEqual(1);
        expect(cover).toBeLessThan(0.4);
        expect(grown).toBeGreaterThan(0.6);
      }
      expect(makeQuestion(skill, crop, seededRandom(seed), hard)).toEqual(question);
    }),
    { numRuns: 60 },
  );
});

test('the truth is that of the trade: shut tonight, usable, clean, mother', () => {
  fc.assert(
    fc.property(seeds, fc.constantFrom(...pairs), (seed, [crop, skill]) => {
      const { specimens, truth } = makeQuestion(skill, crop, seededRandom(seed));
      const one = specimens[0];
      if (!one) throw new Error('no specimen');
      const stage = one.appearance as Stage;
      if (skill === 'sex') expect(truth).toBe(one.sex);
      if (skill === 'stage') expect(truth).toBe(stage);
      if (skill === 'shut')
        expect(truth === 'yes').toBe(stageAdvice(cropOf(crop), one.sex, stage, 'seed').shutTonight);
      if (skill === 'usable')
        expect(truth === 'yes').toBe(one.closure !== null && one.closureState === 'whole' && !one.wet);
      if (skill === 'ear-clean')
        expect(truth === 'yes').toBe(one.closure !== null || (stage !== 'open' && stage !== 'spent'));
      if (skill === 'mother-bud')
        expect(
          specimens.map(({ appearance }) => appearance).filter((each) => each === 'coloured'),
        ).toHaveLength(1);
      if (skill === 'took') expect(truth === 'took').toBe(one.appearance === 'swelling');
      if (skill === 'tip') expect(truth === 'end-rot').toBe(one.appearance === 'end-rot');
    }),
    { numRuns: 600 },
  );
});

test('hard questions bring look-alikes: late green and early coloured', () => {
  const edges = (hard: number) =>
    Array.from({ length: 300 }, (_, seed) => makeQuestion('stage', 'squash-maxima', seededRandom(seed), hard))
      .flatMap(({ specimens }) => specimens)
      .filter(
        ({ appearance, fullness }) =>
          (appearance === 'green' && fullness > 0.5) || (appearance === 'coloured' && fullness < -0.5),
      ).length;
  expect(edges(1)).toBeGreaterThan(edges(0) * 3);
});

test('the form in words tells wet and torn', () => {
  const one = makeQuestion('usable', 'melon', seededRandom(1)).specimens[0];
  if (!one) throw new Error('no specimen');
  expect(inWords({ ...one, wet: true, closure: 'tape', closureState: 'torn' })).toMatch(/torn open.*Rain/);
});

const ids = idMaker(seededRandom(11));
const START = Date.parse('2026-07-01T18:00:00Z');
const answer = (minute: number, skill: Skill, crop: CropId, right: boolean): Practised => ({
  id: ids.event(START + minute * 60_000),
  at: new Date(START + minute * 60_000).toISOString(),
  by: 'Oda',
  device: 'test',
  kind: 'practised',
  skill,
  crop,
  truth: 'green',
  answered: right ? 'green' : 'coloured',
  tookMs: 4000,
  inWords: false,
});

describe('spacing', () => {
  const days = (records: readonly Practised[]) => {
    const deck = [...decksOf(records).values()][0];
    return deck
      ? (deck.card.due.getTime() - Date.parse(records[records.length - 1]?.at ?? '')) / 86_400_000
      : NaN;
  };
  test('what is known comes back later and later, what was wrong comes back soon', () => {
    const right = [answer(0, 'stage', 'melon', true), answer(10, 'stage', 'melon', true)];
    const third = [...right, answer(3 * 1440, 'stage', 'melon', true)];
    expect(days(third)).toBeGreaterThan(days(right));
    expect(days([...third, answer(20 * 1440, 'stage', 'melon', false)])).toBeLessThan(0.1);
  });
  test('due first, then new, then what falls due next; not the same twice running', () => {
    const crops = ['melon'] as const;
    const random = seededRandom(1);
    expect(nextUp([], crops, START, random).why).toBe('new');
    const wrong = [answer(0, 'stage', 'melon', false), answer(1, 'sex', 'melon', true)];
    expect(nextUp(wrong, crops, START + 86_400_000 * 30, random)).toMatchObject({
      skill: 'stage',
      why: 'due',
    });
    const all = skillsFor(cropOf('melon')).map((skill, i) => answer(i, skill, 'melon', true));
    const next = nextUp(all, crops, START + 60_000 * 7, random);
    expect(next.why).toBe('ahead');
    expect(next.skill).not.toBe(all[all.length - 1]?.skill);
    expect(dueCount(wrong, START + 86_400_000 * 30)).toBe(2);
  });
  test('the same answers always give the same days, in whatever order they are read', () => {
    const history = practiceHistory(8);
    const shuffled = mergePractice([...history].reverse(), history.slice(5));
    expect(shuffled).toEqual(history);
    expect([...decksOf(shuffled)]).toEqual([...decksOf(history)]);
  });
});

describe('results', () => {
  const records = [
    ...Array.from({ length: 7 }, (_, i) => answer(i, 'stage', 'melon', true)),
    ...Array.from({ length: 3 }, (_, i) => answer(10 + i, 'stage', 'melon', false)),
  ];
  test('right of asked, with the Wilson interval', () => {
    const result = skillResults(records).find(({ skill }) => skill === 'stage');
    // Wilson score, 7 of 10, z = 1.2816 (80 %): (0.7 + z²/20 ± z √(0.021 + z²/400)) / (1 + z²/10), by hand:
    // 0.6718 ± 0.1744.
    expect(result).toMatchObject({ right: 7, asked: 10 });
    expect(result?.interval?.low).toBeCloseTo(0.4974, 3);
    expect(result?.interval?.high).toBeCloseTo(0.8462, 3);
    expect(skillResults(records).find(({ skill }) => skill === 'tip')?.interval).toBeNull();
  });
  test('what is taken for what', () => {
    expect(confusions(records)).toEqual([
      { skill: 'stage', truth: 'green', answered: 'coloured', count: 3, of: 10 },
    ]);
    expect(confusions(practiceHistory()).length).toBeGreaterThan(3);
  });
});

test('a broken practice record is named by its field and harms nothing', () => {
  const good = answer(0, 'sex', 'melon', true);
  expect(validatePractice(good).ok).toBe(true);
  for (const [field, value] of [
    ['skill', 'cooking'],
    ['at', 'yesterday'],
    ['crop', 'oak'],
    ['tookMs', -1],
    ['id', '<img>'],
  ] as const)
    expect(validatePractice({ ...good, [field]: value })).toMatchObject({ ok: false, field });
  expect(validatePractice(null).ok).toBe(false);
  expect(validatePractice([good]).ok).toBe(false);
});
