import { middleOf } from './seedWeights';
import { ours, practice, type Fact, type Range } from './facts';
import type { Crop, CropId, SexSystem } from './types';

const COURGETTE = ours<Range>([40, 50], 'days from sowing, where nobody has noted it');
const VINE = ours<Range>([45, 65], 'days from sowing, where nobody has noted it');
/** Days from sowing to the first female flower, silk or perfect flower; absent where plants stand for years or come from tubers. */
export const DAYS_TO_FLOWER: Readonly<Partial<Record<CropId, Fact<Range>>>> = {
  'squash-pepo': COURGETTE,
  'squash-maxima': VINE,
  'squash-moschata': VINE,
  'squash-argyrosperma': VINE,
  melon: VINE,
  watermelon: VINE,
  cucumber: COURGETTE,
  'bottle-gourd': VINE,
  luffa: VINE,
  'luffa-ridged': VINE,
  'bitter-gourd': VINE,
  corn: ours<Range>([55, 80], 'days from sowing to silk, by kind'),
  tomato: ours<Range>([60, 80], 'days from sowing, where nobody has noted it'),
  pepper: ours<Range>([80, 100], 'days from sowing, where nobody has noted it'),
  aubergine: ours<Range>([80, 100], 'days from sowing, where nobody has noted it'),
};

/** Days in a pot before planting out, at most: corn is sown where it stands, vines are raised some three weeks, nightshades eight [M]. */
function raisedDays({ family }: Crop): number {
  if (family === 'cucurbit') return 21;
  return family === 'nightshade' ? 56 : 0;
}

/**
 * Share of its usual flowers that a plant bears so many days after it was planted (or sown in place), 0..1: none before the first can
 * be there, all of them when the first is due at the latest, in a straight line between [M].
 *
 * @example bearing(cropOf('corn'), 30) // 0
 */
export function bearing(crop: Crop, daysPlanted: number): number {
  const range = DAYS_TO_FLOWER[crop.id]?.value;
  if (!range) return 1;
  const [first, all] = range.map((days) => days - raisedDays(crop)) as [number, number];
  return Math.min(1, Math.max(0, (daysPlanted - first + 1) / (all - first + 1)));
}

/**
 * Females (or perfect flowers, or ears) that a plant opens on a day so long after planting: the middle of the range in season.
 * @example flowersADay(cropOf('squash-maxima'), 60) // 0.2
 */
export function flowersADay(crop: Crop, daysPlanted: number): number {
  return middleOf(crop.femalesADay.value) * bearing(crop, daysPlanted);
}

const USUAL = practice<Range>([3, 12], 'males first, often for a week or two, and more of them');
const CUCUMBER = practice<Range>([10, 12], 'cucumbers bear the most males');

/**
 * Males that open for one female in season; `null` where a flower is both, or where nearly all are female (then it has few males or
 * none, and a count says nothing).
 * @example malesToAFemale(cropOf('squash-maxima'), null).value // [3, 12]
 */
export function malesToAFemale(crop: Crop, system: SexSystem | null): Fact<Range> | null {
  if (crop.family !== 'cucurbit') return null;
  const kind = system ?? crop.sexSystem.value;
  if (kind === 'gynoecious') return null;
  return crop.id === 'cucumber' ? CUCUMBER : USUAL;
}

/** When a crop flowers. */
export interface BloomSpan {
  /** Days from planting (or sowing in place) to the first flowers, the earliest and the latest. */
  readonly firstAfter: Range;
  /** Days for which a stand flowers; `null`: on until the cold. */
  readonly lasts: number | null;
}

/** A plant of corn sheds for about a week, a block for two (common practice). */
const CORN_BLOCK_DAYS = 14;

/**
 * When a crop flowers after it was planted, where nobody has noted it; `null` where plants stand for years or come from tubers.
 * @example bloomSpan(cropOf('corn')) // { firstAfter: [55, 80], lasts: 14 }
 */
export function bloomSpan(crop: Crop): BloomSpan | null {
  const range = DAYS_TO_FLOWER[crop.id]?.value;
  if (!range) return null;
  const [first, last] = range.map((days) => days - raisedDays(crop)) as [number, number];
  return { firstAfter: [first, last], lasts: crop.family === 'corn' ? CORN_BLOCK_DAYS : null };
}
