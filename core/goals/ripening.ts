import type { Place } from '../ledger';
import { climateDay, degreeDays } from '../sky';
import { addDays, type LocalDate } from '../time';

/** Warmth under which fruit hardly ripens on, C [M]. */
const BASE_C = 10;
/** The days that the catalogue gives are those of a late summer of this mean, C [M]; what is cooler takes longer. */
const USUAL_C = 18;
/** Warmth past which it ripens no faster, C [M]. */
const CAP_C = 32;
/** However cool it is, no longer than this many times the usual [M]: by then it ripens no more, or frost has come. */
const MOST = 1.5;

/**
 * Days that fruit takes to be ripe on a day of the autumn, at the usual warmth of the place: no fewer than `usualDays`, more where the
 * weeks before that day bring fewer degree-days (base 10 C) than so many days of 18 C. The form is our modelling choice.
 *
 * @example daysToRipenBy({ latitude: 46, longitude: 14 }, '2026-08-20', 50) // 50
 */
export function daysToRipenBy(
  place: Pick<Place, 'latitude' | 'longitude'>,
  until: LocalDate,
  usualDays: number,
): number {
  const wanted = usualDays * (USUAL_C - BASE_C);
  const most = Math.round(usualDays * MOST);
  let had = 0;
  for (let days = 1; days <= most; days++) {
    const { minC, maxC } = climateDay(place, addDays(until, -days));
    had += degreeDays({ minC, maxC, baseC: BASE_C, capC: CAP_C, method: 'average' });
    if (had >= wanted) return Math.max(usualDays, days);
  }
  return most;
}
