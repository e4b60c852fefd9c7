import { TrowelError } from '../errors';
import { improve, type Search } from './planSearch';

export interface PlanStop {
  readonly id: string;
  /** collect: males are picked here; worth nothing by itself. work: a flower; look: to see whether it opened. */
  readonly kind: 'collect' | 'work' | 'look';
  /** Metres on the plan of the patch. */
  readonly xM: number;
  readonly yM: number;
  /** Whose pollen is handled: from one to another hands and brush are cleaned. `null` = none. */
  readonly pollen: string | null;
  readonly serviceS: number;
  /** Epoch ms: work begins no sooner (who is early waits) and is over by `closes`. */
  readonly opens: number;
  readonly closes: number;
  /** Worth of getting it done; 0 for collecting. */
  readonly value: number;
  /** Collecting stops that the same person must have done before. */
  readonly needs: readonly string[];
  /** Cannot be worked at all, and why: it is only listed as left out. */
  readonly blocked?: SkipReason;
}

export interface PlanWorker {
  readonly id: string;
  /** Where this person stands; the request's start when left out. */
  readonly at?: { readonly xM: number; readonly yM: number };
  /** 1 = as the work times say; 1.3 = three tenths slower. */
  readonly pace?: number;
  /** Pollen on the hands now. */
  readonly pollen?: string | null;
  /** Collecting already done. */
  readonly has?: readonly string[];
}

export interface PlanRequest {
  readonly start: { readonly xM: number; readonly yM: number };
  /** Epoch ms. */
  readonly startAt: number;
  readonly stops: readonly PlanStop[];
  readonly workers: readonly PlanWorker[];
  /** Hard end, epoch ms. */
  readonly deadline: number;
  readonly walkMPerS?: number;
  readonly cleaningS?: number;
  /** Routes to start from (a plan made before): what still fits is kept and mended. */
  readonly current?: readonly {
    readonly worker: string;
    readonly stops: readonly { readonly id: string }[];
  }[];
  /** Search steps; a tenth is enough to mend a plan. */
  readonly effort?: number;
  readonly seed?: number;
}

export interface PlannedStop {
  readonly id: string;
  readonly arrive: number;
  readonly begin: number;
  readonly end: number;
}

export interface PlannedRoute {
  readonly worker: string;
  readonly stops: readonly PlannedStop[];
  readonly value: number;
  readonly finish: number;
}

/** window: it is over, or could not be reached before it shuts. pollen: its males are not to be had. time: others were worth more. */
export type SkipReason = 'window' | 'pollen' | 'time';

export interface RoundPlan {
  readonly routes: readonly PlannedRoute[];
  readonly skipped: readonly { readonly id: string; readonly reason: SkipReason }[];
  /** When the last person is done, epoch ms; `startAt` when nothing is planned. */
  readonly finish: number;
  readonly value: number;
}

/** Between rows with things in hand [M]. */
export const WALK_M_PER_S = 0.7;
/** Hands wiped, another brush taken, males laid apart [M]. */
export const CLEANING_S = 60;
export const FULL_EFFORT = 3_000_000;
export const MEND_EFFORT = 300_000;

/**
 * Who goes where, in what order, and when: maximises the worth of flowers done within their windows and before the
 * deadline; between plans of equal worth the one over sooner. Collecting stops come before the flowers that need them,
 * by the same person; a change of pollen costs cleaning. Insertion and large-neighbourhood search (Shaw 1998; Ropke & Pisinger
 * 2006, from memory), seeded: the same request gives the same plan. Not exact; bench/rounds.ts measures it against brute force.
 * Throws `workers` without any, `stops` for a repeated id or a need that is no collecting stop, `startAt` or `deadline`.
 */
