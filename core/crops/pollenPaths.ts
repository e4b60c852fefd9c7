import { cropOf } from './catalogue';
import { isOwnCrop, type CrossingKind } from './crossing';
import { handbook, ours, practice, type Fact, type Range } from './facts';
import { neighbourCrops, type CarriedBy } from './neighbours';

/** What carries the pollen of a crop; mixed: it selfs mostly, and insects carry the rest. */
export type PollenPath = CarriedBy | 'mixed';

const GENERAL = 'general texts on seed saving';
const STIGMA_OUT = practice<PollenPath>(
  'mixed',
  'where the stigma sticks out about one seed in twenty is crossed',
);

const POTATO = practice<PollenPath>('mixed', 'the stigma stands out of its cone: bumblebees cross some');
const ALPINE = ours<PollenPath>('mixed', 'it selfs mostly, and insects carry the rest');

/**
 * What carries the pollen of a kind.
 * @example pollenPath({ crop: 'corn' }).value // 'wind'
 */
export function pollenPath({ crop, stigmaOut }: CrossingKind): Fact<PollenPath> {
  if (!isOwnCrop(crop)) {
    const { carriedBy } = neighbourCrops.find(({ id }) => id === crop) as (typeof neighbourCrops)[number];
    return carriedBy;
  }
  switch (cropOf(crop).family) {
    case 'cucurbit':
      return handbook('insects', GENERAL);
    case 'strawberry':
      return crop === 'alpine-strawberry' ? ALPINE : handbook('insects', GENERAL);
    case 'corn':
      return handbook('wind', GENERAL);
    case 'quiet':
      return handbook('self', GENERAL);
    case 'nightshade':
      if (crop === 'pepper' || crop === 'aubergine') return handbook('mixed', GENERAL);
      if (crop === 'potato') return POTATO;
      return stigmaOut ? STIGMA_OUT : handbook('self', GENERAL);
  }
}

/** The home-scale range of distances between kinds that cross, m; `null` where nobody keeps it from seed (strawberry). */
export function isolationRange({ crop, stigmaOut }: CrossingKind): Fact<Range> | null {
  if (!isOwnCrop(crop)) return neighbourCrops.find(({ id }) => id === crop)?.isolationM ?? null;
  // Pollination of both sorts takes the larger range: that of the peppers, which are worked by the same bees.
  return stigmaOut ? cropOf('pepper').isolationM : cropOf(crop).isolationM;
}
