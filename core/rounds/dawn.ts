import type { FlowerId, PlantId } from '../ids';
import type { Place, State } from '../ledger';
import { fatherVarietyOf, growing, plantPlace } from '../patch';
import type { LocalDate } from '../time';
import { lastCheck, type BloomDay, type OpenWindow } from '../bloom';
import { workTime } from '../fruitset';
import type { PollenMale, PollenMatch, PlanRequest, PlanStop, PlanWorker } from '../planning';
import { freeMales } from './freeMales';
import { matchedPollen, worthOf } from './pollen';
import { chainPace, shareByVariety, type TeamShare, type TeamWay } from './teams';
import { inHand, LATE_OPENER_MIN, stopsOf, type Stop } from './stops';

const MINUTE = 60_000;
/** Picking a male, peeling it, seeing pollen come off; and finding the plant [M]. */
const MALE_S = 20;
const FATHER_S = 15;
/** Males may be picked so long before their flowers open [M]. */
const PICK_BEFORE_MIN = 10;
/** A flower found not open yet is come back to after this long [M]. */
export const COME_BACK_MIN = 20;
/** The walk to the flower is planned apart: this much of a flower's minutes is walking [M]. */
const WALK_SHARE = 0.15;

/** Males of one plant to be picked before their females. */
export interface Collecting {
  readonly id: string;
  readonly plant: PlantId;
  readonly variety: string;
  readonly males: readonly FlowerId[];
}

/** A dawn's question in full: whose pollen goes where, and what the planner is asked. Plain data, for a worker. */
export interface DawnQuestion {
  readonly match: PollenMatch;
  readonly collecting: readonly Collecting[];
  readonly request: PlanRequest;
}

/** Who walks, from when to when, and how fast. */
export interface DawnOptions {
  readonly now: number;
  readonly people: readonly string[];
  /** Hard end, epoch ms. */
  readonly deadline: number;
  readonly pace?: number;
  readonly carrying?: string | null;
  /** How they share the work; by the shortest way where nobody said. */
  readonly split?: TeamWay;
  /** Where the first person stands. */
  readonly at?: { readonly xM: number; readonly yM: number };
}

/**
 * The flowers of a morning still to be worked, matched with the males still free, as a question for `planRound`.
 * Males used, torn or gone are out; a flower found not open is asked for again 20 minutes after that look.
 */
export function dawnQuestion(
  state: State,
  place: Place,
  date: LocalDate,
  kind: 'dawn' | 'dusk',
  morning: BloomDay,
  options: DawnOptions,
): DawnQuestion {
  const all = stopsOf(state, date, place.zone, kind);
  const stops = all.filter(({ state: how }) => how === 'to-do' || how === 'later');
  const males = freeMales(state, place, date);
  const match = matchedPollen(state, stops, males, date.slice(0, 4));
  const { collecting, needs } = gathered(match, males);
  const picked = (id: FlowerId) => {
    const male = state.flowers.get(id);
    return male !== undefined && inHand(male, date, place.zone);
  };
  // A flower that only opens once the insects fly is worked in its own window: its closure keeps them out till then.
  const endOf = ({ opens, closes }: OpenWindow) =>
    opens + LATE_OPENER_MIN * MINUTE < options.deadline ? Math.min(closes, options.deadline) : closes;
  const last = Math.max(
    options.now,
    options.deadline,
    ...stops.map(({ growing: { crop } }) => endOf(morning.window(crop))),
  );
  return {
    match,
    collecting,
    request: {
      start: startOf(state),
      startAt: Math.max(options.now, 0),
      stops: [
        ...collecting.map((place) => collectingStop(state, place, morning, picked, last)),
        ...stops.map((stop) => flowerStop(state, stop, morning, needs.get(stop.flower.id), endOf)),
      ],
      workers: workersOf(
        options,
        options.split === 'by-variety' ? shareByVariety(state, all, options.people) : [],
        collecting.filter(({ males: all }) => all.every(picked)).map(({ id }) => id),
      ),
      deadline: last,
    },
  };
}

