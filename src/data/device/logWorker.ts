import type { Remote } from 'comlink';
import type { AnyEvent } from '@core/ledger';
import type { Trade } from '../../workers/trade.worker';
import type { Garden } from '../garden/garden';
import { boxName } from './prefs';
import { askWorker, markWorkOf, type Work } from './worker';

/** Entries made so quickly after each other are answered together. */
const PAUSE_MS = 60;
/** How often the worker is asked again when it has not read the latest entries yet, and after how long. */
const TRIES = 5;
const AGAIN_MS = 300;

/** Which log a question is about. */
export type LogAsker = Pick<Garden, 'state' | 'space' | 'store'>;

/** An answer, and how many events it rests on. */
export interface Answered<T> {
  readonly count: number;
  readonly answer: T;
}

/**
 * A question to the worker that reads the log by itself, so that no tap waits for it. Where there is no worker, or one that cannot
 * read the log, it is answered `here`: late on this thread is better than never.
 */
export async function askLog<T>(
  { state, space, store }: LogAsker,
  ask: (
    trade: Remote<Trade>,
    box: string,
    recent: readonly AnyEvent[],
    count: number,
  ) => Promise<Answered<T>>,
  here: () => T | Promise<T>,
  what: Work,
  signal: AbortSignal,
): Promise<T> {
  await pause(PAUSE_MS);
  for (let tries = 0; typeof Worker !== 'undefined' && tries < TRIES; tries++) {
    signal.throwIfAborted();
    try {
      const { count, answer } = await askWorker('log', (trade) =>
        ask(trade, boxName(space), store.recent, state.count),
      );
      if (count === state.count) {
        markWorkOf(what, 'worker');
        return answer;
      }
    } catch {
      break;
    }
    await pause(AGAIN_MS);
  }
  // What is reckoned here reads bygone years too.
  await store.rest();
  signal.throwIfAborted();
  markWorkOf(what, 'screen');
  return here();
}

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
