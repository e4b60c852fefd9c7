import type { Search } from './planTables';
import type { Routes, RouteSums, Scored } from './routeSums';

/** Plans to begin a search from, one at a time: by worth, by what shuts first, variety by variety, and as people walk without a plan. */
export function* beginnings(sums: RouteSums): Generator<Scored> {
  const { value, closes, opens, pollen, size } = sums.s;
  const service = (sums.s.person[0] as Search['person'][number]).service;
  const by = (rank: (stop: number) => number) => [...sums.flowers].sort((a, b) => rank(a) - rank(b));
  const density = (stop: number) => -(value[stop] as number) / (30_000 + (service[stop] as number));
  const groupWorth = new Map<number, number>();
  for (const stop of sums.flowers) {
    const kind = pollen[stop] as number;
    groupWorth.set(kind, (groupWorth.get(kind) ?? 0) + (value[stop] as number));
  }
  const orders = [
    by(density),
    by((stop) => -(value[stop] as number)),
    by((stop) => closes[stop] as number),
    by((stop) => (opens[stop] as number) * 1e-3 + (stop / size) * 1e-6),
    by((stop) => -(groupWorth.get(pollen[stop] as number) ?? 0) * 1e6 + density(stop)),
    [...sums.flowers],
  ];
  for (const order of orders) yield sums.filled(sums.empty(), order);
  yield sums.scored(nearest(sums));
  for (const walking of [true, false]) yield sums.scored(byRows(sums, walking));
}

/** What a person would do who always takes the nearest that can be done. */
function nearest(sums: RouteSums): Routes {
  const { s } = sums;
  const routes = sums.empty();
  const left = new Set(Array.from({ length: s.size }, (_, i) => i));
  for (let moved = true; moved;) {
    moved = false;
    for (const [w, route] of routes.entries()) {
      const person = s.person[w] as Search['person'][number];
      const last = route[route.length - 1];
      let best = -1;
      let bestAt = Infinity;
      for (const stop of left) {
        if (!(s.needs[stop]?.[w] ?? []).every((need) => route.includes(need))) continue;
        const leg = (last === undefined ? person.from[stop] : s.travel[last * s.size + stop]) as number;
        if (leg < bestAt && sums.endOf(w, [...route, stop]) < Infinity) {
          best = stop;
          bestAt = leg;
        }
      }
      if (best < 0) continue;
      route.push(best);
      left.delete(best);
      moved = true;
    }
  }
  return routes.map((route, w) => sums.pruned(w, route));
}

/** What people do who share the rows: each walks its own row by row, or always takes its nearest; no plan is worse than that. */
function byRows(sums: RouteSums, walking: boolean): Routes {
  const { s } = sums;
  const { size, pollen, kind, travel, cleaning, person } = s;
  const kinds = [...new Set(pollen)];
  const people = s.people.length;
  const all = Array.from({ length: size }, (_, i) => i);
  return s.people.map((_id, w) => {
    const own =
      kinds.length < people
        ? all.filter((stop) => kind[stop] !== 'collect' && stop % people === w)
        : all.filter(
            (stop) => kind[stop] !== 'collect' && kinds.indexOf(pollen[stop] as number) % people === w,
          );
    const needed = new Set(own.flatMap((stop) => s.needs[stop]?.[w] ?? []));
    const left = [...needed, ...own].sort(
      (a, b) =>
        kinds.indexOf(pollen[a] as number) - kinds.indexOf(pollen[b] as number) ||
        Number(kind[a] !== 'collect') - Number(kind[b] !== 'collect') ||
        s.stop(a).xM - s.stop(b).xM,
    );
    const route: number[] = [];
    const fits = (stop: number) =>
      (s.needs[stop]?.[w] ?? []).every((need) => route.includes(need)) &&
      sums.endOf(w, [...route, stop]) < Infinity;
    if (walking) for (const stop of left) if (fits(stop)) route.push(stop);
    for (let open = walking ? [] : left; open.length > 0;) {
      const last = route[route.length - 1];
      const hands = last === undefined ? (person[w]?.pollen ?? -1) : (pollen[last] as number);
      const cost = (stop: number) =>
        ((last === undefined ? person[w]?.from[stop] : travel[last * size + stop]) as number) +
        (hands >= 0 && hands !== pollen[stop] ? cleaning : 0);
      const able = open.filter(fits);
      if (able.length === 0) break;
      const next = able.reduce((a, b) => (cost(b) < cost(a) ? b : a));
      route.push(next);
      open = open.filter((stop) => stop !== next);
    }
    return sums.pruned(w, route);
  });
}
