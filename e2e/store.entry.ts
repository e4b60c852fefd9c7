// Runs in the page of e2e/store.spec.ts: the store over this browser's own database, without the app.
import { seededRandom } from '../core/random';
import { browserNeighbours, LedgerStore } from '../src/data/store';
import { deviceBox } from '../src/data/store/deviceBox';
import { partsHere } from '../src/data/store/testing/parts';
import { runSchedule, type Schedule } from '../src/data/store/testing/schedule';

/** Shorter than a write takes: the page still dies in the middle of one as often as not. */
const BREATH_MS = 2;
let opened = 0;
const open = (name: string) =>
  new LedgerStore({
    box: deviceBox(name),
    neighbours: browserNeighbours(name),
    clock: { now: () => Date.now() },
    random: seededRandom(Date.now() + ++opened),
    device: 'phone',
    by: () => 'Oda',
    parts: partsHere,
    limits: { packAbove: 2, snapshotAbove: 3, snapshotEvery: 1, sealAfterDays: 0, undoDepth: 2 },
  }).open();

const api = {
  /** One schedule over a database of its own. Gives what was broken, or `null`. */
  async schedule(schedule: Schedule, name: string): Promise<string | null> {
    const settle = () => new Promise<void>((done) => setTimeout(done, 0));
    try {
      await runSchedule(deviceBox(name), schedule, settle);
      return null;
    } catch (error) {
      return (error as Error).message;
    }
  },
  /** Taps without end, reporting each entry that was acknowledged, until the page is killed. */
  async tap(name: string, tell: (id: string) => void): Promise<void> {
    const store = await open(name);
    for (;;) {
      const drafts = Array.from({ length: 2 }, () => ({
        kind: 'flowerSeen' as const,
        flower: store.newId('flower'),
        plant: 'plant:01J0000000000000000000000P',
        sex: 'female' as const,
        stage: 'coloured' as const,
        node: null,
      }));
      const events = await store.record(drafts);
      if (store.ledger.trouble === null) for (const { id } of events) tell(id);
      // Without a breath between them the taps crowd out the very message that is to end the page.
      await new Promise((rested) => setTimeout(rested, BREATH_MS));
    }
  },
  async exported(name: string): Promise<string[]> {
    const store = await open(name);
    const ids = (await store.allEvents()).map(({ id }) => id);
    const shown = store.ledger.state.flowers.size;
    store.close();
    if (shown !== ids.length) throw new Error(`${shown} flowers on the screen of ${ids.length} entries`);
    return ids;
  },
};

(globalThis as { storeApi?: typeof api }).storeApi = api;
export type StoreApi = typeof api;
