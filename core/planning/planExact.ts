import type { Search } from './planTables';

/** Up to this many stops one person's round is searched through whole. */
export const EXACT_PLAN_STOPS = 10;

/**
 * The best route of one person over few stops: most worth, and between equals the one whose flowers are done sooner, each by its
 * worth. Depth first through every order, cut off where not even all that is left could make it better (branch and bound, Land &
 * Doig 1960). `null` when there are several people or too many stops.
 */
export function exactRoute(search: Search): readonly number[] | null {
  const { size, people } = search;
  if (people.length !== 1 || size > EXACT_PLAN_STOPS) return null;
  return new ExactPlanner(search).run();
}

class ExactPlanner {
  private best: readonly number[] = [];
  private bestWorth = 0;
  private bestSum = 0;
  private readonly route: number[] = [];
  /** For each stop a mask of the collecting that it needs. */
  private readonly needs: readonly number[];
  /** For each collecting stop a mask of the flowers that need it. */
  private readonly serves: readonly number[];

  constructor(private readonly s: Search) {
    this.needs = s.needs.map((byPerson) => (byPerson[0] ?? []).reduce((mask, need) => mask | (1 << need), 0));
    this.serves = Array.from({ length: s.size }, (_, stop) =>
      this.needs.reduce((mask, needed, flower) => (needed & (1 << stop) ? mask | (1 << flower) : mask), 0),
    );
  }

  run(): readonly number[] {
    this.extend(0, this.s.startAt, -1, (this.s.person[0] as Search['person'][number]).pollen, 0, 0);
    return this.best;
  }

  private extend(done: number, time: number, last: number, hands: number, worth: number, sum: number): void {
    const { size, travel, pollen, opens, closes, cleaning, startAt, kind } = this.s;
    const person = this.s.person[0] as Search['person'][number];
    // Collecting after the last flower is for nothing, so only a route that ends in a flower is one.
    if (worth > this.bestWorth + 1e-9 || (worth > this.bestWorth - 1e-9 && sum < this.bestSum - 1e-6)) {
      if (last < 0 || kind[last] !== 'collect') {
        this.best = [...this.route];
        this.bestWorth = worth;
        this.bestSum = sum;
      }
    }
    if (!this.couldBeBetter(done, time, worth, sum)) return;
    for (let stop = 0; stop < size; stop++) {
      if (done & (1 << stop) || ((this.needs[stop] as number) & ~done) !== 0) continue;
      if (kind[stop] === 'collect' && ((this.serves[stop] as number) & ~done) === 0) continue;
      const wanted = pollen[stop] as number;
      const washed = wanted >= 0 && hands >= 0 && wanted !== hands ? cleaning : 0;
      const leg = (last < 0 ? person.from[stop] : travel[last * size + stop]) as number;
      const end = Math.max(time + washed + leg, opens[stop] as number) + (person.service[stop] as number);
      if (end > (closes[stop] as number)) continue;
      const value = this.s.value[stop] as number;
      this.route.push(stop);
      this.extend(
        done | (1 << stop),
        end,
        stop,
        wanted >= 0 ? wanted : hands,
        worth + value,
        sum + value * (end - startAt),
      );
      this.route.pop();
    }
  }

  /** Whether what is left, done at once and with no way between, would make the route better than the best so far. */
  private couldBeBetter(done: number, time: number, worth: number, sum: number): boolean {
    const { size, value, closes, opens, startAt } = this.s;
    const service = (this.s.person[0] as Search['person'][number]).service;
    let most = worth;
    let least = sum;
    for (let stop = 0; stop < size; stop++) {
      const each = value[stop] as number;
      if (each === 0 || done & (1 << stop)) continue;
      const end = Math.max(time, opens[stop] as number) + (service[stop] as number);
      if (end > (closes[stop] as number)) continue;
      most += each;
      least += each * (end - startAt);
    }
    // Where all of it is needed to be as good, it must also be sooner.
    return most > this.bestWorth + 1e-9 || (most > this.bestWorth - 1e-9 && least < this.bestSum - 1e-6);
  }
}
