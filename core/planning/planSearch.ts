import { seededRandom, type Random } from '../random';
import { beginnings } from './planBeginning';
import { exactRoute } from './planExact';
import type { Search } from './planTables';
import { better, RouteSums, type Routes, type Scored } from './routeSums';

/** Routes planned before, by the person's name. */
export type Warm = readonly { readonly worker: string; readonly ids: readonly string[] }[];

/** What a round costs besides walking its routes, in steps, and so much more a flower: else few flowers would take longest. */
const ROUND_STEPS = 200;
const FLOWER_STEPS = 30;
/** Rounds without anything better after which there is nothing to be hoped for. */
const PATIENCE = 500;
const PATIENCE_A_FLOWER = 100;

/**
 * The best routes found from several beginnings, then by taking out and putting back. Yields after each piece of work, so that whoever
 * asked can stop between them; where it paused makes no difference to what it finds.
 */
export function* improve(
  search: Search,
  warm: Warm | null,
  effort: number,
  seed: number,
): Generator<void, Routes> {
  const sums = new RouteSums(search);
  const flowers = sums.flowers.length;
  if (flowers === 0) return sums.empty();
  const exact = exactRoute(search);
  if (exact) return [[...exact]];
  const random = seededRandom(seed);
  let best: Scored | null = null;
  for (const next of warm ? [mended(sums, warm)] : beginnings(sums)) {
    if (!best || better(next, best)) best = next;
    yield;
  }
  if (!best) return sums.empty();
  let current = best;
  const share = warm ? 0.25 : 0.4;
  const patience = PATIENCE + PATIENCE_A_FLOWER * flowers;
  let found = 0;
  for (let round = 0; sums.steps < effort && round - found < patience; round++) {
    sums.steps += ROUND_STEPS + FLOWER_STEPS * flowers;
    const most = Math.max(2, Math.min(24, Math.ceil(flowers * share)));
    const next = rebuilt(sums, random, current, 1 + Math.floor(random() * most));
    if (better(next, best)) {
      best = next;
      found = round;
    }
    // A slightly worse one is now and then a way to a better; later less often.
    const heat = 1 - sums.steps / effort;
    if (better(next, current) || next.value >= current.value * (1 - 0.03 * heat * random())) current = next;
    if (round % 60 === 59) current = best;
    yield;
  }
  return best.routes;
}

/** A plan made before, with what no longer fits taken out, and what became possible put in. */
function mended(sums: RouteSums, warm: Warm): Scored {
  const { s } = sums;
  const routes = s.people.map((id, w) => {
    const route: number[] = [];
    for (const stopId of warm.find(({ worker }) => worker === id)?.ids ?? []) {
      const stop = s.index.get(stopId);
      if (stop === undefined) continue;
      if (!(s.needs[stop]?.[w] ?? []).every((need) => route.includes(need))) continue;
      if (sums.endOf(w, [...route, stop]) < Infinity) route.push(stop);
    }
    return sums.pruned(w, route);
  });
  const done = new Set(routes.flat());
  return sums.filled(
    routes,
    sums.flowers.filter((stop) => !done.has(stop)),
  );
}

/** With some flowers taken out, and put back in another order. */
function rebuilt(sums: RouteSums, random: Random, current: Scored, count: number): Scored {
  const { s } = sums;
  const planned = current.routes.flatMap((route) => route.filter((stop) => s.kind[stop] !== 'collect'));
  const out = new Set(chosen(s, random, planned, count));
  const routes = current.routes.map((route, w) =>
    sums.pruned(
      w,
      route.filter((stop) => !out.has(stop)),
    ),
  );
  const kept = new Set(routes.flat());
  const order = sums.flowers.filter((stop) => !kept.has(stop));
  const noise = new Map<number, number>();
  const style = random();
  const service = (s.person[0] as Search['person'][number]).service;
  for (const stop of order) {
    const worth = s.value[stop] as number;
    const spread = 0.6 + 0.8 * random();
    noise.set(
      stop,
      style < 0.55
        ? (-worth / (30_000 + (service[stop] as number))) * spread
        : style < 0.7
          ? -worth * spread
          : style < 0.85
            ? (s.closes[stop] as number) - 600_000 * spread
            : random(),
    );
  }
  order.sort((a, b) => (noise.get(a) as number) - (noise.get(b) as number));
  // What did not fit before seldom fits now: only some of it is tried again when there is much.
  const most = out.size + 12;
  return sums.filled(routes, order.length > most * 2 ? order.slice(0, most) : order);
}

/** Which flowers to take out: at random, near one another, of one pollen, or a run of the route. */
function chosen(s: Search, random: Random, planned: readonly number[], count: number): readonly number[] {
  if (planned.length === 0) return [];
  const pick = () => planned[Math.floor(random() * planned.length)] as number;
  const seed = pick();
  const style = random();
  if (style < 0.3) return Array.from({ length: count }, pick);
  if (style < 0.55)
    return [...planned]
      .sort((a, b) => (s.travel[seed * s.size + a] as number) - (s.travel[seed * s.size + b] as number))
      .slice(0, count);
  if (style < 0.75) {
    const alike = planned.filter((stop) => s.pollen[stop] === s.pollen[seed]);
    return alike.length <= count * 3 ? alike : alike.slice(0, count);
  }
  const from = planned.indexOf(seed);
  return planned.slice(from, from + count);
}
