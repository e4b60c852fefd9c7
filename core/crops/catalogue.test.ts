import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import Joi from 'joi';
import {
  ACTS,
  catalogue,
  closureFacts,
  CLOSURES,
  CROP_IDS,
  ROUND_CROP_IDS,
  cropOf,
  eveningAdvice,
  FAMILIES,
  FRUIT_SHAPES,
  NEIGHBOUR_IDS,
  neighbourCrops,
  REASONS,
  SCHOOLS,
  SEXES,
  SEX_SYSTEMS,
  sexesOf,
  stageAdvice,
  stageFacts,
  STAGES,
  severalForOne,
  systemAdvice,
  TOOLS,
} from '.';

const fact = (value: Joi.Schema) =>
  Joi.object({
    value: value.required(),
    standing: Joi.valid('P', 'H', 'S', 'M').required(),
    source: Joi.string().min(10).required(),
  }).required();
const range = (most: number) =>
  Joi.array()
    .length(2)
    .items(Joi.number().max(most))
    .custom((pair: number[]) => {
      if ((pair[0] ?? 0) > (pair[1] ?? 0)) throw new Error('least above most');
      return pair;
    });
const minutes = fact(Joi.number().min(-300).max(900));

const cropSchema = Joi.object({
  id: Joi.valid(...CROP_IDS).required(),
  name: Joi.string().required(),
  plural: Joi.string().required(),
  botanical: Joi.string()
    .pattern(/^[A-Z][a-z]+ [a-z]+$/)
    .required(),
  family: Joi.valid(...FAMILIES).required(),
  kinds: Joi.string().required(),
  sexSystem: fact(Joi.valid(...SEX_SYSTEMS)),
  otherSystems: fact(
    Joi.array()
      .items(Joi.valid(...SEX_SYSTEMS))
      .min(1),
  ).allow(null),
  sexing: fact(Joi.string().min(30)),
  petals: Joi.valid('yellow', 'white', 'purple', 'none').required(),
  usualShape: Joi.valid(...FRUIT_SHAPES).required(),
  flowers: Joi.object(
    Object.fromEntries(
      SEXES.map((sex) => [
        sex,
        Joi.object(
          Object.fromEntries(
            STAGES.map((stage) => [
              stage,
              Joi.object({
                name: Joi.string().min(3).max(20).required(),
                looks: Joi.string().min(8).required(),
                opensInDays: fact(range(10)),
              }).required(),
            ]),
          ),
        ),
      ]),
    ),
  )
    .min(1)
    .required(),
  clock: Joi.alternatives(
    Joi.object({
      round: Joi.valid('dawn').required(),
      opensMin: minutes,
      bestBeforeNoonMin: minutes,
      shutBeforeNoonMin: minutes,
    }),
    Joi.object({ round: Joi.valid('dusk').required(), opensMin: minutes, shutAfterSunriseMin: minutes }),
  ).required(),
  pollenFromC: fact(Joi.number().min(5).max(25)).allow(null),
  closures: Joi.array()
    .items(Joi.valid(...CLOSURES))
    .min(1)
    .required(),
  tools: Joi.array()
    .items(Joi.valid(...TOOLS))
    .min(1)
    .required(),
  malesPerFemale: fact(range(6)),
  looks: fact(
    Joi.array()
      .items(Joi.object({ day: Joi.number().integer().min(1).required(), expect: Joi.string().required() }))
      .min(2),
  ),
  verdictDay: fact(Joi.number().integer().min(2).max(12)),
  perennial: fact(Joi.valid(true)).allow(null),
  minutesPerFemale: fact(Joi.number().min(0.05).max(15)),
  daysToEat: fact(range(120)).allow(null),
  daysToEatYoung: fact(range(60)).allow(null),
  usuallyPicked: fact(Joi.valid('young', 'ripe')).allow(null),
  setShare: fact(Joi.number().min(0.1).max(0.9)),
  femalesADay: fact(range(5)),
  stigmaDays: fact(range(10)).allow(null),
  pollenDays: fact(range(10)).allow(null),
  daysToSeed: fact(range(120)).allow(null),
  seedsPerFruit: fact(range(2000)).allow(null),
  isolationM: fact(range(1600)).allow(null),
  plantsToSave: fact(Joi.object({ viable: range(500), keep: range(500), conserve: range(500) })).allow(null),
  spacingM: fact(
    Joi.object({
      row: Joi.number().min(0.2).max(4).required(),
      plant: Joi.number().min(0.2).max(4).required(),
    }),
  ),
  caution: Joi.string().min(20).required(),
});

