import Joi from 'joi';
import { CROP_IDS, NEIGHBOUR_IDS } from '../crops';
import {
  BESIDES,
  BETWEEN,
  KNOWN_BY,
  MOST_CORNERS,
  OBSTACLES,
  SCHEMA_VERSION,
  validateEvent,
  type Corner,
  type Draft,
  type Neighbour,
  type State,
} from '../ledger';
import type { SubjectKind } from '../ids';
import {
  bedCorners,
  mainPatch,
  neighbourDraft,
  neighbourPlace,
  seenFromPatch,
  toPlan,
  type OnEarth,
} from '../patch';
import { alike, apart, movedBed, rectangleOf, round, SAME_M } from './mapBeds';

/** More features than this are no plan of a garden. */
export const MOST_FEATURES = 10_000;
/** Farther off than this nothing matters to a patch, and a coordinate is most likely wrong, m. */
const FARTHEST_M = 10_000;

/** What a map file would change, and what of it can't be taken. */
export type ReadMap =
  | {
      readonly ok: true;
      readonly drafts: readonly Draft[];
      /** Features that say of the patch what is known already. */
      readonly same: number;
      /** In words, with the number of the feature, from 1. */
      readonly problems: readonly string[];
    }
  | { readonly ok: false; readonly message: string };

type NewId = (kind: SubjectKind) => string;
type Loose = Readonly<Record<string, unknown>>;

const position = Joi.array()
  .ordered(Joi.number().required(), Joi.number().required(), Joi.number())
  .max(4)
  .items(Joi.number());
const line = Joi.array()
  .items(position)
  .min(2)
  .max(MOST_CORNERS + 1);
const featureSchema = Joi.object({
  type: Joi.valid('Feature').required(),
  id: Joi.alternatives(Joi.string(), Joi.number()),
  properties: Joi.object().unknown(true).allow(null).required(),
  geometry: Joi.object({
    type: Joi.valid('Point', 'LineString', 'Polygon').required(),
    coordinates: Joi.when('type', {
      switch: [
        { is: 'Point', then: position.required() },
        { is: 'LineString', then: line.required() },
        { is: 'Polygon', then: Joi.array().items(line.min(4)).length(1).required() },
      ],
    }),
  })
    .unknown(true)
    .required(),
})
  .unknown(true)
  .prefs({ convert: false, errors: { wrap: { label: '"' } } });

const neighbourSchema = Joi.object({
  crop: Joi.valid(...CROP_IDS, ...NEIGHBOUR_IDS).required(),
  variety: Joi.string().max(80).allow(null).default(null),
  plants: Joi.number().integer().min(1).allow(null).default(null),
  knownBy: Joi.valid(...KNOWN_BY).required(),
  bloomFrom: Joi.string().allow(null).default(null),
  bloomTo: Joi.string().allow(null).default(null),
  between: Joi.array()
    .items(Joi.valid(...BETWEEN))
    .unique()
    .default([]),
  besides: Joi.array()
    .items(Joi.valid(...BESIDES))
    .unique()
    .default([]),
}).prefs({ convert: false, stripUnknown: true, errors: { wrap: { label: '"' } } });

/**
 * Reads a map file (GeoJSON, RFC 7946): beds, obstacles and what grows next door, as docs/file-format.md describes them; plants and
 * stands are only written. What is known by its id is moved, the rest is added. Nothing is taken that is not understood, and each
 * such feature is named. Never throws.
 */
