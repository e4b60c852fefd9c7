import fc from 'fast-check';
import { CLEANING_S, planRound, WALK_M_PER_S, type PlanRequest, type PlanStop } from '.';

const MINUTE = 60_000;
const stop = (id: string, more: Partial<PlanStop> = {}): PlanStop => ({
  id,
  kind: 'work',
  xM: 0,
  yM: 0,
  pollen: 'v',
  serviceS: 120,
  opens: 0,
  closes: 600 * MINUTE,
  value: 1,
  needs: [],
  ...more,
});
const request = (stops: PlanStop[], more: Partial<PlanRequest> = {}): PlanRequest => ({
  start: { xM: 0, yM: 0 },
  startAt: 0,
  stops,
  workers: [{ id: 'Oda' }],
  deadline: 600 * MINUTE,
  effort: 60_000,
  ...more,
});

const arbitraryStops = fc
  .array(
    fc.record({
      xM: fc.integer({ min: 0, max: 30 }),
      yM: fc.integer({ min: 0, max: 10 }),
      pollen: fc.constantFrom('v', 'w', null),
      serviceS: fc.integer({ min: 10, max: 300 }),
      opens: fc.integer({ min: 0, max: 30 * MINUTE }),
      length: fc.integer({ min: 0, max: 60 * MINUTE }),
      value: fc.integer({ min: 1, max: 9 }),
      collect: fc.boolean(),
    }),
    { maxLength: 10 },
  )
  .map((list) =>
    list.flatMap(({ length, collect, ...each }, i): PlanStop[] => [
      ...(collect ? [stop(`c${i}`, { ...each, opens: 0, kind: 'collect', value: 0, serviceS: 20 })] : []),
      stop(`f${i}`, { ...each, closes: each.opens + length, needs: collect ? [`c${i}`] : [] }),
    ]),
  );

/** Walks a plan again by the rules as they are stated, apart from the planner. */
function broken(plan: ReturnType<typeof planRound>, given: PlanRequest): string[] {
  const wrong: string[] = [];
  const seen = new Set<string>();
  for (const [w, route] of plan.routes.entries()) {
    let time = given.startAt;
    let at: { xM: number; yM: number } = given.start;
    let hands: string | null = null;
    const done = new Set<string>();
    for (const { id, begin, end } of route.stops) {
      const each = given.stops.find((one) => one.id === id) as PlanStop;
      const walk = (Math.hypot(each.xM - at.xM, each.yM - at.yM) / WALK_M_PER_S) * 1000;
      const clean = hands !== null && each.pollen !== null && hands !== each.pollen ? CLEANING_S * 1000 : 0;
      if (begin < time + walk + clean - 1e-6) wrong.push(`${id} too soon`);
      if (begin < each.opens || end > Math.min(each.closes, given.deadline) + 1e-6)
        wrong.push(`${id} outside`);
      if (!each.needs.every((need) => done.has(need))) wrong.push(`${id} without its males`);
      if (each.kind !== 'collect' && seen.has(id)) wrong.push(`${id} twice`);
      if (Math.abs(end - begin - each.serviceS * 1000) > 1e-6) wrong.push(`${id} work time`);
      seen.add(id);
      done.add(id);
      hands = each.pollen ?? hands;
      time = end;
      at = each;
    }
    if (given.workers[w]?.id !== route.worker) wrong.push('workers');
  }
  const skipped = new Set(plan.skipped.map(({ id }) => id));
  for (const { id, kind } of given.stops)
    if (kind !== 'collect' && seen.has(id) === skipped.has(id)) wrong.push(`${id} neither or both`);
  return wrong;
}

test('every plan keeps windows, males first, cleaning and the end; each flower is done once or named as left out', () => {
  fc.assert(
    fc.property(
      arbitraryStops,
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 0, max: 60 }),
      (stops, people, end) => {
        const given = request(stops, {
          workers: Array.from({ length: people }, (_, i) => ({ id: `p${i}` })),
          deadline: end * MINUTE,
          effort: 20_000,
        });
        const plan = planRound(given);
        expect(broken(plan, given)).toEqual([]);
        const again = planRound({ ...given, current: plan.routes });
        expect(broken(again, given)).toEqual([]);
        expect(again.value).toBeGreaterThanOrEqual(plan.value - 1e-9);
      },
    ),
    { numRuns: 80 },
  );
});

