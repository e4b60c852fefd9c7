import {
  cropOf,
  FRUIT_SHAPES,
  sexesOf,
  stageAdvice,
  stageFacts,
  stagesOf,
  STAGES,
  type Crop,
  type CropId,
  type Sex,
  type Stage,
} from '../crops';
import { keyOf, truthOf } from '../key';
import type { Random } from '../random';
import { SKILLS, type Option, type Skill, type Specimen, type TrainerQuestion } from './types';

/** The skills that a crop's flowers ask for. */
export function skillsFor(crop: Crop): readonly Skill[] {
  switch (crop.family) {
    case 'cucurbit':
      return ['sex', 'stage', 'shut', 'usable', 'took', 'tip'];
    case 'corn':
      return ['stage', 'shut', 'ear-clean', 'usable'];
    default:
      return ['stage', 'shut', 'mother-bud'];
  }
}

/** Share of corn shown with purple silks and anthers [M]: some kinds have them, and a learner must not take them for spent. */
const PURPLE = 0.3;

const pick = <T>(random: Random, from: readonly T[]): T => from[Math.floor(random() * from.length)] as T;
const shuffled = <T>(random: Random, list: readonly T[]): T[] => {
  const copy = [...list];
  for (let i = copy.length - 1; i > 0; i--) {
    const j = Math.floor(random() * (i + 1));
    [copy[i], copy[j]] = [copy[j] as T, copy[i] as T];
  }
  return copy;
};

/** A specimen as chance would have it, within what the plant does. `hard` 0..1 brings it near its look-alike. */
function specimen(
  crop: Crop,
  sex: Sex,
  appearance: Specimen['appearance'],
  random: Random,
  hard: number,
  more: Partial<Specimen> = {},
): Specimen {
  // Hard: late green and early coloured, which are taken for one another; easy: anywhere in the middle.
  const towards = appearance === 'green' || appearance === 'pin' ? 1 : -1;
  const edge = 0.35 + 0.65 * hard;
  const fullness = random() < 0.3 + 0.6 * hard ? towards * edge * (0.6 + 0.4 * random()) : random() - 0.5;
  return {
    crop: crop.id,
    sex,
    appearance,
    shape: crop.id.startsWith('squash') ? pick(random, FRUIT_SHAPES) : crop.usualShape,
    view: 'side',
    closure: null,
    closureState: 'whole',
    fullness,
    lean: (random() - 0.5) * 2 * (14 + 16 * hard),
    grown: 0.72 + random() * 0.26,
    cover: random() < 0.2 + 0.4 * hard ? 0.12 + random() * 0.22 : 0,
    coverSide: random() < 0.5 ? -1 : 1,
    tint: random() * 2 - 1,
    wet: false,
    ...(crop.family === 'corn' && { purple: random() < PURPLE }),
    ...more,
  };
}

/** What a specimen shows, question by question of the key, without naming it. */
export function describe({ crop, sex, appearance, view, closure, closureState, wet }: Specimen): string {
  const found = cropOf(crop);
  const key = keyOf(crop);
  const entry = key.entries.find((each) => each.sex === sex && each.stage === appearance);
  const parts: string[] = [];
  if (entry)
    for (const question of key.questions) {
      if ((question.from === 'inside') !== (view === 'inside') && question.from !== 'place') continue;
      if (question.from === 'place' && found.family !== 'corn') continue;
      const answer = question.answers.find(({ id }) => id === truthOf(entry, question.id));
      if (answer) parts.push(`${question.text} ${answer.words}.`);
    }
  if (closure)
    parts.push(
      `Closure (${closure.replace('-', ' ')}): ${closureState === 'whole' ? 'in place and whole' : closureState === 'torn' ? 'torn open' : 'a hole in it'}.`,
    );
  if (wet) parts.push('Rain drops hang on it and run inside.');
  return parts.join(' ');
}

const yesNo = (yes: string, no: string): Option[] => [
  { id: 'yes', words: yes },
  { id: 'no', words: no },
];

/**
 * One question of a skill on a crop. Endless: everything but the skill and the crop hangs on chance. Throws nothing;
 * a skill the crop does not ask for falls back to its stages.
 */
export function makeQuestion(skill: Skill, cropId: CropId, random: Random, hard = 0.5): TrainerQuestion {
  const crop = cropOf(cropId);
  const wanted = skillsFor(crop).includes(skill) ? skill : 'stage';
  return MAKERS[wanted](crop, random, hard);
}

