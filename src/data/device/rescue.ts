import { merge, type AnyEvent, type Judge } from '@core/ledger';
import { toInstant } from '@core/time';
import { realClock } from './clock';
import { exportEverything } from './exports';
import { boxName, spaceNow } from './prefs';
import { noNeighbours, type LedgerStore } from '../store';
import { deviceBox } from '../store/deviceBox';
import { isBatch, Journal } from '../store/journal';

let open: LedgerStore | null = null;

/** The store that the screens work with: it alone also knows what storage refused. */
export function rememberOpen(store: LedgerStore): void {
  open = store;
}

/** Saves every record as a file, without the screens: for when one of them broke. Gives how many there are. */
export async function rescue(): Promise<number> {
  const space = await spaceNow();
  const events = open
    ? await open.allEvents().catch(() => readStored(boxName(space)))
    : await readStored(boxName(space));
  return exportEverything(events, space, toInstant(realClock.now()).slice(0, 10));
}

/**
 * Every stored entry as it stands: nothing is folded or judged, since the code for that may be just what is amiss. Reads only: nothing is
 * packed, and no other tab is told.
 */
async function readStored(name: string): Promise<AnyEvent[]> {
  const box = deviceBox(name);
  const asItStands: Judge = (event) =>
    typeof (event as Partial<AnyEvent> | null)?.id === 'string'
      ? { ok: true, event: event as AnyEvent, unknown: false }
      : { ok: false, reason: 'invalid', field: 'id', message: 'Not an entry.' };
  const journal = new Journal(
    box,
    noNeighbours,
    () => undefined,
    async () => asItStands,
  );
  const { events } = await journal.read((await box.keys()).filter(isBatch));
  return merge(events, []);
}
