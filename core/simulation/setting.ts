import type { Place } from '../ledger';
import { atLocalTime, type LocalDate } from '../time';

/** The device that the demo’s entries are from. */
export const DEMO_DEVICE = 'demo';
/** The made-up patch of the demo. Nobody in it lives, and none of its varieties is sold. */
export const DEMO_PLACE: Place = {
  name: 'Hollin Terraces',
  latitude: 46.2,
  longitude: 14.6,
  zone: 'Europe/Ljubljana',
};
/** The season that the demo shows. */
export const DEMO_SEED = 20_260_714;
/** The first garden day of the demo. */
export const DEMO_SEASON_START: LocalDate = '2026-05-16';
/** The garden day that the demo opens on. */
export const DEMO_TODAY: LocalDate = '2026-07-14';

/**
 * Where the demo clock starts: 05:05 on a morning in July, the round waiting. Epoch ms.
 * @example new Date(demoStart()).toISOString() // '2026-07-14T03:05:00.000Z'
 */
export function demoStart(): number {
  return atLocalTime(DEMO_TODAY, 5, 5, DEMO_PLACE.zone);
}
