import fc from 'fast-check';
import type { FeatureCollection, Geometry, Point, Polygon, Position } from 'geojson';
import GeometryFactory from 'jsts/org/locationtech/jts/geom/GeometryFactory.js';
import GeoJSONReader from 'jsts/org/locationtech/jts/io/GeoJSONReader.js';
import IsValidOp from 'jsts/org/locationtech/jts/operation/valid/IsValidOp.js';
import type { SubjectKind } from '../ids';
import type { Bed, Draft, LedgerEvent } from '../ledger';
import { bedCorners } from '../patch';
import { TestGarden } from '../testGarden';
import { testIds } from '../testing';
import { fromGeoJson, toGeoJson, windRings } from '.';
import cases from './fixtures/geojson.json';

const DAY = '2026-07-10';

test.each(cases)('rings are wound as the standard wants: $id', ({ input, expected }) => {
  expect(windRings(input.geometry as Geometry)).toEqual(expected.geometry);
});

test('a ring left open is closed, and an empty one stays', () => {
  const open: Polygon = {
    type: 'Polygon',
    coordinates: [
      [
        [0, 0],
        [0, 1],
        [1, 1],
      ],
    ],
  };
  expect(windRings(open).coordinates).toEqual([
    [
      [0, 0],
      [1, 1],
      [0, 1],
      [0, 0],
    ],
  ]);
  expect(windRings({ type: 'Polygon', coordinates: [[]] }).coordinates).toEqual([[]]);
});

/** A patch with a turned bed, a hedge, a pond and two plantings next door. */
function patch() {
  const garden = new TestGarden();
  garden.plant('squash-maxima', 'Slate Dome', 4, { reason: 'seed' });
  garden.plant('corn', 'Weir Copper', 1);
  const ids = testIds(9);
  const newId = (kind: SubjectKind) => ids.subject(kind, Date.parse('2026-07-12T08:00:00Z')) as string;
  const write = (draft: Draft) => garden.write(garden.time(DAY, 9, garden.events.length % 60), draft);
  const [bed] = [...garden.state.beds.values()] as [Bed];
  write({ kind: 'bedPlaced', bed: bed.id, xM: 3, yM: 12, turnedDeg: 40 });
  garden.obstacle('hedge', [
    [-4, 0],
    [-4, 20],
    [10, 24],
  ]);
  garden.obstacle(
    'water',
    [
      [40, 0],
      [50, 0],
      [50, 9],
    ],
    true,
  );
  for (const bearingDeg of [90, null])
    garden.nextDoor({ crop: 'squash-maxima', plants: 3, distanceM: 80, bearingDeg });
  const out = () => toGeoJson(garden.state, DAY);
  const back = (value: unknown) => {
    const read = fromGeoJson(JSON.stringify(value), garden.state, newId);
    if (!read.ok) throw new Error(read.message);
    return read;
  };
  return { garden, bed: bed.id, newId, out, back };
}

const kinds = ({ features }: FeatureCollection) =>
  features.map(({ properties }) => properties?.kind as string);
const changed = (
  map: FeatureCollection,
  kind: string,
  change: (feature: FeatureCollection['features'][number]) => object,
) => ({
  ...map,
  features: map.features
    .filter(({ properties }) => properties?.kind === kind)
    .map((each) => ({ ...each, ...change(each) })),
});

test('an independent parser reads every geometry we write, and finds it sound', () => {
  const { out } = patch();
  const map = out();
  expect(kinds(map).filter((kind) => kind !== 'plant')).toEqual([
    'bed',
    'bed',
    'stand',
    'obstacle',
    'obstacle',
    'neighbour',
  ]);
  const reader = new GeoJSONReader(new GeometryFactory());
  for (const { geometry } of map.features) {
    const read = reader.read(geometry);
    expect([read.getGeometryType(), read.isEmpty(), IsValidOp.isValid(read)]).toEqual([
      geometry.type,
      false,
      true,
    ]);
    expect(windRings(geometry)).toEqual(geometry);
  }
  expect(JSON.stringify(map)).not.toContain('"crs"');
});

test('read back, nothing changes', () => {
  const { out, back } = patch();
  const map = out();
  expect(back(map)).toEqual({ ok: true, drafts: [], same: map.features.length, problems: [] });
});

