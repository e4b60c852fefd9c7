import type { Season } from '../bloom';
import type { Crop } from '../crops';
import { workTime } from '../fruitset';
import type { Mornings, State } from '../ledger';
import { morningsOf, plantsOfStand, type Growing } from '../patch';
import { daysBetween, type LocalDate } from '../time';
import { OPEN_END } from './goalPlan';
import { morningsAhead, wetFor } from './mornings';

/** Until when work still ripens. */
export interface TimeLeft {
  /** The last day on which a pollination still ripens in time. */
  readonly lastUsefulOn: LocalDate | null;
  readonly morningsLeft: number | null;
}

/** How many mornings are left on which a pollination still ripens in time. */
export function timeLeft(lastUsefulOn: LocalDate | null, season: Season, today: LocalDate): TimeLeft {
  if (season.over) return { lastUsefulOn, morningsLeft: 0 };
  return {
    lastUsefulOn,
    morningsLeft: lastUsefulOn === null ? null : Math.max(0, daysBetween(today, lastUsefulOn) + 1),
  };
}

/** What of each morning left will be worked, and the flowers of one for which there is time. */
export function mornings(
  state: State,
  { crop, stand }: Growing,
  today: LocalDate,
  of: Pick<TimeLeft, 'morningsLeft'> & {
    readonly plants: number;
    readonly flowering: number;
    readonly wet: readonly LocalDate[];
  },
): { readonly ahead: readonly number[]; readonly inTime: number } {
  const comes = morningsOf(state);
  return {
    ahead: morningsAhead(comes, today, of.morningsLeft ?? OPEN_END, wetFor(state, stand, crop, of.wet)),
    inTime: inMinutes(state, crop, comes, of.plants, of.flowering),
  };
}

/**
 * Of the flowers of a morning those for which there is time, where a morning may only take so long: plants of other stands with a goal
 * want their part of it, and are taken to flower as these do.
 */
function inMinutes(
  state: State,
  crop: Crop,
  { minutes }: Mornings,
  plants: number,
  flowering: number,
): number {
  if (minutes === null || flowering === 0) return flowering;
  const all = [...state.stands.values()].reduce(
    (sum, { id, goal }) => sum + (goal ? plantsOfStand(state, id).filter(({ ended }) => !ended).length : 0),
    0,
  );
  const wanted = flowering * (Math.max(all, plants) / plants) * workTime(state, crop).minutes;
  return flowering * Math.min(1, minutes / wanted);
}
