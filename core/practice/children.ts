import { sexesOf, type Crop, type Sex, type Stage } from '../crops';

/** Something for children to look for among the plants: what it looks like, and what finding it teaches. */
export interface Find {
  readonly key: string;
  readonly ask: string;
  /** How it is drawn. */
  readonly crop: Crop;
  readonly sex: Sex;
  readonly appearance: Stage | 'set';
  readonly learned: string;
}

/** All common practice, in words for a six-year-old. */
const OF_VINES: readonly Omit<Find, 'crop'>[] = [
  {
    key: 'female',
    ask: 'A flower with a tiny fruit below it',
    sex: 'female',
    appearance: 'open',
    learned: 'That is a female. Only a female can become a fruit. She snaps off easily: look, don’t touch.',
  },
  {
    key: 'male',
    ask: 'A flower on a thin straight stalk',
    sex: 'male',
    appearance: 'open',
    learned: 'That is a male. It makes the yellow dust, the pollen. There are many more males than females.',
  },
  {
    key: 'tomorrow',
    ask: 'A fat bud with yellow showing, still shut',
    sex: 'female',
    appearance: 'coloured',
    learned: 'It opens tomorrow at dawn. Growers shut such a bud this evening, so that no bee gets in first.',
  },
  {
    key: 'fruit',
    ask: 'A fruit that is growing, its flower gone or dried up',
    sex: 'female',
    appearance: 'set',
    learned: 'Pollen got there: it has set. Without pollen it turns yellow within a week, and drops.',
  },
];

/** In flowers that are male and female in one. */
const OF_PERFECT: readonly Omit<Find, 'crop'>[] = [
  {
    key: 'flower',
    ask: 'A flower that is open now',
    sex: 'perfect',
    appearance: 'open',
    learned:
      'Male and female are in one flower here. A shake or a soft brush is enough to bring them together.',
  },
  {
    key: 'bud',
    ask: 'A bud that is still shut',
    sex: 'perfect',
    appearance: 'coloured',
    learned: 'It will open soon. No insect has been in it yet.',
  },
  {
    key: 'young-fruit',
    ask: 'A small green fruit',
    sex: 'perfect',
    appearance: 'set',
    learned: 'It has set, and grows now. Leave it on its plant.',
  },
];

const OF_CORN: readonly Omit<Find, 'crop'>[] = [
  {
    key: 'tassel',
    ask: 'The spike on top of a corn plant',
    sex: 'male',
    appearance: 'open',
    learned: 'That is the tassel, the male flowers. Its pollen falls like dust, and the wind takes it.',
  },
  {
    key: 'silk',
    ask: 'An ear with silk hanging out',
    sex: 'female',
    appearance: 'open',
    learned: 'Each thread of silk leads to one kernel. A kernel without pollen stays empty.',
  },
];

/**
 * What children can look for among these crops: of each build of flower once, on the first crop that has it. Nothing for crops
 * that ask for no hand.
 */
export function childrensFinds(crops: readonly Crop[]): readonly Find[] {
  const of = (fits: (crop: Crop) => boolean, finds: readonly Omit<Find, 'crop'>[]): Find[] => {
    const crop = crops.find(fits);
    return crop ? finds.map((find) => ({ ...find, crop })) : [];
  };
  return [
    ...of(({ family }) => family === 'cucurbit', OF_VINES),
    ...of(({ family }) => family === 'corn', OF_CORN),
    ...of((crop) => sexesOf(crop).includes('perfect'), OF_PERFECT),
  ];
}
