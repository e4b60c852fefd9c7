import type { CropId, Sex, Stage } from '../crops';

/** A word of the trade, what else it is called, and what it means. */
export interface Term {
  readonly name: string;
  readonly also: readonly string[];
  readonly means: string;
  /** A flower that shows it. */
  readonly shows?: { readonly crop: CropId; readonly sex: Sex; readonly stage: Stage };
}

const MAXIMA_FEMALE = { crop: 'squash-maxima', sex: 'female' } as const;
const MAXIMA_MALE = { crop: 'squash-maxima', sex: 'male' } as const;

/** The words that a grower meets here (common practice). */
export const TERMS: readonly Term[] = [
  {
    name: 'female flower',
    also: ['mother', 'ovary', 'pistillate'],
    means: 'The one with a small fruit, the ovary, behind its petals. It bears the fruit and the seed.',
    shows: { ...MAXIMA_FEMALE, stage: 'coloured' },
  },
  {
    name: 'male flower',
    also: ['father', 'staminate'],
    means: 'On a straight, thin stalk, with no fruit behind it. It gives the pollen, and falls after a day.',
    shows: { ...MAXIMA_MALE, stage: 'coloured' },
  },
  {
    name: 'perfect flower',
    also: ['hermaphrodite', 'bisexual'],
    means:
      'Stigma and anthers in one flower, as in tomatoes, peppers and many melons. It can pollinate itself.',
    shows: { crop: 'tomato', sex: 'perfect', stage: 'open' },
  },
  {
    name: 'anther',
    also: ['stamen', 'pollen sac'],
    means: 'The part that sheds pollen. In squash the anthers are grown together into one yellow column.',
    shows: { ...MAXIMA_MALE, stage: 'open' },
  },
  {
    name: 'stigma',
    also: ['pistil', 'lobes'],
    means: 'The sticky tip in the middle of a female flower, where the pollen has to land: on all its lobes.',
    shows: { ...MAXIMA_FEMALE, stage: 'open' },
  },
  {
    name: 'opens tomorrow',
    also: ['coloured bud', 'ripe bud', 'ready bud'],
    means:
      'A bud whose tip has turned yellow, still shut: it opens next morning. This is the one to shut tonight.',
    shows: { ...MAXIMA_FEMALE, stage: 'coloured' },
  },
  {
    name: 'shut a flower',
    also: ['tape', 'tie', 'bag', 'close', 'closure', 'twine', 'mesh bag'],
    means: 'To keep insects out from the evening before until the petals wilt: by tape, twine or a bag.',
    shows: { ...MAXIMA_FEMALE, stage: 'coloured' },
  },
  {
    name: 'emasculate',
    also: ['castrate', 'take the anthers out', 'emasculated'],
    means:
      'To take the anthers out of a perfect flower before they shed, so that only pollen you bring counts.',
  },
  {
    name: 'tassel',
    also: ['corn male flowers'],
    means: 'The spike of male flowers on top of a corn plant. It sheds pollen for about a week.',
    shows: { crop: 'corn', sex: 'male', stage: 'open' },
  },
  {
    name: 'silk',
    also: ['shoot', 'ear', 'corn stigma'],
    means: 'The threads on an ear of corn, one for each kernel. Bag the shoot before any of them shows.',
    shows: { crop: 'corn', sex: 'female', stage: 'open' },
  },
  {
    name: 'selfing',
    also: ['self-pollination', 'own pollen'],
    means: 'Pollen of the same plant. It keeps true, but some kinds weaken when it is done for generations.',
  },
  {
    name: 'sibbing',
    also: ['sister plants', 'same variety'],
    means: 'Pollen of another plant of the same variety: true to it, and it keeps the variety broad.',
  },
  {
    name: 'cross',
    also: ['hybrid', 'F1'],
    means:
      'Mother and father of different varieties. Its first plants, the F1, are alike; their seed is not.',
  },
  {
    name: 'F2',
    also: ['second generation', 'segregate'],
    means: 'Grown from seed of an F1: every plant is different, and here one chooses.',
  },
  {
    name: 'backcross',
    also: ['BC1'],
    means: 'A cross pollinated again by one of its parents, to come back to it but for one trait.',
  },
  {
    name: 'set',
    also: ['took', 'fruit set'],
    means: 'The young fruit goes on growing after the flower has wilted: the pollination took.',
  },
  {
    name: 'drop',
    also: ['abort', 'shrivel', 'yellow and fall'],
    means:
      'The young fruit turns yellow and shrivels: no pollen, too little, or more fruit than the plant can carry.',
  },
  {
    name: 'node',
    also: ['joint', 'leaf'],
    means: 'Where a leaf joins the stem. Counted from the root, it says which flower is meant.',
  },
  {
    name: 'mark',
    also: ['tag', 'label', 'loop'],
    means: 'The code on a loop round the stalk of a fruit. With it the seed is proved at harvest.',
  },
  {
    name: 'proof',
    also: ['pure', 'purity', 'evidence'],
    means: 'All that was seen of a fruit, link by link, from the shut bud to the mark read at harvest.',
  },
  {
    name: 'isolation distance',
    also: ['how far apart', 'distance'],
    means: 'How far other plants that could cross with yours have to be, for seed from open flowers.',
  },
  {
    name: 'off-type',
    also: ['not true', 'rogue'],
    means: 'A plant that is not as its variety should be. Take it out before it flowers, and write it down.',
  },
  {
    name: 'grow-out',
    also: ['test sowing'],
    means: 'Sowing some of the seed to see whether the plants come true.',
  },
  {
    name: 'lot',
    also: ['seed lot', 'packet', 'batch'],
    means: 'Seed taken together: from some fruits of one variety in one year, bought, or given.',
  },
  {
    name: 'inbreeding',
    also: ['inbreeding depression', 'too few plants'],
    means:
      'What comes of few parents over the generations: weaker plants, and traits that are lost for good.',
  },
  {
    name: 'alternate-day cages',
    also: ['cage', 'caging'],
    means: 'Two varieties under nets, uncovered on alternate days: insects work, and do not cross them.',
  },
];
