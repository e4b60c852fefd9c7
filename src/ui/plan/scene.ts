import type { Bed, Corner, Neighbour, Obstacle, State } from '@core/ledger';
import {
  bedCorners,
  groundOf,
  middleOfBed,
  neighbourPlace,
  plantPlace,
  shelterOn,
  standings,
  type Thing,
} from '@core/patch';
import type { LocalDate } from '@core/time';
import { plantingName } from '../crossing/words';
import { shelterWords } from '../words';

/** What is drawn of a bed. */
export interface BedShape {
  readonly bed: Bed;
  readonly corners: readonly Corner[];
  readonly middle: Corner;
  /** What stands over it, in a word; `null`: the open air. */
  readonly shelter: string | null;
}
/** What is drawn of a stand: its ground, and its plants. */
export interface StandShape {
  readonly id: Extract<Thing, { kind: 'stand' }>['id'];
  readonly name: string;
  readonly ring: readonly Corner[];
  readonly plants: readonly Corner[];
  readonly middle: Corner;
  readonly seed: boolean;
}
/** What is drawn of a planting next door. */
export interface NeighbourShape {
  readonly neighbour: Neighbour;
  readonly name: string;
  readonly place: Corner;
}

/** A box on the plan, m. */
export interface Box {
  readonly west: number;
  readonly north: number;
  readonly east: number;
  readonly south: number;
}

export interface Scene {
  readonly beds: readonly BedShape[];
  readonly stands: readonly StandShape[];
  readonly obstacles: readonly Obstacle[];
  readonly neighbours: readonly NeighbourShape[];
  /** Next door in no known direction: said in words, not drawn. */
  readonly unplaced: readonly Neighbour[];
  /** Stands with plants outside every bed. */
  readonly outside: readonly string[];
  /** Around one's own beds and plants, and what stands close by; around all that is drawn. */
  readonly patch: Box;
  readonly all: Box;
}

/** The middle of some corners. */
export const middleOf = (corners: readonly Corner[]): Corner => [
  corners.reduce((sum, [x]) => sum + x, 0) / corners.length,
  corners.reduce((sum, [, y]) => sum + y, 0) / corners.length,
];

/** Everything on the plan of a day, in metres. */
export function planScene(state: State, today: LocalDate): Scene {
  const beds = [...state.beds.values()].map((bed): BedShape => {
    const over = shelterOn(bed, today)?.shelter;
    return {
      bed,
      corners: bedCorners(bed),
      middle: middleOfBed(bed),
      shelter: over ? shelterWords[over] : null,
    };
  });
  const stands = standings(state).map((found): StandShape => {
    const ground = groundOf(found);
    const ring = ground.type === 'Polygon' ? (ground.coordinates[0] ?? []) : [ground.coordinates];
    const plants = found.plants.map((plant): Corner => {
      const { xM, yM } = plantPlace({ ...found, plant });
      return [xM, yM];
    });
    const { variety, stand } = found;
    return {
      id: stand.id,
      name: variety.name,
      ring,
      plants,
      middle: middleOf(ring),
      seed: stand.reason === 'seed',
    };
  });
  const obstacles = [...state.obstacles.values()].filter(({ goneAt }) => goneAt === null);
  const there = [...state.neighbours.values()].filter(({ goneAt }) => goneAt === null);
  const neighbours = there.flatMap((neighbour): NeighbourShape[] => {
    const place = neighbourPlace(state.beds, neighbour);
    return place ? [{ neighbour, place, name: plantingName(neighbour.crop, neighbour.variety) }] : [];
  });
  const own = [...beds.flatMap(({ corners }) => corners), ...stands.flatMap(({ plants }) => plants)];
  const rings = beds.map(({ corners }) => corners);
  return {
    beds,
    stands,
    obstacles,
    neighbours,
    unplaced: there.filter((each) => !neighbours.some(({ neighbour }) => neighbour === each)),
    outside: stands
      .filter(({ plants }) => plants.some((plant) => !rings.some((ring) => inside(ring, plant))))
      .map(({ name }) => name),
    patch: boxOf([...own, ...closeBy(boxOf(own), obstacles)]),
    all: boxOf([
      ...own,
      ...obstacles.flatMap(({ corners }) => corners),
      ...neighbours.map(({ place }) => place),
    ]),
  };
}

/** Whatever stands this near belongs to the picture of the patch, m. */
const CLOSE_M = 15;

function closeBy({ west, north, east, south }: Box, obstacles: readonly Obstacle[]): readonly Corner[] {
  return obstacles
    .flatMap(({ corners }) => corners)
    .filter(
      ([x, y]) => x >= west - CLOSE_M && x <= east + CLOSE_M && y >= north - CLOSE_M && y <= south + CLOSE_M,
    );
}

/** Plants on the very edge of a bed are in it, m. */
const EDGE_M = 0.05;

/** Whether a point lies in a bed (whose corners run clockwise on a plan with its y to the south). */
function inside(ring: readonly Corner[], [x, y]: Corner): boolean {
  return ring.every(([x1, y1], i) => {
    const [x2, y2] = ring[(i + 1) % ring.length] as Corner;
    const long = Math.hypot(x2 - x1, y2 - y1) || 1;
    return ((x2 - x1) * (y - y1) - (y2 - y1) * (x - x1)) / long >= -EDGE_M;
  });
}

/** With nothing there yet, ten metres to begin with. */
function boxOf(corners: readonly Corner[]): Box {
  if (corners.length === 0) return { west: 0, north: 0, east: 10, south: 10 };
  const [xs, ys] = [corners.map(([x]) => x), corners.map(([, y]) => y)];
  const least = (values: readonly number[]) => values.reduce((a, b) => Math.min(a, b));
  const most = (values: readonly number[]) => values.reduce((a, b) => Math.max(a, b));
  return { west: least(xs), north: least(ys), east: most(xs), south: most(ys) };
}

/** How metres become pixels: `k` pixels a metre, and where the origin is. */
export interface View {
  readonly k: number;
  readonly x: number;
  readonly y: number;
}

/** The view in which a box fills a picture, with a margin, px. */
export function fitted({ west, north, east, south }: Box, width: number, height: number, margin = 34): View {
  const k = Math.min(
    (width - 2 * margin) / Math.max(east - west, 1),
    (height - 2 * margin) / Math.max(south - north, 1),
  );
  return {
    k,
    x: width / 2 - (k * (west + east)) / 2,
    y: height / 2 - (k * (north + south)) / 2,
  };
}

/** A round length whose bar is at most so many pixels long, where `k` pixels are one. */
export function scaleBar(k: number, most = 110): number {
  const length = most / k;
  const power = 10 ** Math.floor(Math.log10(length));
  return power * (length >= 5 * power ? 5 : length >= 2 * power ? 2 : 1);
}

/** `M x y L … Z` of corners, m. */
export function pathOf(corners: readonly Corner[], closed = true): string {
  return `M${corners.map(([x, y]) => `${x} ${y}`).join('L')}${closed ? 'Z' : ''}`;
}

/** The element of the drawing that moves with the view, and the one of each thing on it. */
export const ROOT_ID = 'plan-ground';
export const thingId = (key: string) => `thing-${key}`;
/** Of a long list so many are shown before one asks for the others. */
export const FEW = 12;

export const thingKey = ({ kind, id }: Thing) => `${kind}/${id}`;

/** What a key of the drawing names; `null` for one that is gone. */
export function thingOf(key: string): Thing | null {
  const [kind, id] = key.split('/');
  return id === undefined ? null : ({ kind, id } as Thing);
}