test('one person, few flowers: no order of males and flowers is better, and of equal ones none is sooner', () => {
  fc.assert(
    fc.property(arbitraryStops, fc.integer({ min: 2, max: 20 }), (list, end) => {
      const works = list.filter(({ kind }) => kind === 'work').slice(0, 4);
      const needed = new Set(works.flatMap(({ needs }) => needs));
      const stops = [...list.filter(({ id }) => needed.has(id)).slice(0, 3), ...works];
      const ids = new Set(stops.map(({ id }) => id));
      const given = request(
        stops.map((each) => ({ ...each, needs: each.needs.filter((id) => ids.has(id)) })),
        { deadline: end * MINUTE },
      );
      let best = { worth: 0, sum: 0 };
      const go = (
        left: readonly PlanStop[],
        at: { xM: number; yM: number },
        time: number,
        hands: string | null,
        worth: number,
        sum: number,
      ) => {
        if (worth > best.worth || (worth === best.worth && sum < best.sum)) best = { worth, sum };
        for (const each of left) {
          if (each.needs.some((need) => left.some(({ id }) => id === need))) continue;
          const walk = (Math.hypot(each.xM - at.xM, each.yM - at.yM) / WALK_M_PER_S) * 1000;
          const clean =
            hands !== null && each.pollen !== null && hands !== each.pollen ? CLEANING_S * 1000 : 0;
          const done = Math.max(time + walk + clean, each.opens) + each.serviceS * 1000;
          if (done > Math.min(each.closes, given.deadline)) continue;
          go(
            left.filter((one) => one !== each),
            each,
            done,
            each.pollen ?? hands,
            worth + each.value,
            sum + each.value * done,
          );
        }
      };
      go(given.stops, given.start, 0, null, 0, 0);
      const plan = planRound(given);
      const valueOf = new Map(given.stops.map(({ id, value }) => [id, value]));
      const sum = (plan.routes[0]?.stops ?? []).reduce(
        (total, stop) => total + (valueOf.get(stop.id) ?? 0) * stop.end,
        0,
      );
      expect(broken(plan, given)).toEqual([]);
      expect(plan.value).toBe(best.worth);
      expect(sum).toBeCloseTo(best.sum, 3);
    }),
    { numRuns: 120 },
  );
});

test('when time is short the worthy are done and the rest is named', () => {
  const stops = [
    stop('near', { value: 1 }),
    stop('far', { xM: 21, value: 5 }),
    stop('shut', { closes: 1000 }),
  ];
  const plan = planRound(request(stops, { deadline: 3 * MINUTE }));
  expect(plan.routes[0]?.stops.map(({ id }) => id)).toEqual(['far']);
  expect(plan.skipped).toEqual([
    { id: 'near', reason: 'time' },
    { id: 'shut', reason: 'window' },
  ]);
});

test('a flower not open yet is waited for, or come back to', () => {
  const stops = [stop('later', { opens: 20 * MINUTE }), stop('now', { xM: 14 })];
  const [route] = planRound(request(stops)).routes;
  expect(route?.stops.map(({ id }) => id)).toEqual(['now', 'later']);
  expect(route?.stops[1]?.begin).toBe(20 * MINUTE);
});

test('males that cannot be had are the reason', () => {
  const stops = [stop('c', { kind: 'collect', value: 0, closes: 1 }), stop('f', { needs: ['c'] })];
  expect(planRound(request(stops)).skipped).toEqual([{ id: 'f', reason: 'pollen' }]);
  const has = planRound(request(stops, { workers: [{ id: 'Oda', has: ['c'] }] }));
  expect(has.routes[0]?.stops.map(({ id }) => id)).toEqual(['f']);
});

test('two people share a long morning; nobody, or nonsense, is refused by name', () => {
  const stops = Array.from({ length: 8 }, (_, i) => stop(`f${i}`, { xM: i < 4 ? 0 : 30 }));
  const two = planRound(request(stops, { workers: [{ id: 'Oda' }, { id: 'Tilen' }], deadline: 10 * MINUTE }));
  expect(two.skipped).toEqual([]);
  expect(two.routes.every((route) => route.stops.length >= 3)).toBe(true);
  expect(() => planRound(request(stops, { workers: [] }))).toThrow(
    expect.objectContaining({ field: 'workers' }),
  );
  expect(() => planRound(request([stop('a'), stop('a')]))).toThrow(
    expect.objectContaining({ field: 'stops' }),
  );
  expect(() => planRound(request([stop('a', { needs: ['b'] })]))).toThrow(
    expect.objectContaining({ field: 'stops' }),
  );
  expect(() => planRound(request([], { deadline: Number.NaN }))).toThrow(
    expect.objectContaining({ field: 'deadline' }),
  );
  expect(planRound(request([])).finish).toBe(0);
});