test.each(catalogue.map((crop) => [crop.id, crop] as const))(
  '%s is whole, every number with its standing',
  (_id, crop) => {
    expect(cropSchema.validate(crop).error?.message).toBeUndefined();
    expect(cropOf(crop.id)).toBe(crop);
  },
);

/** Every fact that a value holds, by the name under which it is kept. */
function factsIn(value: unknown, name = ''): [name: string, fact: object][] {
  if (value === null || typeof value !== 'object') return [];
  if ('standing' in value && 'source' in value) return [[name, value]];
  return Object.entries(value).flatMap(([key, each]) => factsIn(each, key));
}

// A number that nothing reads is believed by nobody and wrong before long.
test('every fact of the catalogue has a standing and a reader outside the catalogue and its test', () => {
  const own = ['types', 'cucurbits', 'otherCrops', 'stages', 'facts'].map((name) =>
    join(__dirname, `${name}.ts`),
  );
  const sources = ['core', 'src', 'server'].flatMap((room) =>
    readdirSync(join(__dirname, '../..', room), { recursive: true, encoding: 'utf8' })
      .map((file) => join(__dirname, '../..', room, file))
      .filter((file) => /[.]tsx?$/.test(file) && !/[.]test[.]tsx?$/.test(file) && !own.includes(file)),
  );
  const code = sources.map((file) => readFileSync(file, 'utf8')).join('\n');
  const facts = [
    ...catalogue.flatMap((crop) => factsIn(crop)),
    ...CLOSURES.flatMap((closure) => factsIn(closureFacts(closure))),
  ];
  const names = new Set(facts.map(([name]) => name));
  expect(names.size).toBeGreaterThan(15);
  const unread = [...names].filter(
    (name) =>
      !new RegExp(`[.]${name}[?]?[.]|[.]${name}\\b[^:]|\\{[^{}]*\\b${name}\\b[^{}]*\\} = `).test(code),
  );
  expect(unread).toEqual([]);
  for (const [, fact] of facts) expect('PHSM').toContain((fact as { standing: string }).standing);
});

test('every crop id has one entry', () => {
  expect(catalogue.map(({ id }) => id)).toEqual(ROUND_CROP_IDS);
  expect(CROP_IDS.map((id) => cropOf(id).id)).toEqual(CROP_IDS);
});

