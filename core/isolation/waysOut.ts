import { hasRounds, selfsUnderCover } from '../crops';
import type { Precious } from '../ledger';
import { addDays, daysBetween } from '../time';
import type { StandIsolation } from './answer';
import { CORN_APART_DAYS } from './rivals';

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

/** What a way comes to: each fruit proved, the risk lowered as by distance, or nothing changed. */
export type Strength = 'proves' | 'lowers' | 'nothing';

/** One way out, and what it costs. */
export interface WayOut {
  readonly way: Way;
  /** How much farther it would have to stand, m. */
  readonly fartherM: number | null;
  /** How many days later it would have to flower; `null`: not reckoned, or not known. */
  readonly daysLater: number | null;
  /** Minutes of work for each fruit with seed. */
  readonly minutesPerFruit: number | null;
  readonly strength: Strength;
}

/** Farther than this nothing in a garden is moved [M]. */
const MOVED_AT_MOST_M = 50;

const STRENGTH: Readonly<Record<Way, Strength>> = {
  'by-hand': 'proves',
  bag: 'proves',
  cage: 'proves',
  move: 'lowers',
  later: 'lowers',
  ask: 'lowers',
  'one-variety': 'lowers',
  strip: 'lowers',
  accept: 'nothing',
};

/**
 * What a way costs besides the work on its flowers, in minutes for each fruit, so that ways can be put in an order: building a cage,
 * asking (which may come to nothing), stripping each morning, fruit that is lost (ten minutes each), and waiting for another season [M].
 */
const BESIDES_MIN: Readonly<Record<Way, number>> = {
  'by-hand': 0,
  bag: 0,
  cage: 1,
  move: 1,
  later: 1,
  ask: 5,
  'one-variety': 6,
  strip: 6,
  accept: 0,
};

/** Minutes that a fruit’s proof is worth, by what its seed is worth [M]; the lowered risk is worth six tenths of it. */
const WORTH_MIN: Readonly<Record<Precious, number>> = { spare: 4, keep: 20, rare: 60 };
const SHARE: Readonly<Record<Strength, number>> = { proves: 1, lowers: 0.6, nothing: 0 };

/**
 * The ways out of too short a distance, the best for this stand first: what its seed is worth against the work, the fruit lost and the
 * waiting; none where the distance will do. Isolation by time works where bloom is short, so for corn alone (handbooks, from memory);
 * vines and peppers bloom too long.
 */
export function waysOut(isolation: StandIsolation): readonly WayOut[] {
  const { crop, verdict, rivals, importance } = isolation;
  if (verdict === 'fine' || verdict === 'alone' || verdict === 'closed-house') return [];
  const near = rivals.filter((rival) => rival.verdict !== 'fine');
  const ownOnly = near.every(({ from }) => from === 'own');
  const fartherM = Math.max(...near.map(({ needed, distanceM }) => needed.chosenM - distanceM));
  const worked = hasRounds(crop);
  const minutes = worked ? crop.minutesPerFemale.value / crop.setShare.value : null;
  const fits: Readonly<Record<Way, boolean>> = {
    'by-hand': worked && !selfsUnderCover(crop),
    bag: selfsUnderCover(crop),
    move: ownOnly && fartherM <= MOVED_AT_MOST_M,
    later: crop.id === 'corn',
    cage: crop.family !== 'corn',
    ask: near.some(({ from }) => from === 'neighbour'),
    'one-variety': ownOnly,
    strip: crop.family === 'cucurbit',
    accept: true,
  };
  const score = (way: Way) =>
    SHARE[STRENGTH[way]] * WORTH_MIN[importance] -
    BESIDES_MIN[way] -
    (STRENGTH[way] === 'proves' ? (minutes ?? 0) : 0);
  return WAYS.filter((way) => fits[way])
    .sort((a, b) => score(b) - score(a))
    .map((way) => ({
      way,
      fartherM: way === 'move' ? fartherM : null,
      daysLater: way === 'later' ? daysLater(isolation) : null,
      minutesPerFruit: way === 'by-hand' || way === 'bag' ? minutes : null,
      strength: STRENGTH[way],
    }));
}

/** How many days later a stand would have to flower, so that it begins two weeks after the last of its rivals; `null` where days are not known. */
function daysLater({ bloom, rivals }: StandIsolation): number | null {
  const near = rivals.filter(({ verdict }) => verdict !== 'fine');
  if (!bloom || near.length === 0 || near.some((rival) => rival.bloom === null)) return null;
  const last = near.reduce(
    (latest, rival) => (rival.bloom && rival.bloom.to > latest ? rival.bloom.to : latest),
    '',
  );
  return Math.max(0, daysBetween(bloom.from, addDays(last, CORN_APART_DAYS + 1)));
}
