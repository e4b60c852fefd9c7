import { GENERAL } from './cucurbits';
import { handbook, type Fact } from './facts';
import type { CropId } from './types';

const perGram = (value: number) => handbook(value, GENERAL);

/** Seeds in a gram, about; `null` where no seed is kept. The grower's own count should replace it. */
const SEEDS_PER_G: Readonly<Record<CropId, Fact<number> | null>> = {
  'squash-pepo': perGram(8),
  'squash-maxima': perGram(4),
  'squash-moschata': perGram(10),
  'squash-argyrosperma': perGram(5),
  melon: perGram(40),
  watermelon: perGram(15),
  cucumber: perGram(35),
  'bottle-gourd': perGram(6),
  luffa: perGram(12),
  'luffa-ridged': perGram(10),
  'bitter-gourd': perGram(6),
  corn: perGram(4),
  tomato: perGram(350),
  pepper: perGram(150),
  aubergine: perGram(230),
  potato: perGram(1600),
  strawberry: null,
};

export function seedsPerGram(crop: CropId): Fact<number> | null {
  return SEEDS_PER_G[crop];
}