type Maker = (crop: Crop, random: Random, hard: number) => TrainerQuestion;

const MAKERS: Record<Skill, Maker> = {
  sex(crop, random, hard) {
    const sex = pick(random, ['female', 'male'] as const);
    const stage = pick(random, ['pin', 'green', 'coloured', 'coloured', 'open', 'spent'] as const);
    const view = stage === 'open' && random() < 0.5 ? 'inside' : 'side';
    const one = specimen(crop, sex, stage, random, hard, { view });
    return {
      skill: 'sex',
      crop: crop.id,
      text: 'Male or female?',
      specimens: [one],
      described: [describe(one)],
      options: [
        { id: 'female', words: 'female' },
        { id: 'male', words: 'male' },
      ],
      truth: sex,
      why:
        view === 'inside'
          ? sex === 'male'
            ? 'One central column dusted with loose pollen: male.'
            : 'Moist lobes in the middle, no single column: female.'
          : sex === 'male'
            ? 'The thin stalk runs straight up to the petals: male.'
            : 'A swelling between stalk and petals, a small fruit already: female.',
    };
  },
  stage(crop, random, hard) {
    const sex = pick(random, sexesOf(crop));
    const stage = pick(
      random,
      hard > 0.4 ? (['pin', 'green', 'green', 'coloured', 'coloured', 'open', 'spent'] as const) : STAGES,
    );
    const one = specimen(crop, sex, stage, random, hard);
    const table = stagesOf(crop, sex);
    return {
      skill: 'stage',
      crop: crop.id,
      text: 'How far on is it?',
      specimens: [one],
      described: [describe(one)],
      options: STAGES.map((id) => ({ id, words: table[id].name })),
      truth: stage,
      why: `${table[stage].looks} ${whenWords(crop, sex, stage)}`,
    };
  },
  shut(crop, random, hard) {
    const sex = pick(random, sexesOf(crop));
    const stage = pick(random, [
      'pin',
      'green',
      'green',
      'coloured',
      'coloured',
      'coloured',
      'open',
    ] as const);
    const one = specimen(crop, sex, stage, random, hard);
    const { shutTonight, words } = stageAdvice(crop, sex, stage, 'seed', 'evening');
    const corn = crop.family === 'corn';
    return {
      skill: 'shut',
      crop: crop.id,
      text: corn ? 'Afternoon, for seed: put a bag on it today?' : 'Evening, for pure seed: shut it tonight?',
      specimens: [one],
      described: [describe(one)],
      options: yesNo(corn ? 'bag it' : 'shut it', 'leave it'),
      truth: shutTonight ? 'yes' : 'no',
      why: `${stageFacts(crop, sex, stage)?.looks ?? ''} ${words}`,
    };
  },
  usable(crop, random, hard) {
    const closure =
      crop.family === 'corn'
        ? 'shoot-bag'
        : pick(
            random,
            crop.closures.filter((each) => each !== 'tie'),
          );
    const kind = pick(random, ['whole', 'whole', 'torn', 'holed', 'open', 'wet'] as const);
    const state = kind === 'torn' || kind === 'holed' ? kind : 'whole';
    const one = specimen(crop, 'female', kind === 'open' ? 'open' : 'coloured', random, hard, {
      closure: kind === 'open' ? null : closure,
      closureState: state,
      wet: kind === 'wet',
      cover: 0,
    });
    const why = {
      whole: 'The closure is in place and whole, and it is dry: good for seed.',
      torn: 'Torn open: an insect may have been in. Treat it as contaminated; fine for the kitchen.',
      holed: 'A hole is enough for an insect. Treat it as contaminated; fine for the kitchen.',
      open: 'It stands open with nothing over it: bees have been before you. Not for seed.',
      wet: 'Rain has run in: wet pollen is useless. Leave it for today.',
    }[kind];
    return {
      skill: 'usable',
      crop: crop.id,
      text: 'Dawn. It was shut last evening. Can it be used for seed this morning?',
      specimens: [one],
      described: [kind === 'open' ? `${describe(one)} Nothing covers it now.` : describe(one)],
      options: yesNo('use it', 'not for seed'),
      truth: kind === 'whole' ? 'yes' : 'no',
      why,
    };
  },
  'mother-bud'(crop, random, hard) {
    const stages = shuffled(random, [pick(random, ['pin', 'green'] as const), 'coloured', 'open'] as const);
    const specimens = stages.map((stage) => specimen(crop, 'perfect', stage, random, hard, { cover: 0 }));
    return {
      skill: 'mother-bud',
      crop: crop.id,
      text: 'A cross: from which of these would you take the anthers, as the mother?',
      specimens,
      described: specimens.map(describe),
      options: specimens.map((_, i) => ({ id: String(stages[i]), words: `number ${i + 1}` })),
      truth: 'coloured',
      why: `Number ${stages.indexOf('coloured') + 1}: petals pale and just parting. Green petals are too early; an open flower has pollinated itself already.`,
    };
  },
  'ear-clean'(crop, random, hard) {
    const stage = pick(random, ['green', 'coloured', 'coloured', 'open', 'open', 'spent'] as const);
    const bagged = random() < 0.35;
    const one = specimen(crop, 'female', stage, random, hard, {
      closure: bagged ? 'shoot-bag' : null,
      cover: 0,
    });
    const clean = bagged || stage === 'green' || stage === 'coloured';
    return {
      skill: 'ear-clean',
      crop: crop.id,
      text: bagged
        ? 'The bag went on before silk showed. Is this ear still clean?'
        : 'Is this ear still clean for seed?',
      specimens: [one],
      described: [
        bagged ? 'A shoot bag covers the ear, whole, wedged between ear and stalk.' : describe(one),
      ],
      options: yesNo('still clean', 'no longer'),
      truth: clean ? 'yes' : 'no',
      why: bagged
        ? 'Bagged before silk and whole: no pollen could reach it.'
        : clean
          ? 'No silk yet: nothing could land. Bag it today.'
          : 'Silk is out with nothing over it: foreign pollen is already there.',
    };
  },
  took(crop, random, hard) {
    const took = random() < 0.5;
    const appearance = took ? 'swelling' : pick(random, ['yellowing', 'brown-tip'] as const);
    const one = specimen(crop, 'female', appearance, random, hard, { cover: 0 });
    return {
      skill: 'took',
      crop: crop.id,
      text: 'Five days after pollination: did it take?',
      specimens: [one],
      described: [
        took
          ? 'The flower is brown and dry; the little fruit is plainly larger than on the day it was worked, green and firm.'
          : appearance === 'yellowing'
            ? 'The little fruit is no larger than on the day it was worked, yellow and soft.'
            : 'The little fruit is hardly larger than on the day it was worked; its tip is brown.',
      ],
      options: [
        { id: 'took', words: 'it took' },
        { id: 'failed', words: 'it failed' },
      ],
      truth: took ? 'took' : 'failed',
      why: took
        ? 'Growing, green and firm with the flower dried up: it took.'
        : appearance === 'yellowing'
          ? 'No larger and yellowing: it failed. The next flower can be worked.'
          : 'It stopped small and its tip is browning: too little pollen.',
    };
  },
  tip(crop, random, hard) {
    const rot = random() < 0.5;
    const one = specimen(crop, 'female', rot ? 'end-rot' : 'brown-tip', random, hard, { cover: 0 });
    return {
      skill: 'tip',
      crop: crop.id,
      text: 'The blossom end is brown. Why?',
      specimens: [one],
      described: [
        rot
          ? 'A well grown fruit; at its far end a broad, sunken, dark, leathery patch.'
          : 'A small fruit that stopped within about five days; only its tip is brown and dry.',
      ],
      options: [
        { id: 'pollination', words: 'too little pollen' },
        { id: 'end-rot', words: 'blossom-end rot' },
      ],
      truth: rot ? 'end-rot' : 'pollination',
      why: rot
        ? 'It grew well first, then a sunken dark patch came: blossom-end rot, from swings of water and calcium. Growers differ here; when it stopped growing tells most.'
        : 'It stopped growing within about five days: poor pollination. Growers differ here; when it stopped growing tells most.',
    };
  },
};

function whenWords(crop: Crop, sex: Sex, stage: Stage): string {
  const [least, most] = stagesOf(crop, sex)[stage].opensInDays.value;
  const verb = crop.family === 'corn' ? (sex === 'male' ? 'Sheds' : 'Silks') : 'Opens';
  if (stage === 'open') return 'This is its day.';
  if (stage === 'spent') return 'Its day is past.';
  return least === 1 && most === 1
    ? `${verb} tomorrow.`
    : `${verb} in ${least === most ? least : `${least}-${most}`} days.`;
}

/** Whether a text names a skill of the trainer. */
export const isSkill = (text: string): text is Skill => (SKILLS as readonly string[]).includes(text);
