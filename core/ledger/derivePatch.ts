import { DEFAULT_SCHOOLS, SCHOOLS, type SchoolChoices } from '../crops';
import { noteOf, type Draftable } from './derive';
import type { NotedDay } from './eventParts';
import type { LedgerEvent } from './events';
import type { WeatherOrigin, WeighedReason } from './values';
import type { Note, Patch, WeatherView } from './views';

const TRUST = { station: 0, file: 1, hand: 2 } as const;
const VALUES = ['minC', 'maxC', 'rainMm', 'dewPointC', 'felt', 'windFromDeg'] as const;
/** For each value of a day how far its source is trusted. */
type Trusted = Partial<Record<(typeof VALUES)[number], WeatherOrigin>>;

/** A day's weather with one more note of it: each value stands on its own, so a note of rain alone leaves the temperatures. */
function withNote(
  known: { readonly view: WeatherView; readonly from: Trusted } | undefined,
  day: NotedDay,
  origin: WeatherOrigin,
): { readonly view: WeatherView; readonly from: Trusted } {
  const from: Trusted = { ...known?.from };
  const view: Record<string, unknown> = { windFromDeg: null, ...(known?.view ?? day) };
  for (const value of VALUES) {
    const before = from[value];
    if (day[value] === null || day[value] === undefined || (before && TRUST[origin] < TRUST[before]))
      continue;
    view[value] = day[value];
    from[value] = origin;
  }
  const said = [from.minC, from.maxC].filter((each) => each !== undefined);
  const told = said.length > 0 ? said : Object.values(from);
  view.origin = told.reduce((best, each) => (TRUST[each] > TRUST[best] ? each : best), told[0] ?? origin);
  return { view: view as unknown as WeatherView, from };
}

/** A patch from the events in force that speak of it; `null` where none begins it. */
export function derivePatch(id: string, events: readonly LedgerEvent[]): Patch | null {
  let patch: Draftable<Patch> | null = null;
  let place: Patch['place'] = null;
  let schools: SchoolChoices = DEFAULT_SCHOOLS;
  let frostOn: Patch['frostOn'] = null;
  let often: Omit<Patch['mornings'], 'told'> = { weekdays: null, minutes: null };
  const told: Record<string, boolean> = {};
  const weather: Record<string, WeatherView> = {};
  const weights: Partial<Record<WeighedReason, number>> = {};
  const days = new Map<string, ReturnType<typeof withNote>>();
  const notes: Note[] = [];
  for (const event of events) {
    if (event.kind === 'patchBegun') {
      patch = {
        id,
        name: event.name,
        begunAt: event.at,
        device: event.device,
        place: null,
        schools: { ...DEFAULT_SCHOOLS },
        frostOn: null,
        mornings: { ...often, told },
        weather,
        weights,
        notes,
      };
    } else if (event.kind === 'placeSet') place = event.place;
    else if (event.kind === 'schoolChosen') {
      const school = SCHOOLS.find(({ key }) => key === event.school);
      // A school dropped or renamed by a later version falls back to the default.
      if (school?.choices.some(({ value }) => value === event.choice)) {
        schools = { ...schools, [event.school]: event.choice };
      }
    } else if (event.kind === 'frostExpected') frostOn = event.frostOn;
    else if (event.kind === 'morningsSet') often = { weekdays: event.weekdays, minutes: event.minutes };
    else if (event.kind === 'morningTold') told[event.date] = event.comes;
    else if (event.kind === 'weatherNoted') {
      for (const day of event.days) {
        const noted = withNote(days.get(day.date), day, event.origin);
        days.set(day.date, noted);
        weather[day.date] = noted.view;
      }
    } else if (event.kind === 'weightSet') {
      if (event.weight === null) delete weights[event.reason];
      else weights[event.reason] = event.weight;
    } else if (event.kind === 'noted') notes.push(noteOf(event));
  }
  return patch && { ...patch, place, schools, frostOn, mornings: { ...often, told } };
}
