import { batchText } from './batch';
import type { Entry } from './journal';
import type { Box } from './port';

/** What can be written while a page is being left: the browser's small store, which answers at once. */
export type Refuge = Pick<Storage, 'length' | 'key' | 'getItem' | 'setItem' | 'removeItem'>;

const prefixOf = (name: string) => `steady-trowel/left/${name}/`;

/**
 * Puts entries that storage has not confirmed where they outlive the page: a phone goes into the pocket right after a tap, and
 * a database drops what it had begun. Never throws; what does not fit stays where it was.
 */
export function keepLeft(refuge: Refuge, name: string, entries: readonly Entry[]): void {
  for (const { key, events } of entries) {
    try {
      refuge.setItem(prefixOf(name) + key, batchText(events));
    } catch {
      // As full as the rest of the storage: nothing more can be done while the page goes.
    }
  }
}

/**
 * A box that first takes in what was kept when a page was left. An entry keeps its key, so one that reached storage after
 * all is not doubled; it leaves the refuge only once the box has it.
 */
export function withLeft(box: Box, name: string, refuge: Refuge | null): Box {
  const prefix = prefixOf(name);
  const leftKeys = (from: Refuge) =>
    Array.from({ length: from.length }, (_, i) => from.key(i)).filter(
      (key): key is string => key !== null && key.startsWith(prefix),
    );
  const takeIn = async (from: Refuge) => {
    for (const kept of leftKeys(from)) {
      const text = from.getItem(kept);
      const key = kept.slice(prefix.length);
      if (text !== null && (await box.getMany([key]))[key] == null) await box.set(key, text);
      from.removeItem(kept);
    }
  };
  return {
    ...box,
    async keys() {
      // Where the box refuses, what was left stays in the refuge for the next time.
      if (refuge) await takeIn(refuge).catch(() => undefined);
      return box.keys();
    },
  };
}
