import type { EventId, FlowerId } from '../ids';
import type { State } from '../ledger';
import { remembered } from '../remember';

/** Fruits of whose seed plants that were not true came up, and the entry that says so: counted, or recorded plant by plant. */
export const offspringOff: (state: State) => ReadonlyMap<FlowerId, EventId> = remembered(
  ({ lots, plants, stands }: State) => [lots, plants, stands],
  ({ lots, plants, stands }): ReadonlyMap<FlowerId, EventId> => {
    const found = new Map<FlowerId, EventId>();
    for (const { growOuts } of lots.values())
      for (const { fruit, off, event } of growOuts)
        if (fruit !== null && off.length > 0) found.set(fruit, event);
    for (const { offType, sown, stand } of plants.values()) {
      const fruit = (sown ?? stands.get(stand)?.sown)?.fruit ?? null;
      if (offType && fruit !== null) found.set(fruit, offType.event);
    }
    return found;
  },
);
