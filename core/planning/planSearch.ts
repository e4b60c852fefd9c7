import { seededRandom, type Random } from '../random';
import { exactRoute } from './planExact';
import type { Search } from './planTables';

type Routes = number[][];

interface Scored {
  readonly routes: Routes;
  readonly value: number;
  /** Sum of the times at which flowers are done, in minutes after the start, each by its worth: between equal worths the sooner, what is worth most first. */
  readonly minutes: number;
}

/** The best routes found from several beginnings, then by taking out and putting back. */
export function improve(
  search: Search,
  warm: readonly { readonly worker: string; readonly ids: readonly string[] }[] | null,
  effort: number,
  seed: number,
): Routes {
  return new Planner(search, seededRandom(seed), effort).run(warm);
}

/** What a round costs besides walking its routes, in steps, and so much more a flower: else few flowers would take longest. */
const ROUND_STEPS = 200;
const FLOWER_STEPS = 30;
const PATIENCE = 500;
const PATIENCE_A_FLOWER = 100;

class Planner {
  private steps = 0;
  /** Of the route last looked at by `endOf`. */
  private endsSum = 0;
  private readonly works: readonly number[];
  /** Rounds without anything better after which there is nothing to be hoped for. */
  private readonly patience: number;

  constructor(
    private readonly s: Search,
    private readonly random: Random,
    private readonly effort: number,
  ) {
    this.works = Array.from({ length: s.size }, (_, i) => i).filter((i) => s.kind[i] !== 'collect');
    this.patience = PATIENCE + PATIENCE_A_FLOWER * this.works.length;
  }

  run(warm: readonly { readonly worker: string; readonly ids: readonly string[] }[] | null): Routes {
    if (this.works.length === 0) return this.empty();
    const exact = exactRoute(this.s);
    if (exact) return [[...exact]];
    let best = warm ? this.mended(warm) : this.beginning();
    let current = best;
    const share = warm ? 0.25 : 0.4;
    let found = 0;
    for (let round = 0; this.steps < this.effort && round - found < this.patience; round++) {
      this.steps += ROUND_STEPS + FLOWER_STEPS * this.works.length;
      const most = Math.max(2, Math.min(24, Math.ceil(this.works.length * share)));
      const next = this.rebuilt(current, 1 + Math.floor(this.random() * most));
      if (this.better(next, best)) {
        best = next;
        found = round;
      }
      // A slightly worse one is now and then a way to a better; later less often.
      const heat = 1 - this.steps / this.effort;
      if (this.better(next, current) || next.value >= current.value * (1 - 0.03 * heat * this.random()))
        current = next;
      if (round % 60 === 59) current = best;
    }
    return best.routes;
  }

  private better(a: Scored, b: Scored): boolean {
    return a.value > b.value + 1e-9 || (a.value > b.value - 1e-9 && a.minutes < b.minutes - 1e-6);
  }

  private empty(): Routes {
    return this.s.people.map(() => []);
  }

  private scored(routes: Routes): Scored {
    let value = 0;
    let minutes = 0;
    for (const [w, route] of routes.entries()) {
      for (const stop of route) value += this.s.value[stop] as number;
      this.endOf(w, route);
      minutes += this.endsSum / 60_000;
    }
    return { routes, value, minutes };
  }

  /** When a route is over; Infinity when one of its stops comes too late. */
  private endOf(w: number, route: readonly number[]): number {
    const { travel, pollen, opens, closes, size, cleaning } = this.s;
    const person = this.s.person[w] as Search['person'][number];
    let time = this.s.startAt;
    let last = -1;
    let hands = person.pollen;
    this.steps += route.length;
    this.endsSum = 0;
    for (const stop of route) {
      const kind = pollen[stop] as number;
      if (kind >= 0) {
        if (hands >= 0 && kind !== hands) time += cleaning;
        hands = kind;
      }
      time += (last < 0 ? person.from[stop] : travel[last * size + stop]) as number;
      if (time < (opens[stop] as number)) time = opens[stop] as number;
      time += person.service[stop] as number;
      if (time > (closes[stop] as number)) return Infinity;
      this.endsSum += (this.s.value[stop] as number) * (time - this.s.startAt);
      last = stop;
    }
    return time;
  }

