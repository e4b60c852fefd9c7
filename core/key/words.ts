import { cropOf, stageFacts, type Crop, type Sex, type Stage } from '../crops';
import type { Entry } from './types';

/**
 * `coloured female`, `ear shoot: silk out`, `pale, parting flower`: an entry by name.
 * @example entryName({ crop: 'squash-maxima', sex: 'female', stage: 'coloured' }) // 'coloured female'
 */
export function entryName({ crop, sex, stage }: Pick<Entry, 'crop' | 'sex' | 'stage'>): string {
  const found = cropOf(crop);
  const name = stageFacts(found, sex, stage)?.name ?? stage;
  if (found.family === 'corn') return `${sex === 'male' ? 'tassel' : 'ear shoot'}: ${name}`;
  if (sex === 'perfect') return `${name} flower`;
  return `${name} ${sex}`;
}

/** The mistake that learners make here, in words. */
export function usualConfusion({ crop, sex, stage }: Pick<Entry, 'crop' | 'sex' | 'stage'>): string {
  return confusion(cropOf(crop), sex, stage);
}

function confusion(crop: Crop, sex: Sex, stage: Stage): string {
  const { family, petals } = crop;
  if (family === 'corn') {
    if (sex === 'male')
      return stage === 'open' || stage === 'coloured'
        ? 'A spread tassel is often taken for a shedding one: tap it over your hand, only dust counts.'
        : 'A tight tassel gives no pollen yet, however tall it stands.';
    return stage === 'open'
      ? 'A few silks are easily overlooked under the husk tip: look from the side.'
      : 'A plump shoot is often left for tomorrow; silk can be out by then, and it is too late.';
  }
  if (sex === 'perfect') {
    if (stage === 'open')
      return 'An open flower is often taken as a mother: it has pollinated itself already.';
    return 'Green petals are often taken for ready ones: wait until they pale and just part.';
  }
  switch (stage) {
    case 'pin':
      return 'A pin is easily passed over; its sex can be read already.';
    case 'green':
      return `The usual mistake is to take it for coloured: no ${petals} along the petals means not tomorrow.`;
    case 'coloured':
      return `The usual mistake is to take a green one for it: look for ${petals} along the petals${sex === 'female' ? ' and a clearly larger ovary' : ''}.`;
    case 'open':
      return 'A flower that shut again after a morning can look like a bud: it is limp, a bud is firm.';
    case 'spent':
      return 'A wilted flower shuts again and can be taken for a bud: a bud is firm and pointed.';
  }
}
