import { validateEvent, type AnyEvent, type State } from '@core/ledger';
import { browserNeighbours, LogReader } from '../data/store';
import { deviceBox } from '../data/store/deviceBox';

let open: { readonly name: string; readonly store: Promise<LogReader> } | null = null;

/**
 * The state of a patch, from this thread's own reading of its log: it hears what is stored as another tab would, and is handed what
 * may not be stored yet. `count` is how many events the asker has; where these are fewer here, storage is read again first.
 */
export async function stateOf(name: string, recent: readonly AnyEvent[], count: number): Promise<State> {
  if (open?.name !== name) {
    void open?.store.then((store) => store.close()).catch(() => undefined);
    open = { name, store: opened(name) };
  }
  const store = await open.store;
  await store.takeIn(recent);
  if (store.ledger.state.count !== count) await store.catchUp();
  return store.ledger.state;
}

function opened(name: string): Promise<LogReader> {
  return new LogReader({
    box: deviceBox(name),
    neighbours: browserNeighbours(name),
    parts: async () => ({ validateEvent }),
  }).open();
}
