import { mustBe, TrowelError } from '../errors';

/** Who can give, who can take, and what each pairing costs. */
export interface TransportProblem {
  /** Visits each male can make. */
  readonly capacity: readonly number[];
  /** Visits each female can take. */
  readonly need: readonly number[];
  /** `cost[male][female]`; `null` = forbidden. */
  readonly cost: readonly (readonly (number | null)[])[];
}

/** The cheapest flow among the greatest. */
export interface TransportAnswer {
  /** Whole visits of male i to female j. */
  readonly flow: readonly (readonly number[])[];
  readonly total: number;
  readonly cost: number;
}

/**
 * Whole visits of males to females: as many as can be, then the least cost of those (exact: successive shortest
 * paths with potentials). Throws `capacity` or `need` for anything but whole numbers of 0 or more, `cost` for a
 * table of another shape or a cost that is no number.
 * @example transport({ capacity: [2, 1], need: [1, 2], cost: [[1, 3], [null, 2]] }) // { flow: [[1, 1], [0, 1]], total: 3, cost: 6 }
 */
export function transport({ capacity, need, cost }: TransportProblem): TransportAnswer {
  whole('capacity', capacity);
  whole('need', need);
  if (
    cost.length !== capacity.length ||
    cost.some(
      (row) => row.length !== need.length || row.some((each) => each !== null && !Number.isFinite(each)),
    )
  )
    throw new TrowelError('cost', 'The costs must be one number or null for each male and each female.', {
      field: 'cost',
    });
  const flow = leastCostFlow({
    sources: capacity.length,
    sinks: need.length,
    supply: (i) => capacity[i] as number,
    demand: (j) => need[j] as number,
    most: () => Infinity,
    cost: (i, j) => cost[i]?.[j] ?? null,
    supplyCost: () => 0,
    demandCost: () => 0,
  });
  let total = 0;
  let sum = 0;
  for (const [i, row] of flow.entries())
    for (const [j, visits] of row.entries()) {
      total += visits;
      if (visits > 0) sum += visits * ((cost[i] as (number | null)[])[j] as number);
    }
  return { flow, total, cost: sum };
}

function whole(field: 'capacity' | 'need', values: readonly number[]): void {
  const wrong = values.find((value) => !Number.isInteger(value) || value < 0);
  if (wrong !== undefined) throw mustBe('transport', field, 'whole numbers, 0 or more', wrong);
}

/** A transport whose every further unit on a pair may cost more than the one before. */
export interface ConvexFlow {
  readonly sources: number;
  readonly sinks: number;
  supply(source: number): number;
  demand(sink: number): number;
  /** Most visits on one pair. */
  most(source: number, sink: number): number;
  /** Of each visit; `null` = forbidden. */
  cost(source: number, sink: number): number | null;
  /** What the `n`th visit (from 0) of a source costs besides; must not fall with n. */
  supplyCost(source: number, n: number): number;
  /** The same for a sink. */
  demandCost(sink: number, n: number): number;
}

/**
 * The largest flow, and of those the cheapest, from sources to sinks over pair arcs, where a source's and a sink's
 * own costs may rise with use (convex). Exact. One unit of a source after the other takes the cheapest way to a free
 * sink, moving others aside (Hungarian method; Kuhn 1955, Jonker & Volgenant 1987); a unit that finds no sink, or
 * whose place is worth more to another, is left out at a price above all differences of cost, so that none is left out in vain.
 */
