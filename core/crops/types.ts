import type { Fact, Range } from './facts';

export const CROP_IDS = [
  'squash-pepo',
  'squash-maxima',
  'squash-moschata',
  'squash-argyrosperma',
  'melon',
  'watermelon',
  'cucumber',
  'bottle-gourd',
] as const;
export type CropId = (typeof CROP_IDS)[number];

export const SEXES = ['female', 'male'] as const;
export type Sex = (typeof SEXES)[number];

export const STAGES = ['pin', 'green', 'coloured', 'open', 'spent'] as const;
export type Stage = (typeof STAGES)[number];

export const REASONS = ['seed', 'fruit', 'cross'] as const;
export type Reason = (typeof REASONS)[number];

export const CLOSURES = ['tape', 'mesh-bag', 'cloth-bag', 'tie'] as const;
export type Closure = (typeof CLOSURES)[number];

export const TOOLS = ['male-flower', 'brush', 'swab', 'finger'] as const;
export type Tool = (typeof TOOLS)[number];

export const FRUIT_SHAPES = ['round', 'long', 'necked', 'bottle', 'ribbed'] as const;
export type FruitShape = (typeof FRUIT_SHAPES)[number];

/** What a bud of this stage looks like, when it opens, in words for the walk. */
export interface StageFacts {
  readonly name: string;
  readonly looks: string;
  /** Days until it opens; 0 = today, negative = was open. */
  readonly opensInDays: Fact<Range>;
}

export interface OpenClock {
  readonly round: 'dawn' | 'dusk';
  /** Minutes after sunrise (dawn) or sunset (dusk); negative = before. */
  readonly opensMin: Fact<number>;
  /** Minutes after the sunrise that follows the opening. */
  readonly closesAfterSunriseMin: Fact<number>;
}

export interface Look {
  readonly day: number;
  readonly expect: string;
}

export interface Crop {
  readonly id: CropId;
  readonly name: string;
  readonly plural: string;
  readonly botanical: string;
  readonly kinds: string;
  readonly sexSystem: Fact<'monoecious' | 'andromonoecious'>;
  readonly sexing: Fact<string>;
  readonly petals: 'yellow' | 'white';
  readonly usualShape: FruitShape;
  readonly stages: Readonly<Record<Stage, StageFacts>>;
  readonly clock: OpenClock;
  readonly closures: readonly Closure[];
  readonly tools: readonly Tool[];
  readonly malesPerFemale: Fact<Range>;
  /** Days after pollination on which a look tells something; the last is the latest at which a verdict is owed. */
  readonly looks: Fact<readonly Look[]>;
  /** From this day "growing" counts as set. */
  readonly verdictDay: Fact<number>;
  readonly minutesPerFemale: Fact<number>;
  readonly daysToEat: Fact<Range>;
  readonly daysToSeed: Fact<Range>;
  readonly seedsPerFruit: Fact<Range>;
  readonly spacingM: Fact<{ readonly row: number; readonly plant: number }>;
  readonly caution: string;
}
