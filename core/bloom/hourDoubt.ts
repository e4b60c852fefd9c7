import type { Crop } from '../crops';
import type { Place, State } from '../ledger';
import { localDateOf } from '../time';
import { eveningOf } from './roundDay';
import { bloomDayOf, NO_WEATHER, type WeatherOf } from './windows';

const MINUTE = 60_000;

/** Why a flower is hardly open now: it opens later, or has shut, and at about what time (epoch ms). */
export interface HourDoubt {
  readonly what: 'opens' | 'shut';
  readonly at: number;
}

/**
 * What the clock of a vine says against a flower that is worked open now: a shut one takes no pollen, and that of the morning is dead.
 * `null`: nothing, or a crop that keeps no hours. Asked back, never refused.
 * @example hourDoubt(state, place, crop, Date.UTC(2026, 6, 6, 17, 30))?.what // 'shut'
 */
export function hourDoubt(
  state: Pick<State, 'stands' | 'varieties' | 'patches'>,
  place: Place,
  crop: Crop,
  now: number,
  weatherOf: WeatherOf = NO_WEATHER,
): HourDoubt | null {
  if (crop.family !== 'cucurbit') return null;
  const date = crop.clock.round === 'dusk' ? eveningOf(now, place.zone) : localDateOf(now, place.zone);
  const day = bloomDayOf(state, place, date, weatherOf);
  const { opens, closes } = day.window(crop);
  const spread = day.spreadMin * MINUTE;
  if (now > closes + spread) return { what: 'shut', at: closes };
  return now < opens - spread ? { what: 'opens', at: opens } : null;
}