/** The matched males by the plant they are picked from, and which of these plants each female waits for. */
function gathered(
  match: PollenMatch,
  males: readonly PollenMale[],
): { readonly collecting: readonly Collecting[]; readonly needs: ReadonlyMap<string, ReadonlySet<string>> } {
  const byId = new Map(males.map((male) => [male.id, male]));
  type Gathering = Omit<Collecting, 'males'> & { readonly males: FlowerId[] };
  const places = new Map<string, Gathering>();
  const needs = new Map<string, Set<string>>();
  for (const { female, male } of match.pairs) {
    const from = byId.get(male);
    if (!from) continue;
    const id = `males of ${from.plant}`;
    const place: Gathering = places.get(id) ?? { id, plant: from.plant, variety: from.variety, males: [] };
    place.males.push(male);
    places.set(id, place);
    needs.set(female, (needs.get(female) ?? new Set()).add(id));
  }
  return { collecting: [...places.values()], needs };
}

function collectingStop(
  state: State,
  { id, plant, variety, males }: Collecting,
  morning: BloomDay,
  picked: (male: FlowerId) => boolean,
  closes: number,
): PlanStop {
  const found = growing(state, plant);
  return {
    id,
    kind: 'collect',
    ...placeOf(state, plant),
    pollen: variety,
    serviceS: FATHER_S + MALE_S * males.filter((male) => !picked(male)).length,
    // A male that is still shut has nothing to give; picked a little before, it opens in the hand.
    opens: found ? morning.window(found.crop).opens - PICK_BEFORE_MIN * MINUTE : 0,
    closes,
    value: 0,
    needs: [],
  };
}

function flowerStop(
  state: State,
  stop: Stop,
  morning: BloomDay,
  needs: ReadonlySet<string> | undefined,
  endOf: (window: OpenWindow) => number,
): PlanStop {
  const { crop } = stop.growing;
  const window = morning.window(crop);
  const check = lastCheck(stop.flower);
  const back = stop.state === 'later' && check ? Date.parse(check.at) + COME_BACK_MIN * MINUTE : 0;
  return {
    id: stop.flower.id,
    kind: 'work',
    ...plantPlace(stop.growing),
    pollen: fatherVarietyOf(stop.growing),
    serviceS: workTime(state, crop).minutes * 60 * (1 - WALK_SHARE),
    opens: Math.max(window.opens, back),
    closes: endOf(window),
    value: worthOf(stop),
    needs: needs ? [...needs] : [],
    ...(needs ? {} : { blocked: 'pollen' }),
  };
}

/** The people of the round; where somebody stands, and what is in hand, is known of the one who records. */
function workersOf(
  { people, pace = 1, at, carrying, split }: DawnOptions,
  shares: readonly TeamShare[],
  has: readonly string[],
): PlanWorker[] {
  // A chain walks as one.
  const chain = split === 'chain' ? chainPace(people.length) : 1;
  return (split === 'chain' ? people.slice(0, 1) : people).map((id, i) => ({
    id,
    pace: pace * chain,
    ...(shares[i] ? { only: shares[i].varieties.map(({ variety }) => variety) } : {}),
    ...(i === 0 && at ? { at } : {}),
    ...(i === 0 && carrying !== undefined ? { pollen: carrying } : {}),
    ...(i === 0 && has.length > 0 ? { has } : {}),
  }));
}

function placeOf(state: State, plant: string): { xM: number; yM: number } {
  const found = growing(state, plant);
  return found ? plantPlace(found) : { xM: 0, yM: 0 };
}

/** Where a round begins: before the first bed, on the path [M]. */
function startOf(state: State): { xM: number; yM: number } {
  let xM = Infinity;
  let yM = Infinity;
  for (const bed of state.beds.values()) {
    xM = Math.min(xM, bed.xM);
    yM = Math.min(yM, bed.yM);
  }
  return { xM: Number.isFinite(xM) ? xM : 0, yM: (Number.isFinite(yM) ? yM : 0) - 1 };
}
