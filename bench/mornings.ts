import { type PlanRequest, type PlanStop, type PlanWorker, CLEANING_S, WALK_M_PER_S } from '../core/planning';
import { seededRandom, type Random } from '../core/random';

const MINUTE = 60_000;

/** A made-up morning: beds of a few varieties, flowers shut on their plants, fathers to collect from, bees coming. */
export function morning(seed: number, flowers?: number, people?: number): PlanRequest {
  const random = seededRandom(seed);
  const between = (least: number, most: number) => least + random() * (most - least);
  const count = flowers ?? Math.round(between(10, 60));
  const varieties = Math.max(1, Math.min(5, Math.round(between(1, 5))));
  const bees = between(25, 80) * MINUTE;
  const stops: PlanStop[] = [];
  const worth = Array.from({ length: varieties }, () => [1, 1, 2, 4][Math.floor(random() * 4)] as number);
  const fathers: string[][] = [];
  for (let v = 0; v < varieties; v++) {
    const plants = Math.round(between(2, 4));
    fathers.push([]);
    for (let p = 0; p < plants; p++) {
      const id = `m${v}-${p}`;
      (fathers[v] as string[]).push(id);
      stops.push({
        id,
        kind: 'collect',
        ...spot(random, v),
        pollen: `v${v}`,
        serviceS: between(15, 45),
        opens: 0,
        closes: 4 * 60 * MINUTE,
        value: 0,
        needs: [],
      });
    }
  }
  for (let f = 0; f < count; f++) {
    const v = Math.floor(random() * varieties);
    const late = random() < 0.2;
    const choice = fathers[v] as string[];
    const first = Math.floor(random() * choice.length);
    const needs = [choice[first] as string];
    if (choice.length > 1 && random() < 0.5) needs.push(choice[(first + 1) % choice.length] as string);
    stops.push({
      id: `f${f}`,
      kind: 'work',
      ...spot(random, v),
      pollen: `v${v}`,
      serviceS: between(90, 240),
      opens: late ? between(5, 40) * MINUTE : 0,
      // Some shut early in the heat; for pure seed all end when the bees come.
      closes: random() < 0.15 ? between(15, 60) * MINUTE : bees,
      value: (worth[v] as number) * between(0.4, 1.6),
      needs,
    });
  }
  const workers: PlanWorker[] = Array.from({ length: people ?? (random() < 0.5 ? 1 : 2) }, (_, i) => ({
    id: `p${i}`,
  }));
  return { start: { xM: 0, yM: -3 }, startAt: 0, stops, workers, deadline: bees, seed };
}

function spot(random: Random, bed: number): { xM: number; yM: number } {
  return { xM: random() * 20, yM: bed * 4 + random() * 2 };
}

/** Worth done by people who follow a simple rule, stop by stop, and pass over what is shut already. */
export function byRule(request: PlanRequest, rule: 'walking' | 'nearest'): number {
  const { stops, workers, start, deadline } = request;
  const byId = new Map(stops.map((stop) => [stop.id, stop]));
  // Two people share the rows: each takes every other variety, as people do; one alone takes all.
  const rows = [...new Set(stops.map(({ pollen }) => pollen))];
  let value = 0;
  for (const [w] of workers.entries()) {
    const mine = stops.filter(({ pollen }) => rows.indexOf(pollen) % workers.length === w);
    const shared = rows.length < workers.length ? stops.filter((_, i) => i % workers.length === w) : mine;
    const own =
      rows.length < workers.length
        ? [...new Set(shared.flatMap(({ needs, id }) => [...needs, id]))].map(
            (id) => byId.get(id) as PlanStop,
          )
        : mine;
    value += follow(own, rule, start, deadline, rows);
  }
  return value;
}

function follow(
  stops: readonly PlanStop[],
  rule: 'walking' | 'nearest',
  start: { xM: number; yM: number },
  deadline: number,
  rows: readonly (string | null)[],
): number {
  let at = start;
  let time = 0;
  let hands: string | null = null;
  let value = 0;
  const done = new Set<string>();
  const go = (stop: PlanStop) => {
    let arrive = time + (Math.hypot(stop.xM - at.xM, stop.yM - at.yM) / WALK_M_PER_S) * 1000;
    if (hands !== null && hands !== stop.pollen) arrive += CLEANING_S * 1000;
    const begin = Math.max(arrive, stop.opens);
    const end = begin + stop.serviceS * 1000;
    // Seen on the spot: too late for this flower, on to the next. A look costs a quarter of a minute.
    if (end > Math.min(stop.closes, deadline)) {
      if (begin > Math.min(stop.closes, deadline)) time = Math.max(time, Math.min(arrive, time + 15_000));
      return;
    }
    time = end;
    at = stop;
    hands = stop.pollen;
    value += stop.value;
    done.add(stop.id);
  };
  if (rule === 'walking') {
    // Row by row: the row's males first, in walking order, then its females in walking order.
    for (const row of rows) {
      const inRow = stops.filter(({ pollen }) => pollen === row).sort((a, b) => a.xM - b.xM);
      for (const stop of inRow) if (stop.kind === 'collect' && time < deadline) go(stop);
      for (const stop of inRow)
        if (stop.kind === 'work' && time < deadline && stop.needs.every((need) => done.has(need))) go(stop);
    }
    return value;
  }
  const left = new Set(stops);
  while (left.size > 0 && time < deadline) {
    let best: PlanStop | null = null;
    let bestLeg = Infinity;
    for (const stop of left) {
      if (!stop.needs.every((need) => done.has(need))) continue;
      const leg =
        Math.hypot(stop.xM - at.xM, stop.yM - at.yM) +
        (hands !== null && hands !== stop.pollen ? CLEANING_S * WALK_M_PER_S : 0);
      if (leg < bestLeg) {
        best = stop;
        bestLeg = leg;
      }
    }
    if (!best) break;
    left.delete(best);
    go(best);
  }
  return value;
}

/** The best worth of any order of any of the stops, by trying them all; one person, few stops. */
export function bruteForce(request: PlanRequest): number {
  const { stops, start, deadline } = request;
  const index = new Map(stops.map(({ id }, i) => [id, i]));
  const needs = stops.map((stop) =>
    stop.needs.reduce((bits, id) => bits | (1 << (index.get(id) as number)), 0),
  );
  let best = 0;
  const total = stops.reduce((sum, { value }) => sum + value, 0);
  const from = (
    done: number,
    last: number,
    time: number,
    hands: string | null,
    value: number,
    left: number,
  ) => {
    if (value > best) best = value;
    // Nothing that is left can make it better.
    if (value + left <= best + 1e-9) return;
    for (const [i, stop] of stops.entries()) {
      if (done & (1 << i) || ((needs[i] as number) & done) !== needs[i]) continue;
      const at = last < 0 ? start : (stops[last] as PlanStop);
      let begin = time + (Math.hypot(stop.xM - at.xM, stop.yM - at.yM) / WALK_M_PER_S) * 1000;
      if (hands !== null && hands !== stop.pollen) begin += CLEANING_S * 1000;
      begin = Math.max(begin, stop.opens);
      const end = begin + stop.serviceS * 1000;
      if (end > Math.min(stop.closes, deadline)) continue;
      from(done | (1 << i), i, end, stop.pollen, value + stop.value, left - stop.value);
    }
  };
  from(0, -1, 0, null, 0, total);
  return best;
}