// Common practice for the squash family and handbook ranges recalled from memory; see docs/decisions.md.
describe('values of the trade', () => {
  const squash = cropOf('squash-maxima');
  test('stages: pin opens in 3 to 8 days, green the day after tomorrow, coloured tomorrow, open today', () => {
    const days = STAGES.map((stage) => stageFacts(squash, 'female', stage)?.opensInDays.value);
    expect(days).toEqual([
      [3, 8],
      [2, 2],
      [1, 1],
      [0, 0],
      [-2, -1],
    ]);
  });
  test('one to four males for a female; the verdict by day 5, owed at the latest by day 7-10', () => {
    expect(squash.malesPerFemale.value).toEqual([1, 4]);
    expect(squash.verdictDay.value).toBe(5);
    const last = squash.looks.value[squash.looks.value.length - 1]?.day ?? 0;
    expect(last).toBeGreaterThanOrEqual(7);
    expect(last).toBeLessThanOrEqual(10);
  });
  test.each([
    ['squash-pepo', [45, 60], [50, 60], [100, 300]],
    ['squash-maxima', [45, 60], [50, 75], [100, 400]],
    ['cucumber', [4, 12], [35, 50], [100, 300]],
    ['melon', [35, 45], [35, 60], [200, 600]],
    ['watermelon', [28, 55], [28, 55], [200, 800]],
    ['bottle-gourd', [10, 15], [60, 90], [80, 400]],
    ['luffa', [10, 15], [60, 90], [80, 400]],
    ['corn', [18, 24], [45, 60], [200, 600]],
    ['tomato', [40, 60], [40, 60], [50, 200]],
    ['pepper', [60, 85], [60, 85], [10, 300]],
    ['potato', undefined, [45, 60], [50, 300]],
    ['aubergine', [20, 35], [50, 65], [300, 1500]],
    ['strawberry', [25, 35], undefined, undefined],
  ] as const)('%s: days to eat, to ripe seed, seeds a fruit', (id, eat, seed, seeds) => {
    const crop = cropOf(id);
    expect([crop.daysToEat?.value, crop.daysToSeed?.value, crop.seedsPerFruit?.value]).toEqual([
      eat,
      seed,
      seeds,
    ]);
    for (const fact of [crop.daysToEat, crop.daysToSeed, crop.seedsPerFruit])
      if (fact) expect(fact.standing).toBe('H');
  });
  test('gourds and ridged luffa open towards evening, smooth luffa and bitter gourd in the morning', () => {
    expect(catalogue.filter(({ clock }) => clock.round === 'dusk').map(({ id }) => id)).toEqual([
      'bottle-gourd',
      'luffa-ridged',
    ]);
  });
  test('sex systems: vines and corn apart, melons often with both, the rest perfect', () => {
    const systems = Object.fromEntries(catalogue.map((crop) => [crop.id, crop.sexSystem.value]));
    expect(systems).toMatchObject({
      'squash-pepo': 'monoecious',
      watermelon: 'monoecious',
      melon: 'andromonoecious',
      corn: 'monoecious',
      tomato: 'perfect',
      pepper: 'perfect',
      aubergine: 'perfect',
      potato: 'perfect',
      strawberry: 'perfect',
    });
    expect(cropOf('cucumber').otherSystems?.value).toEqual([
      'gynoecious',
      'parthenocarpic',
      'andromonoecious',
    ]);
    expect(cropOf('watermelon').otherSystems?.value).toEqual(['andromonoecious']);
    expect(cropOf('squash-pepo').otherSystems?.value).toEqual(['parthenocarpic']);
    for (const crop of catalogue)
      expect(sexesOf(crop)).toEqual(crop.sexSystem.value === 'perfect' ? ['perfect'] : ['female', 'male']);
  });
  test('home-scale distances and plants to save, from handbooks', () => {
    expect(cropOf('squash-maxima').isolationM?.value).toEqual([245, 800]);
    expect(cropOf('pepper').isolationM?.value).toEqual([90, 490]);
    expect(cropOf('tomato').isolationM?.value).toEqual([3, 15]);
    expect(cropOf('corn').plantsToSave?.value).toEqual({
      viable: [10, 10],
      keep: [50, 50],
      conserve: [200, 200],
    });
    for (const { isolationM, apartM, carriedBy } of neighbourCrops)
      if (carriedBy.value === 'self')
        expect([isolationM.value, apartM?.value]).toEqual([
          [3, 6],
          [3, 5],
        ]);
      else expect([apartM, isolationM.value[0] >= 245]).toEqual([null, true]);
    expect(neighbourCrops.map(({ id }) => id)).toEqual([...NEIGHBOUR_IDS]);
    const kin = (a: string, b: string) =>
      neighbourCrops.find(({ id }) => id === a)?.botanical ===
      neighbourCrops.find(({ id }) => id === b)?.botanical;
    expect([kin('beet', 'chard'), kin('cabbage-kinds', 'turnip-kinds'), kin('bean', 'runner-bean')]).toEqual([
      true,
      false,
      false,
    ]);
  });
});

