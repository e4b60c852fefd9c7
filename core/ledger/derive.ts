import type { LedgerEvent } from './events';
import type { Bed, Lot, Neighbour, Note, Obstacle, SownView, Stand, Variety } from './views';

/** A view while its events are read. */
export type Draftable<T> = { -readonly [K in keyof T]: T[K] extends readonly (infer U)[] ? U[] : T[K] };

// Each function takes one subject's events in force, in order, and gives its view, or `null` while the event
// that founds it (begun, added, seen) is missing: another phone may still bring it.

/** A bed from the events in force that speak of it; `null` where none adds it. */
export function deriveBed(id: string, events: readonly LedgerEvent[]): Bed | null {
  let bed: Bed | null = null;
  let lies: Partial<Omit<Bed, 'measured'>> = {};
  const shelters: Bed['shelters'][number][] = [];
  const cageOff: Bed['cageOff'][number][] = [];
  const notes: Note[] = [];
  for (const event of events) {
    if (event.kind === 'bedAdded') {
      const { patch, name, xM, yM, lengthM, widthM } = event;
      const first = { xM, yM };
      const measured = { ...first, lengthM, widthM };
      bed = {
        id,
        patch,
        name,
        ...measured,
        turnedDeg: 0,
        first,
        measured,
        sized: false,
        shelters,
        cageOff,
        event: event.id,
        notes,
      };
    } else if (event.kind === 'bedPlaced') {
      const { xM, yM, turnedDeg, sized } = event;
      lies = { ...lies, xM, yM, turnedDeg };
      if (sized) {
        const { lengthM, widthM, firstXM, firstYM } = sized;
        lies = { ...lies, lengthM, widthM, first: { xM: firstXM, yM: firstYM }, sized: true };
      }
    } else if (event.kind === 'shelterSet') {
      const { at, shelter, insects, lampHours, from, to, mesh = null } = event;
      shelters.push({ event: event.id, at, shelter, insects, mesh, lampHours, from, to });
    } else if (event.kind === 'cageOpened') cageOff.push({ event: event.id, at: event.at });
    else if (event.kind === 'noted') notes.push(noteOf(event));
  }
  return bed && { ...bed, ...lies };
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
        corn: event.corn ?? null,
        variety: event.variety,
        plants: event.plants,
        distanceM: event.distanceM,
        bearingDeg: event.bearingDeg,
        between: event.between,
        besides: event.besides,
        bloomFrom: event.bloomFrom,
        bloomTo: event.bloomTo,
        knownBy: event.knownBy,
        sprayed: event.sprayed ?? [],
        place: event.place ?? null,
        event: event.id,
        saidAt: event.at,
        goneAt: null,
      };
      goneAt = null;
    } else if (event.kind === 'neighbourGone') goneAt = event.at;
  }
  return neighbour && { ...neighbour, goneAt };
}

/** A hedge or the like from the events in force that speak of it; `null` where none notes it. */
export function deriveObstacle(id: string, events: readonly LedgerEvent[]): Obstacle | null {
  let obstacle: Obstacle | null = null;
  let goneAt: Obstacle['goneAt'] = null;
  for (const event of events) {
    if (event.kind === 'obstacleNoted') {
      const { patch, what, corners, area } = event;
      obstacle = { id, patch, what, corners, area, event: event.id, goneAt: null };
      goneAt = null;
    } else if (event.kind === 'obstacleGone') goneAt = event.at;
  }
  return obstacle && { ...obstacle, goneAt };
}

/** A variety from the events in force that speak of it; `null` where none adds it. */
export function deriveVariety(id: string, events: readonly LedgerEvent[]): Variety | null {
  let variety: Variety | null = null;
  for (const event of events) {
    if (event.kind !== 'varietyAdded') continue;
    const { patch, name, crop, shape, system = null, traits = {}, from = null } = event;
    variety = { id, patch, name, crop, shape, system, traits, from, event: event.id };
  }
  return variety;
}

/** A lot from the events in force that speak of it; `null` where none begins it. */
export function deriveLot(id: string, events: readonly LedgerEvent[]): Lot | null {
  let lot: Lot | null = null;
  const growOuts: Lot['growOuts'][number][] = [];
  const notes: Note[] = [];
  for (const event of events)
    if (event.kind === 'lotBegun') {
      const { patch, variety, from, fruits, year, note, at: begunAt } = event;
      lot = { id, patch, variety, from, fruits, year, note, event: event.id, begunAt, growOuts, notes };
    } else if (event.kind === 'grownOut') {
      const { at, by, fruit, stage, grown, off } = event;
      growOuts.push({ event: event.id, at, by, fruit, stage, grown, off });
    } else if (event.kind === 'noted') notes.push(noteOf(event));
  return lot;
}

/** What a stand or a plant was sown from. */
export function sownOf({ id, at, lot, fruit }: Extract<LedgerEvent, { kind: 'sownFrom' }>): SownView {
  return { event: id, at, lot, fruit };
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
  const cares: Stand['cares'][number][] = [];
  const rogueLooks: Stand['rogueLooks'][number][] = [];
  let leaving: Stand['leaving'] = null;
  let reason: Stand['reason'] | null = null;
  let moved: Stand['moved'] = { alongM: 0, acrossM: 0 };
  let outline: Stand['outline'] = null;
  let sown: Stand['sown'] = null;
  for (const event of events) {
    if (event.kind === 'standAdded') {
      const { bed, variety } = event;
      const lists = { clock, groups, picked, bees, cares, malesPicked, rogueLooks };
      stand = {
        id,
        bed,
        variety,
        reason: event.reason,
        moved,
        outline,
        goal: null,
        sown: null,
        leaving: null,
        ...lists,
        event: event.id,
      };
    } else if (event.kind === 'reasonSet') reason = event.reason;
    else if (event.kind === 'sownFrom') sown = sownOf(event);
    else if (event.kind === 'standPlaced') moved = { alongM: event.alongM, acrossM: event.acrossM };
    else if (event.kind === 'outlineSet') outline = event.outline;
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
    } else if (event.kind === 'careGiven') {
      const { at, by, care, product, reentryHours, daysToHarvest, on = null } = event;
      cares.push({ event: event.id, at, by, care, product, reentryHours, daysToHarvest, on });
    } else if (event.kind === 'lookedOver')
      rogueLooks.push({ event: event.id, at: event.at, stage: event.stage });
    else if (event.kind === 'goalSet') goal = event.goal;
    else if (event.kind === 'clockNoted') clock.push({ at: event.at, what: event.what });
    else if (event.kind === 'groupCounted') {
      const { at, by, plant, from, to, how, worked, set, bent, early = false } = event;
      groups.push({ event: event.id, at, by, plant, from, to, how, worked, set, bent, early });
    }
  }
  return stand && { ...stand, moved, outline, goal, sown, leaving, reason: reason ?? stand.reason };
}

/** A note on a patch, a bed, a plant or a flower. */
export function noteOf(event: Extract<LedgerEvent, { kind: 'noted' }>): Note {
  return { event: event.id, at: event.at, text: event.text };
}
