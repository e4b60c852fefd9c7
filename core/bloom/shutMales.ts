import type { Flower, State } from '../ledger';
import type { Growing } from '../patch';
import type { LocalDate } from '../time';
import { dueOn } from './dueOn';

/**
 * Males of a plant that were shut to open on `date`, and may serve as fathers.
 * @example shutMales(state, mother, '2026-07-06', zone).length // 0
 */
export function shutMales(state: State, { plant, crop }: Growing, date: LocalDate, zone: string): Flower[] {
  const males: Flower[] = [];
  // One found not true to its variety ends as a father.
  if (plant.offType !== null) return males;
  for (const id of state.flowersOf.get(plant.id) ?? []) {
    const flower = state.flowers.get(id);
    if (flower?.sex === 'male' && dueOn(state, flower, crop, zone) === date) males.push(flower);
  }
  return males;
}