test('a bed moved in another program is moved here, turned as it was and as long', () => {
  const { garden, bed, out, back } = patch();
  const map = changed(out(), 'bed', ({ geometry }) => ({
    geometry: {
      ...geometry,
      coordinates: (geometry as Polygon).coordinates.map((ring) =>
        ring.map(([lon, lat]) => [(lon as number) + 0.0001, lat as number]),
      ),
    },
  }));
  const { drafts } = back(map);
  const moved = drafts.find((draft) => draft.kind === 'bedPlaced' && draft.bed === bed) as Extract<
    Draft,
    { kind: 'bedPlaced' }
  >;
  expect(drafts.map(({ kind }) => kind)).toEqual(['bedPlaced', 'bedPlaced']);
  // A ten-thousandth of a degree of longitude at 46.2 degrees north.
  expect(moved.xM - 3).toBeCloseTo(111.195 * 0.1 * Math.cos((46.2 * Math.PI) / 180), 1);
  expect([moved.yM, moved.turnedDeg].map((value) => Math.round(value * 10) / 10)).toEqual([12, 40]);
  garden.write(garden.time(DAY, 12), moved);
  expect(bedCorners(garden.state.beds.get(bed) as Bed)[0]?.[0]).toBeGreaterThan(5);
});

test('what the file brings anew is added: a bed, a hedge, a planting', () => {
  const { out, back } = patch();
  const strange = (kind: string) =>
    changed(out(), kind, ({ properties }) => ({
      id: undefined,
      properties: { ...properties, name: 'New bed' },
    }));
  expect(back(strange('bed')).drafts.map(({ kind }) => kind)).toEqual(['bedAdded', 'bedPlaced', 'bedAdded']);
  expect(back(strange('obstacle')).drafts).toMatchObject([
    { kind: 'obstacleNoted', what: 'hedge', area: false },
    { kind: 'obstacleNoted', what: 'water', area: true },
  ]);
  expect(back(strange('neighbour')).drafts).toMatchObject([
    { kind: 'neighbourNoted', crop: 'squash-maxima', bearingDeg: 90, distanceM: 80 },
  ]);
});

test('what a map changes of a planting next door changes here, and what it does not tell stays as it was said', () => {
  const { garden, out, back } = patch();
  const id = [...garden.state.neighbours.values()].find(({ bearingDeg }) => bearingDeg === 90)?.id as string;
  garden.nextDoor(
    {
      crop: 'pepper',
      species: 'chinense',
      plants: 3,
      distanceM: 80,
      bearingDeg: 90,
      sprayed: ['2026-06-30'],
    },
    garden.time(DAY, 12),
    id,
  );
  const told = changed(out(), 'neighbour', ({ properties }) => ({
    properties: { ...properties, plants: 9 },
  }));
  expect(back(told).drafts).toMatchObject([
    { neighbour: id, plants: 9, species: 'chinense', sprayed: ['2026-06-30'], distanceM: 80, bearingDeg: 90 },
  ]);
  const moved = changed(out(), 'neighbour', ({ geometry }) => {
    const [lon, lat] = (geometry as Point).coordinates as [number, number];
    return { geometry: { ...geometry, coordinates: [lon, lat + 0.0003] } };
  });
  expect(back(moved).drafts).toMatchObject([{ neighbour: id, species: 'chinense', sprayed: ['2026-06-30'] }]);
});

test('whatever rectangle a bed is, it comes back where it was', () => {
  const { garden, bed, out, back } = patch();
  fc.assert(
    fc.property(
      fc.integer({ min: -300, max: 300 }),
      fc.integer({ min: -300, max: 300 }),
      fc.integer({ min: 0, max: 359 }),
      (xM, yM, turnedDeg) => {
        garden.write(garden.time(DAY, 13), { kind: 'bedPlaced', bed, xM, yM, turnedDeg });
        expect(back(out()).drafts).toEqual([]);
        const map = out();
        garden.write(garden.time(DAY, 13), { kind: 'bedPlaced', bed, xM: 500, yM: 500, turnedDeg });
        const [draft] = back(map).drafts as [Extract<LedgerEvent, { kind: 'bedPlaced' }>];
        expect(Math.hypot(draft.xM - xM, draft.yM - yM)).toBeLessThan(0.05);
        expect(Math.abs(((draft.turnedDeg - turnedDeg + 540) % 360) - 180)).toBeLessThan(0.1);
      },
    ),
    { numRuns: 40 },
  );
});

