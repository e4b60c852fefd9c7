import { proxy, wrap, type Remote } from 'comlink';
import type { Trade } from '../../workers/trade.worker';

export interface Job<T> {
  readonly result: Promise<T>;
  /** Ends the work at once; `result` then rejects with `cancelled`. */
  cancel(): void;
}

interface Started {
  readonly trade: Remote<Trade>;
  /** Never resolves; rejects when the worker cannot start or breaks. */
  readonly failed: Promise<never>;
  stop(): void;
}

/** A worker that does not load says so by an event alone: a question put to it would wait for ever. */
function start(): Started {
  const worker = new Worker(new URL('../../workers/trade.worker', import.meta.url));
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = (event) => reject(new Error(event.message || 'The worker could not start.'));
    worker.onmessageerror = () => reject(new Error('The worker’s answer could not be read.'));
  });
  failed.catch(() => undefined);
  return { trade: wrap<Trade>(worker), failed, stop: () => worker.terminate() };
}

/** Runs one piece of heavy work in a worker of its own, which ends with it. */
export function inWorker<T>(
  work: (trade: Remote<Trade>, onProgress: (share: number) => void) => Promise<T>,
  onProgress: (share: number) => void = () => undefined,
): Job<T> {
  const { trade, failed, stop } = start();
  let cancel: (reason: Error) => void = () => undefined;
  const cancelled = new Promise<never>((_, reject) => {
    cancel = reject;
  });
  const result = Promise.race([work(trade, proxy(onProgress)), cancelled, failed]).finally(stop);
  return { result, cancel: () => cancel(new Error('cancelled')) };
}

/** Workers that stay. The one that holds the log has to read it first: a plan of the round does not wait for that. */
type Role = 'plan' | 'log';
const kept = new Map<Role, Started>();

/**
 * Asks a worker that stays: for short questions asked again and again, where starting one would take longer than the answer.
 * Rejects when it cannot start or breaks; the next question starts another.
 */
export async function askWorker<T>(role: Role, work: (trade: Remote<Trade>) => Promise<T>): Promise<T> {
  const asked = kept.get(role) ?? start();
  kept.set(role, asked);
  try {
    return await Promise.race([work(asked.trade), asked.failed]);
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
  if (there) what(there.trade).catch(() => undefined);
}
