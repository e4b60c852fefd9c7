import type { BedId, NeighbourId, ObstacleId, StandId } from '../ids';
import type { Bed, Corner, Draft, Neighbour, State } from '../ledger';
import { groundOf, neighbourPlace, seenFromPatch, standing } from './grounds';
import { bedCorners, inBed, middleOfBed, turnedBy } from './places';

/** What can be moved on the plan. */
export type Thing =
  | { readonly kind: 'bed'; readonly id: BedId }
  | { readonly kind: 'stand'; readonly id: StandId }
  | { readonly kind: 'obstacle'; readonly id: ObstacleId }
  | { readonly kind: 'neighbour'; readonly id: NeighbourId };

type BedPlaced = Extract<Draft, { kind: 'bedPlaced' }>;

const cm = (metres: number) => Math.round(metres * 100) / 100;
const mm = (metres: number) => Math.round(metres * 1000) / 1000;

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
      // A step on the plan, as its bed measures it.
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
  return bed ? placed(bed, { turnedDeg: wholeTurn(degrees) }) : null;
}

function placed({ id, xM, yM, turnedDeg }: Bed, change: Partial<BedPlaced>): BedPlaced {
  return { kind: 'bedPlaced', bed: id, xM, yM, turnedDeg, ...change };
}

/** No side of a bed is drawn shorter, m. */
const LEAST_SIDE_M = 0.2;

/**
 * The entry that brings a corner of a bed (as `bedCorners` counts them) to a point of the plan. The corner across from it stays, and so
 * does everything that grows in the bed. Sides go by whole decimetres.
 */
export function bedCornerTo(state: State, id: BedId, index: number, [x, y]: Corner): Draft | null {
  const bed = state.beds.get(id);
  if (!bed || !bedCorners(bed)[index]) return null;
  const [stayX, stayY] = bedCorners(bed)[(index + 2) % 4] as Corner;
  const [along, across] = turnedBy([x - stayX, y - stayY], -bed.turnedDeg);
  // The corner lies east of the one across from it, or west; a side drawn through it would turn the bed inside out.
  const [east, south] = [index === 1 || index === 2 ? 1 : -1, index >= 2 ? 1 : -1];
  const lengthM = sideOf(along * east);
  const widthM = sideOf(across * south);
  const [toX, toY] = turnedBy([(east * lengthM) / 2, (south * widthM) / 2], bed.turnedDeg);
  return bedSized(bed, { lengthM, widthM, xM: stayX + toX - lengthM / 2, yM: stayY + toY - widthM / 2 });
}

/** The entry that gives a bed a place, a turn and a size at once, as they are typed: it is sized first, then moved with all that grows in it. */
export function bedTo(bed: Bed, to: Pick<Bed, 'xM' | 'yM' | 'lengthM' | 'widthM' | 'turnedDeg'>): Draft {
  const { lengthM, widthM } = to;
  const same = lengthM === bed.lengthM && widthM === bed.widthM;
  const { sized } = bedSized(bed, { lengthM: cm(lengthM), widthM: cm(widthM), xM: bed.xM, yM: bed.yM });
  return placed(bed, {
    xM: cm(to.xM),
    yM: cm(to.yM),
    turnedDeg: wholeTurn(to.turnedDeg),
    ...(same ? {} : { sized }),
  });
}

const wholeTurn = (degrees: number) => ((Math.round(degrees) % 360) + 360) % 360;
const sideOf = (metres: number) => cm(Math.max(LEAST_SIDE_M, Math.round(metres / STEP_M) * STEP_M));

/** The entry that gives a bed another size and place; everything that grows in it stays where it is on the plan. */
export function bedSized(
  bed: Bed,
  { lengthM, widthM, ...at }: Pick<Bed, 'lengthM' | 'widthM' | 'xM' | 'yM'>,
): BedPlaced {
  const [xM, yM] = [cm(at.xM), cm(at.yM)];
  // Where the new corner, unturned about the new middle, lies in the measure of the plants (`inBed` with the new bed, solved for `first`).
  const [oldX, oldY] = middleOfBed(bed);
  const [newX, newY] = middleOfBed({ xM, yM, lengthM, widthM });
  const [backX, backY] = turnedBy([newX - oldX, newY - oldY], -bed.turnedDeg);
  return placed(bed, {
    xM,
    yM,
    sized: {
      lengthM,
      widthM,
      firstXM: mm(bed.first.xM + (xM - bed.xM) - (newX - oldX) + backX),
      firstYM: mm(bed.first.yM + (yM - bed.yM) - (newY - oldY) + backY),
    },
  });
}

/** All that is known of a planting next door, said again with a change. */
export function neighbourDraft(
  neighbour: Neighbour,
  change: Partial<Extract<Draft, { kind: 'neighbourNoted' }>>,
): Draft {
  const { id, patch, crop, species, corn, variety, plants, distanceM, bearingDeg, between, besides } =
    neighbour;
  const { bloomFrom, bloomTo, knownBy, sprayed, place } = neighbour;
  return {
    kind: 'neighbourNoted',
    neighbour: id,
    patch,
    crop,
    ...(species ? { species } : {}),
    ...(corn ? { corn } : {}),
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

/** The corners that can be dragged: of a bed, of an obstacle, or of a stand's ground. On the plan. */
export function cornersOf(state: State, thing: Thing): readonly Corner[] {
  if (thing.kind === 'bed') {
    const bed = state.beds.get(thing.id);
    return bed ? bedCorners(bed) : [];
  }
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