export function leastCostFlow(problem: ConvexFlow): number[][] {
  const sum = (count: number, of: (i: number) => number) =>
    Array.from({ length: count }, (_, i) => of(i)).reduce((a, b) => a + b, 0);
  if (sum(problem.sources, (i) => problem.supply(i)) <= sum(problem.sinks, (j) => problem.demand(j)))
    return new FlowSearch(problem).run();
  // From the side with less to give nearly every unit finds its place after a few steps.
  const turned = new FlowSearch({
    sources: problem.sinks,
    sinks: problem.sources,
    supply: (j) => problem.demand(j),
    demand: (i) => problem.supply(i),
    most: (j, i) => problem.most(i, j),
    cost: (j, i) => problem.cost(i, j),
    supplyCost: (j, n) => problem.demandCost(j, n),
    demandCost: (i, n) => problem.supplyCost(i, n),
  }).run();
  return Array.from({ length: problem.sources }, (_, i) => turned.map((row) => row[i] as number));
}

class FlowSearch {
  private readonly arc: Float64Array;
  private readonly flow: number[][];
  private readonly used: Int32Array;
  private readonly given: Int32Array;
  /** Sources that visit a sink now: its ways back. */
  private readonly carriers: number[][];
  private readonly potential: Float64Array;
  private readonly distance: Float64Array;
  private readonly from: Int32Array;
  private readonly done: Uint8Array;
  private readonly open: number[] = [];
  private readonly seen: number[] = [];
  /** The node behind all sinks. */
  private readonly end: number;
  /** Price of leaving a unit out. */
  private leaveOut = 0;

  constructor(private readonly problem: ConvexFlow) {
    const { sources, sinks } = problem;
    this.end = sources + sinks;
    this.arc = new Float64Array(sources * sinks).fill(Infinity);
    this.flow = Array.from({ length: sources }, () => new Array<number>(sinks).fill(0));
    this.used = new Int32Array(sources);
    this.given = new Int32Array(sinks);
    this.carriers = Array.from({ length: sinks }, () => []);
    this.potential = new Float64Array(this.end + 1);
    this.distance = new Float64Array(this.end + 1).fill(Infinity);
    this.from = new Int32Array(this.end + 1);
    this.done = new Uint8Array(this.end + 1);
  }

  run(): number[][] {
    const { problem, flow } = this;
    this.prepare();
    for (let source = 0; source < problem.sources; source++)
      for (let n = problem.supply(source); n > 0; n--) {
        const last = this.shortest(source);
        const placed = last !== source;
        this.settle();
        this.augment(source, last);
        // Nothing changes for its further units: they would be left out too.
        if (!placed) break;
      }
    return flow;
  }

  private prepare(): void {
    const { problem, arc, potential, end } = this;
    const { sources, sinks } = problem;
    let lowest = Infinity;
    let highest = -Infinity;
    const range = (value: number) => {
      lowest = Math.min(lowest, value);
      highest = Math.max(highest, value);
    };
    for (let i = 0; i < sources; i++)
      for (let j = 0; j < sinks; j++) {
        const cost = problem.cost(i, j);
        if (cost === null || problem.most(i, j) <= 0) continue;
        arc[i * sinks + j] = cost;
        range(cost);
      }
    if (lowest === Infinity) lowest = highest = 0;
    const ends: [(at: number) => number, (at: number, n: number) => number, number][] = [
      [(i) => problem.supply(i), (i, n) => problem.supplyCost(i, n), sources],
      [(j) => problem.demand(j), (j, n) => problem.demandCost(j, n), sinks],
    ];
    let most = highest - lowest;
    for (const [size, cost, count] of ends) {
      lowest = Infinity;
      highest = -Infinity;
      for (let at = 0; at < count; at++)
        if (size(at) > 0) {
          range(cost(at, 0));
          range(cost(at, size(at) - 1));
        }
      if (highest > lowest) most += highest - lowest;
    }
    this.leaveOut = (most + 1) * (sources + sinks + 2);
    let last = Infinity;
    for (let j = 0; j < sinks; j++) {
      let least = Infinity;
      for (let i = 0; i < sources; i++) least = Math.min(least, arc[i * sinks + j] as number);
      potential[sources + j] = least === Infinity ? 0 : least;
      if (least < Infinity && problem.demand(j) > 0) last = Math.min(last, least + problem.demandCost(j, 0));
    }
    potential[end] = last === Infinity ? 0 : last;
    let dearest = 0;
    for (let i = 0; i < sources; i++)
      for (let n = 0; n < problem.supply(i); n++) dearest = Math.max(dearest, problem.supplyCost(i, n));
    this.leaveOut += Math.max(0, potential[end] as number) + dearest;
  }

