import type { BedId, NeighbourId, ObstacleId, StandId } from '../ids';
import type { Bed, Corner, Draft, Neighbour, State } from '../ledger';
import { groundOf, neighbourPlace, seenFromPatch, standing } from './grounds';
import { inBed } from './places';

/** What can be moved on the plan. */
export type Thing =
  | { readonly kind: 'bed'; readonly id: BedId }
  | { readonly kind: 'stand'; readonly id: StandId }
  | { readonly kind: 'obstacle'; readonly id: ObstacleId }
  | { readonly kind: 'neighbour'; readonly id: NeighbourId };

const cm = (metres: number) => Math.round(metres * 100) / 100;

/**
 * The entry that moves something by so many metres east and south of where it is; `null` where it can't be moved (a neighbour's
 * planting in no known direction, something that is gone).
 */
export function moveBy(state: State, thing: Thing, [east, south]: Corner): Draft | null {
  switch (thing.kind) {
    case 'bed': {
      const bed = state.beds.get(thing.id);
      return bed ? placed(bed, { xM: cm(bed.xM + east), yM: cm(bed.yM + south) }) : null;
    }
    case 'stand': {
      const stand = state.stands.get(thing.id);
      const bed = stand && state.beds.get(stand.bed);
      if (!bed) return null;
      // A way on the plan, in the measure of its bed.
      const [from, to] = [inBed(bed, [0, 0]), inBed(bed, [east, south])];
      return {
        kind: 'standPlaced',
        stand: stand.id,
        alongM: cm(stand.moved.alongM + to[0] - from[0]),
        acrossM: cm(stand.moved.acrossM + to[1] - from[1]),
      };
    }
    case 'obstacle': {
      const obstacle = state.obstacles.get(thing.id);
      if (!obstacle) return null;
      const { id, patch, what, area } = obstacle;
      const corners = obstacle.corners.map(([x, y]): Corner => [cm(x + east), cm(y + south)]);
      return { kind: 'obstacleNoted', obstacle: id, patch, what, area, corners };
    }
    case 'neighbour': {
      const neighbour = state.neighbours.get(thing.id);
      const lies = neighbour ? neighbourPlace(state.beds, neighbour) : null;
      if (!neighbour || !lies) return null;
      const place: Corner = [cm(lies[0] + east), cm(lies[1] + south)];
      return neighbourDraft(neighbour, { place, ...seenFromPatch(state.beds, place) });
    }
  }
}

/** The entry that turns a bed to so many degrees, clockwise. */
export function turnTo(state: State, id: BedId, degrees: number): Draft | null {
  const bed = state.beds.get(id);
  return bed ? placed(bed, { turnedDeg: ((Math.round(degrees) % 360) + 360) % 360 }) : null;
}

function placed(
  { id, xM, yM, turnedDeg }: Bed,
  change: Partial<Pick<Bed, 'xM' | 'yM' | 'turnedDeg'>>,
): Draft {
  return { kind: 'bedPlaced', bed: id, xM, yM, turnedDeg, ...change };
}

/** All that is known of a planting next door, said again with a change. */
export function neighbourDraft(
  neighbour: Neighbour,
  change: Partial<Extract<Draft, { kind: 'neighbourNoted' }>>,
): Draft {
  const { id, patch, crop, species, variety, plants, distanceM, bearingDeg, between, besides } = neighbour;
  const { bloomFrom, bloomTo, knownBy, sprayed, place } = neighbour;
  return {
    kind: 'neighbourNoted',
    neighbour: id,
    patch,
    crop,
    ...(species ? { species } : {}),
    variety,
    plants,
    distanceM,
    bearingDeg,
    between,
    besides,
    bloomFrom,
    bloomTo,
    knownBy,
    ...(sprayed.length > 0 ? { sprayed } : {}),
    ...(place ? { place } : {}),
    ...change,
  };
}

/** The corners that can be dragged: of an obstacle, or of a stand's ground. On the plan. */
export function cornersOf(state: State, thing: Thing): readonly Corner[] {
  if (thing.kind === 'obstacle') return state.obstacles.get(thing.id)?.corners ?? [];
  const found = thing.kind === 'stand' ? standing(state, thing.id) : null;
  const ground = found && groundOf(found);
  return ground?.type === 'Polygon' ? (ground.coordinates[0] ?? []) : [];
}

/** The entry that gives something other corners (on the plan); `null` where it has none, or too few are left. */
export function shapeTo(state: State, thing: Thing, corners: readonly Corner[]): Draft | null {
  if (thing.kind === 'obstacle') {
    const obstacle = state.obstacles.get(thing.id);
    if (!obstacle || corners.length < (obstacle.area ? 3 : 2)) return null;
    const { id, patch, what, area } = obstacle;
    const rounded = corners.map(([x, y]): Corner => [cm(x), cm(y)]);
    return { kind: 'obstacleNoted', obstacle: id, patch, what, area, corners: rounded };
  }
  const stand = thing.kind === 'stand' ? state.stands.get(thing.id) : undefined;
  const bed = stand && state.beds.get(stand.bed);
  if (!bed || corners.length < 3) return null;
  const outline = corners.map((corner): Corner => {
    const [x, y] = inBed(bed, corner);
    return [cm(x - stand.moved.alongM), cm(y - stand.moved.acrossM)];
  });
  return { kind: 'outlineSet', stand: stand.id, outline };
}

/** Nearer than this an edge is drawn to another, m [M]. */
const SNAP_M = 0.25;
/** Else to whole decimetres. */
const STEP_M = 0.1;

/**
 * How far something goes when it is dragged so far: so that an edge of it meets an edge of another where that is near, else by whole
 * decimetres. `edges` and `others` are the places of edges along one axis, m.
 * @example [snapped(2.13, [0, 4], [6.2]), snapped(3, [0, 4], [6.2])] // [2.2, 3]
 */
export function snapped(by: number, edges: readonly number[], others: readonly number[]): number {
  let best: number | null = null;
  for (const edge of edges)
    for (const other of others) {
      const to = other - edge;
      if (Math.abs(to - by) <= SNAP_M && (best === null || Math.abs(to - by) < Math.abs(best - by)))
        best = to;
    }
  return cm(best ?? Math.round(by / STEP_M) * STEP_M);
}