  /** The place where a stop makes the route's end soonest, from `first` to `last` inclusive; `null` when none fits. */
  private bestPlace(w: number, route: readonly number[], stop: number, first: number, last: number) {
    const { travel, pollen, opens, closes, size, cleaning } = this.s;
    const person = this.s.person[w] as Search['person'][number];
    let bestEnd = Infinity;
    let best = -1;
    // Time and hands before each place, walked once; each trial goes on from there.
    let before = this.s.startAt;
    let hands = person.pollen;
    let previous = -1;
    for (let place = 0; place <= last; place++) {
      if (place >= first) {
        let time = before;
        let held = hands;
        let at = previous;
        for (let k = place - 1; k < route.length; k++) {
          const next = k < place ? stop : (route[k] as number);
          const kind = pollen[next] as number;
          if (kind >= 0) {
            if (held >= 0 && kind !== held) time += cleaning;
            held = kind;
          }
          time += (at < 0 ? person.from[next] : travel[at * size + next]) as number;
          if (time < (opens[next] as number)) time = opens[next] as number;
          time += person.service[next] as number;
          if (time > (closes[next] as number)) {
            time = Infinity;
            break;
          }
          at = next;
          this.steps++;
        }
        this.steps++;
        if (time < bestEnd) {
          bestEnd = time;
          best = place;
        }
      }
      if (place === route.length) break;
      const next = route[place] as number;
      const kind = pollen[next] as number;
      if (kind >= 0) {
        if (hands >= 0 && kind !== hands) before += cleaning;
        hands = kind;
      }
      before += (previous < 0 ? person.from[next] : travel[previous * size + next]) as number;
      if (before < (opens[next] as number)) before = opens[next] as number;
      before += person.service[next] as number;
      previous = next;
    }
    return best < 0 ? null : { place: best, end: bestEnd };
  }

  /** The route with a flower and the collecting it needs, where that ends soonest; `null` when it does not fit. */
  private withStop(
    w: number,
    route: readonly number[],
    stop: number,
  ): { route: number[]; end: number } | null {
    let tried = [...route];
    for (const need of this.s.needs[stop]?.[w] ?? []) {
      if (tried.includes(need)) continue;
      // Before the first flower that it might serve: it may as well come early.
      const found = this.bestPlace(w, tried, need, 0, tried.length);
      if (!found) return null;
      tried.splice(found.place, 0, need);
    }
    let first = 0;
    for (const need of this.s.needs[stop]?.[w] ?? []) first = Math.max(first, tried.indexOf(need) + 1);
    let found = this.bestPlace(w, tried, stop, first, tried.length);
    if (!found && tried.length > route.length) {
      // Collecting late cut the flower off: collect before everything else instead.
      tried = [...(this.s.needs[stop]?.[w] ?? []).filter((need) => !route.includes(need)), ...route];
      if (this.endOf(w, tried) === Infinity) return null;
      first = 0;
      for (const need of this.s.needs[stop]?.[w] ?? []) first = Math.max(first, tried.indexOf(need) + 1);
      found = this.bestPlace(w, tried, stop, first, tried.length);
    }
    if (!found) return null;
    tried.splice(found.place, 0, stop);
    return { route: tried, end: found.end };
  }

  private filled(routes: Routes, order: readonly number[]): Scored {
    const next = routes.map((route) => route);
    for (const stop of order) {
      let best: { w: number; route: number[]; added: number } | null = null;
      for (let w = 0; w < next.length; w++) {
        const found = this.withStop(w, next[w] as number[], stop);
        if (!found) continue;
        // Who is done soonest with it, not whose round grows least: two people share the work.
        if (!best || found.end < best.added) best = { w, route: found.route, added: found.end };
      }
      if (best) next[best.w] = best.route;
    }
    return this.scored(next);
  }

  private beginning(): Scored {
    const { value, closes, opens, pollen } = this.s;
    const service = (this.s.person[0] as Search['person'][number]).service;
    const by = (rank: (stop: number) => number) => [...this.works].sort((a, b) => rank(a) - rank(b));
    const density = (stop: number) => -(value[stop] as number) / (30_000 + (service[stop] as number));
    const groupWorth = new Map<number, number>();
    for (const stop of this.works) {
      const kind = pollen[stop] as number;
      groupWorth.set(kind, (groupWorth.get(kind) ?? 0) + (value[stop] as number));
    }
    const orders = [
      by(density),
      by((stop) => -(value[stop] as number)),
      by((stop) => closes[stop] as number),
      by((stop) => (opens[stop] as number) * 1e-3 + (stop / this.s.size) * 1e-6),
      by((stop) => -(groupWorth.get(pollen[stop] as number) ?? 0) * 1e6 + density(stop)),
      [...this.works],
    ];
    return orders
      .map((order) => this.filled(this.empty(), order))
      .concat(this.scored(this.nearest()))
      .concat(([true, false] as const).map((walking) => this.scored(this.byRows(walking))))
      .reduce((best, next) => (this.better(next, best) ? next : best));
  }

