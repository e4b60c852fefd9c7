import { practice, type Fact } from './facts';
import type { Crop, Family, RogueStage } from './types';

type Looks = Readonly<Record<RogueStage, Fact<string>>>;

const VINE: Looks = {
  seedling: practice(
    'Seed leaves and the first true leaf: the same size, shape and shade; silver spots on all or on none.',
  ),
  'before-flower': practice(
    'Bush or vine, the shape of the leaf, and the small fruit behind the first female buds: a round one among long ones is a stranger.',
  ),
  fruit: practice(
    'Shape, colour, stripes and skin of the fruit. A bitter squash or cucumber is a stranger: spit it out, never eat it.',
  ),
};
const LOOKS: Readonly<Record<Family, Looks>> = {
  cucurbit: VINE,
  corn: {
    seedling: practice('Height, the width of the leaf, the colour at the foot of the stalk.'),
    'before-flower': practice(
      'Height, the colour of stalk and tassel. Pull a stranger before its tassel sheds.',
    ),
    fruit: practice(
      'At husking: rows, the colour and the dent or wrinkle of the kernels, the colour of the cob.',
    ),
  },
  nightshade: {
    seedling: practice('The shape and edge of the leaf, the colour of the stem.'),
    'before-flower': practice('Bush or tall, leaf and hairs, the colour of the buds.'),
    fruit: practice('Shape, shoulders, size and ripe colour of the first fruit.'),
  },
  strawberry: {
    seedling: practice('Leaf and hairs; runners or none.'),
    'before-flower': practice('Leaf, habit, runners or none.'),
    fruit: practice('Shape and colour of the berry, and whether its seeds stand out.'),
  },
  quiet: {
    seedling: practice('The colour of seed leaves and stem.'),
    'before-flower': practice('Bush or climbing, leaf and head; lettuce that bolts first is no seed parent.'),
    fruit: practice('Pods or heads: shape and colour, and the colour of the dry seed.'),
  },
};

/**
 * What tells a plant that is not true to its variety, at one of the three times.
 * @example rogueLook(cropOf('corn'), 'seedling').standing // 'P'
 */
export const rogueLook = ({ family }: Pick<Crop, 'family'>, stage: RogueStage): Fact<string> =>
  LOOKS[family][stage];
