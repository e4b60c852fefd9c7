import type { Patch, Place } from '../ledger';
import { climateDay, degreeDays } from '../sky';
import { remembered } from '../remember';
import { addDays, type LocalDate } from '../time';

/** Warmth under which summer vegetables stand still, and past which they grow no faster, C: as for corn (McMaster and Wilhelm 1997, from memory). */
const BASE_C = 10;
const CAP_C = 30;
/** The days of the catalogue are those of a summer of this mean, C [M]. */
const USUAL_C = 20;
/** However warm or cold it is, no sooner and no later than so many times the usual days [M]. */
const LEAST = 0.75;
const MOST = 1.5;

type Here = Pick<Patch, 'place' | 'weather'>;

/**
 * The day by which a planting has had the warmth of so many usual days (degree-days over 10 C, none for what is over 30 C): from the
 * weather noted of the patch, and where none was noted from the usual warmth of the place. Without a place, so many days after.
 * @example warmDaysAfter({ place: null, weather: {} }, '2026-05-01', 10) // '2026-05-11'
 */
export function warmDaysAfter(here: Here, planted: LocalDate, usualDays: number): LocalDate {
  const { place } = here;
  if (!place) return addDays(planted, usualDays);
  const { days, warmth } = known(here.weather, place);
  const key = `${planted} ${usualDays}`;
  const found = days.get(key) ?? reckoned(planted, usualDays, warmth);
  days.set(key, found);
  return found;
}

function reckoned(planted: LocalDate, usualDays: number, warmth: (date: LocalDate) => number): LocalDate {
  const wanted = usualDays * (USUAL_C - BASE_C);
  const [least, most] = [Math.round(usualDays * LEAST), Math.round(usualDays * MOST)];
  let had = 0;
  for (let days = 1; days <= most; days++) {
    had += warmth(addDays(planted, days));
    if (had >= wanted) return addDays(planted, Math.max(least, days));
  }
  return addDays(planted, most);
}

/** What was reckoned, and the degree-days of single days: sixty stands ask for the same ones, over and over. */
const known = remembered(
  'warmth',
  (weather: Here['weather'], place: Place) => ({ weather, place }),
  ({ weather, place }) => {
    const byDate = new Map<LocalDate, number>();
    const warmth = (date: LocalDate): number => {
      const found = byDate.get(date);
      if (found !== undefined) return found;
      const noted = weather[date];
      const usual = climateDay(place, date);
      const { minC, maxC } =
        noted && noted.minC !== null && noted.maxC !== null ? { minC: noted.minC, maxC: noted.maxC } : usual;
      const had = degreeDays({ minC, maxC, baseC: BASE_C, capC: CAP_C, method: 'modified' });
      byDate.set(date, had);
      return had;
    };
    return { days: new Map<string, LocalDate>(), warmth };
  },
);
