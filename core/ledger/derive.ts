import { DEFAULT_SCHOOLS, SCHOOLS, type SchoolChoices } from '../crops';
import type { NotedDay } from './eventParts';
import type { LedgerEvent } from './events';
import type { WeatherOrigin } from './values';
import type { Bed, Flower, Neighbour, Note, Patch, Plant, Stand, Variety, WeatherView } from './views';

type Draftable<T> = { -readonly [K in keyof T]: T[K] extends readonly (infer U)[] ? U[] : T[K] };

// Each function takes one subject's events in force, in order, and gives its view, or `null` while the event
// that founds it (begun, added, seen) is missing: another phone may still bring it.

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
  const weather: Record<string, WeatherView> = {};
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
        weather,
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
    else if (event.kind === 'weatherNoted') {
      for (const day of event.days) {
        const noted = withNote(days.get(day.date), day, event.origin);
        days.set(day.date, noted);
        weather[day.date] = noted.view;
      }
    } else if (event.kind === 'noted') notes.push(noteOf(event));
  }
  return patch && { ...patch, place, schools, frostOn };
}

/** A bed from the events in force that speak of it; `null` where none adds it. */
export function deriveBed(id: string, events: readonly LedgerEvent[]): Bed | null {
  let bed: Bed | null = null;
  const shelters: Bed['shelters'][number][] = [];
  const notes: Note[] = [];
  for (const event of events) {
    if (event.kind === 'bedAdded') {
      const { patch, name, xM, yM, lengthM, widthM } = event;
      bed = { id, patch, name, xM, yM, lengthM, widthM, shelters, event: event.id, notes };
    } else if (event.kind === 'shelterSet') {
      const { at, shelter, insects, lampHours, from, to } = event;
      shelters.push({ event: event.id, at, shelter, insects, lampHours, from, to });
    } else if (event.kind === 'noted') notes.push(noteOf(event));
  }
  return bed;
}

/** A planting next door from the events in force that speak of it; `null` where none notes it. What is noted later is there again. */
export function deriveNeighbour(id: string, events: readonly LedgerEvent[]): Neighbour | null {
  let neighbour: Neighbour | null = null;
  let goneAt: Neighbour['goneAt'] = null;
  for (const event of events) {
    if (event.kind === 'neighbourNoted') {
      neighbour = {
        id,
        patch: event.patch,
        crop: event.crop,
        species: event.species ?? null,
        variety: event.variety,
        plants: event.plants,
        distanceM: event.distanceM,
        bearingDeg: event.bearingDeg,
        between: event.between,
        besides: event.besides,
        bloomFrom: event.bloomFrom,
        bloomTo: event.bloomTo,
        knownBy: event.knownBy,
        event: event.id,
        saidAt: event.at,
        goneAt: null,
      };
      goneAt = null;
    } else if (event.kind === 'neighbourGone') goneAt = event.at;
  }
  return neighbour && { ...neighbour, goneAt };
}

/** A variety from the events in force that speak of it; `null` where none adds it. */
export function deriveVariety(id: string, events: readonly LedgerEvent[]): Variety | null {
  let variety: Variety | null = null;
  for (const event of events) {
    if (event.kind !== 'varietyAdded') continue;
    const { patch, name, crop, shape, system = null, traits = {} } = event;
    variety = { id, patch, name, crop, shape, system, traits, event: event.id };
  }
  return variety;
}

