import { systemsOf, type Crop, type Sex, type SexSystem, type Stage } from '../crops';
import type { Entry, Key, Question } from './types';

const SIDE = 'side' as const;
const INSIDE = 'inside' as const;

/** Flowers so small, on stalks so short, that the stalk says little (common practice). */
const SMALL = new Set(['melon', 'watermelon', 'cucumber']);

function questions(crop: Crop, both: boolean): Question[] {
  const colour = crop.petals;
  const small = SMALL.has(crop.id);
  return [
    {
      id: 'petals',
      text: 'How do the petals stand?',
      from: 'outside',
      reliability: 0.86,
      answers: [
        { id: 'tiny', words: 'tiny and tight', picture: { sex: 'male', stage: 'pin', view: SIDE } },
        { id: 'slim', words: 'shut, slim', picture: { sex: 'male', stage: 'green', view: SIDE } },
        {
          id: 'plump',
          words: 'shut, full and plump',
          picture: { sex: 'male', stage: 'coloured', view: SIDE },
        },
        { id: 'wide', words: 'open', picture: { sex: 'male', stage: 'open', view: SIDE } },
        { id: 'limp', words: 'limp, wilted', picture: { sex: 'male', stage: 'spent', view: SIDE } },
      ],
    },
    {
      id: 'below',
      text: 'What is between the stalk and the petals?',
      from: 'outside',
      reliability: small ? 0.92 : 0.94,
      answers: [
        {
          id: 'swelling',
          words: 'a swelling: a small fruit',
          picture: { sex: 'female', stage: 'coloured', view: SIDE },
        },
        {
          id: 'nothing',
          words: 'nothing: the thin stalk runs on',
          picture: { sex: 'male', stage: 'coloured', view: SIDE },
        },
      ],
    },
    {
      id: 'colour',
      text: 'What colour do the petals show?',
      from: 'outside',
      reliability: 0.9,
      answers: [
        { id: 'green', words: 'green only', picture: { sex: 'female', stage: 'green', view: SIDE } },
        {
          id: 'streaks',
          words: `${colour} along them, still shut`,
          picture: { sex: 'female', stage: 'coloured', view: SIDE },
        },
        { id: 'full', words: `all ${colour}, spread`, picture: { sex: 'female', stage: 'open', view: SIDE } },
        { id: 'faded', words: 'faded or brown', picture: { sex: 'female', stage: 'spent', view: SIDE } },
      ],
    },
    {
      id: 'centre',
      text: 'Look in from above: what stands in the middle?',
      from: 'inside',
      reliability: 0.95,
      answers: [
        {
          id: 'column',
          words: 'one column, loose yellow dust',
          picture: { sex: 'male', stage: 'open', view: INSIDE },
        },
        {
          id: 'lobes',
          words: both ? 'moist lobes, with or without anthers round them' : 'moist lobes, no dust of its own',
          picture: { sex: 'female', stage: 'open', view: INSIDE },
        },
        { id: 'shut', words: 'it is shut', picture: 'shut' },
      ],
    },
    {
      id: 'tip',
      text: 'How is the tip of the flower?',
      from: 'outside',
      reliability: 0.84,
      answers: [
        { id: 'point', words: 'a hard little point', picture: { sex: 'female', stage: 'pin', view: SIDE } },
        {
          id: 'tight',
          words: 'drawn tight together',
          picture: { sex: 'female', stage: 'green', view: SIDE },
        },
        {
          id: 'loose',
          words: 'petal edges loosening, soft',
          picture: { sex: 'female', stage: 'coloured', view: SIDE },
        },
        { id: 'spread', words: 'spread wide', picture: { sex: 'female', stage: 'open', view: SIDE } },
        {
          id: 'crumpled',
          words: 'crumpled, hanging',
          picture: { sex: 'female', stage: 'spent', view: SIDE },
        },
      ],
    },
    {
      id: 'stalk',
      text: 'How is its stalk?',
      from: 'outside',
      reliability: small ? 0.66 : 0.84,
      answers: [
        {
          id: 'thin',
          words: 'thin and rather long',
          picture: { sex: 'male', stage: 'coloured', view: SIDE },
        },
        { id: 'stout', words: 'short and stout', picture: { sex: 'female', stage: 'coloured', view: SIDE } },
      ],
    },
    {
      id: 'where',
      text: 'Where on the vine does it sit?',
      from: 'place',
      reliability: 0.72,
      answers: [
        { id: 'at-tip', words: 'right at the growing tip', picture: 'at-tip' },
        { id: 'near', words: 'a few leaves back', picture: 'near' },
        { id: 'back', words: 'well back', picture: 'back' },
      ],
    },
    {
      id: 'company',
      text: 'Does it stand alone in its leaf joint?',
      from: 'place',
      reliability: 0.8,
      answers: [
        { id: 'alone', words: 'alone', picture: 'alone' },
        { id: 'bunch', words: 'with others like it', picture: 'bunch' },
      ],
    },
  ];
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

function sexShows(sex: Sex, stage: Stage): Record<string, Record<string, number>> {
  const female = sex === 'female';
  return {
    below: female ? { swelling: 1 } : { nothing: 1 },
    centre: stage === 'open' ? (female ? { lobes: 1 } : { column: 1 }) : { shut: 1 },
    stalk: female ? { stout: 1 } : { thin: 1 },
    // A female seldom stands in a bunch; males often do (common practice).
    company: female ? { alone: 0.92, bunch: 0.08 } : { bunch: 0.6, alone: 0.4 },
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
      shows: { ...STAGE_SHOWS[stage], ...sexShows(sex, stage) },
    })),
  );
  return { crop: crop.id, questions: questions(crop, both), entries };
}
