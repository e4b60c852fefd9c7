import { gardenDay } from '../bloom';
import type { Flower, Place, State } from '../ledger';
import type { Growing } from '../patch';
import { addDays, localDateOf, type LocalDate } from '../time';

/** A flower of a cross, with the plant it grows on. */
export interface CrossFlower {
  readonly flower: Flower;
  readonly growing: Growing;
}

/** An hour, ms. */
export const HOUR = 3_600_000;
/** Visits lie between this long after sunrise (dew off) and before sunset [M]. */
const AFTER_SUNRISE_H = 2.5;
const BEFORE_SUNSET_H = 1;

/** The first moment from `time` on that lies in the working part of a day. */
export function byDay(place: Place, time: number): number {
  const day = gardenDay(place, localDateOf(time, place.zone));
  const from = day.sunrise + AFTER_SUNRISE_H * HOUR;
  if (time <= day.sunset - BEFORE_SUNSET_H * HOUR) return Math.max(time, from);
  return gardenDay(place, addDays(day.date, 1)).sunrise + AFTER_SUNRISE_H * HOUR;
}

/** The perfect flowers of a plant that are neither lost nor picked. */
export function standing(state: State, { plant }: Growing): Flower[] {
  return (state.flowersOf.get(plant.id) ?? []).flatMap((id) => {
    const flower = state.flowers.get(id);
    return flower && flower.sex === 'perfect' && !flower.lost && !flower.harvested ? [flower] : [];
  });
}

/** Whether a bud was last seen at a stage, today or yesterday. */
export function seenAtStage(flower: Flower, stage: string, date: LocalDate, zone: string): boolean {
  const last = flower.sightings.at(-1);
  return last?.stage === stage && localDateOf(Date.parse(last.at), zone) >= addDays(date, -1);
}
