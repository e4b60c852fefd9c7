import { ripeLooks } from '@core/crops';
import type { RipeSeed } from '@core/goals';
import { plural } from '../words';

/** How far a seed fruit is, by its days: what is usual, not what was seen. */
export function ripeLine({ day, why, wants, growing: { crop } }: RipeSeed): string {
  if (wants !== null)
    return `Day ${day}: by the usual days its seed wants ${plural(wants, 'day')} more at the least`;
  if (why === 'frost' && crop.id.startsWith('squash'))
    return `Day ${day}: old enough to ripen on indoors, 3 to 8 weeks at 15 to 20 C`;
  return `Day ${day}: by the usual days its seed is ripe`;
}

/** By what ripe fruit of its crop is told. */
export function ripeWords({ growing: { crop } }: RipeSeed): string {
  return `Ripe ${crop.plural}: ${ripeLooks(crop)?.value ?? ''} Read the mark as you pick.`;
}
