import { bloomDayOf, eveningOf, NO_WEATHER, type WeatherOf } from '../bloom';
import type { Crop } from '../crops';
import type { State } from '../ledger';
import { mainPatch } from '../patch';
import { remembered } from '../remember';
import { weatherOn } from '../sky';
import { localDateOf, type LocalDate } from '../time';

/** When the flowers of a crop began to open on the day on which one of them was open, and from when insects were about. Epoch ms. */
export interface OpeningHours {
  readonly date: LocalDate;
  readonly opens: number;
  readonly insectsFrom: number;
  readonly closes: number;
}

type HourTables = Pick<State, 'patches' | 'stands' | 'varieties'>;

/**
 * The opening hours of the day on which a flower stood open at `at` (epoch ms): by the sun, the weather that was noted, and what was noted
 * by the clock; never by a forecast, which is no record. `null` for corn, whose silks come out over days, and where the place is not known.
 * A flower of the night belongs to the evening on which it opened; what flies at night is about from then on [M].
 * @example openingHours(state, crop, Date.UTC(2026, 6, 6, 4))?.date // '2026-07-06'
 */
export function openingHours(state: HourTables, crop: Crop, at: number): OpeningHours | null {
  const place = mainPatch(state)?.place;
  if (!place || crop.family === 'corn') return null;
  const dusk = crop.clock.round === 'dusk';
  const date = dusk ? eveningOf(at, place.zone) : localDateOf(at, place.zone);
  return hoursFrom(state).of(crop, date);
}

/**
 * Since when the flowers of a crop have been opening, where they are open now (epoch ms): whoever covers one then is asked whether it was
 * still shut. `null` at any other hour.
 * @example openSince(state, crop, Date.UTC(2026, 6, 5, 19)) // null
 */
export function openSince(state: HourTables, crop: Crop, now: number): number | null {
  const hours = openingHours(state, crop, now);
  return hours && now > hours.opens && now < hours.closes ? hours.opens : null;
}

/** Hours of days that were asked for before, as long as nothing that they hang on has changed. */
class Hours {
  private readonly known = new Map<string, OpeningHours | null>();
  private readonly weatherOf: WeatherOf;

  constructor(private readonly state: HourTables) {
    const patch = mainPatch(state);
    const place = patch?.place;
    this.weatherOf = place ? (day) => weatherOn(place, day, patch.weather, null) : NO_WEATHER;
  }

  of(crop: Crop, date: LocalDate): OpeningHours | null {
    const key = `${crop.id} ${date}`;
    let hours = this.known.get(key);
    if (hours === undefined) this.known.set(key, (hours = this.found(crop, date)));
    return hours;
  }

  private found(crop: Crop, date: LocalDate): OpeningHours | null {
    const place = mainPatch(this.state)?.place;
    if (!place) return null;
    const { day, window } = bloomDayOf(this.state, place, date, this.weatherOf);
    const { opens, closes } = window(crop);
    const insectsFrom = crop.clock.round === 'dusk' ? opens : day.insectsFrom;
    return { date, opens, insectsFrom, closes };
  }
}

const hoursFrom = remembered(
  'opening hours',
  ({ patches, stands, varieties }: HourTables) => ({ patches, stands, varieties }),
  (state) => new Hours(state),
);
