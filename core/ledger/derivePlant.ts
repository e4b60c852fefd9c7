import { noteOf, sownOf } from './derive';
import type { EventOf, LedgerEvent } from './events';
import type { Flower, LookView } from './flowerViews';
import { standings } from './inForce';
import type { Note, Plant } from './views';

/** What later events change of a plant, but for its lists. */
type PlantParts = Pick<
  Plant,
  'ended' | 'health' | 'healthAt' | 'reason' | 'passedAt' | 'offType' | 'strippedAt' | 'sown' | 'cloneOf'
>;

const NONE: readonly never[] = [];
const UNTOUCHED: PlantParts = {
  ended: null,
  health: null,
  healthAt: null,
  reason: null,
  passedAt: null,
  offType: null,
  strippedAt: null,
  sown: null,
  cloneOf: null,
};

/** A plant from the events in force that speak of it; `null` where none adds it. */
export function derivePlant(id: string, events: readonly LedgerEvent[]): Plant | null {
  let founding: Extract<LedgerEvent, { kind: 'plantAdded' }> | null = null;
  let parts = UNTOUCHED;
  // A season of a plant is long: its lists grow in place.
  const males: Plant['males'][number][] = [];
  const tallies: Plant['tallies'][number][] = [];
  const keepers: Plant['keepers'][number][] = [];
  const notes: Note[] = [];
  for (const event of events)
    if (event.kind === 'plantAdded') founding = event;
    else if (event.kind === 'malesCounted')
      males.push({ at: event.at, stage: event.stage, count: event.count });
    else if (event.kind === 'tallied') {
      const { at, by, tool, flowers, truss, puff = null } = event;
      tallies.push({ event: event.id, at, by, tool, flowers, truss, puff });
    } else if (event.kind === 'keeperChosen') {
      const { at, by, trait, note } = event;
      keepers.push({ event: event.id, at, by, trait, note });
    } else if (event.kind === 'noted') notes.push(noteOf(event));
    else parts = { ...parts, ...plantChange(event) };
  if (!founding) return null;
  const { stand, label, xM, yM, plantedOn } = founding;
  const planted = { id, stand, label, xM, yM, plantedOn, event: founding.id, addedAt: founding.at };
  return { ...planted, ...parts, males, tallies, keepers, notes };
}

function plantChange(event: LedgerEvent): Partial<PlantParts> | null {
  switch (event.kind) {
    case 'plantRemoved':
      return { ended: { event: event.id, at: event.at, how: 'removed', cause: null } };
    case 'plantDied':
      return { ended: { event: event.id, at: event.at, how: 'died', cause: event.cause } };
    case 'plantChecked':
      return { health: event.health, healthAt: event.at };
    case 'plantPassed':
      return { passedAt: event.at };
    case 'stripped':
      return { strippedAt: event.at };
    case 'offTypeFound':
      return {
        offType: { event: event.id, at: event.at, shownBy: event.shownBy, rogued: event.rogued ?? null },
      };
    case 'sownFrom':
      return { sown: sownOf(event) };
    case 'clonedFrom':
      return { cloneOf: event.parent };
    case 'reasonSet':
      return { reason: event.reason };
    default:
      return null;
  }
}

/** What later events change of a flower. */
type FlowerParts = Omit<Flower, 'id' | 'plant' | 'sex' | 'node' | 'sightings' | 'putRight'>;

const UNWORKED: FlowerParts = {
  shuttings: NONE,
  checks: NONE,
  reason: null,
  missed: null,
  left: null,
  thread: null,
  emasculated: null,
  pollinations: NONE,
  mark: null,
  marking: null,
  markings: NONE,
  markLost: null,
  coverOffAt: null,
  pinchedAt: null,
  looks: NONE,
  propped: null,
  lost: null,
  harvested: null,
  notes: NONE,
};

/** A flower from the events in force that speak of it; `null` where it was never seen. `written`: all of them, with what was put right. */
export function deriveFlower(
  id: string,
  events: readonly LedgerEvent[],
  written: readonly LedgerEvent[],
): Flower | null {
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
    const { id: seenAs, at, plant, stage, ovaryMm = null } = event;
    sightings.push({ event: seenAs, at, stage, ovaryMm, plant });
  }
  if (!founding) return null;
  const { plant, sex } = founding;
  // Where nothing was put right or taken back, the events in force are those that were written.
  const putRight = written === events ? NONE : corrections(written);
  return { id, plant, sex, node, sightings, ...parts, putRight };
}

