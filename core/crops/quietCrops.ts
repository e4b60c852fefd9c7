import { GENERAL, SEED_GUIDES } from './cucurbits';
import { handbook, ours, practice, type Range } from './facts';
import { selfer } from './neighbours';
import type { Crop } from './types';

/**
 * Crops that self in a shut flower before anything can reach it: nobody shuts or works them, and they have no rounds. They stand in
 * the patch for their distances, and for their seed.
 */
const quiet = {
  family: 'quiet' as const,
  sexSystem: handbook('perfect' as const, GENERAL),
  otherSystems: null,
  sexing: handbook(
    'Both in one flower, which selfs before it opens: nothing to shut and nothing to work.',
    GENERAL,
  ),
  usualShape: 'long' as const,
  flowers: {},
  clock: {
    round: 'dawn' as const,
    opensMin: ours(60, 'it is not worked'),
    bestBeforeNoonMin: ours(60, 'it is not worked'),
    shutBeforeNoonMin: ours(-120, 'it is not worked'),
  },
  pollenFromC: null,
  closures: [],
  tools: [],
  malesPerFemale: ours<Range>([0, 0], 'it selfs'),
  looks: ours([], 'it sets of itself'),
  verdictDay: ours(7, 'it sets of itself'),
  perennial: null,
  minutesPerFemale: ours(0, 'nothing to do'),
  setShare: ours(0.9, 'it sets of itself'),
  femalesADay: ours<Range>([0, 0], 'not counted'),
  stigmaDays: null,
  pollenDays: null,
  daysToEatYoung: null,
  usuallyPicked: null,
  isolationM: selfer.isolationM,
  spacingM: ours({ row: 0.4, plant: 0.15 }, 'in a row'),
  caution: 'Dust of dry pods and seed heads irritates: thresh outdoors, with a mask.',
};

/** Lettuce, bean and pea. */
export const quietCrops: readonly Crop[] = [
  {
    ...quiet,
    id: 'lettuce',
    name: 'lettuce',
    plural: 'lettuces',
    botanical: 'Lactuca sativa',
    kinds: 'head, leaf and cos lettuce',
    petals: 'yellow',
    // Eaten as a leaf, long before it flowers.
    daysToEat: null,
    daysToSeed: ours([12, 21], 'general texts: two to three weeks from the flower to its down'),
    seedsPerFruit: ours([10, 20], 'seeds of one flower head'),
    plantsToSave: handbook({ viable: [1, 1], keep: [5, 10], conserve: [20, 20] }, SEED_GUIDES),
    spacingM: ours({ row: 0.35, plant: 0.3 }, 'plants kept for seed stand wide'),
  },
  {
    ...quiet,
    id: 'bean',
    name: 'bean',
    plural: 'beans',
    botanical: 'Phaseolus vulgaris',
    kinds: 'bush and pole beans, not runner or broad beans',
    petals: 'white',
    daysToEat: ours([12, 20], 'general texts: green pods'),
    daysToSeed: ours([40, 60], 'general texts: pods dry on the plant'),
    seedsPerFruit: ours([4, 8], 'a pod'),
    plantsToSave: practice({ viable: [1, 1], keep: [5, 10], conserve: [20, 20] }, 'as other selfing crops'),
    caution:
      'Raw beans are poisonous: boil them well. Dust of dry pods irritates: thresh outdoors, with a mask.',
  },
  {
    ...quiet,
    id: 'pea',
    name: 'pea',
    plural: 'peas',
    botanical: 'Pisum sativum',
    kinds: 'garden, sugar and soup peas',
    petals: 'white',
    daysToEat: ours([18, 25], 'general texts: full green pods'),
    daysToSeed: ours([35, 50], 'general texts: pods dry on the plant'),
    seedsPerFruit: ours([4, 9], 'a pod'),
    plantsToSave: practice({ viable: [1, 1], keep: [5, 10], conserve: [20, 20] }, 'as other selfing crops'),
  },
];
