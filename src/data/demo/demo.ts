import { SCHEMA_VERSION, type AnyEvent } from '@core/ledger';
import { inWorker } from '../device/worker';

/**
 * The demo's log: as the build prepared it, a file beside the app. Where that cannot be had (a development server, an offline
 * copy that is not complete) it is made here, in a worker, which takes some seconds.
 */
export async function demoEvents(onProgress: (share: number) => void): Promise<readonly AnyEvent[]> {
  try {
    const answer = await fetch('/demo/season.json');
    // Made and checked by the build of this very app; one of another version is not taken.
    const { events } = (await answer.json()) as { events: readonly AnyEvent[] };
    if (answer.ok && events.length > 0 && events.every(({ v }) => v === SCHEMA_VERSION)) return events;
  } catch {
    // No such file to be had: made below.
  }
  return inWorker((trade, report) => trade.makeDemo(report), onProgress).result;
}
