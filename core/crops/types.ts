import type { Fact, Range } from './facts';

/** The crops that are pollinated by hand. Ids are stored: none is ever renamed. */
export const ROUND_CROP_IDS = [
  'squash-pepo',
  'squash-maxima',
  'squash-moschata',
  'squash-argyrosperma',
  'melon',
  'watermelon',
  'cucumber',
  'bottle-gourd',
  'luffa',
  'luffa-ridged',
  'bitter-gourd',
  'corn',
  'tomato',
  'pepper',
  'aubergine',
  'potato',
  'strawberry',
  'alpine-strawberry',
] as const;
/** And those that self, for a place in the patch. */
export const CROP_IDS = [...ROUND_CROP_IDS, 'lettuce', 'bean', 'pea'] as const;
export type CropId = (typeof CROP_IDS)[number];

/** How a crop's flowers are built: what the drawings, the key and the advice go by. quiet: selfs in a shut flower, has no rounds. */
export const FAMILIES = ['cucurbit', 'corn', 'nightshade', 'strawberry', 'quiet'] as const;
export type Family = (typeof FAMILIES)[number];

/** `perfect`: stamens and pistil in one flower. In corn the ear shoot is the female, the tassel the male. */
export const SEXES = ['female', 'male', 'perfect'] as const;
export type Sex = (typeof SEXES)[number];

/**
 * monoecious: male and female flowers on one plant. andromonoecious: the "female" has anthers too. gynoecious: nearly
 * all female. parthenocarpic: fruit without pollen. perfect: both in one flower.
 */
export const SEX_SYSTEMS = [
  'monoecious',
  'andromonoecious',
  'gynoecious',
  'parthenocarpic',
  'perfect',
] as const;
export type SexSystem = (typeof SEX_SYSTEMS)[number];

/** The same five steps for every flower, in order of age; each crop has its own words for them. */
export const STAGES = ['pin', 'green', 'coloured', 'open', 'spent'] as const;
export type Stage = (typeof STAGES)[number];

/** What a stand is grown for. */
export const REASONS = ['seed', 'fruit', 'cross'] as const;
export type Reason = (typeof REASONS)[number];

/** The three times at which a stand kept for seed is looked over for plants that are not true to the variety. */
export const ROGUE_STAGES = ['seedling', 'before-flower', 'fruit'] as const;
export type RogueStage = (typeof ROGUE_STAGES)[number];

/** Ways to keep insects out of a flower. */
export const CLOSURES = ['tape', 'mesh-bag', 'cloth-bag', 'tie', 'shoot-bag', 'tassel-bag'] as const;
export type Closure = (typeof CLOSURES)[number];

/** What carries pollen. */
export const TOOLS = [
  'male-flower',
  'brush',
  'swab',
  'finger',
  'vibration',
  'shaking',
  'fan',
  'anthers',
  'pouring',
] as const;
export type Tool = (typeof TOOLS)[number];

/** Shapes of fruit that can be drawn. */
export const FRUIT_SHAPES = ['round', 'long', 'necked', 'bottle', 'ribbed'] as const;
export type FruitShape = (typeof FRUIT_SHAPES)[number];

/** What a bud of this stage looks like, when it opens, in words for the walk. */
export interface StageFacts {
  /** This crop's own short word for the stage. */
  readonly name: string;
  readonly looks: string;
  /** Days until it opens (corn: silks out, tassel shedding); 0 = today, negative = was open. */
  readonly opensInDays: Fact<Range>;
}
/** The five stages as one crop shows them. */
export type StageTable = Readonly<Record<Stage, StageFacts>>;

/**
 * When a flower is open. A morning's end hangs on the sun's height, so on solar noon: from sunrise on a northern midsummer
 * morning would end in the small hours.
 */
export type OpenClock =
  | {
      readonly round: 'dawn';
      /** Minutes after sunrise; negative = before. */
      readonly opensMin: Fact<number>;
      /** Minutes before solar noon until which it takes pollen best; negative = after. */
      readonly bestBeforeNoonMin: Fact<number>;
      /** Minutes before solar noon by which it has shut, or its pollen is spent; negative = after. */
      readonly shutBeforeNoonMin: Fact<number>;
    }
  | {
      readonly round: 'dusk';
      /** Minutes after sunset; negative = before. */
      readonly opensMin: Fact<number>;
      /** Minutes after the sunrise that follows. */
      readonly shutAfterSunriseMin: Fact<number>;
    };

/** A day after pollination on which to look, and what to see then. */
export interface Look {
  readonly day: number;
  readonly expect: string;
}

/** All that the catalogue says of one crop. */
export interface Crop {
  readonly id: CropId;
  readonly family: Family;
  readonly name: string;
  readonly plural: string;
  readonly botanical: string;
  readonly kinds: string;
  /** What the flowers of most varieties are; a variety may say otherwise, within `otherSystems`. */
  readonly sexSystem: Fact<SexSystem>;
  readonly otherSystems: Fact<readonly SexSystem[]> | null;
  readonly sexing: Fact<string>;
  readonly petals: 'yellow' | 'white' | 'purple' | 'none';
  readonly usualShape: FruitShape;
  /** The stages of each sex that the crop has. */
  readonly flowers: Readonly<Partial<Record<Sex, StageTable>>>;
  readonly clock: OpenClock;
  /** Below this temperature anthers stay shut, though the flower may be open; `null` where nobody says. */
  readonly pollenFromC: Fact<number> | null;
  readonly closures: readonly Closure[];
  readonly tools: readonly Tool[];
  readonly malesPerFemale: Fact<Range>;
  /** Days after pollination on which a look tells something; the last is the latest at which a verdict is owed. */
  readonly looks: Fact<readonly Look[]>;
  /** From this day "growing" counts as set. */
  readonly verdictDay: Fact<number>;
  /** Stands for years; `null`: an annual, or grown as one. */
  readonly perennial: Fact<true> | null;
  readonly minutesPerFemale: Fact<number>;
  /** Share of hand-pollinated flowers that set, before a grower has records of their own. */
  readonly setShare: Fact<number>;
  /** Female (or perfect) flowers, or ears, that a plant opens a day in season. */
  readonly femalesADay: Fact<Range>;
  /** Days from opening (or from being laid bare) for which a stigma takes pollen; `null` where it is that day's alone. */
  readonly stigmaDays: Fact<Range> | null;
  /** Days for which its pollen, kept dry, is good after the flower opened; `null`: that morning only (corn: minutes to hours). */
  readonly pollenDays: Fact<Range> | null;
  /** Days from pollination; `null` where it is not eaten or not kept for seed. */
  readonly daysToEat: Fact<Range> | null;
  /** The same for varieties picked young (courgette, snake melon, green pepper); `null` where none are. */
  readonly daysToEatYoung: Fact<Range> | null;
  /** How most varieties are picked, where some are picked young; `null` else. */
  readonly usuallyPicked: Fact<'young' | 'ripe'> | null;
  readonly daysToSeed: Fact<Range> | null;
  readonly seedsPerFruit: Fact<Range> | null;
  /** Home-scale range; the isolation of a stand chooses within it. */
  readonly isolationM: Fact<Range> | null;
  /** Plants to save seed from: just viable, to keep a variety, to conserve it (each a range). */
  readonly plantsToSave: Fact<{ viable: Range; keep: Range; conserve: Range }> | null;
  readonly spacingM: Fact<{ readonly row: number; readonly plant: number }>;
  readonly caution: string;
}
