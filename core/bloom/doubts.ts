import { cropOf, sexesOf, stageRank, type CropId, type Sex, type Stage } from '../crops';
import type { Flower } from '../ledger';
import { daysBetween, localDateOf } from '../time';

/** What a grower is about to write down. */
export interface Observation {
  readonly crop: CropId;
  readonly sex: Sex;
  readonly stage: Stage;
  readonly ovaryMm?: number | null;
  /** When it was seen, epoch ms. */
  readonly at: number;
}

/** Why a sighting is asked about before it is written. */
export type DoubtReason =
  | 'not-this-crop'
  | 'male-with-ovary'
  | 'seen-later'
  | 'grown-younger'
  | 'other-sex'
  | 'too-quick'
  | 'node-taken'
  | 'ovary-size';

/** A question back: something that cannot be, or hardly. The grower decides; nothing is refused. */
export interface Doubt {
  readonly reason: DoubtReason;
  readonly field: 'sex' | 'stage' | 'ovaryMm' | 'at' | 'node';
  readonly words: string;
}

/** An ovary longer than this on the day before it opens is a fruit [M]. */
const MOST_OVARY_MM = 150;

/**
 * What speaks against an observation, or `null`. `before` is the same bud's record, where there is one; `now` epoch ms
 * and `zone` that of the patch.
 */
export function doubtAbout(
  seen: Observation,
  before: Flower | null,
  now: number,
  zone: string,
): Doubt | null {
  const crop = cropOf(seen.crop);
  if (!sexesOf(crop).includes(seen.sex))
    return {
      reason: 'not-this-crop',
      field: 'sex',
      words: `The flowers of ${crop.plural} are ${sexesOf(crop).join(' and ')}; none is ${seen.sex}. Which crop is it?`,
    };
  if (seen.ovaryMm !== undefined && seen.ovaryMm !== null) {
    if (seen.sex === 'male')
      return {
        reason: 'male-with-ovary',
        field: 'ovaryMm',
        words:
          'A male has no ovary to measure. If there is a swelling below the petals, it is a female. Which is it?',
      };
    if (seen.ovaryMm > MOST_OVARY_MM && stageRank(seen.stage) < stageRank('open'))
      return {
        reason: 'ovary-size',
        field: 'ovaryMm',
        words: `${Math.round(seen.ovaryMm)} mm is long for an ovary before it opens. Is it millimetres, and is the flower still to open?`,
      };
  }
  // A minute of grace: two clocks seldom agree.
  if (seen.at > now + 60_000)
    return {
      reason: 'seen-later',
      field: 'at',
      words: 'That is later than now. A flower can only be written down once it was seen. When was it?',
    };
  const last = before?.sightings[before.sightings.length - 1];
  if (!before || !last) return null;
  if (before.sex !== seen.sex)
    return {
      reason: 'other-sex',
      field: 'sex',
      words: `This bud was written down as ${before.sex} before. Is it the same bud, and what is it?`,
    };
  const days = daysBetween(localDateOf(Date.parse(last.at), zone), localDateOf(seen.at, zone));
  const grown = stageRank(seen.stage) - stageRank(last.stage);
  if (days >= 0 && grown < 0)
    return {
      reason: 'grown-younger',
      field: 'stage',
      words: `It was ${last.stage} already when seen before; buds don’t grow younger. Is it the same bud?`,
    };
  if (days === 0 && grown >= 2)
    return {
      reason: 'too-quick',
      field: 'stage',
      words: `Earlier today it was ${last.stage}. From there to ${seen.stage} within a day is quick. Is it the same bud?`,
    };
  return null;
}

/**
 * Whether a flower of that sex stands at a node already, so that a second one written there may be the same: asked about. `flowers`
 * are the plant's; those lost or picked leave the node free.
 * @example nodeTaken({ sex: 'female', node: null }, [female]) // null
 */
export function nodeTaken(
  sight: { readonly sex: Sex; readonly node: number | null },
  flowers: readonly Flower[],
): Doubt | null {
  if (sight.node === null || sight.sex === 'male') return null;
  const taken = flowers.some(
    ({ sex, node, lost, harvested }) => sex === sight.sex && node === sight.node && !lost && !harvested,
  );
  return taken
    ? {
        reason: 'node-taken',
        field: 'node',
        words: `Node ${sight.node} has a ${sight.sex === 'perfect' ? 'flower' : 'female'} already. Is this another one?`,
      }
    : null;
}
