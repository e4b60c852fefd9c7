import { shutMales, type VarietyOutlook } from '../bloom';
import type { Place, State } from '../ledger';
import type { PlantId } from '../ids';
import { mainPatch, type Growing } from '../patch';
import type { LocalDate } from '../time';
import { nextRoundOf } from './mornings';
import { chanceTonight } from './mothers';

/** The males of one variety for an evening. */
export interface Fathers {
  readonly wanted: number;
  readonly already: number;
  readonly given: ReadonlyMap<Growing, number>;
}

/**
 * The males of one variety, over all its plants, whatever they are grown for. Where one plant alone bears all of tonight's mothers its own
 * males come last, or not at all, as the school has it: shut by turns they would be males for nobody.
 */
export function fathersTonight(
  state: State,
  place: Place,
  date: LocalDate,
  order: readonly Growing[],
  variety: string,
  { wanted, mothers }: { readonly wanted: number; readonly mothers: ReadonlySet<PlantId> },
  outlook: readonly VarietyOutlook[],
): Fathers {
  const school = mainPatch(state)?.schools.selfing;
  const [alone = null] = mothers.size === 1 && school !== 'allowed' ? mothers : [];
  const all = order.filter((growing) => growing.variety.id === variety);
  const standing = all.filter(({ plant }) => plant.id !== alone);
  const own = school === 'never' ? [] : all.filter(({ plant }) => plant.id === alone);
  const view = outlook.find((each) => each.variety === variety) ?? null;
  const already = [...standing, ...own].reduce(
    (sum, growing) => sum + shutMales(state, growing, nextRoundOf(growing.crop, date), place.zone).length,
    0,
  );
  const left = Math.max(0, wanted - already);
  const given = spreadMales(view, standing, left, date);
  const others = [...given.values()].reduce((sum, count) => sum + count, 0);
  return { wanted, already, given: new Map([...given, ...spreadMales(view, own, left - others, date)]) };
}

/** Males in turn from each plant that has some to open; sick plants and off-types are left out. */
function spreadMales(
  view: VarietyOutlook | null,
  standing: readonly Growing[],
  wanted: number,
  date: LocalDate,
): Map<Growing, number> {
  const likely = new Map<string, number>();
  for (const { sex, growing, forecast, flower } of view?.buds ?? [])
    if (sex === 'male' && (flower === null || flower.shuttings.length === 0))
      likely.set(
        growing.plant.id,
        (likely.get(growing.plant.id) ?? 0) + chanceTonight(forecast, date, growing.crop),
      );
  const able = standing.filter(({ plant }) => plant.health !== 'sick' && plant.offType === null);
  // Where no males were counted any plant may have one: the walk will tell.
  const uncounted = [...likely.values()].every((sum) => sum < 0.5);
  const given = new Map<Growing, number>();
  let left = wanted;
  for (let more = true; more && left > 0;) {
    more = false;
    for (const growing of able) {
      const has = given.get(growing) ?? 0;
      if (left === 0 || has >= (uncounted ? 4 : Math.ceil(likely.get(growing.plant.id) ?? 0))) continue;
      given.set(growing, has + 1);
      left--;
      more = true;
    }
  }
  return given;
}