describe('advice of the evening', () => {
  test('every stage of every crop has a text and an action, for every reason, evening and morning', () => {
    for (const crop of catalogue)
      for (const sex of sexesOf(crop))
        for (const stage of STAGES)
          for (const reason of REASONS)
            for (const part of ['evening', 'morning'] as const) {
              const { act, words } = stageAdvice(crop, sex, stage, reason, part);
              expect(ACTS).toContain(act);
              expect(words.length).toBeGreaterThan(15);
              expect(stageFacts(crop, sex, stage)?.looks.length).toBeGreaterThan(7);
            }
  });
  test('on a vine only a coloured bud is shut, and only where the reason asks for purity', () => {
    for (const crop of catalogue.filter(({ family }) => family === 'cucurbit'))
      for (const reason of REASONS)
        for (const sex of sexesOf(crop))
          for (const stage of STAGES)
            expect(eveningAdvice(crop, sex, stage, reason).shutTonight).toBe(
              stage === 'coloured' && reason !== 'fruit',
            );
  });
  test('a variety that sets without pollen, is nearly all female or has anthers in its females is told apart', () => {
    expect(systemAdvice('parthenocarpic', 'female', 'fruit')).toMatch(/needs nothing/);
    expect(systemAdvice('parthenocarpic', 'female', 'seed')).toMatch(/must be pollinated/);
    expect(systemAdvice('gynoecious', 'female', 'seed')).toMatch(/wait for its own few males/);
    expect(systemAdvice('andromonoecious', 'female', 'cross')).toMatch(/anthers too/);
    expect(systemAdvice('andromonoecious', 'female', 'seed')).toBeNull();
    expect(systemAdvice('andromonoecious', 'female', 'seed', 'never')).toMatch(/own pollen is not wanted/);
    expect(severalForOne(cropOf('melon'))).toMatch(/one worked female in 4 sets/);
    expect(severalForOne(cropOf('cucumber'))).toMatch(/one worked female in 2 sets/);
    expect(severalForOne(cropOf('squash-maxima'))).toBeNull();
    expect(systemAdvice('monoecious', 'female', 'seed')).toBeNull();
    expect(systemAdvice('parthenocarpic', 'male', 'fruit')).toBeNull();
  });
  // Common practice: shoot bag before silk, tassel bag the afternoon before, mother emasculated when pale.
  test('corn: a bag before silk and never after; the tassel when it sheds', () => {
    const corn = cropOf('corn');
    const shut = (sex: 'female' | 'male') =>
      STAGES.filter((stage) => eveningAdvice(corn, sex, stage, 'seed').shutTonight);
    expect(shut('female')).toEqual(['pin', 'green', 'coloured']);
    expect(eveningAdvice(corn, 'female', 'open', 'seed').act).toBe('too-late');
    expect(shut('male')).toEqual(['open']);
  });
  test('a cross of perfect flowers: green too early, pale right for the mother, open right for the father', () => {
    for (const crop of catalogue.filter(({ flowers }) => flowers.perfect)) {
      const act = (stage: (typeof STAGES)[number]) => stageAdvice(crop, 'perfect', stage, 'cross').act;
      expect([act('green'), act('coloured'), act('open')]).toEqual(['wait', 'emasculate', 'use-pollen']);
    }
  });
  test('an open flower is for the kitchen, not for seed', () => {
    expect(eveningAdvice(cropOf('melon'), 'female', 'open', 'seed').words).toMatch(/kitchen, not for seed/);
    expect(eveningAdvice(cropOf('melon'), 'female', 'green', 'seed').words).toMatch(/day after tomorrow/);
  });
});

test('every school offers its default, and says why growers differ', () => {
  for (const { choices, fallback, why } of SCHOOLS) {
    expect(choices.map(({ value }) => value)).toContain(fallback);
    expect(why.value.length).toBeGreaterThan(40);
  }
});
