import { polygonHull } from 'd3-polygon';
import { cropOf, type Crop } from '../crops';
import type { StandId } from '../ids';
import type { Bed, Between, Corner, Neighbour, Obstacle, Plant, Stand, State, Variety } from '../ledger';
import { remembered } from '../remember';
import { plantedIn, plantsOfStand, type Planted } from './garden';
import { bedCorners, plantPlace, standPoint } from './places';

/** A ring of corners; the last may repeat the first, or be joined to it. */
export type Ring = readonly Corner[];
/**
 * Where something stands: a point, or an area whose first ring is its edge, and further ones are holes in it. Metres on the plan, or
 * degrees, longitude first: the order of GeoJSON.
 */
export type Ground =
  | { readonly type: 'Point'; readonly coordinates: Corner }
  | { readonly type: 'Polygon'; readonly coordinates: readonly Ring[] };

/** A stand with its living plants, where it grows. */
export interface Standing {
  readonly stand: Stand;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly bed: Bed;
  readonly plants: readonly Plant[];
}

/** A stand with its living plants; `null` where it has none, or another phone has still to bring its bed. */
export function standing(state: Planted, id: StandId): Standing | null {
  const stand = state.stands.get(id);
  const variety = stand && state.varieties.get(stand.variety);
  const bed = stand && state.beds.get(stand.bed);
  const plants = plantsOfStand(state, id).filter(({ ended }) => ended === null);
  return stand && variety && bed && plants.length > 0
    ? { stand, variety, crop: cropOf(variety.crop), bed, plants }
    : null;
}

/** Every stand with living plants, in the order in which they were added. */
export const standings = remembered('standings', plantedIn, (planted): readonly Standing[] =>
  [...planted.stands.keys()].flatMap((id) => standing(planted, id as StandId) ?? []),
);

/** The ground of a stand on the plan: what was outlined, else what its living plants enclose. */
export function groundOf({ stand, bed, plants }: Standing): Ground {
  return groundFrom(stand, bed, plants);
}

const groundFrom = remembered(
  'ground',
  (stand: Stand, bed: Bed, plants: readonly Plant[]) => ({ stand, bed, plants }),
  ({ stand, bed, plants }): Ground => {
    if (stand.outline)
      return {
        type: 'Polygon',
        coordinates: [stand.outline.map((corner) => standPoint(stand, bed, corner))],
      };
    const places = plants.map((plant): Corner => {
      const { xM, yM } = plantPlace({ plant, stand, bed });
      return [xM, yM];
    });
    if (places.length === 1) return { type: 'Point', coordinates: places[0] as Corner };
    return { type: 'Polygon', coordinates: [enclosing(places)] };
  },
);

/** The corners around some points; of points in one line, the line. */
function enclosing(places: readonly Corner[]): readonly Corner[] {
  const hull = places.length > 2 ? polygonHull(places as [number, number][]) : null;
  return hull ?? [...places].sort((a, b) => a[0] - b[0] || a[1] - b[1]);
}

/**
 * Where a planting next door lies on the plan: where it was put; else, its distance beyond the beds (as they were first measured, so
 * that moving a bed does not push it away) in its direction. `null` where nobody said in which.
 */
export function neighbourPlace(
  beds: State['beds'],
  { place, bearingDeg, distanceM }: Pick<Neighbour, 'place' | 'bearingDeg' | 'distanceM'>,
): Corner | null {
  if (place) return place;
  if (bearingDeg === null) return null;
  const { middle, half } = extentOf(beds);
  const angle = (bearingDeg * Math.PI) / 180;
  const [east, south] = [Math.sin(angle), -Math.cos(angle)];
  const toEdge = Math.min(
    east === 0 ? Infinity : half[0] / Math.abs(east),
    south === 0 ? Infinity : half[1] / Math.abs(south),
  );
  const away = (Number.isFinite(toEdge) ? toEdge : 0) + distanceM;
  return [middle[0] + east * away, middle[1] + south * away];
}

/**
 * A planting's direction and distance from the beds as they were first measured: `neighbourPlace` the other way round. Whole degrees
 * clockwise from north; metres beyond the edge.
 */
export function seenFromPatch(
  beds: State['beds'],
  [x, y]: Corner,
): { readonly bearingDeg: number; readonly distanceM: number } {
  const { middle, half } = extentOf(beds);
  const [east, south] = [x - middle[0], y - middle[1]];
  const bearingDeg = Math.round(((Math.atan2(east, -south) * 180) / Math.PI + 360) % 360) % 360;
  const away = Math.hypot(east, south);
  const share = Math.min(
    1,
    east === 0 ? Infinity : half[0] / Math.abs(east),
    south === 0 ? Infinity : half[1] / Math.abs(south),
  );
  return { bearingDeg, distanceM: Math.round(away * (1 - share) * 10) / 10 };
}

const extentOf = remembered(
  'extent',
  (beds: State['beds']) => ({ beds }),
  ({ beds }): { readonly middle: Corner; readonly half: Corner } => {
    const corners = [...beds.values()].flatMap((bed) =>
      bedCorners({ ...bed, ...bed.measured, turnedDeg: 0 }),
    );
    if (corners.length === 0) return { middle: [0, 0], half: [0, 0] };
    const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
    const [west, east, north, south] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
    return {
      middle: [(west + east) / 2, (north + south) / 2],
      half: [(east - west) / 2, (south - north) / 2],
    };
  },
);

/** What still stands between two points of the plan. */
export function between(obstacles: State['obstacles'], from: Corner, to: Corner): Between[] {
  const found = new Set<Between>();
  for (const obstacle of obstacles.values())
    if (obstacle.goneAt === null && crosses(obstacle, from, to)) found.add(obstacle.what);
  return [...found];
}

function crosses({ corners, area }: Obstacle, from: Corner, to: Corner): boolean {
  const last = area ? corners.length : corners.length - 1;
  for (let i = 0; i < last; i++)
    if (meets(from, to, corners[i] as Corner, corners[(i + 1) % corners.length] as Corner)) return true;
  return false;
}

/** Whether two line segments share a point, ends included. */
function meets(a: Corner, b: Corner, c: Corner, d: Corner): boolean {
  const side = (p: Corner, q: Corner, r: Corner) =>
    Math.sign((q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]));
  return side(a, b, c) * side(a, b, d) <= 0 && side(c, d, a) * side(c, d, b) <= 0 && !inLine(a, b, c, d);
}

/** All four in one line: what runs along the way does not lie across it. */
function inLine(a: Corner, b: Corner, c: Corner, d: Corner): boolean {
  const across = (p: Corner) => (b[0] - a[0]) * (p[1] - a[1]) - (b[1] - a[1]) * (p[0] - a[0]);
  return across(c) === 0 && across(d) === 0;
}
