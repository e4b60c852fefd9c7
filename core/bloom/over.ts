import type { Crop } from '../crops';
import type { Growing } from '../patch';
import type { OpenWindow } from './morning';
import type { BloomDay } from './windows';

/** Where nothing that opens at dawn says when the morning is over: so long after sunrise [M]. */
const MORNING_MS = 6 * 3_600_000;

/**
 * Whether a window is past, to come or open at `now`.
 * @example windowNow({ opens: 10, closes: 20 }, 20) // 'over'
 */
export function windowNow(
  { opens, closes }: Pick<OpenWindow, 'opens' | 'closes'>,
  now: number,
): 'before' | 'open' | 'over' {
  return now < opens ? 'before' : now < closes ? 'open' : 'over';
}

/**
 * Those of what grows here that keep hours: vines, and corn that is pollinated by hand; fruit by brush has all day.
 * @example keepingHours([mother]).length // 1
 */
export function keepingHours(order: readonly Growing[]): readonly Growing[] {
  return order.filter(
    ({ crop, stand }) => crop.family === 'cucurbit' || (crop.family === 'corn' && stand.reason !== 'fruit'),
  );
}

/** Whether a morning is over for these crops: the last of those that open at dawn has shut. */
export function morningOver(morning: BloomDay, crops: Iterable<Crop>, now: number): boolean {
  const ends = [...crops]
    .filter(({ clock }) => clock.round === 'dawn')
    .map((crop) => morning.window(crop).closes);
  return now >= (ends.length > 0 ? Math.max(...ends) : morning.day.sunrise + MORNING_MS);
}
