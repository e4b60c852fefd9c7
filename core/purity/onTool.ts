import type { Tool } from '../crops';
import type { VarietyId } from '../ids';
import type { State } from '../ledger';
import { flowersOn, walkOrder } from '../patch';
import { addDays, localDateOf, type LocalDate } from '../time';

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

/**
 * The pollen on hands or tool after the latest kitchen work of a day, counted or flower by flower: pepper brushed, then cucumber,
 * wants another brush. `null` where nothing was carried.
 */
export function pollenOnTool(state: State, zone: string, date: LocalDate): Carried | null {
  let last: Carried | null = null;
  const since = addDays(date, -1);
  const take = (variety: VarietyId, tool: Tool | null, at: string) => {
    if (at < since) return;
    const time = Date.parse(at);
    if ((tool !== null && !CARRYING.has(tool)) || localDateOf(time, zone) !== date) return;
    if (!last || time >= last.at) last = { variety, tool, at: time };
  };
  for (const { plant, variety } of walkOrder(state)) {
    for (const { at, tool } of plant.tallies) take(variety.id, tool, at);
    for (const { pollinations } of flowersOn(state, plant.id))
      for (const { at, tool, purpose } of pollinations) if (purpose === 'kitchen') take(variety.id, tool, at);
  }
  return last;
}
