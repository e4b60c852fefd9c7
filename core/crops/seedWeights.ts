import { GENERAL } from './cucurbits';
import { handbook, ours, type Fact, type Range } from './facts';
import type { Crop, CropId } from './types';

const perGram = (least: number, most: number) => handbook<Range>([least, most], GENERAL);
const about = (least: number, most: number) => ours<Range>([least, most], 'seed weights differ widely');

const SEEDS_PER_G: Readonly<Record<CropId, Fact<Range> | null>> = {
  'squash-pepo': perGram(5, 10),
  'squash-maxima': perGram(2, 5),
  'squash-moschata': perGram(8, 12),
  'squash-argyrosperma': about(3, 7),
  melon: perGram(30, 45),
  watermelon: perGram(8, 30),
  cucumber: perGram(30, 40),
  'bottle-gourd': about(4, 8),
  luffa: about(9, 15),
  'luffa-ridged': about(7, 12),
  'bitter-gourd': about(4, 8),
  corn: perGram(3, 8),
  tomato: perGram(250, 400),
  pepper: perGram(120, 180),
  aubergine: perGram(200, 250),
  potato: about(1200, 2000),
  strawberry: null,
  'alpine-strawberry': about(2000, 3500),
  lettuce: about(600, 1200),
  bean: about(2, 5),
  pea: about(3, 6),
};

/** Seeds in a gram, as a range that the grower's own count should replace; `null` for a crop not grown from seed. */
export function seedsPerGram(crop: CropId): Fact<Range> | null {
  return SEEDS_PER_G[crop];
}

/** Seeds in a fruit of a crop of which none is kept but that of a cross: strawberries, kept by runners else. */
const CROSSED_SEEDS: Readonly<Partial<Record<CropId, Fact<Range>>>> = {
  strawberry: ours<Range>([80, 200], 'of one berry'),
};

/**
 * Seeds in a good fruit, those of a cross where else none are kept; `null`: none.
 * @example seedsInOne(cropOf('corn')).value // [200, 600]
 */
export function seedsInOne(crop: Pick<Crop, 'id' | 'seedsPerFruit'>): Fact<Range> | null {
  return crop.seedsPerFruit ?? CROSSED_SEEDS[crop.id] ?? null;
}

/**
 * The middle of a range, to reckon with where one number is needed.
 * @example middleOf([30, 45]) // 37.5
 */
export function middleOf([least, most]: Range): number {
  return (least + most) / 2;
}
