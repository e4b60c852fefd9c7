import type { Crop } from '../crops';
import type { Mornings, Stand, State } from '../ledger';
import { comesOn, shelterOn } from '../patch';
import { addDays, daysBetween, type LocalDate } from '../time';

/** The part of a wet morning's flowers that is lost, by how far ahead its rain is foretold: the nearer, the surer [M]. */
const LOST_WET = [0.5, 0.5, 0.4, 0.3] as const;

/** The day of the round for which a flower is shut this evening. */
export const nextRoundOf = (crop: Pick<Crop, 'clock'>, date: LocalDate): LocalDate =>
  crop.clock.round === 'dusk' ? date : addDays(date, 1);

/**
 * Of so many mornings after today the part of their flowers that will be worked: none of a morning on which nobody comes, less of one that
 * is foretold to be wet, where the stand is not under a roof.
 * @example morningsAhead({ weekdays: null, minutes: null, told: { '2026-07-15': false } }, '2026-07-13', 3, []) // [1, 0, 1]
 */
export const morningsAhead = (
  mornings: Mornings,
  today: LocalDate,
  count: number,
  wet: readonly LocalDate[],
): number[] =>
  Array.from({ length: count }, (_, i) => addDays(today, i + 1)).map((date) =>
    comesOn(mornings, date) ? 1 - (wet.includes(date) ? lostOn(date, today) : 0) : 0,
  );

const lostOn = (date: LocalDate, today: LocalDate): number =>
  LOST_WET[Math.min(daysBetween(today, date), LOST_WET.length - 1)] as number;

/** The wet mornings that a stand feels: none under a roof, nor where its flowers are worked at dusk. */
export function wetFor(
  state: Pick<State, 'beds'>,
  { bed }: Pick<Stand, 'bed'>,
  { clock }: Pick<Crop, 'clock'>,
  wet: readonly LocalDate[],
): readonly LocalDate[] {
  if (clock.round === 'dusk') return [];
  const found = state.beds.get(bed);
  return wet.filter((date) => {
    const roof = found && shelterOn(found, date)?.shelter;
    return roof !== 'tunnel' && roof !== 'closed-house' && roof !== 'indoors';
  });
}