  private reach(node: number, length: number, previous: number): void {
    if (length >= (this.distance[node] as number)) return;
    if (this.distance[node] === Infinity) {
      this.open.push(node);
      this.seen.push(node);
    }
    this.distance[node] = length;
    this.from[node] = previous;
  }

  /** Dijkstra over reduced costs from one source. Gives the node before the end: a sink, or the source that is left out. */
  private shortest(start: number): number {
    const { problem, arc, flow, used, given, potential, distance, done, open, end } = this;
    const { sources, sinks } = problem;
    for (const node of this.seen) {
      distance[node] = Infinity;
      done[node] = 0;
    }
    this.seen.length = 0;
    open.length = 0;
    this.reach(start, 0, -1);
    for (;;) {
      let best = 0;
      for (let k = 1; k < open.length; k++)
        if ((distance[open[k] as number] as number) < (distance[open[best] as number] as number)) best = k;
      const node = open[best] as number;
      if (node === end || (distance[end] as number) <= (distance[node] as number))
        return this.from[end] as number;
      open[best] = open[open.length - 1] as number;
      open.pop();
      done[node] = 1;
      const length = distance[node] as number;
      const base = length + (potential[node] as number);
      if (node < sources) {
        // Leaving a unit of this source out gives back what its last visit cost.
        const n = (used[node] as number) - (node === start ? 0 : 1);
        this.reach(
          end,
          base + this.leaveOut - problem.supplyCost(node, n) - (potential[end] as number),
          node,
        );
        const row = node * sinks;
        const visits = flow[node] as number[];
        for (let j = 0; j < sinks; j++) {
          const to = sources + j;
          const cost = arc[row + j] as number;
          if (cost === Infinity || done[to]) continue;
          // Rounding may leave a reduced cost a hair below zero.
          const next = Math.max(length, base + cost - (potential[to] as number));
          if (next < (distance[to] as number) && (visits[j] as number) < problem.most(node, j))
            this.reach(to, next, node);
        }
      } else {
        const j = node - sources;
        const n = given[j] as number;
        if (n < problem.demand(j))
          this.reach(
            end,
            Math.max(length, base + problem.demandCost(j, n) - (potential[end] as number)),
            node,
          );
        for (const i of this.carriers[j] as number[])
          if (!done[i])
            this.reach(
              i,
              Math.max(length, base - (arc[i * sinks + j] as number) - (potential[i] as number)),
              node,
            );
      }
    }
  }

  /** Moves the potentials so that no reduced cost is negative: only what lay nearer than the end (the rest moves alike). */
  private settle(): void {
    const length = this.distance[this.end] as number;
    for (const node of this.seen)
      this.potential[node] =
        (this.potential[node] as number) + Math.min(this.distance[node] as number, length) - length;
  }

  private augment(start: number, last: number): void {
    const { flow, used, given, from, carriers } = this;
    const { sources } = this.problem;
    used[start] = (used[start] as number) + 1;
    let node = last;
    if (last < sources) used[last] = (used[last] as number) - 1;
    else given[last - sources] = (given[last - sources] as number) + 1;
    while (node !== start) {
      const previous = from[node] as number;
      const [source, sink, step] =
        node < sources ? [node, previous - sources, -1] : [previous, node - sources, 1];
      const visits = flow[source] as number[];
      visits[sink] = (visits[sink] as number) + step;
      if (step === 1 && visits[sink] === 1) (carriers[sink] as number[]).push(source);
      if (step === -1 && visits[sink] === 0)
        carriers[sink] = (carriers[sink] as number[]).filter((each) => each !== source);
      node = previous;
    }
  }
}