/** A stand from the events in force that speak of it; `null` where none adds it. */
export function deriveStand(id: string, events: readonly LedgerEvent[]): Stand | null {
  let stand: Stand | null = null;
  let goal: Stand['goal'] = null;
  const clock: Stand['clock'][number][] = [];
  const groups: Stand['groups'][number][] = [];
  const picked: Stand['picked'][number][] = [];
  const malesPicked: Stand['malesPicked'][number][] = [];
  const bees: Stand['bees'][number][] = [];
  let leaving: Stand['leaving'] = null;
  let reason: Stand['reason'] | null = null;
  for (const event of events) {
    if (event.kind === 'standAdded') {
      const { bed, variety } = event;
      const lists = { clock, groups, picked, bees, malesPicked };
      stand = {
        id,
        bed,
        variety,
        reason: event.reason,
        goal: null,
        leaving: null,
        ...lists,
        event: event.id,
      };
    } else if (event.kind === 'reasonSet') reason = event.reason;
    else if (event.kind === 'fruitsPicked') {
      const { at, by, plant, count, weightG } = event;
      picked.push({ event: event.id, at, by, plant, count, weightG });
    } else if (event.kind === 'malesPicked')
      malesPicked.push({ event: event.id, at: event.at, count: event.count });
    else if (event.kind === 'leaveSet')
      leaving = event.every === null ? null : { event: event.id, at: event.at, every: event.every };
    else if (event.kind === 'beesCounted') {
      const { at, by, visits, seconds } = event;
      bees.push({ event: event.id, at, by, visits, seconds });
    } else if (event.kind === 'goalSet') goal = event.goal;
    else if (event.kind === 'clockNoted') clock.push({ at: event.at, what: event.what });
    else if (event.kind === 'groupCounted') {
      const { at, by, plant, from, to, how, worked, set, bent, early = false } = event;
      groups.push({ event: event.id, at, by, plant, from, to, how, worked, set, bent, early });
    }
  }
  return stand && { ...stand, goal, leaving, reason: reason ?? stand.reason };
}

/** What later events change of a plant, but for its lists. */
type PlantParts = Pick<Plant, 'ended' | 'health' | 'healthAt' | 'reason' | 'passedAt' | 'strippedAt'>;

const NONE: readonly never[] = [];
const UNTOUCHED: PlantParts = {
  ended: null,
  health: null,
  healthAt: null,
  reason: null,
  passedAt: null,
  strippedAt: null,
};

/** A plant from the events in force that speak of it; `null` where none adds it. */
export function derivePlant(id: string, events: readonly LedgerEvent[]): Plant | null {
  let founding: Extract<LedgerEvent, { kind: 'plantAdded' }> | null = null;
  let parts = UNTOUCHED;
  // A season of a plant is long: its lists grow in place.
  const males: Plant['males'][number][] = [];
  const tallies: Plant['tallies'][number][] = [];
  const notes: Note[] = [];
  for (const event of events)
    if (event.kind === 'plantAdded') founding = event;
    else if (event.kind === 'malesCounted')
      males.push({ at: event.at, stage: event.stage, count: event.count });
    else if (event.kind === 'tallied') {
      const { at, by, tool, flowers, truss, puff = null } = event;
      tallies.push({ event: event.id, at, by, tool, flowers, truss, puff });
    } else if (event.kind === 'noted') notes.push(noteOf(event));
    else parts = { ...parts, ...plantChange(event) };
  if (!founding) return null;
  const { stand, label, xM, yM, plantedOn } = founding;
  const planted = { id, stand, label, xM, yM, plantedOn, event: founding.id, addedAt: founding.at };
  return { ...planted, ...parts, males, tallies, notes };
}

function plantChange(event: LedgerEvent): Partial<PlantParts> | null {
  switch (event.kind) {
    case 'plantRemoved':
      return { ended: { at: event.at, how: 'removed', cause: null } };
    case 'plantDied':
      return { ended: { at: event.at, how: 'died', cause: event.cause } };
    case 'plantChecked':
      return { health: event.health, healthAt: event.at };
    case 'plantPassed':
      return { passedAt: event.at };
    case 'stripped':
      return { strippedAt: event.at };
    case 'reasonSet':
      return { reason: event.reason };
    default:
      return null;
  }
}

/** What later events change of a flower. */
type FlowerParts = Omit<Flower, 'id' | 'plant' | 'sex' | 'node' | 'sightings'>;