export function fromGeoJson(text: string, state: State, newId: NewId): ReadMap {
  const refuse = (message: string): ReadMap => ({ ok: false, message });
  const patch = mainPatch(state);
  if (!patch?.place) return refuse('Say where your patch lies first: a map needs a place.');
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    return refuse('This is no GeoJSON: it can’t be read as JSON.');
  }
  const { type, features, crs } = (typeof value === 'object' && value !== null ? value : {}) as Loose;
  if (type !== 'FeatureCollection' || !Array.isArray(features))
    return refuse('This is no GeoJSON we can read: it must be a "FeatureCollection" with "features".');
  if (crs !== undefined)
    return refuse('This file has a "crs": GeoJSON is in longitude and latitude alone (WGS 84). Save it so.');
  if (features.length > MOST_FEATURES)
    return refuse(`This file has ${features.length} features; a plan has at most ${MOST_FEATURES}.`);
  const reading = { state, patch: patch.id, origin: patch.place, newId };
  const drafts: Draft[] = [];
  const problems: string[] = [];
  let same = 0;
  for (const [i, feature] of features.entries()) {
    const read = readFeature(feature, reading);
    if (read === 'same') same++;
    else if (typeof read === 'string') problems.push(`Feature ${i + 1}: ${read}`);
    else {
      const wrong = read.map(refused).find((each) => each !== null);
      if (wrong) problems.push(`Feature ${i + 1}: ${wrong}`);
      else drafts.push(...read);
    }
  }
  return { ok: true, drafts, same, problems };
}

/** An envelope for a look at what it would hold. */
const ENVELOPE = {
  id: '01ARZ3NDEKTSV4RRFFQ69G5FAV',
  v: SCHEMA_VERSION,
  at: '2000-01-01T00:00:00.000Z',
  by: 'file',
  device: 'file',
};

/** Why the log would refuse it; `null` when it would not. */
function refused(draft: Draft): string | null {
  const read = validateEvent({ ...ENVELOPE, ...draft });
  return read.ok ? null : read.message;
}

interface Reading {
  readonly state: State;
  readonly patch: string;
  readonly origin: OnEarth;
  readonly newId: NewId;
}

/** A feature on the plan, and what is known already. */
interface Found extends Reading {
  readonly id: string | null;
  readonly type: 'Point' | 'LineString' | 'Polygon';
  /** Metres; the first corner not repeated. */
  readonly ring: readonly Corner[];
  readonly said: Loose;
}

/** What a map tells of a planting next door besides where it lies. */
type SaidOfNeighbour = Pick<
  Neighbour,
  'crop' | 'variety' | 'plants' | 'knownBy' | 'bloomFrom' | 'bloomTo' | 'between' | 'besides'
>;

/** What a feature adds or moves; `same`: nothing; else why it is not taken. */
function readFeature(feature: unknown, reading: Reading): Draft[] | 'same' | string {
  const { error } = featureSchema.validate(feature);
  if (error) return `${error.details[0]?.message ?? error.message}.`;
  const { id, properties, geometry } = feature as {
    id?: string | number;
    properties: Loose | null;
    geometry: { type: 'Point' | 'LineString' | 'Polygon'; coordinates: unknown };
  };
  const kind = properties?.kind;
  if (kind === 'plant' || kind === 'stand') return 'same';
  if (kind !== 'bed' && kind !== 'obstacle' && kind !== 'neighbour')
    return 'it does not say what it is (its property "kind" must be bed, obstacle or neighbour).';
  const positions = (
    geometry.type === 'Point'
      ? [geometry.coordinates]
      : geometry.type === 'LineString'
        ? geometry.coordinates
        : (geometry.coordinates as unknown[])[0]
  ) as [number, number][];
  const corners = onThePlan(positions, reading.origin);
  if (typeof corners === 'string') return corners;
  const found: Found = {
    ...reading,
    id: typeof id === 'string' ? id : null,
    type: geometry.type,
    ring: geometry.type === 'Polygon' ? corners.slice(0, -1) : corners,
    said: properties as Loose,
  };
  if (kind === 'bed') return readBed(found);
  return kind === 'obstacle' ? readObstacle(found) : readNeighbour(found);
}

