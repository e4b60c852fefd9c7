import { shutMales } from '../bloom';
import { femalesPerMale } from '../goals';
import type { Place, State } from '../ledger';
import { walkOrder } from '../patch';
import type { PollenMale, PollenMatch } from '../planning';
import type { LocalDate } from '../time';
import { givesPollen, inHand, maleUses } from './stops';

/**
 * Shut, whole males that open on a date and have pollen left, of every variety.
 * @example freeMales(state, place, '2026-07-06') // []
 */
export function freeMales(state: State, place: Place, date: LocalDate): PollenMale[] {
  const uses = maleUses(state, date, place.zone);
  return walkOrder(state).flatMap((growing) => {
    const most = femalesPerMale(state, growing.crop);
    return shutMales(state, growing, date, place.zone).flatMap((male): PollenMale | [] => {
      const serves = most - (uses.get(male.id) ?? 0);
      return givesPollen(state, male, date, place.zone) && serves > 0
        ? {
            id: male.id,
            plant: growing.plant.id,
            variety: growing.variety.id,
            pure: true,
            serves,
            picked: inHand(male, date, place.zone),
          }
        : [];
    });
  });
}

/** Reserved males stay for seed; what is shut beyond them may go to the kitchen. */
export function surplusMales(state: State, place: Place, date: LocalDate, match: PollenMatch): PollenMale[] {
  const reserved = new Set(match.pairs.map(({ male }) => male));
  return freeMales(state, place, date).filter(({ id }) => !reserved.has(id));
}
