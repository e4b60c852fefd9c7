import type { Crop, Sex, Stage } from '../crops';
import { pictured } from './pictured';
import type { Entry, Key, Question } from './types';

type Shows = Readonly<Record<string, Readonly<Record<string, number>>>>;

function entriesOf(crop: Crop, sex: Sex, table: Record<Stage, Shows>, always: Shows = {}): Entry[] {
  return (Object.keys(table) as Stage[]).map((stage) => ({
    id: `${crop.id}/${sex}/${stage}`,
    crop: crop.id,
    sex,
    stage,
    shows: { ...always, ...table[stage] },
  }));
}

const cornQuestions: readonly Question[] = [
  {
    id: 'place',
    text: 'Where on the plant is it?',
    from: 'place',
    reliability: 0.97,
    answers: [
      pictured('top', 'at the very top', 'male', 'open'),
      pictured('joint', 'in a leaf joint on the stalk', 'female', 'coloured'),
    ],
  },
  {
    id: 'silk',
    text: 'Is there silk?',
    from: 'outside',
    reliability: 0.93,
    answers: [
      pictured('none', 'none', 'female', 'coloured'),
      pictured('fresh', 'fresh and moist, green, yellow or purple', 'female', 'open'),
      pictured('brown', 'brown and dry', 'female', 'spent'),
    ],
  },
  {
    id: 'shoot',
    text: 'How does the shoot stand?',
    from: 'outside',
    reliability: 0.85,
    answers: [
      pictured('showing', 'only a tip shows', 'female', 'pin'),
      pictured('flat', 'out of the joint, flat and tight', 'female', 'green'),
      pictured('plump', 'round and plump', 'female', 'coloured'),
    ],
  },
  {
    id: 'husk',
    text: 'How is the tip of the husk?',
    from: 'outside',
    reliability: 0.84,
    answers: [
      pictured('hidden', 'still in the joint', 'female', 'pin'),
      pictured('closed', 'closed to a point', 'female', 'green'),
      pictured('loosening', 'loosening', 'female', 'coloured'),
      pictured('threads', 'threads come out of it', 'female', 'open'),
    ],
  },
  {
    id: 'branches',
    text: 'How do the branches stand?',
    from: 'outside',
    reliability: 0.88,
    answers: [
      pictured('wrapped', 'still wrapped in leaves', 'male', 'pin'),
      pictured('upright', 'pressed together, upright', 'male', 'green'),
      pictured('spread', 'spread out', 'male', 'coloured'),
    ],
  },
  {
    id: 'anthers',
    text: 'Do anthers hang out?',
    from: 'outside',
    reliability: 0.9,
    answers: [
      pictured('none', 'none', 'male', 'coloured'),
      pictured('fresh', 'fresh, yellow or purple', 'male', 'open', 'inside'),
      pictured('dry', 'dry and empty', 'male', 'spent', 'inside'),
    ],
  },
  {
    id: 'spikelets',
    text: 'And the little spikelets along them?',
    from: 'outside',
    reliability: 0.84,
    answers: [
      pictured('unseen', 'not to be seen yet', 'male', 'pin', 'inside'),
      pictured('flat', 'flat and tight', 'male', 'green', 'inside'),
      pictured('swollen', 'swollen, gaping a little', 'male', 'coloured', 'inside'),
      pictured('gaping', 'wide open', 'male', 'open', 'inside'),
    ],
  },
  {
    id: 'tap',
    text: 'Tap it over your hand: does dust fall?',
    from: 'outside',
    reliability: 0.93,
    answers: [
      { id: 'dust', words: 'yellow dust', picture: 'dust' },
      { id: 'no-dust', words: 'nothing', picture: 'no-dust' },
    ],
  },
];

const ear: Record<Stage, Shows> = {
  pin: { silk: { none: 1 }, shoot: { showing: 1 }, husk: { hidden: 1 } },
  green: { silk: { none: 1 }, shoot: { flat: 1 }, husk: { closed: 1 } },
  coloured: { silk: { none: 1 }, shoot: { plump: 1 }, husk: { loosening: 1 } },
  open: { silk: { fresh: 1 }, shoot: { plump: 1 }, husk: { threads: 1 } },
  spent: { silk: { brown: 1 }, shoot: { plump: 1 }, husk: { threads: 1 } },
};