const UNWORKED: FlowerParts = {
  shuttings: NONE,
  checks: NONE,
  reason: null,
  missed: null,
  left: null,
  thread: null,
  emasculatedAt: null,
  pollinations: NONE,
  mark: null,
  marking: null,
  coverOffAt: null,
  pinchedAt: null,
  looks: NONE,
  lost: null,
  harvested: null,
  notes: NONE,
};

/** A flower from the events in force that speak of it; `null` where it was never seen. */
export function deriveFlower(id: string, events: readonly LedgerEvent[]): Flower | null {
  let founding: Extract<LedgerEvent, { kind: 'flowerSeen' }> | null = null;
  let node: number | null = null;
  const sightings: Flower['sightings'][number][] = [];
  let parts = UNWORKED;
  for (const event of events) {
    if (event.kind !== 'flowerSeen') {
      parts = { ...parts, ...flowerChange(event, parts) };
      continue;
    }
    // A bud is seen again on later evenings; which plant and sex it is, the latest look decides.
    founding = event;
    node = event.node ?? node;
    sightings.push({ event: event.id, at: event.at, stage: event.stage, ovaryMm: event.ovaryMm ?? null });
  }
  if (!founding) return null;
  const { plant, sex } = founding;
  return { id, plant, sex, node, sightings, ...parts };
}

function flowerChange(event: LedgerEvent, now: FlowerParts): Partial<FlowerParts> | null {
  switch (event.kind) {
    case 'flowerShut':
      return {
        shuttings: [
          ...now.shuttings,
          { event: event.id, at: event.at, closure: event.closure, by: event.by },
        ],
      };
    case 'closureChecked':
      return {
        checks: [...now.checks, { event: event.id, at: event.at, by: event.by, result: event.result }],
      };
    case 'pollinated':
      return { pollinations: [...now.pollinations, pollinationOf(event)] };
    case 'reasonSet':
      return { reason: event.reason };
    case 'missed':
      return { missed: { event: event.id, at: event.at, why: event.why } };
    case 'leftOpen':
      return { left: { event: event.id, at: event.at, by: event.by } };
    case 'emasculated':
      return { emasculatedAt: event.at };
    case 'marked':
      return { mark: event.mark, marking: { event: event.id, at: event.at, by: event.by } };
    case 'coverOff':
      return { coverOffAt: event.at };
    case 'pinched':
      return { pinchedAt: event.at };
    case 'threaded':
      return { thread: event.colour };
    case 'lookedAt':
      return {
        looks: [...now.looks, { event: event.id, at: event.at, result: event.result, sizeMm: event.sizeMm }],
      };
    case 'lost':
      return { lost: { event: event.id, at: event.at, cause: event.cause } };
    case 'harvested': {
      const { id, at, harvestFor, weightG } = event;
      return { harvested: { event: id, at, harvestFor, weightG } };
    }
    case 'noted':
      return { notes: [...now.notes, noteOf(event)] };
    default:
      return null;
  }
}

/**
 * Up to version 3 every pollination was written with three lobes and 40 seconds, whether anybody had said so or not: the two
 * together are read as not recorded. A correction carries the version it was made with, so what it says stands.
 */
function pollinationOf(event: Extract<LedgerEvent, { kind: 'pollinated' }>): Flower['pollinations'][number] {
  const { id, v, at, by, fathers, tool = null, shutAgain, purpose } = event;
  const { beeIn = null, puff = null, maleInside = null } = event;
  const unasked = v <= 3 && event.lobes === 3 && event.openS === 40;
  return {
    event: id,
    at,
    by,
    fathers,
    tool,
    shutAgain: shutAgain === undefined ? null : (shutAgain ?? 'open'),
    purpose,
    lobes: unasked ? null : (event.lobes ?? null),
    openS: unasked ? null : (event.openS ?? null),
    beeIn,
    puff,
    maleInside,
  };
}

function noteOf(event: Extract<LedgerEvent, { kind: 'noted' }>): Note {
  return { event: event.id, at: event.at, text: event.text };
}
