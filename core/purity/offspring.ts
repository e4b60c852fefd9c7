import type { EventId, FlowerId } from '../ids';
import type { State } from '../ledger';
import { sownFrom } from '../patch';
import { remembered } from '../remember';

/** Fruits of whose seed plants that were not true came up, and the entry that says so: counted, or recorded plant by plant. */
export const offspringOff = remembered(
  'offspring off',
  ({ lots, plants, stands }: Pick<State, 'lots' | 'plants' | 'stands'>) => ({ lots, plants, stands }),
  ({ lots, plants, stands }): ReadonlyMap<FlowerId, EventId> => {
    const found = new Map<FlowerId, EventId>();
    for (const { growOuts } of lots.values())
      for (const { fruit, off, event } of growOuts)
        if (fruit !== null && off.length > 0) found.set(fruit, event);
    for (const plant of plants.values()) {
      const fruit = plant.offType ? (sownFrom(plant, { stands })?.fruit ?? null) : null;
      if (plant.offType && fruit !== null) found.set(fruit, plant.offType.event);
    }
    return found;
  },
);