  /** What a person would do who always takes the nearest that can be done. */
  private nearest(): Routes {
    const routes = this.empty();
    const left = new Set(Array.from({ length: this.s.size }, (_, i) => i));
    for (let moved = true; moved;) {
      moved = false;
      for (const [w, route] of routes.entries()) {
        const person = this.s.person[w] as Search['person'][number];
        const last = route[route.length - 1];
        let best = -1;
        let bestAt = Infinity;
        for (const stop of left) {
          if (!(this.s.needs[stop]?.[w] ?? []).every((need) => route.includes(need))) continue;
          const leg = (
            last === undefined ? person.from[stop] : this.s.travel[last * this.s.size + stop]
          ) as number;
          if (leg < bestAt && this.endOf(w, [...route, stop]) < Infinity) {
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
    return routes.map((route, w) => this.pruned(w, route));
  }

  /** What people do who share the rows: each walks its own row by row, or always takes its nearest; no plan is worse than that. */
  private byRows(walking: boolean): Routes {
    const { size, pollen, kind, travel, cleaning, person } = this.s;
    const kinds = [...new Set(pollen)];
    const people = this.s.people.length;
    const all = Array.from({ length: size }, (_, i) => i);
    return this.s.people.map((_id, w) => {
      const own =
        kinds.length < people
          ? all.filter((stop) => kind[stop] !== 'collect' && stop % people === w)
          : all.filter(
              (stop) => kind[stop] !== 'collect' && kinds.indexOf(pollen[stop] as number) % people === w,
            );
      const needed = new Set(own.flatMap((stop) => this.s.needs[stop]?.[w] ?? []));
      const left = [...needed, ...own].sort(
        (a, b) =>
          kinds.indexOf(pollen[a] as number) - kinds.indexOf(pollen[b] as number) ||
          Number(kind[a] !== 'collect') - Number(kind[b] !== 'collect') ||
          this.s.stop(a).xM - this.s.stop(b).xM,
      );
      const route: number[] = [];
      const fits = (stop: number) =>
        (this.s.needs[stop]?.[w] ?? []).every((need) => route.includes(need)) &&
        this.endOf(w, [...route, stop]) < Infinity;
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
      return this.pruned(w, route);
    });
  }

  /** Without collecting that no flower of the route needs. */
  private pruned(w: number, route: readonly number[]): number[] {
    const needed = new Set<number>();
    for (const stop of route) for (const need of this.s.needs[stop]?.[w] ?? []) needed.add(need);
    return route.filter((stop) => this.s.kind[stop] !== 'collect' || needed.has(stop));
  }

  /** A plan made before, with what no longer fits taken out, and what became possible put in. */
  private mended(warm: readonly { readonly worker: string; readonly ids: readonly string[] }[]): Scored {
    const routes = this.s.people.map((id, w) => {
      const route: number[] = [];
      for (const stopId of warm.find(({ worker }) => worker === id)?.ids ?? []) {
        const stop = this.s.index.get(stopId);
        if (stop === undefined) continue;
        if (!(this.s.needs[stop]?.[w] ?? []).every((need) => route.includes(need))) continue;
        if (this.endOf(w, [...route, stop]) < Infinity) route.push(stop);
      }
      return this.pruned(w, route);
    });
    const done = new Set(routes.flat());
    return this.filled(
      routes,
      this.works.filter((stop) => !done.has(stop)),
    );
  }

  private rebuilt(current: Scored, count: number): Scored {
    const planned = current.routes.flatMap((route) =>
      route.filter((stop) => this.s.kind[stop] !== 'collect'),
    );
    const out = new Set(this.chosen(planned, count));
    const routes = current.routes.map((route, w) =>
      this.pruned(
        w,
        route.filter((stop) => !out.has(stop)),
      ),
    );
    const kept = new Set(routes.flat());
    const order = this.works.filter((stop) => !kept.has(stop));
    const noise = new Map<number, number>();
    const style = this.random();
    const service = (this.s.person[0] as Search['person'][number]).service;
    for (const stop of order) {
      const worth = this.s.value[stop] as number;
      const spread = 0.6 + 0.8 * this.random();
      noise.set(
        stop,
        style < 0.55
          ? (-worth / (30_000 + (service[stop] as number))) * spread
          : style < 0.7
            ? -worth * spread
            : style < 0.85
              ? (this.s.closes[stop] as number) - 600_000 * spread
              : this.random(),
      );
    }
    order.sort((a, b) => (noise.get(a) as number) - (noise.get(b) as number));
    // What did not fit before seldom fits now: only some of it is tried again when there is much.
    const most = out.size + 12;
    return this.filled(routes, order.length > most * 2 ? order.slice(0, most) : order);
  }

  /** Which flowers to take out: at random, near one another, of one pollen, or a run of the route. */
  private chosen(planned: readonly number[], count: number): readonly number[] {
    if (planned.length === 0) return [];
    const pick = () => planned[Math.floor(this.random() * planned.length)] as number;
    const seed = pick();
    const style = this.random();
    if (style < 0.3) return Array.from({ length: count }, pick);
    if (style < 0.55)
      return [...planned]
        .sort(
          (a, b) =>
            (this.s.travel[seed * this.s.size + a] as number) -
            (this.s.travel[seed * this.s.size + b] as number),
        )
        .slice(0, count);
    if (style < 0.75) {
      const alike = planned.filter((stop) => this.s.pollen[stop] === this.s.pollen[seed]);
      return alike.length <= count * 3 ? alike : alike.slice(0, count);
    }
    const from = planned.indexOf(seed);
    return planned.slice(from, from + count);
  }
}
