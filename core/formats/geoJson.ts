import type { Feature, FeatureCollection, Geometry, Position } from 'geojson';
import { TrowelError } from '../errors';
import type { Corner, Patch, State } from '../ledger';
import {
  bedCorners,
  groundOf,
  mainPatch,
  neighbourPlace,
  plantPlace,
  shelterOn,
  standings,
  toEarth,
} from '../patch';
import { localDateOf, type LocalDate } from '../time';

/** Decimals of a degree: a millimetre on the ground. */
const DECIMALS = 8;

/**
 * The patch as GeoJSON (RFC 7946: longitude and latitude in WGS 84, no `crs`, outer rings counterclockwise): beds, the ground of stands,
 * plants, obstacles, and what grows next door where its place is known. What we say of each stands in its `properties`, described in
 * docs/file-format.md. Throws `latitude` where nobody said where the patch lies.
 */
export function toGeoJson(state: State, today?: LocalDate): FeatureCollection {
  const patch = mainPatch(state);
  const place = patch?.place;
  if (!patch || !place)
    throw new TrowelError('latitude', 'Say where your patch lies first: a map needs a place.', {
      field: 'latitude',
    });
  const origin = { latitude: place.latitude, longitude: place.longitude };
  const at = ([xM, yM]: Corner): Position => {
    const { latitude, longitude } = toEarth(origin, { xM, yM });
    return [rounded(longitude), rounded(latitude)];
  };
  const day = today ?? localDateOf(Date.parse(patch.begunAt), place.zone);
  return {
    type: 'FeatureCollection',
    features: [
      ...bedFeatures(state, patch, day, at),
      ...standFeatures(state, at),
      ...obstacleFeatures(state, at),
      ...neighbourFeatures(state, at),
    ],
  };
}

type At = (corner: Corner) => Position;

const rounded = (degrees: number) => Math.round(degrees * 10 ** DECIMALS) / 10 ** DECIMALS;

/** What is outside of a ring is to its right: closed, and wound as the standard wants. */
function area(ring: readonly Corner[], at: At): Geometry {
  const corners = ring.map(at);
  return windRings({ type: 'Polygon', coordinates: [[...corners, corners[0] as Position]] });
}

const feature = (
  id: string,
  geometry: Geometry,
  kind: string,
  properties: Record<string, unknown>,
): Feature => ({
  type: 'Feature',
  id,
  geometry,
  properties: { kind, ...properties },
});

function bedFeatures(state: State, patch: Patch, day: LocalDate, at: At): Feature[] {
  return [...state.beds.values()]
    .filter((bed) => bed.patch === patch.id)
    .map((bed) => {
      const { id, name, lengthM, widthM, turnedDeg } = bed;
      const shelter = shelterOn(bed, day)?.shelter ?? null;
      return feature(id, area(bedCorners(bed), at), 'bed', { name, lengthM, widthM, turnedDeg, shelter });
    });
}

function standFeatures(state: State, at: At): Feature[] {
  return standings(state).flatMap((found) => {
    const { stand, variety, crop, bed, plants } = found;
    const { id } = stand;
    const ground = groundOf(found);
    const ring = ground.type === 'Polygon' ? (ground.coordinates[0] as readonly Corner[]) : [];
    const of = { variety: variety.name, crop: crop.id, botanical: crop.botanical };
    return [
      ...(ring.length > 2
        ? [
            feature(id, area(ring, at), 'stand', {
              ...of,
              bed: bed.id,
              reason: stand.reason,
              plants: plants.length,
            }),
          ]
        : []),
      ...plants.map((plant) => {
        const { xM, yM } = plantPlace({ plant, stand, bed });
        const { label, plantedOn } = plant;
        return feature(plant.id, { type: 'Point', coordinates: at([xM, yM]) }, 'plant', {
          ...of,
          label,
          stand: id,
          plantedOn,
        });
      }),
    ];
  });
}

function obstacleFeatures(state: State, at: At): Feature[] {
  return [...state.obstacles.values()]
    .filter(({ goneAt }) => goneAt === null)
    .map(({ id, what, corners, area: whole }) =>
      feature(
        id,
        whole && corners.length > 2
          ? area(corners, at)
          : { type: 'LineString', coordinates: corners.map(at) },
        'obstacle',
        { what },
      ),
    );
}

function neighbourFeatures(state: State, at: At): Feature[] {
  return [...state.neighbours.values()].flatMap((neighbour) => {
    const place = neighbour.goneAt === null ? neighbourPlace(state.beds, neighbour) : null;
    if (!place) return [];
    const { id, crop, variety, plants, knownBy, bloomFrom, bloomTo, between, besides } = neighbour;
    return [
      feature(id, { type: 'Point', coordinates: at(place) }, 'neighbour', {
        crop,
        variety,
        plants,
        knownBy,
        bloomFrom,
        bloomTo,
        between,
        besides,
      }),
    ];
  });
}

/**
 * A geometry with its rings wound as RFC 7946 (3.1.6) wants: outer ones counterclockwise, holes clockwise, the first position repeated
 * at the end. A ring wound the wrong way is turned round and keeps its first position; lines and points are left alone.
 */
export function windRings<T extends Geometry>(geometry: T): T {
  if (geometry.type === 'Polygon') return { ...geometry, coordinates: geometry.coordinates.map(wound) };
  if (geometry.type === 'MultiPolygon')
    return { ...geometry, coordinates: geometry.coordinates.map((rings) => rings.map(wound)) };
  if (geometry.type === 'GeometryCollection')
    return { ...geometry, geometries: geometry.geometries.map((each) => windRings(each)) };
  return geometry;
}

function wound(ring: Position[], index: number): Position[] {
  const [first, last] = [ring[0], ring[ring.length - 1]];
  const open = first !== undefined && last !== undefined && first.some((value, axis) => value !== last[axis]);
  const closed = open ? [...ring, first] : ring;
  const area = signedArea(closed);
  return (index === 0 ? area < 0 : area > 0) ? [...closed].reverse() : closed;
}

/** Twice the area within a closed ring; above 0 when it runs counterclockwise. Measured from its first corner, to lose no digits. */
function signedArea(ring: readonly Position[]): number {
  const [x0, y0] = ring[0] ?? [0, 0];
  let sum = 0;
  for (let i = 0; i + 1 < ring.length; i++) {
    const [x1, y1] = ring[i] as [number, number];
    const [x2, y2] = ring[i + 1] as [number, number];
    sum +=
      ((x1 as number) - (x0 as number)) * (y2 - (y0 as number)) -
      (x2 - (x0 as number)) * (y1 - (y0 as number));
  }
  return sum;
}
