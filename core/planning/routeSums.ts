import type { Search } from './planTables';

/** Stops by their number, a list for each person. */
export type Routes = number[][];

/** Routes of all people with what they are worth. */
export interface Scored {
  readonly routes: Routes;
  readonly value: number;
  /** Sum of the times at which flowers are done, in minutes after the start, each by its worth: between equal worths the sooner, what is worth most first. */
  readonly minutes: number;
}

/** More worth, or as much and sooner. */
export function better(a: Scored, b: Scored): boolean {
  return a.value > b.value + 1e-9 || (a.value > b.value - 1e-9 && a.minutes < b.minutes - 1e-6);
}

/** The arithmetic of routes: when they end, where a stop fits best, what they are worth. Counts the steps it took. */
export class RouteSums {
  steps = 0;
  /** Of the route last looked at by `endOf`. */
  private endsSum = 0;
  /** The stops that are flowers, not collecting. */
  readonly flowers: readonly number[];

  constructor(readonly s: Search) {
    this.flowers = Array.from({ length: s.size }, (_, i) => i).filter((i) => s.kind[i] !== 'collect');
  }

  empty(): Routes {
    return this.s.people.map(() => []);
  }

  scored(routes: Routes): Scored {
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
  endOf(w: number, route: readonly number[]): number {
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

  filled(routes: Routes, order: readonly number[]): Scored {
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

  /** Without collecting that no flower of the route needs. */
  pruned(w: number, route: readonly number[]): number[] {
    const needed = new Set<number>();
    for (const stop of route) for (const need of this.s.needs[stop]?.[w] ?? []) needed.add(need);
    return route.filter((stop) => this.s.kind[stop] !== 'collect' || needed.has(stop));
  }
}