export function planRound(request: PlanRequest): RoundPlan {
  const search = prepare(request);
  const warm = request.current?.map(({ worker, stops }) => ({ worker, ids: stops.map(({ id }) => id) }));
  const best = improve(
    search,
    warm ?? null,
    request.effort ?? (warm ? MEND_EFFORT : FULL_EFFORT),
    request.seed ?? 1,
  );
  const routes = request.workers.map((worker, w): PlannedRoute => {
    const stops = search.schedule(w, best[w] as number[]);
    return {
      worker: worker.id,
      stops,
      value: (best[w] as number[]).reduce((sum, stop) => sum + search.stop(stop).value, 0),
      finish: stops[stops.length - 1]?.end ?? request.startAt,
    };
  });
  const done = new Set(routes.flatMap(({ stops }) => stops.map(({ id }) => id)));
  return {
    routes,
    skipped: request.stops
      .filter(({ id, kind }) => kind !== 'collect' && !done.has(id))
      .map((stop) => ({ id: stop.id, reason: search.whySkipped(stop) })),
    finish: Math.max(request.startAt, ...routes.map(({ finish }) => finish)),
    value: routes.reduce((sum, { value }) => sum + value, 0),
  };
}

function prepare(request: PlanRequest): Search {
  const { stops, workers, start, startAt, deadline } = request;
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
  const walk = request.walkMPerS ?? WALK_M_PER_S;
  const cleaning = (request.cleaningS ?? CLEANING_S) * 1000;
  const n = stops.length;
  const travel = new Float64Array(n * n);
  const leg = (a: { xM: number; yM: number }, b: { xM: number; yM: number }) =>
    (Math.hypot(a.xM - b.xM, a.yM - b.yM) / walk) * 1000;
  for (const [i, a] of stops.entries()) for (const [j, b] of stops.entries()) travel[i * n + j] = leg(a, b);
  const pollens = new Map<string, number>();
  const pollenOf = (name: string | null) => {
    if (name === null) return -1;
    const known = pollens.get(name) ?? pollens.size;
    pollens.set(name, known);
    return known;
  };
  const pollen = Int32Array.from(stops, (stop) => pollenOf(stop.pollen));
  const opens = Float64Array.from(stops, (stop) => stop.opens);
  const closes = Float64Array.from(stops, (stop) =>
    stop.blocked ? -Infinity : Math.min(stop.closes, deadline),
  );
  const people = workers.map((worker) => ({
    from: Float64Array.from(stops, (stop) => leg(worker.at ?? start, stop)),
    service: Float64Array.from(stops, (stop) => stop.serviceS * 1000 * (worker.pace ?? 1)),
    pollen: pollenOf(worker.pollen ?? null),
    has: new Set((worker.has ?? []).flatMap((id) => index.get(id) ?? [])),
  }));
  const needs = stops.map((stop) => stop.needs.flatMap((id) => index.get(id) ?? []));
  const needsOf = needs.map((list, i) =>
    people.map(({ has }) => list.filter((each) => !has.has(each) && each !== i)),
  );
  return {
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
    schedule(w, route) {
      const person = people[w] as (typeof people)[number];
      let time = startAt;
      let last = -1;
      let hands = person.pollen;
      return route.map((i) => {
        const kind = pollen[i] as number;
        if (kind >= 0 && hands >= 0 && kind !== hands) time += cleaning;
        if (kind >= 0) hands = kind;
        const arrive = time + ((last < 0 ? person.from[i] : travel[last * n + i]) as number);
        const begin = Math.max(arrive, opens[i] as number);
        time = begin + (person.service[i] as number);
        last = i;
        return { id: (stops[i] as PlanStop).id, arrive, begin, end: time };
      });
    },
    whySkipped(stop) {
      if (stop.blocked) return stop.blocked;
      const i = index.get(stop.id) as number;
      const soonest = Math.min(
        ...people.map(
          ({ from, service }) => Math.max(startAt + (from[i] as number), stop.opens) + (service[i] as number),
        ),
      );
      if (soonest > Math.min(stop.closes, deadline)) return stop.closes < deadline ? 'window' : 'time';
      const reachable = people.some(({ from, service }, w) =>
        ((needsOf[i] as number[][])[w] as number[]).every(
          (need) =>
            Math.max(startAt + (from[need] as number), opens[need] as number) + (service[need] as number) <=
            (closes[need] as number),
        ),
      );
      return reachable ? 'time' : 'pollen';
    },
  };
}
