import type { AnyEvent } from '@core/ledger';
import { toInstant } from '@core/time';
import { realClock } from './clock';
import { exportEverything } from './exports';
import { boxName, spaceNow } from './prefs';
import { LedgerStore, noNeighbours } from '../store';
import { deviceBox } from '../store/deviceBox';

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

async function readStored(name: string): Promise<AnyEvent[]> {
  const store = await new LedgerStore({
    box: deviceBox(name),
    // Reads only: nothing is packed, and no other tab is told, while something is amiss.
    neighbours: { ...noNeighbours, canLock: false },
    clock: realClock,
    random: Math.random,
    device: '',
    by: () => '',
  }).open();
  const events = await store.allEvents();
  store.close();
  return events;
}
