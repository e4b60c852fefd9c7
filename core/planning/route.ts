import { TrowelError } from '../errors';

/** One person's stops with their travel times and windows. */
export interface RouteProblem {
  /** `travel[i][j]` from i to j; index 0 is the start. Any unit of time, the same everywhere. */
  readonly travel: readonly (readonly number[])[];
  readonly windowOpen: readonly number[];
  /** Work must begin no later than this. */
  readonly windowClose: readonly number[];
  readonly service: readonly number[];
  readonly startTime: number;
  readonly returnToStart: boolean;
}

/** The best order of them. */
export interface Route {
  /** Stops in order, without the start. */
  readonly order: readonly number[];
  readonly finish: number;
}

/** Up to this many stops the route is exact (a table over all subsets). */
export const EXACT_STOPS = 13;

/**
 * The order in which every stop is worked within its window and the whole is over soonest (with the way home, when
 * asked). Who comes early waits. Exact up to 13 stops, by the best end for each set of stops done and last stop
 * (Held & Karp 1962); beyond that the best of insertions improved by moves, and then `null` only says that none was
 * found. `null` when no order keeps the windows. Throws `travel` when the tables do not fit together.
 * @example solveRoute({ travel: [[0, 4, 1], [4, 0, 2], [1, 2, 0]], windowOpen: [0, 0, 0], windowClose: [99, 99, 99], service: [0, 1, 1], startTime: 0, returnToStart: false }) // { order: [2, 1], finish: 5 }
 */
export function solveRoute(problem: RouteProblem): Route | null {
  const { travel, windowOpen, windowClose, service } = problem;
  const size = travel.length;
  if (
    size === 0 ||
    [windowOpen, windowClose, service, ...travel].some((each) => each.length !== size) ||
    travel.some((row) => row.some((each) => !(each >= 0)))
  )
    throw new TrowelError('travel', 'Travel, windows and work times must cover the same stops.', {
      field: 'travel',
    });
  if (size === 1) return { order: [], finish: problem.startTime };
  return size - 1 <= EXACT_STOPS ? bySubsets(problem) : byInsertion(problem);
}

function at<T>(list: readonly T[], index: number): T {
  return list[index] as T;
}

/** When work at `next` is done, leaving `last` at `time`; Infinity past its window. */
function after(problem: RouteProblem, last: number, time: number, next: number): number {
  const begin = Math.max(time + at(at(problem.travel, last), next), at(problem.windowOpen, next));
  return begin > at(problem.windowClose, next) ? Infinity : begin + at(problem.service, next);
}

function home(problem: RouteProblem, last: number, time: number): number {
  return time + (problem.returnToStart ? at(at(problem.travel, last), 0) : 0);
}

function bySubsets(problem: RouteProblem): Route | null {
  const n = problem.travel.length - 1;
  const ends = new Float64Array((1 << n) * n).fill(Infinity);
  const before = new Int8Array((1 << n) * n).fill(-1);
  for (let stop = 0; stop < n; stop++)
    ends[(1 << stop) * n + stop] = after(problem, 0, problem.startTime, stop + 1);
  for (let set = 1; set < 1 << n; set++)
    for (let last = 0; last < n; last++) {
      const time = ends[set * n + last] as number;
      if (time === Infinity) continue;
      for (let next = 0; next < n; next++) {
        if (set & (1 << next)) continue;
        const end = after(problem, last + 1, time, next + 1);
        const place = (set | (1 << next)) * n + next;
        if (end >= (ends[place] as number)) continue;
        ends[place] = end;
        before[place] = last;
      }
    }
  let set = (1 << n) - 1;
  let last = -1;
  let finish = Infinity;
  for (let stop = 0; stop < n; stop++) {
    const end = home(problem, stop + 1, ends[set * n + stop] as number);
    if (end < finish) {
      finish = end;
      last = stop;
    }
  }
  if (finish === Infinity) return null;
  const order: number[] = [];
  while (last >= 0) {
    order.unshift(last + 1);
    const previous = before[set * n + last] as number;
    set ^= 1 << last;
    last = previous;
  }
  return { order, finish };
}

function finishOf(problem: RouteProblem, order: readonly number[]): number {
  let time = problem.startTime;
  let last = 0;
  for (const stop of order) {
    time = after(problem, last, time, stop);
    if (time === Infinity) return Infinity;
    last = stop;
  }
  return home(problem, last, time);
}

/** The most pressing window first, each stop where it ends soonest; then single stops are moved while it helps. */
function byInsertion(problem: RouteProblem): Route | null {
  const stops = problem.travel.slice(1).map((_, i) => i + 1);
  stops.sort((a, b) => at(problem.windowClose, a) - at(problem.windowClose, b));
  let order: number[] = [];
  const bestPlace = (stop: number, into: readonly number[]): { order: number[]; finish: number } => {
    let best: { order: number[]; finish: number } = { order: [...into, stop], finish: Infinity };
    for (let place = 0; place <= into.length; place++) {
      const tried = [...into.slice(0, place), stop, ...into.slice(place)];
      const finish = finishOf(problem, tried);
      if (finish < best.finish) best = { order: tried, finish };
    }
    return best;
  };
  for (const stop of stops) order = bestPlace(stop, order).order;
  let finish = finishOf(problem, order);
  for (let better = true; better;) {
    better = false;
    for (const stop of stops) {
      const moved = bestPlace(
        stop,
        order.filter((each) => each !== stop),
      );
      if (moved.finish < finish) {
        ({ order, finish } = moved);
        better = true;
      }
    }
  }
  return finish === Infinity ? null : { order, finish };
}
