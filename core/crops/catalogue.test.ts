import Joi from 'joi';
import {
  catalogue,
  CLOSURES,
  CROP_IDS,
  cropOf,
  eveningAdvice,
  FRUIT_SHAPES,
  REASONS,
  SCHOOLS,
  SEXES,
  STAGES,
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
const minutes = fact(Joi.number().min(-240).max(600));

const cropSchema = Joi.object({
  id: Joi.valid(...CROP_IDS).required(),
  name: Joi.string().required(),
  plural: Joi.string().required(),
  botanical: Joi.string()
    .pattern(/^[A-Z][a-z]+ [a-z]+$/)
    .required(),
  kinds: Joi.string().required(),
  sexSystem: fact(Joi.valid('monoecious', 'andromonoecious')),
  sexing: fact(Joi.string().min(30)),
  petals: Joi.valid('yellow', 'white').required(),
  usualShape: Joi.valid(...FRUIT_SHAPES).required(),
  stages: Joi.object(
    Object.fromEntries(
      STAGES.map((stage) => [
        stage,
        Joi.object({
          name: Joi.valid(stage).required(),
          looks: Joi.string().min(8).required(),
          opensInDays: fact(range(10)),
        }).required(),
      ]),
    ),
  ).required(),
  clock: Joi.object({
    round: Joi.valid('dawn', 'dusk').required(),
    opensMin: minutes,
    closesAfterSunriseMin: minutes,
  }).required(),
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
  verdictDay: fact(Joi.number().integer().min(2).max(10)),
  minutesPerFemale: fact(Joi.number().min(0.5).max(15)),
  daysToEat: fact(range(120)),
  daysToSeed: fact(range(120)),
  seedsPerFruit: fact(range(2000)),
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

test('every crop id has one entry', () => {
  expect(catalogue.map(({ id }) => id)).toEqual(CROP_IDS);
});

// Common practice for the squash family and handbook ranges recalled from memory; see docs/decisions.md.
describe('values of the trade', () => {
  const squash = cropOf('squash-maxima');
  test('stages: pin opens in 3-4 days, green the day after tomorrow, coloured tomorrow, open today', () => {
    const days = STAGES.map((stage) => squash.stages[stage].opensInDays.value);
    expect(days).toEqual([
      [3, 4],
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
    ['squash-pepo', [4, 8], [50, 60], [100, 300]],
    ['squash-maxima', [45, 60], [50, 60], [100, 400]],
    ['cucumber', [7, 12], [35, 50], [100, 300]],
    ['melon', [35, 45], [35, 45], [200, 600]],
    ['watermelon', [32, 45], [32, 45], [200, 800]],
    ['bottle-gourd', [10, 15], [60, 90], [80, 400]],
  ] as const)('%s: days to eat, to ripe seed, seeds a fruit', (id, eat, seed, seeds) => {
    const crop = cropOf(id);
    expect([crop.daysToEat.value, crop.daysToSeed.value, crop.seedsPerFruit.value]).toEqual([
      eat,
      seed,
      seeds,
    ]);
  });
  test('only the bottle gourd is worked at dusk', () => {
    expect(catalogue.filter(({ clock }) => clock.round === 'dusk').map(({ id }) => id)).toEqual([
      'bottle-gourd',
    ]);
  });
});

describe('advice of the evening', () => {
  test('only a coloured bud is shut, and only where the reason asks for purity', () => {
    for (const crop of catalogue) {
      for (const reason of REASONS) {
        for (const sex of SEXES) {
          for (const stage of STAGES) {
            const { shutTonight, words } = eveningAdvice(crop, sex, stage, reason);
            expect(shutTonight).toBe(stage === 'coloured' && reason !== 'fruit');
            expect(words.length).toBeGreaterThan(15);
          }
        }
      }
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
