import {
  stalkTells,
  systemsOf,
  type Crop,
  type CropId,
  type Sex,
  type SexSystem,
  type Stage,
} from '../crops';
import { pictured } from './pictured';
import type { Entry, Key, Question } from './types';

const INSIDE = 'inside' as const;

/** Flowers so small, on stalks so short, that the petals seem to sit on the vine (common practice). */
const SMALL = new Set<CropId>(['melon', 'watermelon', 'cucumber']);
function questions(crop: Crop, both: boolean): Question[] {
  return [
    petalQuestion,
    belowQuestion(crop),
    colourQuestion(crop),
    centreQuestion(crop, both),
    tipQuestion,
    ...(stalkTells(crop) ? [stalkQuestion] : []),
    placeQuestion(crop),
    companyQuestion,
  ];
}

const petalQuestion: Question = {
  id: 'petals',
  text: 'How do the petals stand?',
  from: 'outside',
  reliability: 0.86,
  answers: [
    pictured('tiny', 'tiny and tight', 'male', 'pin'),
    pictured('slim', 'shut, slim', 'male', 'green'),
    pictured('plump', 'shut, full and plump', 'male', 'coloured'),
    pictured('wide', 'open', 'male', 'open'),
    pictured('limp', 'limp, wilted', 'male', 'spent'),
  ],
};

function colourQuestion({ petals: colour }: Crop): Question {
  return {
    id: 'colour',
    text: 'What colour do the petals show?',
    from: 'outside',
    reliability: 0.9,
    answers: [
      pictured('green', 'green only', 'female', 'green'),
      pictured('streaks', `${colour} along them, still shut`, 'female', 'coloured'),
      pictured('full', `all ${colour}, spread`, 'female', 'open'),
      pictured('faded', 'faded or brown', 'female', 'spent'),
    ],
  };
}

/** What tells most: the little fruit under a female's petals. */
function belowQuestion({ id }: Crop): Question {
  const small = SMALL.has(id);
  return {
    id: 'below',
    text: small ? 'What is right under the petals?' : 'What is between the stalk and the petals?',
    from: 'outside',
    reliability: small ? 0.92 : 0.94,
    answers: [
      pictured('swelling', 'a swelling: a small fruit', 'female', 'coloured'),
      pictured(
        'nothing',
        small ? 'nothing: no swelling at all' : 'nothing: the thin stalk runs on',
        'male',
        'coloured',
      ),
    ],
  };
}

/** What stands in the middle of an open male, by crop (general texts, from memory). */
function maleCentre({ id }: Crop): string {
  if (SMALL.has(id) || id === 'bitter-gourd') return 'three short anthers, loose yellow dust';
  if (id === 'luffa' || id === 'luffa-ridged') return 'five anthers spread apart, loose yellow dust';
  return 'one column, loose yellow dust';
}

function centreQuestion(crop: Crop, both: boolean): Question {
  return {
    id: 'centre',
    text: 'Look in from above: what stands in the middle?',
    from: 'inside',
    reliability: 0.95,
    answers: [
      pictured('column', maleCentre(crop), 'male', 'open', INSIDE),
      pictured(
        'lobes',
        both ? 'moist lobes, with or without anthers round them' : 'moist lobes, no dust of its own',
        'female',
        'open',
        INSIDE,
      ),
      { id: 'shut', words: 'it is shut', picture: 'shut' },
    ],
  };
}

const tipQuestion: Question = {
  id: 'tip',
  text: 'How is the tip of the flower?',
  from: 'outside',
  reliability: 0.84,
  answers: [
    pictured('point', 'a hard little point', 'female', 'pin'),
    pictured('tight', 'drawn tight together', 'female', 'green'),
    pictured('loose', 'petal edges loosening, soft', 'female', 'coloured'),
    pictured('spread', 'spread wide', 'female', 'open'),
    pictured('crumpled', 'crumpled, hanging', 'female', 'spent'),
  ],
};

const stalkQuestion: Question = {
  id: 'stalk',
  text: 'How is its stalk?',
  from: 'outside',
  reliability: 0.84,
  answers: [
    pictured('thin', 'thin and rather long', 'male', 'coloured'),
    pictured('stout', 'short and stout', 'female', 'coloured'),
  ],
};

