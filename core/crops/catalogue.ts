import { cucurbits } from './cucurbits';
import { otherCrops } from './otherCrops';
import { quietCrops } from './quietCrops';
import {
  STAGES,
  type Closure,
  type Crop,
  type CropId,
  type Sex,
  type SexSystem,
  type Stage,
  type StageFacts,
  type StageTable,
} from './types';

/** All crops that are worked by hand, in the order in which they are offered. */
export const catalogue: readonly Crop[] = [...cucurbits, ...otherCrops];

/** All crops that can stand in a patch. */
export const standCrops: readonly Crop[] = [...catalogue, ...quietCrops];

/**
 * Whether flowers of the crop are shut or worked by hand at all.
 * @example hasRounds(cropOf('lettuce')) // false
 */
export const hasRounds = (crop: Crop): boolean => crop.family !== 'quiet';

const byId = new Map<CropId, Crop>(standCrops.map((crop) => [crop.id, crop]));

/** The catalogue's entry. Every `CropId` has one (a test holds that). */
export function cropOf(id: CropId): Crop {
  return byId.get(id) as Crop;
}

/**
 * The sexes a crop's flowers can have, the one that bears fruit first.
 * @example sexesOf(cropOf('corn')) // ['female', 'male']
 */
export function sexesOf(crop: Crop): readonly Sex[] {
  return (['female', 'perfect', 'male'] as const).filter((sex) => crop.flowers[sex] !== undefined);
}

/**
 * What the catalogue says of a flower; `null` where the crop has no flower of that sex.
 * @example stageFacts(cropOf('squash-pepo'), 'female', 'coloured').name // 'coloured'
 */
export function stageFacts(crop: Crop, sex: Sex, stage: Stage): StageFacts | null {
  return crop.flowers[sex]?.[stage] ?? null;
}

/** A table of stages for what is said of a crop at large: that of its fruit-bearing flower. */
export function stagesOf(crop: Crop, sex: Sex = sexesOf(crop)[0] as Sex): StageTable {
  return (crop.flowers[sex] ?? crop.flowers[sexesOf(crop)[0] as Sex]) as StageTable;
}

/**
 * The kinds of flowering a variety of this crop can have, the usual one first.
 * @example systemsOf(cropOf('squash-pepo')) // ['monoecious', 'parthenocarpic']
 */
export function systemsOf(crop: Crop): readonly SexSystem[] {
  return [crop.sexSystem.value, ...(crop.otherSystems?.value ?? [])];
}

/**
 * What a flower of this sex can be shut with, the usual first. Corn has a bag of its own for each.
 * @example closuresFor(cropOf('corn'), 'male') // ['tassel-bag']
 */
export function closuresFor(crop: Crop, sex: Sex): readonly Closure[] {
  if (crop.family === 'corn') return [sex === 'male' ? 'tassel-bag' : 'shoot-bag'];
  return crop.closures;
}

/**
 * How far on a stage is: 0 for `pin` to 4 for `spent`.
 * @example stageRank('open') // 3
 */
export function stageRank(stage: Stage): number {
  return STAGES.indexOf(stage);
}