function corrections(written: readonly LedgerEvent[]): Flower['putRight'] {
  return standings(written).flatMap(({ event, original, corrections: made, withdrawnBy }) => {
    if (withdrawnBy !== null) return [];
    const moved =
      original.kind === 'flowerSeen' && event.kind === 'flowerSeen' && original.plant !== event.plant;
    return made.map(({ id, target, at, by, changes }) => ({
      event: id,
      target,
      at,
      by,
      fields: Object.keys(changes),
      from: moved && 'plant' in changes ? original.plant : null,
    }));
  });
}

function flowerChange(event: LedgerEvent, now: FlowerParts): Partial<FlowerParts> | null {
  switch (event.kind) {
    case 'flowerShut':
      return {
        shuttings: [
          ...now.shuttings,
          {
            event: event.id,
            at: event.at,
            closure: event.closure,
            by: event.by,
            stillShut: event.stillShut === true,
          },
        ],
      };
    case 'closureChecked':
      return {
        checks: [...now.checks, { event: event.id, at: event.at, by: event.by, result: event.result }],
      };
    case 'propped':
      return { propped: { event: event.id, at: event.at, prop: event.prop } };
    case 'pollinated':
      return { pollinations: [...now.pollinations, pollinationOf(event)] };
    case 'reasonSet':
      return { reason: event.reason };
    case 'missed':
      return { missed: { event: event.id, at: event.at, why: event.why } };
    case 'leftOpen':
      return { left: { event: event.id, at: event.at, by: event.by } };
    case 'emasculated':
      return { emasculated: { event: event.id, at: event.at } };
    case 'marked':
      return markedAs(event, now);
    case 'markLost':
      return markLostAs(event, now);
    case 'coverOff':
      return { coverOffAt: event.at };
    case 'pinched':
      return { pinchedAt: event.at };
    case 'threaded':
      return { thread: event.colour };
    case 'lookedAt':
      return {
        looks: [...now.looks, lookOf(event)],
      };
    case 'lost':
      return { lost: { event: event.id, at: event.at, cause: event.cause } };
    case 'harvested': {
      const { id, at, harvestFor, weightG, markRead = null } = event;
      return { harvested: { event: id, at, harvestFor, weightG, markRead } };
    }
    case 'noted':
      return { notes: [...now.notes, noteOf(event)] };
    default:
      return null;
  }
}

function markedAs({ id, at, by, mark }: EventOf<'marked'>, { markings }: FlowerParts): Partial<FlowerParts> {
  const marking = { event: id, at, by, mark, goneAt: null };
  return { mark, marking, markings: [...markings, marking] };
}

/** One of its marks is gone, or all: without any nothing tells the fruit from its neighbours. */
function markLostAs(
  { id, at, mark }: EventOf<'markLost'>,
  { markings: before }: FlowerParts,
): Partial<FlowerParts> {
  const markings = before.map((each) =>
    each.goneAt === null && (mark === undefined || each.mark === mark) ? { ...each, goneAt: at } : each,
  );
  const worn = markings.findLast(({ goneAt }) => goneAt === null) ?? null;
  return {
    markings,
    marking: worn,
    mark: worn?.mark ?? null,
    ...(worn ? {} : { markLost: { event: id, at } }),
  };
}

function lookOf({ id, at, by, result, sizeMm, markRead }: EventOf<'lookedAt'>): LookView {
  return { event: id, at, by, result, sizeMm, markRead: markRead ?? null };
}

/**
 * Up to version 3 every pollination was written with three lobes and 40 seconds, whether anybody had said so or not: the two
 * together are read as not recorded. A correction carries the version it was made with, so what it says stands.
 */
function pollinationOf(event: Extract<LedgerEvent, { kind: 'pollinated' }>): Flower['pollinations'][number] {
  const { id, v, at, by, fathers, tool = null, shutAgain, purpose } = event;
  const { beeIn = null, puff = null, maleInside = null, clean = null } = event;
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
    clean,
  };
}