const tassel: Record<Stage, Shows> = {
  pin: { branches: { wrapped: 1 }, spikelets: { unseen: 1 }, anthers: { none: 1 }, tap: { 'no-dust': 1 } },
  green: { branches: { upright: 1 }, spikelets: { flat: 1 }, anthers: { none: 1 }, tap: { 'no-dust': 1 } },
  coloured: {
    branches: { spread: 1 },
    spikelets: { swollen: 1 },
    anthers: { none: 1 },
    tap: { 'no-dust': 1 },
  },
  open: { branches: { spread: 1 }, spikelets: { gaping: 1 }, anthers: { fresh: 1 }, tap: { dust: 1 } },
  spent: { branches: { spread: 1 }, spikelets: { gaping: 1 }, anthers: { dry: 1 }, tap: { 'no-dust': 1 } },
};

/** The key to ear shoots and tassels of corn. */
export function cornKey(crop: Crop): Key {
  return {
    crop: crop.id,
    questions: cornQuestions,
    entries: [
      ...entriesOf(crop, 'female', ear, { place: { joint: 1 }, anthers: { none: 1 }, tap: { 'no-dust': 1 } }),
      ...entriesOf(crop, 'male', tassel, { place: { top: 1 }, silk: { none: 1 } }),
    ],
  };
}

const perfect: Record<Stage, Shows> = {
  pin: { petals: { wrapped: 1 }, colour: { none: 1 }, sepals: { closed: 1 }, anthers: { unseen: 1 } },
  green: { petals: { peeping: 1 }, colour: { green: 1 }, sepals: { parting: 1 }, anthers: { unseen: 1 } },
  coloured: {
    petals: { parting: 1 },
    colour: { pale: 1 },
    sepals: { apart: 1 },
    anthers: { unseen: 0.7, clean: 0.3 },
  },
  open: {
    petals: { spread: 1 },
    colour: { full: 1 },
    sepals: { apart: 0.6, back: 0.4 },
    anthers: { dust: 1 },
  },
  spent: {
    petals: { withered: 1 },
    colour: { brown: 1 },
    sepals: { apart: 0.6, back: 0.4 },
    anthers: { gone: 1 },
  },
};

/** Tomato, pepper, aubergine, potato, strawberry: one kind of flower, five stages. */
export function perfectKey(crop: Crop): Key {
  const colour = crop.petals;
  const at = (id: string, words: string, stage: Stage, view: 'side' | 'inside' = 'side') =>
    pictured(id, words, 'perfect', stage, view);
  const questions: Question[] = [
    {
      id: 'petals',
      text: 'How do the petals stand?',
      from: 'outside',
      reliability: 0.87,
      answers: [
        at('wrapped', 'not to be seen', 'pin'),
        at('peeping', 'peeping out, folded', 'green'),
        at('parting', 'out, just parting, shut', 'coloured'),
        at('spread', 'spread open', 'open'),
        at('withered', 'withered or fallen', 'spent'),
      ],
    },
    {
      id: 'colour',
      text: 'What colour are the petals?',
      from: 'outside',
      reliability: 0.88,
      answers: [
        at('none', 'none to be seen', 'pin'),
        at('green', 'green', 'green'),
        at('pale', `pale, turning ${colour}`, 'coloured'),
        at('full', colour, 'open'),
        at('brown', 'brown', 'spent'),
      ],
    },
    {
      id: 'sepals',
      text: 'And the green sepals round it?',
      from: 'outside',
      reliability: 0.82,
      answers: [
        at('closed', 'closed over the bud', 'pin'),
        at('parting', 'parting at the tip', 'green'),
        at('apart', 'well apart', 'coloured'),
        at('back', 'bent right back', 'open'),
      ],
    },
    {
      id: 'anthers',
      text: 'Anthers: what can be seen without opening it?',
      from: 'outside',
      reliability: 0.88,
      answers: [
        at('unseen', 'nothing, it is shut', 'green'),
        at('clean', 'a first glimpse, no dust', 'coloured'),
        at('dust', 'fully there, dust on a finger', 'open', 'inside'),
        at('gone', 'brown or gone', 'spent', 'inside'),
      ],
    },
  ];
  return { crop: crop.id, questions, entries: entriesOf(crop, 'perfect', perfect) };
}
