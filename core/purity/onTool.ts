import type { Tool } from '../crops';
import type { PlantId, VarietyId } from '../ids';
import { Shards, type Flower, type State } from '../ledger';
import { growing } from '../patch';
import { remembered } from '../remember';
import { localDateOf, type LocalDate } from '../time';

/** What carries pollen from flower to flower; shaking and a fan leave it where it is. */
const CARRYING: ReadonlySet<Tool> = new Set(['male-flower', 'brush', 'swab', 'finger']);

/** Pollen that kitchen work of a day left on hands or tool. */
export interface Carried {
  readonly variety: VarietyId;
  /** `null`: nobody said with what. */
  readonly tool: Tool | null;
  /** Epoch ms. */
  readonly at: number;
}

interface Work {
  readonly plant: PlantId;
  readonly tool: Tool | null;
  readonly at: string;
}

const later = (a: Work | null, b: Work | null): Work | null => (!a || (b && b.at >= a.at) ? b : a);
const carries = (tool: Tool | null) => tool === null || CARRYING.has(tool);

/** The latest kitchen work that carried pollen, among some hundred flowers; kept for as long as none of them changes. */
const latestIn = remembered(
  'on tool',
  (part: ReadonlyMap<unknown, Flower>) => ({ part }),
  ({ part }) => {
    let last: Work | null = null;
    for (const { plant, pollinations } of part.values())
      for (const { at, tool, purpose } of pollinations)
        if (purpose === 'kitchen' && carries(tool)) last = later(last, { plant, tool, at });
    return last;
  },
);

/**
 * The pollen on hands or tool after the latest kitchen work of a day, counted or flower by flower: pepper brushed, then cucumber,
 * wants another brush. `null` where nothing was carried.
 */
export function pollenOnTool(state: State, zone: string, date: LocalDate): Carried | null {
  let last: Work | null = null;
  for (const part of Shards.of(state.flowers).parts) last = later(last, latestIn(part));
  for (const { id, tallies } of state.plants.values())
    for (const { at, tool } of tallies) if (carries(tool)) last = later(last, { plant: id, tool, at });
  const found = last && growing(state, last.plant);
  if (!last || !found) return null;
  const at = Date.parse(last.at);
  return localDateOf(at, zone) === date ? { variety: found.variety.id, tool: last.tool, at } : null;
}
