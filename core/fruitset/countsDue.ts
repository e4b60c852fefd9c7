import type { Tool } from '../crops';
import type { PlantId } from '../ids';
import type { Stand, State } from '../ledger';
import { growing, type Growing } from '../patch';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';
import { ripeDay } from './fate';
import { takesIn } from './groups';

/** Flowers that were worked and only counted, and can be looked at now: of about so many, how many grow? */
export interface CountDue {
  readonly stand: Stand;
  /** One of its plants, for its crop and names. */
  readonly growing: Growing;
  /** The days they were worked. */
  readonly from: LocalDate;
  readonly to: LocalDate;
  readonly worked: number;
  /** By plant, those that were worked on. */
  readonly byPlant: ReadonlyMap<PlantId, number>;
  /** The tool used for most of them. */
  readonly how: Tool;
  /** Days since the last of them was worked. */
  readonly day: number;
}

/**
 * The counted flowers whose verdict day has come, stand by stand, and that no count has taken in yet. Those of the last few days
 * wait; those so old that the fruit must be gone are asked about no more.
 */
export function countsDue(state: State, zone: string, today: LocalDate): CountDue[] {
  const found = new Map<string, { growing: Growing; on: LocalDate; flowers: number; tool: Tool }[]>();
  for (const plant of state.plants.values()) {
    if (plant.tallies.length === 0) continue;
    const each = growing(state, plant.id);
    if (!each) continue;
    const first = addDays(today, -ripeDay(each.crop));
    const last = addDays(today, -each.crop.verdictDay.value);
    for (const { at, flowers, tool } of plant.tallies) {
      const on = localDateOf(Date.parse(at), zone);
      if (on < first || on > last) continue;
      if (each.stand.groups.some((counted) => takesIn(counted, plant.id, on))) continue;
      const list = found.get(each.stand.id) ?? [];
      list.push({ growing: each, on, flowers, tool });
      found.set(each.stand.id, list);
    }
  }
  return [...found.values()].map((list) => {
    const days = list.map(({ on }) => on).sort();
    const [from, to] = [days[0] as LocalDate, days.at(-1) as LocalDate];
    const [byPlant, byTool] = [new Map<PlantId, number>(), new Map<Tool, number>()];
    for (const { growing: each, flowers, tool } of list) {
      byPlant.set(each.plant.id, (byPlant.get(each.plant.id) ?? 0) + flowers);
      byTool.set(tool, (byTool.get(tool) ?? 0) + flowers);
    }
    const first = (list[0] as (typeof list)[number]).growing;
    return {
      stand: first.stand,
      growing: first,
      from,
      to,
      worked: list.reduce((sum, { flowers }) => sum + flowers, 0),
      byPlant,
      how: ([...byTool].sort((a, b) => b[1] - a[1])[0] as [Tool, number])[0],
      day: daysBetween(to, today),
    };
  });
}
