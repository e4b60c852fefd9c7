import { proxy, wrap, type Remote } from 'comlink';
import type { Trade } from '../../workers/trade.worker';

export interface Job<T> {
  readonly result: Promise<T>;
  /** Ends the work at once; `result` then rejects with `cancelled`. */
  cancel(): void;
}

interface Started<W> {
  readonly worker: Remote<W>;
  /** Never resolves; rejects when the worker cannot start or breaks. */
  readonly failed: Promise<never>;
  stop(): void;
}

const makeTrade = () => new Worker(new URL('../../workers/trade.worker', import.meta.url));

/** A worker that does not load only fires an event: a question put to it would wait for ever. */
export function startWorker<W>(make: () => Worker): Started<W> {
  const worker = make();
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = (event) => reject(new Error(event.message || 'The worker could not start.'));
    worker.onmessageerror = () => reject(new Error('The worker’s answer could not be read.'));
  });
  failed.catch(() => undefined);
  return { worker: wrap<W>(worker), failed, stop: () => worker.terminate() };
}

/** Runs one piece of heavy work in a worker of its own, which ends with it. */
export function inWorkerOf<W, T>(
  make: () => Worker,
  work: (worker: Remote<W>, onProgress: (share: number) => void) => Promise<T>,
  onProgress: (share: number) => void = () => undefined,
): Job<T> {
  const { worker, failed, stop } = startWorker<W>(make);
  let cancel: (reason: Error) => void = () => undefined;
  const cancelled = new Promise<never>((_, reject) => {
    cancel = reject;
  });
  const result = Promise.race([work(worker, proxy(onProgress)), cancelled, failed]).finally(stop);
  return { result, cancel: () => cancel(new Error('cancelled')) };
}

/** The same in the worker that knows the trade. */
export const inWorker = <T>(
  work: (trade: Remote<Trade>, onProgress: (share: number) => void) => Promise<T>,
  onProgress?: (share: number) => void,
): Job<T> => inWorkerOf<Trade, T>(makeTrade, work, onProgress);

/** Workers that stay. The one that holds the log has to read it first: a plan of the round does not wait for that. */
type Role = 'plan' | 'log';
const kept = new Map<Role, Started<Trade>>();

/**
 * Asks a worker that stays: for short questions asked again and again, where starting one would take longer than the answer.
 * Rejects when it cannot start or breaks; the next question starts another.
 */
export async function askWorker<T>(role: Role, work: (trade: Remote<Trade>) => Promise<T>): Promise<T> {
  const asked = kept.get(role) ?? startWorker<Trade>(makeTrade);
  kept.set(role, asked);
  try {
    return await Promise.race([work(asked.worker), asked.failed]);
  } catch (error) {
    if (kept.get(role) === asked) kept.delete(role);
    asked.stop();
    throw error;
  }
}

/** What is worked out apart. */
export type Work = 'foretold' | 'planned' | 'studied' | 'map read';

/** Leaves a mark in the browser's timeline of who did the work: a fallback works so well that nobody would miss the worker. */
export function markWorkOf(what: Work, who: 'worker' | 'screen'): void {
  performance.mark?.(`${what} by the ${who}`);
}

/** Says something to a worker that stays, where there is one; no answer is waited for. */
export function tellWorker(role: Role, what: (trade: Remote<Trade>) => Promise<unknown>): void {
  const there = kept.get(role);
  if (there) what(there.worker).catch(() => undefined);
}
