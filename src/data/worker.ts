import { proxy, wrap, type Remote } from 'comlink';
import type { Trade } from '../workers/trade.worker';

export interface Job<T> {
  readonly result: Promise<T>;
  /** Ends the work at once; `result` then rejects with `cancelled`. */
  cancel(): void;
}

/** Runs one piece of heavy work in a worker of its own, which ends with it. */
export function inWorker<T>(
  work: (trade: Remote<Trade>, onProgress: (share: number) => void) => Promise<T>,
  onProgress: (share: number) => void = () => undefined,
): Job<T> {
  const worker = new Worker(new URL('../workers/trade.worker', import.meta.url));
  let stop: (reason: Error) => void = () => undefined;
  const stopped = new Promise<never>((_, reject) => {
    stop = reject;
  });
  const failed = new Promise<never>((_, reject) => {
    worker.onerror = (event) => reject(new Error(event.message || 'The worker could not start.'));
  });
  const result = Promise.race([work(wrap<Trade>(worker), proxy(onProgress)), stopped, failed]).finally(() =>
    worker.terminate(),
  );
  return { result, cancel: () => stop(new Error('cancelled')) };
}

let kept: Remote<Trade> | null = null;

/** The worker that stays: for short questions asked again and again, where starting one would take longer than the answer. */
export function keptWorker(): Remote<Trade> {
  kept ??= wrap<Trade>(new Worker(new URL('../workers/trade.worker', import.meta.url)));
  return kept;
}