/** Courgettes and their like mostly make a bush, whose newest flowers sit in its heart. */
function placeQuestion({ id }: Crop): Question {
  const bush = id === 'squash-pepo';
  return {
    id: 'where',
    text: bush ? 'Where on the plant does it sit?' : 'Where on the vine does it sit?',
    from: 'place',
    reliability: 0.72,
    answers: bush
      ? [
          { id: 'at-tip', words: 'in the heart, by the newest leaf', picture: 'bush-heart' },
          { id: 'near', words: 'a few leaves out', picture: 'bush-near' },
          { id: 'back', words: 'well out, under old leaves', picture: 'bush-out' },
        ]
      : [
          { id: 'at-tip', words: 'right at the growing tip', picture: 'at-tip' },
          { id: 'near', words: 'a few leaves back', picture: 'near' },
          { id: 'back', words: 'well back', picture: 'back' },
        ],
  };
}

const companyQuestion: Question = {
  id: 'company',
  text: 'Does it stand alone in its leaf joint?',
  from: 'place',
  reliability: 0.8,
  answers: [
    { id: 'alone', words: 'alone', picture: 'alone' },
    { id: 'bunch', words: 'with others like it', picture: 'bunch' },
  ],
};

/** Males that stand alone as a rule, like the females: of these, company says little (general texts, from memory). */
const LONE_MALES = new Set<CropId>(['bottle-gourd', 'bitter-gourd']);

/** How often a flower stands alone in its joint. A female seldom stands in a bunch, males often do (common practice). */
function company(sex: Sex, crop: Crop, system: SexSystem | null): Record<string, number> {
  // The nearly all-female cucumbers bear their females two and three to a joint.
  if (sex === 'female')
    return system === 'gynoecious' ? { alone: 0.5, bunch: 0.5 } : { alone: 0.92, bunch: 0.08 };
  return LONE_MALES.has(crop.id) ? { alone: 0.9, bunch: 0.1 } : { bunch: 0.6, alone: 0.4 };
}

const STAGE_SHOWS: Record<Stage, Readonly<Record<string, Record<string, number>>>> = {
  pin: { petals: { tiny: 1 }, colour: { green: 1 }, tip: { point: 1 }, where: { 'at-tip': 1 } },
  green: {
    petals: { slim: 1 },
    colour: { green: 1 },
    tip: { tight: 1 },
    where: { near: 0.7, 'at-tip': 0.3 },
  },
  coloured: {
    petals: { plump: 1 },
    colour: { streaks: 1 },
    tip: { loose: 1 },
    where: { near: 0.8, back: 0.2 },
  },
  open: { petals: { wide: 1 }, colour: { full: 1 }, tip: { spread: 1 }, where: { near: 0.5, back: 0.5 } },
  spent: {
    petals: { limp: 1 },
    colour: { faded: 1 },
    tip: { crumpled: 1 },
    where: { back: 0.8, near: 0.2 },
  },
};

function sexShows(
  sex: Sex,
  stage: Stage,
  crop: Crop,
  system: SexSystem | null,
): Record<string, Record<string, number>> {
  const female = sex === 'female';
  return {
    below: female ? { swelling: 1 } : { nothing: 1 },
    centre: stage === 'open' ? (female ? { lobes: 1 } : { column: 1 }) : { shut: 1 },
    ...(stalkTells(crop) ? { stalk: female ? { stout: 1 } : { thin: 1 } } : {}),
    company: company(sex, crop, system),
  };
}

/** The key of a crop of the squash family. `system` is that of the variety, where it is known. */
export function vineKey(crop: Crop, system: SexSystem | null): Key {
  const both =
    system === 'andromonoecious' || (system === null && systemsOf(crop).includes('andromonoecious'));
  const entries = (['female', 'male'] as const).flatMap((sex) =>
    (Object.keys(STAGE_SHOWS) as Stage[]).map((stage): Entry => ({
      id: `${crop.id}/${sex}/${stage}`,
      crop: crop.id,
      sex,
      stage,
      shows: { ...STAGE_SHOWS[stage], ...sexShows(sex, stage, crop, system) },
    })),
  );
  return { crop: crop.id, questions: questions(crop, both), entries };
}
