import type { PlannedRoute, PlanRequest, RoundPlan } from './planQuestion';
import { improve } from './planSearch';
import { prepare } from './planTables';

/** Steps of search for a plan from nothing. */
export const FULL_EFFORT = 3_000_000;
/** Steps of search where a plan before is mended. */
export const MEND_EFFORT = 300_000;

/**
 * Who goes where, in what order, and when: maximises the worth of flowers done within their windows and before the
 * deadline; between plans of equal worth the one over sooner. Collecting stops come before the flowers that need them,
 * by the same person; a change of pollen costs cleaning. Insertion and large-neighbourhood search (Shaw 1998; Ropke & Pisinger
 * 2006, from memory), seeded: the same request gives the same plan. Not exact; bench/rounds.ts measures it against brute force.
 * Throws `workers` without any, `stops` for a repeated id or a need that is no collecting stop, `startAt` or `deadline`.
 */
export function planRound(request: PlanRequest): RoundPlan {
  const pieces = planInPieces(request);
  for (;;) {
    const piece = pieces.next();
    if (piece.done) return piece.value;
  }
}

/** `planRound` in pieces of a few milliseconds, for whoever may want to stop between them; the same plan, the same errors. */
export function* planInPieces(request: PlanRequest): Generator<void, RoundPlan> {
  const search = prepare(request);
  const warm = request.current?.map(({ worker, stops }) => ({ worker, ids: stops.map(({ id }) => id) }));
  const best = yield* improve(
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
