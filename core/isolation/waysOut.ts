import { hasRounds } from '../crops';
import type { StandIsolation } from './answer';

/** What can be done where the distance is too short. */
export const WAYS = [
  'by-hand',
  'bag',
  'move',
  'later',
  'cage',
  'ask',
  'one-variety',
  'strip',
  'accept',
] as const;
export type Way = (typeof WAYS)[number];

/** One way out, and what it costs. */
export interface WayOut {
  readonly way: Way;
  /** How much farther it would have to stand, m. */
  readonly fartherM: number | null;
  /** Minutes of work for each fruit with seed. */
  readonly minutesPerFruit: number | null;
}

/** Farther than this nothing in a garden is moved [M]. */
const MOVED_AT_MOST_M = 50;

/**
 * The ways out of too short a distance, what costs least first; none where the distance will do. Isolation by time works where bloom is
 * short, so for corn alone (handbooks, from memory); vines and peppers bloom too long.
 */
export function waysOut({ crop, verdict, rivals }: StandIsolation): readonly WayOut[] {
  if (verdict === 'fine' || verdict === 'alone' || verdict === 'closed-house') return [];
  const near = rivals.filter((rival) => rival.verdict !== 'fine');
  const ownOnly = near.every(({ from }) => from === 'own');
  const fartherM = Math.max(...near.map(({ needed, distanceM }) => needed.chosenM - distanceM));
  const worked = hasRounds(crop);
  const minutes = worked ? crop.minutesPerFemale.value / crop.setShare.value : null;
  const fits: Readonly<Record<Way, boolean>> = {
    'by-hand': worked && crop.family !== 'nightshade',
    bag: crop.family === 'nightshade',
    move: ownOnly && fartherM <= MOVED_AT_MOST_M,
    later: crop.id === 'corn',
    cage: crop.family !== 'corn',
    ask: near.some(({ from }) => from === 'neighbour'),
    'one-variety': ownOnly,
    strip: crop.family === 'cucurbit',
    accept: true,
  };
  return WAYS.filter((way) => fits[way]).map((way) => ({
    way,
    fartherM: way === 'move' ? fartherM : null,
    minutesPerFruit: way === 'by-hand' || way === 'bag' ? minutes : null,
  }));
}
