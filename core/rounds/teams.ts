import { workTime } from '../fruitset';
import type { State } from '../ledger';
import { fatherVarietyOf } from '../patch';
import type { Stop } from './stops';

/**
 * How people share a round (both ways are common practice). as-it-comes: by the shortest way, with clean brushes in between.
 * by-variety: each keeps to some varieties, so that hands and brush stay clean. chain: together from flower to flower, one opens, one
 * works, one shuts and marks.
 */
export const TEAM_WAYS = ['as-it-comes', 'by-variety', 'chain'] as const;
export type TeamWay = (typeof TEAM_WAYS)[number];

/** What one of several people takes on. */
export interface TeamShare {
  readonly worker: string;
  /** Whose pollen they handle, and how many flowers that is. */
  readonly varieties: readonly { readonly variety: string; readonly flowers: number }[];
  readonly minutes: number;
}

/**
 * Varieties shared out among people so that nobody has much more to do than another: the longest first, each to who has least so
 * far (Graham 1969, from memory). Where there are more people than varieties, several take the same one. Over all stops of a round,
 * done or not, so that nobody's part changes on the way.
 */
export function shareByVariety(
  state: State,
  stops: readonly Stop[],
  workers: readonly string[],
): TeamShare[] {
  const all = new Map<string, { flowers: number; minutes: number }>();
  for (const { growing } of stops) {
    const variety = fatherVarietyOf(growing);
    const { flowers, minutes } = all.get(variety) ?? { flowers: 0, minutes: 0 };
    all.set(variety, { flowers: flowers + 1, minutes: minutes + workTime(state, growing.crop).minutes });
  }
  const parts = [...all]
    .map(([variety, part]) => ({ variety, ...part }))
    .sort((a, b) => b.minutes - a.minutes || (a.variety < b.variety ? -1 : 1));
  const shares = workers.map((worker) => ({ worker, parts: [] as typeof parts, minutes: 0 }));
  for (const part of parts) {
    const least = shares.reduce(
      (a, b) => (b.minutes < a.minutes ? b : a),
      shares[0] as (typeof shares)[number],
    );
    least.parts.push(part);
    least.minutes += part.minutes;
  }
  // Anyone left over helps with the longest of the others' varieties.
  for (const idle of shares.filter((share) => share.parts.length === 0)) {
    const [busiest] = shares
      .flatMap((share) => share.parts)
      .map((part) => ({ part, hands: shares.filter((each) => each.parts.includes(part)).length }))
      .sort((a, b) => b.part.minutes / b.hands - a.part.minutes / a.hands);
    if (busiest) idle.parts.push(busiest.part);
  }
  const hands = (part: (typeof parts)[number]) => shares.filter((share) => share.parts.includes(part)).length;
  return shares.map(({ worker, parts: own }) => ({
    worker,
    varieties: own.map(({ variety, flowers }) => ({ variety, flowers })),
    minutes: own.reduce((sum, part) => sum + part.minutes / hands(part), 0),
  }));
}

/** How much of a flower's time its longest part takes, in a chain of one, two, three or more [M]: of two, one opens and shuts. */
const LONGEST_PART = [1, 0.55, 0.45] as const;

/**
 * How much of one person's time a chain of so many takes.
 * @example chainPace(1) // 1
 */
export function chainPace(people: number): number {
  return LONGEST_PART[Math.min(people, LONGEST_PART.length) - 1] ?? 1;
}

/** Minutes of a round for so many people, each way; `shares` where it is shared by variety. */
export function teamMinutes(
  minutes: number,
  people: number,
  way: TeamWay,
  shares: readonly TeamShare[],
): number {
  if (way === 'chain') return Math.ceil(minutes * chainPace(people));
  const all = shares.reduce((sum, share) => sum + share.minutes, 0);
  if (way === 'as-it-comes' || all === 0) return Math.ceil(minutes / people);
  return Math.ceil((minutes * Math.max(...shares.map((share) => share.minutes))) / all);
}
