import type { Crop } from '../crops';
import type { Flower, State } from '../ledger';
import { mainPatch } from '../patch';
import { addDays, localDateOf, type LocalDate } from '../time';
import { gardenDay, openWindow } from './morning';
import { roundDateOf } from './roundDay';

/**
 * The garden day of whose round a shut flower is: `roundDateOf`, and for crops that open at dusk the next one where it was shut once
 * that dusk's flowers were open already and it was still a bud. `null` for a flower never shut.
 * @example dueOn(state, female, crop, zone) // '2026-07-06'
 */
export function dueOn(state: State, flower: Flower, crop: Crop, zone: string): LocalDate | null {
  const date = roundDateOf(flower, crop, zone);
  const shut = flower.shuttings[0];
  const place = mainPatch(state)?.place;
  if (crop.clock.round !== 'dusk' || date === null || !shut || !place) return date;
  const at = Date.parse(shut.at);
  const shutOn = localDateOf(at, zone);
  if (date !== shutOn) return date;
  return at >= openWindow(crop, gardenDay(place, shutOn)).opens ? addDays(date, 1) : date;
}
