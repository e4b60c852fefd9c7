import { GENERAL, SEED_GUIDES } from './cucurbits';
import { handbook, ours, practice, type Fact, type Range } from './facts';

/** What carries the pollen of a crop from plant to plant. */
export type CarriedBy = 'self' | 'insects' | 'wind';

/** A crop that nobody pollinates by hand here; it matters only for how far apart its varieties stand. */
export interface NeighbourCrop {
  readonly id: (typeof NEIGHBOUR_IDS)[number];
  readonly name: string;
  readonly botanical: string;
  readonly carriedBy: Fact<CarriedBy>;
  readonly isolationM: Fact<Range>;
  /** Enough to tell dry plants apart and to keep climbers off each other's trellis; `null` where distance is for pollen. */
  readonly apartM: Fact<Range> | null;
  readonly plantsToSave: Fact<{ viable: Range; keep: Range; conserve: Range }> | null;
}

/** The crops of neighbours, by name. Brassicas cross within their species, and there are three that gardens grow. */
export const NEIGHBOUR_IDS = [
  'bean',
  'pea',
  'lettuce',
  'runner-bean',
  'broad-bean',
  'beet',
  'chard',
  'cabbage-kinds',
  'turnip-kinds',
  'swede-kinds',
  'onion',
  'carrot',
  'spinach',
  'citron',
] as const;

/** A crop of neighbours alone. */
export type NeighbourCropId = (typeof NEIGHBOUR_IDS)[number];

/** What holds of all that self in a shut flower, grown here or next door. */
export const selfer = {
  carriedBy: handbook('self' as const, GENERAL),
  isolationM: handbook<Range>([3, 6], SEED_GUIDES),
  apartM: practice<Range>([3, 5], 'self-pollinators, mainly to tell dry plants apart'),
  plantsToSave: null,
};
const visited = {
  carriedBy: handbook('insects' as const, GENERAL),
  isolationM: ours<Range>([245, 800], 'as the other insect crops of the seed-saving guides'),
  apartM: null,
  plantsToSave: null,
};
const blown = {
  carriedBy: handbook('wind' as const, GENERAL),
  isolationM: ours<Range>([800, 3200], 'general texts: farther than corn, which is 400-1600 m'),
  apartM: null,
  plantsToSave: null,
};

/** Crops that only neighbours grow, for what they could cross with. Beet and chard are one species. */
export const neighbourCrops: readonly NeighbourCrop[] = [
  { ...selfer, id: 'bean', name: 'bean', botanical: 'Phaseolus vulgaris' },
  { ...selfer, id: 'pea', name: 'pea', botanical: 'Pisum sativum' },
  {
    ...selfer,
    id: 'lettuce',
    name: 'lettuce',
    botanical: 'Lactuca sativa',
    plantsToSave: handbook({ viable: [1, 1], keep: [5, 10], conserve: [20, 20] }, SEED_GUIDES),
  },
  { ...visited, id: 'runner-bean', name: 'runner bean', botanical: 'Phaseolus coccineus' },
  { ...visited, id: 'broad-bean', name: 'broad bean', botanical: 'Vicia faba' },
  { ...blown, id: 'beet', name: 'beet', botanical: 'Beta vulgaris' },
  { ...blown, id: 'chard', name: 'chard', botanical: 'Beta vulgaris' },
  {
    ...visited,
    id: 'cabbage-kinds',
    name: 'cabbage, kale, broccoli, kohlrabi',
    botanical: 'Brassica oleracea',
  },
  { ...visited, id: 'turnip-kinds', name: 'turnip, Chinese cabbage, pak choi', botanical: 'Brassica rapa' },
  { ...visited, id: 'swede-kinds', name: 'swede, Siberian kale, rape', botanical: 'Brassica napus' },
  { ...visited, id: 'onion', name: 'onion', botanical: 'Allium cepa' },
  { ...visited, id: 'carrot', name: 'carrot', botanical: 'Daucus carota' },
  { ...blown, id: 'spinach', name: 'spinach', botanical: 'Spinacia oleracea' },
  { ...visited, id: 'citron', name: 'citron melon', botanical: 'Citrullus amarus' },
];