const square = (at: Position): Polygon => ({
  type: 'Polygon',
  coordinates: [
    [
      at,
      [(at[0] as number) + 0.0001, at[1] as number],
      [(at[0] as number) + 0.0001, (at[1] as number) + 0.0001],
      [at[0] as number, (at[1] as number) + 0.0001],
      at,
    ],
  ],
});
const of = (geometry: unknown, properties: object | null = { kind: 'bed', name: 'B' }) => ({
  type: 'Feature',
  geometry,
  properties,
});

test.each([
  ['no kind', of(square([14.6, 46.2]), {}), /"kind" must be bed, obstacle or neighbour/],
  ['no properties', of(square([14.6, 46.2]), null), /"kind"/],
  ['swapped', of(square([46.2, 14.6])), /swapped/],
  ['far away', of(square([20, 46.2])), /more than 10 km/],
  [
    'out of range',
    of({ type: 'Point', coordinates: [200, 46] }, { kind: 'neighbour' }),
    /no longitude and latitude/,
  ],
  ['across the date line', of(square([179.9999, 46.2])), /more than 10 km/],
  [
    'a triangle',
    of({
      type: 'Polygon',
      coordinates: [
        [
          [14.6, 46.2],
          [14.601, 46.2],
          [14.6, 46.201],
          [14.6, 46.2],
        ],
      ],
    }),
    /four corners/,
  ],
  [
    'no width',
    of({
      type: 'Polygon',
      coordinates: [
        [
          [14.6, 46.2],
          [14.601, 46.2],
          [14.601, 46.2],
          [14.6, 46.2],
          [14.6, 46.2],
        ],
      ],
    }),
    /rectangle/,
  ],
  [
    'a hole',
    of({
      type: 'Polygon',
      coordinates: [...square([14.6, 46.2]).coordinates, ...square([14.6, 46.2]).coordinates],
    }),
    /contain 1 items/,
  ],
  [
    'text for a number',
    of({ type: 'Point', coordinates: ['a', 46] }, { kind: 'neighbour' }),
    /must be a number/,
  ],
  ['no geometry', of(null), /geometry/],
  [
    'an unknown crop',
    of({ type: 'Point', coordinates: [14.6, 46.2] }, { kind: 'neighbour', crop: 'rose', knownBy: 'seen' }),
    /"crop"/,
  ],
  [
    'days the wrong way round',
    of(
      { type: 'Point', coordinates: [14.6, 46.2] },
      { kind: 'neighbour', crop: 'corn', knownBy: 'seen', bloomFrom: '2026-08-01', bloomTo: '2026-07-01' },
    ),
    /bloomTo/,
  ],
  [
    'a wall',
    of(
      {
        type: 'LineString',
        coordinates: [
          [14.6, 46.2],
          [14.6001, 46.2],
        ],
      },
      { kind: 'obstacle', what: 'wall' },
    ),
    /"what"/,
  ],
  ['a bed without a name', of(square([14.6, 46.2]), { kind: 'bed' }), /"name"/],
])('what can’t be taken is named, and nothing of it is: %s', (_name, feature, words) => {
  const { back } = patch();
  const { drafts, problems } = back({ type: 'FeatureCollection', features: [feature] });
  expect(drafts).toEqual([]);
  expect(problems).toEqual([expect.stringMatching(words)]);
  expect(problems[0]).toMatch(/^Feature 1: /);
});

test.each([
  ['no JSON', 'pollen', /no GeoJSON/],
  ['another thing', '{"type":"Feature"}', /FeatureCollection/],
  ['null', 'null', /FeatureCollection/],
  ['a crs', '{"type":"FeatureCollection","features":[],"crs":{}}', /crs/],
  [
    'too many',
    JSON.stringify({ type: 'FeatureCollection', features: Array(10_001).fill(0) }),
    /10001 features/,
  ],
])('a file that is none is refused in words: %s', (_name, text, words) => {
  const { garden, newId } = patch();
  const read = fromGeoJson(text, garden.state, newId);
  expect(read.ok ? '' : read.message).toMatch(words);
});

test('ten thousand features are read one by one, the good among the bad', () => {
  const { back } = patch();
  const features: unknown[] = Array.from({ length: 9_999 }, () => of(square([14.6, 46.2]), {}));
  features.push(of(square([14.6, 46.2])));
  const { drafts, problems } = back({ type: 'FeatureCollection', features });
  expect([drafts.length, problems.length]).toEqual([1, 9_999]);
});
