import { mustBe } from '../errors';
import type { Corner } from '../ledger';
import { toPlan, type Ground, type OnEarth } from '../patch';

/** Metres east and south on the plan, or longitude and latitude in degrees. */
export type Position = Corner;

type Segment = readonly [Position, Position];

/**
 * Metres between the nearest edges of two stands on the plan; 0 where they touch, overlap or one lies in the other. What stands in a
 * hole is outside. Throws by field.
 * @example standDistance({ type: 'Point', coordinates: [13, 14] }, { type: 'Polygon', coordinates: [[[0, 0], [10, 0], [10, 10], [0, 10]]] }) // 5
 */
export function standDistance(a: Ground, b: Ground): number {
  return nearest(a, b).distanceM;
}

/** How far apart two stands are, and the points between which that was measured. */
export interface Nearest {
  readonly distanceM: number;
  readonly from: Position;
  readonly to: Position;
}

/**
 * `standDistance`, with the points of the two edges that lie nearest to each other. Throws by field.
 * @example nearest({ type: 'Point', coordinates: [13, 5] }, { type: 'Polygon', coordinates: [[[0, 0], [10, 0], [10, 10], [0, 10]]] }).to // [10, 5]
 */
export function nearest(a: Ground, b: Ground): Nearest {
  const [one, other] = [edgesOf(a), edgesOf(b)];
  const [mine, theirs] = [one[0]?.[0] as Position, other[0]?.[0] as Position];
  if (holds(a, theirs)) return { distanceM: 0, from: theirs, to: theirs };
  if (holds(b, mine)) return { distanceM: 0, from: mine, to: mine };
  let least: Nearest = { distanceM: Infinity, from: mine, to: theirs };
  for (const edge of one)
    for (const across of other) {
      const found = apart(edge, across);
      if (found.distanceM < least.distanceM) least = found;
    }
  return least;
}

/**
 * Metres between the nearest edges of two grounds given in degrees, [longitude, latitude], on a flat plan around the first. Within a
 * few kilometres good to half a per cent; works across the date line. Throws by field.
 * @example Math.round(geoDistance({ type: 'Point', coordinates: [14, 46] }, { type: 'Point', coordinates: [14, 46.001] })) // 111
 */
export function geoDistance(a: Ground, b: Ground): number {
  const [longitude, latitude] = middleOf(a, b);
  return standDistance(flat({ latitude, longitude }, a), flat({ latitude, longitude }, b));
}

/** Halfway between two first corners, by the shorter way round, so that neither lies far from the origin. */
function middleOf(a: Ground, b: Ground): Position {
  const [one, other] = [edgesOf(a), edgesOf(b)].map((edges) => edges[0]?.[0] as Position) as [
    Position,
    Position,
  ];
  const east = ((other[0] - one[0] + 540) % 360) - 180;
  return [((one[0] + east / 2 + 540) % 360) - 180, (one[1] + other[1]) / 2];
}

function flat(origin: OnEarth, ground: Ground): Ground {
  const at = ([longitude, latitude]: Position): Position => {
    const { xM, yM } = toPlan(origin, { latitude, longitude });
    return [xM, yM];
  };
  return ground.type === 'Point'
    ? { type: 'Point', coordinates: at(ground.coordinates) }
    : { type: 'Polygon', coordinates: ground.coordinates.map((ring) => ring.map(at)) };
}

/** The edges of all rings; a point is an edge of no length. */
function edgesOf(ground: Ground): Segment[] {
  const rings = ground.type === 'Point' ? [[ground.coordinates]] : ground.coordinates;
  const edges = rings.flatMap((ring) =>
    ring.map((corner, i): Segment => [corner, ring[(i + 1) % ring.length] as Position]),
  );
  if (edges.length === 0) throw mustBe('standDistance', 'coordinates', 'at least one corner', 'none');
  for (const [[x, y]] of edges)
    if (!Number.isFinite(x) || !Number.isFinite(y))
      throw mustBe('standDistance', 'coordinates', 'numbers', `${x}, ${y}`);
  return edges;
}

/** Whether a point lies in an area and in none of its holes (a ray to the east meets the edges an odd number of times). */
function holds(ground: Ground, point: Position | undefined): boolean {
  if (ground.type === 'Point' || !point) return false;
  const [x, y] = point;
  return (
    edgesOf(ground).filter(
      ([[x1, y1], [x2, y2]]) => y1 > y !== y2 > y && x < x1 + ((y - y1) * (x2 - x1)) / (y2 - y1),
    ).length %
      2 ===
    1
  );
}

function apart(a: Segment, b: Segment): Nearest {
  if (meet(a, b)) return { distanceM: 0, from: a[0], to: a[0] };
  let least: Nearest = fromEnd(a[0], b);
  const take = (found: Nearest) => {
    if (found.distanceM < least.distanceM) least = found;
  };
  take(fromEnd(a[1], b));
  for (const end of b) {
    const { distanceM, from, to } = fromEnd(end, a);
    take({ distanceM, from: to, to: from });
  }
  return least;
}

/** Which side of a line a point lies on: the sign of the area they span. */
const side = ([[x1, y1], [x2, y2]]: Segment, [x, y]: Position) =>
  Math.sign((x2 - x1) * (y - y1) - (y2 - y1) * (x - x1));

/** Whether two edges cross; where one only touches the other, the distance of its end is 0 anyway. */
function meet(a: Segment, b: Segment): boolean {
  return side(a, b[0]) * side(a, b[1]) < 0 && side(b, a[0]) * side(b, a[1]) < 0;
}

/** From a point to the nearest one of an edge. */
function fromEnd(end: Position, [[x1, y1], [x2, y2]]: Segment): Nearest {
  const [x, y] = end;
  const [dx, dy] = [x2 - x1, y2 - y1];
  const length = dx * dx + dy * dy;
  const along = length === 0 ? 0 : Math.max(0, Math.min(1, ((x - x1) * dx + (y - y1) * dy) / length));
  const to: Position = [x1 + along * dx, y1 + along * dy];
  return { distanceM: Math.hypot(x - to[0], y - to[1]), from: end, to };
}
