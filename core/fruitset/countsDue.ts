import { countDay, type Crop, type Tool } from '../crops';
import type { PlantId } from '../ids';
import type { GroupView, Stand, State } from '../ledger';
import { growing, type Growing } from '../patch';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';
import { ripeDay } from './fate';
import { covers, takesIn } from './groups';

/** Flowers that were worked and only counted, and can be looked at now: of about so many, how many grow? */
export interface CountDue {
  readonly stand: Stand;
  /** `null`: all plants of the stand together. */
  readonly plant: PlantId | null;
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
  /** A look before the verdict day: it may be left, and what it says is no verdict. */
  readonly early: boolean;
}

interface Counted {
  readonly growing: Growing;
  readonly on: LocalDate;
  readonly flowers: number;
  readonly tool: Tool;
}

/**
 * Counted flowers that a look tells something of, stand by stand (or of one plant alone): those whose verdict day has come and that no
 * count has taken in yet, and, apart from them, those on an earlier look day of the crop. Flowers so old that the fruit must be gone
 * are asked about no more.
 * @example countsDue(state, zone, '2026-07-13') // []
 */
export function countsDue(
  state: State,
  zone: string,
  today: LocalDate,
  only: PlantId | null = null,
): CountDue[] {
  const verdicts = new Map<string, Counted[]>();
  const looks = new Map<string, Counted[]>();
  const put = (into: Map<string, Counted[]>, each: Counted) => {
    const list = into.get(each.growing.stand.id);
    if (list) list.push(each);
    else into.set(each.growing.stand.id, [each]);
  };
  for (const plant of state.plants.values()) {
    if (plant.tallies.length === 0 || (only !== null && plant.id !== only)) continue;
    const each = growing(state, plant.id);
    if (!each) continue;
    const { groups } = each.stand;
    for (const { at, flowers, tool } of plant.tallies) {
      const on = localDateOf(Date.parse(at), zone);
      const age = daysBetween(on, today);
      if (age > ripeDay(each.crop) || groups.some((counted) => takesIn(counted, plant.id, on))) continue;
      const counted = { growing: each, on, flowers, tool };
      if (age >= countDay(each.crop)) put(verdicts, counted);
      else if (lookOwed(each.crop, age, groups, plant.id, on, zone)) put(looks, counted);
    }
  }
  const due = (early: boolean) => (list: Counted[]) => together(list, today, only, early);
  return [...[...verdicts.values()].map(due(false)), ...[...looks.values()].map(due(true))];
}

/** Whether a look day before the verdict has come on which nobody has looked at these flowers since. */
function lookOwed(
  crop: Crop,
  age: number,
  groups: readonly GroupView[],
  plant: PlantId,
  on: LocalDate,
  zone: string,
): boolean {
  const days = crop.looks.value.map(({ day }) => day).filter((day) => day <= age);
  const latest = days.at(-1);
  if (latest === undefined) return false;
  const since = addDays(on, latest);
  return !groups.some(
    (counted) =>
      counted.early && covers(counted, plant, on) && localDateOf(Date.parse(counted.at), zone) >= since,
  );
}

function together(
  list: readonly Counted[],
  today: LocalDate,
  plant: PlantId | null,
  early: boolean,
): CountDue {
  const days = list.map(({ on }) => on).sort();
  const [from, to] = [days[0] as LocalDate, days.at(-1) as LocalDate];
  const [byPlant, byTool] = [new Map<PlantId, number>(), new Map<Tool, number>()];
  for (const { growing: each, flowers, tool } of list) {
    byPlant.set(each.plant.id, (byPlant.get(each.plant.id) ?? 0) + flowers);
    byTool.set(tool, (byTool.get(tool) ?? 0) + flowers);
  }
  const first = (list[0] as Counted).growing;
  return {
    stand: first.stand,
    plant,
    growing: first,
    from,
    to,
    worked: list.reduce((sum, { flowers }) => sum + flowers, 0),
    byPlant,
    how: ([...byTool].sort((a, b) => b[1] - a[1])[0] as [Tool, number])[0],
    day: daysBetween(to, today),
    early,
  };
}
