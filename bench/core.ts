import { bloomDayOf } from '../core/bloom';
import { kitchenRound } from '../core/kitchen';
import { apply, fold, freeze, isSealed, resume, type AnyEvent, type State } from '../core/ledger';
import { fromJson, toJson } from '../core/formats';
import { DEMO_PLACE, demoStart } from '../core/simulation';
import { ratesOf } from '../core/fruitset';
import { walkOrder } from '../core/patch';
import { contradictions, leftFlowers, looksDue, nextRounds, toLookAt } from '../core/rounds';
import { localDateOf } from '../core/time';
import { roundsBeside } from '../src/ui/today/roundsBeside';
import { shuffled } from '../core/testing';
import { makeLog } from './makeLog';

/** The best of so many runs, ms. */
export function bestOf(times: number, work: () => void): number {
  let best = Infinity;
  for (let i = 0; i < times; i++) {
    const start = performance.now();
    work();
    best = Math.min(best, performance.now() - start);
  }
  return best;
}

/** Milliseconds for an entry on a flower that still grows and all that Today shows without the worker, the middle one of some. */
function entryTimes(opened: State): number {
  const now = demoStart();
  const today = localDateOf(now, DEMO_PLACE.zone);
  const growingFlower = walkOrder(opened)
    .flatMap(({ plant }) => opened.flowersOf.get(plant.id) ?? [])
    .find((id) => !isSealed(opened, id));
  let state = opened;
  const times = Array.from({ length: 30 }, (_, i) => {
    const start = performance.now();
    state = apply(state, {
      id: `7ZZZZZZZZZZZZZZZZZZZZZ${1000 + i}`,
      v: 1,
      at: '2026-07-14T03:06:00.000Z',
      by: 'Oda',
      device: 'b',
      kind: 'lookedAt',
      flower: growingFlower,
      result: 'growing',
      sizeMm: null,
    } as unknown as AnyEvent);
    nextRounds(state, DEMO_PLACE, now);
    toLookAt(state, DEMO_PLACE.zone, today);
    kitchenRound(state, DEMO_PLACE.zone, today);
    roundsBeside(state, DEMO_PLACE, today, bloomDayOf(state, DEMO_PLACE, today), now);
    leftFlowers(state, DEMO_PLACE.zone, now, today, (date) => bloomDayOf(state, DEMO_PLACE, date));
    contradictions(state, DEMO_PLACE.zone, today);
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[times.length >> 1] as number;
}

/** Prints rates and ratios of the core in Node, for logs of these sizes. */
export function benchCore(sizes: readonly number[]): void {
  for (const size of sizes) {
    const log = makeLog(size);
    const mixed = shuffled(log, 1);
    const inOrder = bestOf(5, () => fold(log));
    const anyOrder = bestOf(3, () => fold(mixed));
    const state = fold(log);
    const tap: AnyEvent = {
      id: '7ZZZZZZZZZZZZZZZZZZZZZZZZZ',
      v: 1,
      at: '2026-07-14T03:06:00.000Z',
      by: 'Oda',
      device: 'b',
      kind: 'lookedAt',
      flower: [...state.flowers.keys()][5],
      result: 'growing',
      sizeMm: null,
    } as unknown as AnyEvent;
    const one = bestOf(20, () => apply(state, tap));
    // Each time after another entry, so that nothing worked out for the very same state is read again.
    let latest = state;
    let taps = 0;
    const today = bestOf(5, () => {
      const id = `${tap.id.slice(0, 22)}${String(1000 + taps++)}`;
      latest = apply(latest, { ...tap, id } as AnyEvent);
      nextRounds(latest, DEMO_PLACE, demoStart());
      looksDue(latest, DEMO_PLACE.zone, '2026-07-14');
      ratesOf(latest, DEMO_PLACE.zone);
    });
    const early = resume(JSON.parse(freeze(state, { sealBefore: '2026-05-01T00:00:00.000Z' }).head), []);
    const onToday = early.ok ? entryTimes(early.state) : NaN;
    const { head: frozen } = freeze(state, { sealBefore: '2026-05-01T00:00:00.000Z' });
    const packed = JSON.stringify(log);
    const resumed = bestOf(3, () => resume(JSON.parse(frozen), []));
    const rebuilt = bestOf(3, () => fold(JSON.parse(packed) as AnyEvent[]));
    const text = toJson(log);
    const read = bestOf(1, () => fromJson(text));
    console.log(`${log.length} events, ${state.flowers.size} flowers:`);
    console.log(
      `  fold ${(log.length / inOrder / 1000).toFixed(2)} million events/s in order, ${(log.length / anyOrder / 1000).toFixed(2)} shuffled (wanted 0.30: ${(log.length / inOrder / 300).toFixed(1)} times that)`,
    );
    console.log(`  one entry applied in ${one.toFixed(2)} ms, 1/${Math.round(inOrder / one)} of a fold`);
    console.log(
      `  an entry and what Today itself works out after it in ${onToday.toFixed(1)} ms; with the rates of all flowers, which the worker works out, in ${today.toFixed(1)} ms`,
    );
    console.log(
      `  opening from a snapshot ${resumed.toFixed(0)} ms against ${rebuilt.toFixed(0)} ms from the log: ${(rebuilt / resumed).toFixed(1)} times quicker; ${(packed.length / frozen.length).toFixed(1)} times smaller`,
    );
    console.log(
      `  a file of ${(text.length / 1e6).toFixed(1)} MB read and checked in ${(read / 1000).toFixed(1)} s (in the app: in a worker)`,
    );
  }
}
