import { GENERAL, SEED_GUIDES } from './cucurbits';
import { handbook, practice, type Fact, type Range } from './facts';

/** A crop that nobody pollinates by hand here; it matters only for how far apart its varieties stand. */
export interface NeighbourCrop {
  readonly id: 'bean' | 'pea' | 'lettuce';
  readonly name: string;
  readonly botanical: string;
  readonly sexSystem: Fact<'perfect'>;
  readonly isolationM: Fact<Range>;
  /** Enough to tell dry plants apart and to keep climbers off each other's trellis. */
  readonly apartM: Fact<Range>;
  readonly plantsToSave: Fact<{ viable: Range; keep: Range; conserve: Range }> | null;
}

const selfer = {
  sexSystem: handbook('perfect' as const, GENERAL),
  isolationM: handbook<Range>([3, 6], SEED_GUIDES),
  apartM: practice<Range>([3, 5], 'self-pollinators, mainly to tell dry plants apart'),
  plantsToSave: null,
};

/** Crops that only neighbours grow, for what they could cross with. */
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
];
