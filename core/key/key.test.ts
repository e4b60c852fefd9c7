import fc from 'fast-check';
import type { CropId, SexSystem } from '../crops';
import {
  ENOUGH,
  entryName,
  gain,
  keyOf,
  likelihood,
  mattersForSeed,
  nextStep,
  ovaryEvidence,
  readOvary,
  reasons,
  rival,
  runKey,
  truthOf,
  tryKey,
  usualConfusion,
  weigh,
  type Answers,
  type Measured,
} from '.';
import { catalogue, ROUND_CROP_IDS, sexesOf, STAGES } from '../crops';

// Kin have nearly the same key: of each kind one is tried here, and every one at full size.
const KIN: ReadonlySet<string> = new Set([
  'squash-pepo',
  'squash-maxima',
  'squash-argyrosperma',
  'cucumber',
  'luffa-ridged',
]);
const TRIED = ROUND_CROP_IDS.filter((crop) => process.env.FULL === '1' || !KIN.has(crop));

describe.each(TRIED)('the key of %s', (crop) => {
  const key = keyOf(crop);
  const trial = tryKey(crop);

  test('holds every sex and stage of the crop, each reached by truthful answers', () => {
    const found = catalogue.find(({ id }) => id === crop);
    expect(key.entries).toHaveLength((found ? sexesOf(found).length : 0) * STAGES.length);
    expect(trial.reached).toBe(trial.entries);
  });
  test('asks at most four questions on average, the confirming one counted', () => {
    expect(trial.meanQuestions).toBeLessThanOrEqual(4);
    expect(trial.meanQuestions).toBeGreaterThanOrEqual(2);
  });
  test('never comes to a wrong verdict however many answers are skipped', () => {
    expect(trial.skipRuns).toBeGreaterThan(50);
    expect(trial.skipWrong).toBe(0);
  });
  test('with one slip the right one is the verdict or named, at least four times in five', () => {
    expect(trial.slipRuns).toBeGreaterThan(20);
    expect(trial.slipFound / trial.slipRuns).toBeGreaterThanOrEqual(0.8);
  });
  test('what every entry shows sums to one and is among the answers', () => {
    for (const entry of key.entries)
      for (const [id, shows] of Object.entries(entry.shows)) {
        const question = key.questions.find((each) => each.id === id);
        expect(Object.values(shows).reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
        for (const answer of Object.keys(shows))
          expect(question?.answers.map((each) => each.id)).toContain(answer);
      }
  });
  test('every entry has a name and its usual confusion', () => {
    for (const entry of key.entries) {
      expect(entryName(entry).length).toBeGreaterThan(5);
      expect(usualConfusion(entry).length).toBeGreaterThan(30);
      expect(rival(key, entry)).not.toBe(entry);
    }
  });
});

const squash = keyOf('squash-maxima');

test('answers are weighed by Bayes: by hand for one answer', () => {
  const below = squash.questions.find(({ id }) => id === 'below');
  if (!below) throw new Error('no such question');
  const weights = weigh(squash, { below: 'swelling' });
  const female = likelihood(below, squash.entries[0] as (typeof squash.entries)[number], 'swelling');
  // Five females with 0.97, five males with 0.03: each female 0.97 / (5 * 0.97 + 5 * 0.03).
  expect(female).toBeCloseTo(0.94 + 0.06 / 2, 12);
  expect(weights[0]).toBeCloseTo(female / 5, 12);
  expect(weights.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
});

test('the first question is the one that tells most, and no question tells less than nothing', () => {
  const even = weigh(squash, {});
  const step = nextStep(squash, {});
  const gains = squash.questions
    .filter(({ from }) => from !== 'inside')
    .map((question) => gain(squash, even, question));
  expect(step.kind === 'ask' && gain(squash, even, step.question)).toBe(Math.max(...gains));
  expect(Math.min(...gains)).toBeGreaterThanOrEqual(0);
});

test('a bud is never opened to look inside', () => {
  for (const crop of ROUND_CROP_IDS) {
    const key = keyOf(crop);
    for (const entry of key.entries.filter(({ stage }) => stage !== 'open')) {
      const { answers } = runKey(key, entry, (each, id) => truthOf(each, id));
      for (const { id, from } of key.questions) if (from === 'inside') expect(answers[id]).toBeUndefined();
    }
  }
});

test('nothing answered ends in "not sure", with everything still possible', () => {
  for (const crop of ROUND_CROP_IDS) {
    const key = keyOf(crop);
    const { end } = runKey(key, key.entries[0] as (typeof key.entries)[number], () => null);
    expect(end.kind).toBe('not-sure');
    if (end.kind === 'not-sure') expect(end.candidates).toHaveLength(key.entries.length);
  }
});

test('a verdict that a strip of tape hangs on is confirmed by a question that tells it from its look-alike', () => {
  const coloured = squash.entries.find(({ id }) => id.endsWith('female/coloured'));
  if (!coloured) throw new Error('no such entry');
  expect(mattersForSeed(coloured)).toBe(true);
  const { answers, end } = runKey(squash, coloured, (each, id) => truthOf(each, id));
  const telling = ['petals', 'colour', 'tip'].filter((id) => typeof answers[id] === 'string');
  expect(telling.length).toBeGreaterThanOrEqual(2);
  expect(end.kind).toBe('sure');
});

test('a swelling below and a column inside do not go together, nor silk on a tassel: it is asked back', () => {
  expect(nextStep(squash, { below: 'swelling', centre: 'column' }).clash).toMatchObject({
    first: { id: 'below' },
    second: { id: 'centre' },
  });
  expect(nextStep(keyOf('corn'), { place: 'top', silk: 'fresh' }).clash).toMatchObject({
    first: { id: 'place' },
    second: { id: 'silk' },
  });
  expect(nextStep(squash, { below: 'swelling', petals: 'plump' }).clash).toBeNull();
});

test('whatever is answered there is a next step, and the same answers give the same', () => {
  const answer = fc.record(
    Object.fromEntries(
      squash.questions.map(({ id, answers }) => [
        id,
        fc.option(fc.constantFrom(...answers.map((each) => each.id))),
      ]),
    ),
    { requiredKeys: [] },
  );
  fc.assert(
    fc.property(answer, (given) => {
      const answers = given as Answers;
      const step = nextStep(squash, answers);
      expect(nextStep(squash, answers)).toEqual(step);
      if (step.kind === 'ask') expect(answers[step.question.id]).toBeUndefined();
      if (step.kind === 'sure') expect(step.chance).toBeGreaterThanOrEqual(0.9);
    }),
  );
});

test('reasons speak in the words that were given', () => {
  const green = squash.entries.find(({ id }) => id.endsWith('female/green'));
  if (!green) throw new Error('no such entry');
  expect(reasons(squash, { below: 'swelling', petals: 'plump', colour: 'green' }, green)).toEqual({
    for: ['a swelling: a small fruit', 'green only'],
    against: ['shut, full and plump'],
  });
});

describe('a measured ovary', () => {
  const lengths = (mm: number[], openedNextDay: boolean): Measured[] =>
    mm.map((ovaryMm) => ({ ovaryMm, openedNextDay }));
  const known = [...lengths([22, 24, 26, 23, 25], true), ...lengths([12, 14, 13, 15], false)];
  test('like those that opened next day makes tomorrow likelier, like the others less', () => {
    expect(readOvary(24, known).odds).toBeGreaterThan(2);
    expect(readOvary(13, known).odds).toBeLessThan(0.5);
    expect(readOvary(24, known).opened).toEqual({ least: 22, most: 26, count: 5 });
  });
  test('says nothing while too few are known, and never more than eight to one', () => {
    expect(readOvary(24, known.slice(0, ENOUGH)).odds).toBeNull();
    expect(readOvary(24, [...known, ...lengths([12, 12, 12, 12], false)]).odds).toBeLessThanOrEqual(8);
    expect(ovaryEvidence(squash, { opened: null, odds: null })).toEqual({});
  });
  test('shifts the key between coloured and younger females only', () => {
    const evidence = ovaryEvidence(squash, readOvary(24, known));
    const answers = { below: 'swelling', petals: 'slim' };
    const chance = (id: string, given = {}) =>
      weigh(squash, answers, given)[squash.entries.findIndex((entry) => entry.id.endsWith(id))] ?? 0;
    expect(chance('female/coloured', evidence)).toBeGreaterThan(chance('female/coloured'));
    expect(chance('female/green', evidence)).toBeLessThan(chance('female/green'));
  });
});

test('the stalk is asked about only where it tells the sexes apart; females of luffa and bitter gourd have long ones too', () => {
  const asks = (crop: CropId) => keyOf(crop).questions.some(({ id }) => id === 'stalk');
  expect(['squash-maxima', 'bottle-gourd'].map((crop) => asks(crop as CropId))).toEqual([true, true]);
  for (const crop of ['melon', 'watermelon', 'cucumber', 'luffa', 'luffa-ridged', 'bitter-gourd'] as const)
    expect([crop, asks(crop)]).toEqual([crop, false]);
});

test('in a nearly all-female cucumber a bunch is no sign of males', () => {
  const female = (system: SexSystem | null) => {
    const key = keyOf('cucumber', system);
    return key.entries.find(({ sex }) => sex === 'female')?.shows.company;
  };
  expect(female(null)).toMatchObject({ alone: 0.92 });
  expect(female('gynoecious')).toMatchObject({ bunch: 0.5 });
});
