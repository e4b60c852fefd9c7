import type { CropId } from '../crops';
import type { Flower } from '../ledger';

/** Fruit that grows heavy enough to tear its vine where it hangs (common practice). */
const HEAVY: ReadonlySet<CropId> = new Set([
  'squash-maxima',
  'squash-moschata',
  'squash-argyrosperma',
  'melon',
  'watermelon',
  'bottle-gourd',
]);
/** About an apple: from here on it is borne by something, before its weight is felt (common practice). */
const BORNE_FROM_MM = 75;

/** Whether a fruit has grown to a size at which something should bear it, and nobody said that anything does. */
export function wantsBearing(flower: Pick<Flower, 'looks' | 'propped'>, crop: CropId): boolean {
  if (flower.propped || !HEAVY.has(crop)) return false;
  const sizes = flower.looks.flatMap(({ sizeMm }) => sizeMm ?? []);
  return (sizes.at(-1) ?? 0) >= BORNE_FROM_MM;
}
