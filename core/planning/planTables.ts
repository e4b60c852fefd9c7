import { TrowelError } from '../errors';
import type { PlannedStop, PlanRequest, PlanStop, SkipReason } from './planQuestion';

/** Between rows with things in hand [M]. */
export const WALK_M_PER_S = 0.7;
/** Hands wiped, another brush taken, males laid apart [M]. */
export const CLEANING_S = 60;
/** A planning question in tables, for the inner loop; indices are places in the request's list of stops. */
export interface Search {
  readonly size: number;
  readonly people: readonly string[];
  readonly startAt: number;
  readonly cleaning: number;
  readonly travel: Float64Array;
  readonly pollen: Int32Array;
  readonly opens: Float64Array;
  /** Already cut to the deadline. */
  readonly closes: Float64Array;
  readonly value: Float64Array;
  readonly kind: readonly PlanStop['kind'][];
  /** `needs[stop][person]`: collecting still to be done by that person. */
  readonly needs: readonly (readonly (readonly number[])[])[];
  readonly person: readonly {
    readonly from: Float64Array;
    readonly service: Float64Array;
    readonly pollen: number;
  }[];
  readonly index: ReadonlyMap<string, number>;
  stop(index: number): PlanStop;
  schedule(person: number, route: readonly number[]): PlannedStop[];
  whySkipped(stop: PlanStop): SkipReason;
}

/** The place of each stop in the lists. Throws `workers`, `stops`, `startAt` or `deadline` as `planRound` says. */
function checkedIndex({ stops, workers, startAt, deadline }: PlanRequest): Map<string, number> {
  if (workers.length === 0)
    throw new TrowelError('workers', 'A round needs at least one person.', { field: 'workers' });
  for (const [field, value] of [
    ['startAt', startAt],
    ['deadline', deadline],
  ] as const)
    if (!Number.isFinite(value)) throw new TrowelError(field, `${field} must be a time.`, { field });
  const index = new Map(stops.map(({ id }, i) => [id, i]));
  if (index.size !== stops.length)
    throw new TrowelError('stops', 'Two stops have the same id.', { field: 'stops' });
  for (const { id, needs } of stops)
    for (const need of needs)
      if (stops[index.get(need) ?? -1]?.kind !== 'collect' && !workers.some(({ has }) => has?.includes(need)))
        throw new TrowelError('stops', `${id} needs "${need}", which is no collecting stop.`, {
          field: 'stops',
        });
  return index;
}

/** A number for each pollen, one for all that have the same; -1 for none. */
function pollenNumbers(): (name: string | null) => number {
  const pollens = new Map<string, number>();
  return (name) => {
    if (name === null) return -1;
    const known = pollens.get(name) ?? pollens.size;
    pollens.set(name, known);
    return known;
  };
}

/** Throws `workers`, `stops`, `startAt` or `deadline` as `planRound` says. */
export function prepare(request: PlanRequest): Search {
  const { stops, workers, start, startAt, deadline } = request;
  const index = checkedIndex(request);
  const walk = request.walkMPerS ?? WALK_M_PER_S;
  const cleaning = (request.cleaningS ?? CLEANING_S) * 1000;
  const n = stops.length;
  const travel = new Float64Array(n * n);
  const leg = (a: { xM: number; yM: number }, b: { xM: number; yM: number }) =>
    (Math.hypot(a.xM - b.xM, a.yM - b.yM) / walk) * 1000;
  for (const [i, a] of stops.entries()) for (const [j, b] of stops.entries()) travel[i * n + j] = leg(a, b);
  const pollenOf = pollenNumbers();
  const pollen = Int32Array.from(stops, (stop) => pollenOf(stop.pollen));
  const opens = Float64Array.from(stops, (stop) => stop.opens);
  const closes = Float64Array.from(stops, (stop) =>
    stop.blocked ? -Infinity : Math.min(stop.closes, deadline),
  );
  const people = workers.map((worker) => ({
    from: Float64Array.from(stops, (stop) => leg(worker.at ?? start, stop)),
    // What is another's takes for ever.
    service: Float64Array.from(stops, (stop) =>
      worker.only && stop.pollen !== null && !worker.only.includes(stop.pollen)
        ? Infinity
        : stop.serviceS * 1000 * (worker.pace ?? 1),
    ),
    pollen: pollenOf(worker.pollen ?? null),
    has: new Set((worker.has ?? []).flatMap((id) => index.get(id) ?? [])),
  }));
  const needs = stops.map((stop) => stop.needs.flatMap((id) => index.get(id) ?? []));
  const needsOf = needs.map((list, i) =>
    people.map(({ has }) => list.filter((each) => !has.has(each) && each !== i)),
  );
  const tables: Search = {
    size: n,
    people: workers.map(({ id }) => id),
    startAt,
    cleaning,
    travel,
    pollen,
    opens,
    closes,
    value: Float64Array.from(stops, (stop) => stop.value),
    kind: stops.map(({ kind }) => kind),
    needs: needsOf,
    person: people,
    index,
    stop: (i) => stops[i] as PlanStop,
    schedule: (w, route) => timesOn(tables, stops, w, route),
    whySkipped: (stop) => whyLeft(tables, stop, deadline),
  };
  return tables;
}

/** When one person is where, along a route. */
function timesOn(
  { startAt, cleaning, travel, pollen, opens, person, size }: Search,
  stops: readonly PlanStop[],
  w: number,
  route: readonly number[],
): PlannedStop[] {
  const walker = person[w] as Search['person'][number];
  let time = startAt;
  let last = -1;
  let hands = walker.pollen;
  return route.map((i) => {
    const kind = pollen[i] as number;
    if (kind >= 0 && hands >= 0 && kind !== hands) time += cleaning;
    if (kind >= 0) hands = kind;
    const arrive = time + ((last < 0 ? walker.from[i] : travel[last * size + i]) as number);
    const begin = Math.max(arrive, opens[i] as number);
    time = begin + (walker.service[i] as number);
    last = i;
    return { id: (stops[i] as PlanStop).id, arrive, begin, end: time };
  });
}

/** Why a stop is on nobody's route: blocked from the start, its window past, its pollen out of reach, or no time. */
function whyLeft(
  { startAt, opens, closes, person, needs, index }: Search,
  stop: PlanStop,
  deadline: number,
): SkipReason {
  if (stop.blocked) return stop.blocked;
  const i = index.get(stop.id) as number;
  const soonest = Math.min(
    ...person.map(
      ({ from, service }) => Math.max(startAt + (from[i] as number), stop.opens) + (service[i] as number),
    ),
  );
  if (soonest > Math.min(stop.closes, deadline)) return stop.closes < deadline ? 'window' : 'time';
  const reachable = person.some(({ from, service }, w) =>
    ((needs[i] as number[][])[w] as number[]).every(
      (need) =>
        Math.max(startAt + (from[need] as number), opens[need] as number) + (service[need] as number) <=
        (closes[need] as number),
    ),
  );
  return reachable ? 'time' : 'pollen';
}
