import type { Crop } from '@core/crops';
import { tally, type Tally } from '@core/fruitset';
import type { Flower, State } from '@core/ledger';
import { growing, type Growing } from '@core/patch';

export interface Worked {
  readonly flower: Flower;
  readonly growing: Growing;
}

/** Every worked female with what it grows on, the latest worked first. */
export function workedFlowers(state: State): Worked[] {
  const found: Worked[] = [];
  for (const flower of state.flowers.values()) {
    if (flower.pollinations.length === 0 || flower.sex === 'male') continue;
    const at = growing(state, flower.plant);
    if (at) found.push({ flower, growing: at });
  }
  return found.sort((a, b) =>
    (a.flower.pollinations[0]?.at ?? '') < (b.flower.pollinations[0]?.at ?? '') ? 1 : -1,
  );
}

export function tallyOf(worked: readonly Worked[], zone: string): Tally {
  return tally(
    worked.map(({ flower, growing: { crop } }) => [flower, crop] as readonly [Flower, Crop]),
    zone,
  );
}

/** Tallies of groups, in the order in which the groups first come. */
export function talliesBy(
  worked: readonly Worked[],
  zone: string,
  groupOf: (each: Worked) => string,
): { name: string; tally: Tally }[] {
  const groups = new Map<string, Worked[]>();
  for (const each of worked) {
    const name = groupOf(each);
    const group = groups.get(name);
    if (group) group.push(each);
    else groups.set(name, [each]);
  }
  return [...groups]
    .map(([name, group]) => ({ name, tally: tallyOf(group, zone) }))
    .sort((a, b) => a.name.localeCompare(b.name, 'en', { numeric: true }));
}
