import { LAND } from './landRows';
import type { Coordinates } from './sunTimes';

/** How much of what lies round a place is sea, 0-1. */
export interface Sea {
  /** Within 4 degrees of arc, some 450 km. */
  readonly around: number;
  /** To the west, out to 40 degrees of arc: what is near weighs more. */
  readonly west: number;
  readonly east: number;
}

const CELL = 2;
const SOUTH = -60;
const ROWS = 68;
const COLUMNS = 360 / CELL;

const AROUND_DEG = 4;
const REACH_DEG = 40;
/** Every so many degrees what lies there weighs a third of what was nearer. */
const FADES_DEG = 20;

let bits: Uint8Array | null = null;

/**
 * 1 where there is sea, by the cell that a point lies in. Past the edges of the table the nearest row stands for all.
 * @example seaAt(55.75, 37.6) // 0
 */
export function seaAt(latitude: number, longitude: number): number {
  bits ??= Uint8Array.from(atob(LAND), (each) => each.charCodeAt(0));
  const row = Math.min(ROWS - 1, Math.max(0, Math.floor((latitude - SOUTH) / CELL)));
  const column = ((Math.floor((longitude + 180) / CELL) % COLUMNS) + COLUMNS) % COLUMNS;
  const at = row * COLUMNS + column;
  return 1 - (((bits[at >> 3] as number) >> (7 - (at & 7))) & 1);
}

/** A place is asked for day after day; its coasts stay. */
const KNOWN = new Map<string, Sea>();

/**
 * How much of what lies round a place is sea, by cells of 2 degrees (Natural Earth): an island of a few kilometres is sea here.
 * @example seaAround({ latitude: 55.75, longitude: 37.6 }).around // 0
 */
export function seaAround({ latitude, longitude }: Coordinates): Sea {
  const key = `${latitude} ${longitude}`;
  const known = KNOWN.get(key);
  if (known) return known;
  // Degrees of longitude narrow towards the poles; at the poles themselves they are left as wide as they are at 78 degrees.
  const wide = 1 / Math.max(0.2, Math.cos((latitude * Math.PI) / 180));
  const found = {
    around: disc((up, along) => seaAt(latitude + up, longitude + along * wide)),
    west: ray((up, along) => seaAt(latitude + up, longitude - along * wide)),
    east: ray((up, along) => seaAt(latitude + up, longitude + along * wide)),
  };
  KNOWN.set(key, found);
  return found;
}

function disc(at: (up: number, along: number) => number): number {
  let [sum, points] = [0, 0];
  for (let up = -AROUND_DEG; up <= AROUND_DEG; up++)
    for (let along = -AROUND_DEG; along <= AROUND_DEG; along++)
      if (up * up + along * along <= AROUND_DEG * AROUND_DEG) {
        sum += at(up, along);
        points++;
      }
  return sum / points;
}

/** Along a band 4 degrees high. */
function ray(at: (up: number, along: number) => number): number {
  let [sum, weights] = [0, 0];
  for (let along = 1; along < REACH_DEG; along += 2) {
    const weight = Math.exp(-along / FADES_DEG);
    for (const up of [-2, 0, 2]) sum += weight * at(up, along);
    weights += 3 * weight;
  }
  return sum / weights;
}
