import { practice, type Fact } from './facts';
import type { Crop } from './types';

const SQUASH = 'The rind takes no dent from a thumbnail, the colour is full, the stalk is dry and corky.';
const SHELL = 'The shell is light, brown and dry, and its seeds rattle.';

const LOOKS: Partial<Record<Crop['id'], string>> = {
  'squash-pepo': `${SQUASH} A courgette has become a marrow with a hard skin.`,
  'squash-maxima': SQUASH,
  'squash-moschata': SQUASH,
  'squash-argyrosperma': SQUASH,
  melon:
    'A crack runs round the stalk and it comes off at a touch; kinds that do not slip turn colour and smell sweet.',
  watermelon:
    'The tendril beside its stalk is dry, the patch on which it lies is yellow, and the shine has gone.',
  cucumber: 'Fat, soft and yellow to orange: far past eating.',
  'bottle-gourd': SHELL,
  luffa: SHELL,
  'luffa-ridged': SHELL,
  'bitter-gourd': 'Orange, and about to split.',
  corn: 'The husk is dry, the kernels are hard, and at the foot of each is a black layer.',
  tomato: 'Full colour and soft, ripe to eat and a little past it.',
  pepper: 'The last colour of its variety, all over; the skin begins to wrinkle.',
  aubergine: 'Dull and yellow-brown: far past eating.',
  potato: 'The berry is pale and soft, and comes off by itself. It is poisonous: not for eating.',
};

/**
 * What a fruit looks like whose seed is ripe; `null` where no seed is kept. Common practice.
 * @example ripeLooks(cropOf('cucumber'))?.value // 'Fat, soft and yellow to orange: far past eating.'
 */
export function ripeLooks({ id }: Pick<Crop, 'id'>): Fact<string> | null {
  const looks = LOOKS[id];
  return looks === undefined ? null : practice(looks);
}
