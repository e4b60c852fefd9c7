import { upperBound } from '../fruitset';
import type { EventId, FlowerId } from '../ids';
import type { Lot, State } from '../ledger';
import { lotFlowers, sownFrom } from '../patch';
import { remembered } from '../remember';

/** Plants grown from the seed of a fruit, those of them that were not true to the variety, and the entries that say so. */
export interface Offspring {
  readonly grown: number;
  readonly off: number;
  readonly events: readonly EventId[];
}

/** How sure the ends of the share are, each for itself. */
const CONFIDENCE = 0.95;

/**
 * What came of the seed of fruits of which a plant was not true, by fruit. Plants that were counted, or at least those recorded one by one
 * as not true: that nobody found fault with a plant on record says nothing, so of those alone nothing better is known.
 */
export const offspringOff = remembered(
  'offspring off',
  (state: Pick<State, 'lots' | 'plants' | 'stands' | 'flowers'>) => ({
    lots: state.lots,
    plants: state.plants,
    stands: state.stands,
    flowers: lotFlowers(state),
  }),
  (tables): ReadonlyMap<FlowerId, Offspring> => {
    const { lots, plants } = tables;
    const found = new Map<FlowerId, Offspring>();
    for (const lot of lots.values())
      for (const { fruit, grown, off, events } of countedIn(lot)) {
        if (fruit === null) continue;
        const had = found.get(fruit) ?? { grown: 0, off: 0, events: [] };
        found.set(fruit, {
          grown: had.grown + grown,
          off: had.off + off,
          events: [...had.events, ...events],
        });
      }
    const single = new Map<FlowerId, EventId[]>();
    for (const plant of plants.values()) {
      const fruit = plant.offType ? (sownFrom(plant, tables)?.fruit ?? null) : null;
      if (plant.offType && fruit !== null)
        single.set(fruit, [...(single.get(fruit) ?? []), plant.offType.event]);
    }
    for (const [fruit, events] of single) {
      const had = found.get(fruit) ?? { grown: 0, off: 0, events: [] };
      const off = Math.max(had.off, events.length);
      found.set(fruit, { grown: Math.max(had.grown, off), off, events: [...had.events, ...events] });
    }
    for (const [fruit, { off }] of found) if (off === 0) found.delete(fruit);
    return found;
  },
);

/** Plants of a lot as they were counted, by the fruit they came of: a sowing is as many as its largest count, off what was off at any stage. */
export function countedIn({
  growOuts,
}: Pick<Lot, 'growOuts'>): (Offspring & { readonly fruit: FlowerId | null })[] {
  const by = new Map<FlowerId | null, { grown: number; off: number; events: EventId[] }>();
  for (const { fruit, grown, off, event } of growOuts) {
    const had = by.get(fruit) ?? { grown: 0, off: 0, events: [] };
    const now = off.reduce((sum, { count }) => sum + count, 0);
    by.set(fruit, {
      grown: Math.max(had.grown, grown),
      off: had.off + now,
      events: now > 0 ? [...had.events, event] : had.events,
    });
  }
  return [...by].map(([fruit, { grown, off, events }]) => ({
    fruit,
    grown: Math.max(grown, off),
    off,
    events,
  }));
}

/**
 * The share of off-types that so many of so many show: found, and within what the true one lies (each end with 95 %, exact: Clopper and
 * Pearson 1934).
 * @example offShare({ grown: 8, off: 2 }) // { found: 0.25, atLeast: 0.0464, atMost: 0.5997 }
 */
export function offShare({ grown, off }: Pick<Offspring, 'grown' | 'off'>): {
  readonly found: number;
  readonly atLeast: number;
  readonly atMost: number;
} {
  return {
    found: off / grown,
    atLeast: 1 - upperBound(grown - off, grown, CONFIDENCE),
    atMost: upperBound(off, grown, CONFIDENCE),
  };
}