/** Positions in metres on the plan, or what is wrong with them. */
function onThePlan(positions: readonly [number, number][], origin: OnEarth): Corner[] | string {
  const corners: Corner[] = [];
  for (const [longitude, latitude] of positions) {
    if (Math.abs(latitude) > 90 || Math.abs(longitude) > 180)
      return `${longitude}, ${latitude} is no longitude and latitude.`;
    const { xM, yM } = toPlan(origin, { latitude, longitude });
    if (Math.hypot(xM, yM) > FARTHEST_M) {
      const swapped =
        Math.abs(longitude) <= 90 && isNear(origin, { latitude: longitude, longitude: latitude });
      return swapped
        ? 'its longitude and latitude are swapped: longitude comes first.'
        : `it lies more than ${FARTHEST_M / 1000} km from your patch.`;
    }
    corners.push([round(xM), round(yM)]);
  }
  return corners;
}

function isNear(origin: OnEarth, point: OnEarth): boolean {
  const { xM, yM } = toPlan(origin, point);
  return Math.hypot(xM, yM) <= FARTHEST_M;
}

function readBed({ id, type, ring, said, state, patch, newId }: Found) {
  const known = id === null ? undefined : state.beds.get(id);
  if (type !== 'Polygon' || ring.length !== 4) return 'a bed must be a polygon of four corners.';
  if (known && alike(ring, bedCorners(known))) return 'same';
  const lying = rectangleOf(ring);
  if (!lying) return 'a bed must be a rectangle with sides longer than 0.';
  const { lengthM, widthM, ...placed } = lying;
  if (known) return movedBed(known, lying);
  const name = typeof said.name === 'string' ? said.name.trim() : '';
  if (name === '' || name.length > 80) return 'a bed needs a "name" of 1 to 80 characters.';
  const bed = newId('bed');
  const { xM, yM } = placed;
  return [
    { kind: 'bedAdded', bed, patch, name, xM, yM, lengthM, widthM },
    ...(placed.turnedDeg === 0 ? [] : [{ kind: 'bedPlaced', bed, ...placed }]),
  ] as Draft[];
}

function readObstacle({ id, type, ring, said, state, patch, newId }: Found) {
  const what = said.what as (typeof OBSTACLES)[number];
  if (!OBSTACLES.includes(what)) return `"what" of an obstacle must be ${OBSTACLES.join(', ')}.`;
  if (type === 'Point') return 'an obstacle must be a line or a polygon.';
  const known = id === null ? undefined : state.obstacles.get(id);
  const area = type === 'Polygon';
  if (known && known.what === what && known.area === area && alike(ring, known.corners)) return 'same';
  return [
    {
      kind: 'obstacleNoted',
      obstacle: known?.id ?? newId('obstacle'),
      patch,
      what,
      corners: ring,
      area,
    },
  ] as Draft[];
}

function readNeighbour({ id, type, ring, said, state, patch, newId }: Found) {
  if (type !== 'Point') return 'what grows next door must be a point.';
  const place = ring[0] as Corner;
  const known = id === null ? undefined : state.neighbours.get(id);
  const { error, value } = neighbourSchema.validate(said) as { error?: Error; value: SaidOfNeighbour };
  if (error) return `${error.message}.`;
  const lies = known && neighbourPlace(state.beds, known);
  const stays = lies && apart(lies, place) <= SAME_M;
  if (known && stays && sameSaid(value, known)) return 'same';
  const where = stays ? {} : { ...seenFromPatch(state.beds, place), place };
  // What a map does not tell of it (its species, its spray days) stays as it was said.
  if (known) return [neighbourDraft(known, { ...value, ...where })];
  const neighbour = newId('neighbour');
  return [{ kind: 'neighbourNoted', neighbour, patch, ...value, ...where }] as Draft[];
}

function sameSaid(value: SaidOfNeighbour, known: Neighbour): boolean {
  return Object.entries(value).every(
    ([name, said]) => JSON.stringify(said) === JSON.stringify(known[name as keyof SaidOfNeighbour]),
  );
}
