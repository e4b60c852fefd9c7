import { crossing, cropOf, isEdible, setsByItself } from '../crops';
import type { Bed, Plant, ShelterView } from '../ledger';
import type { LocalDate } from '../time';
import { plantsOfStand, type Growing, type Planted } from './garden';

/**
 * What stands over a bed on a day: what was said last of the days that hold it. `null`: the open air.
 * @example shelterOn({ shelters: [] }, '2026-07-06') // null
 */
export function shelterOn(bed: Pick<Bed, 'shelters'>, date: LocalDate): ShelterView | null {
  const said = bed.shelters.filter(({ from, to }) => from <= date && (to === null || date <= to)).at(-1);
  return said?.shelter ? said : null;
}

/**
 * Whether what stands over a bed keeps insects out, so that no flower sets there unless a hand (or itself) sees to it.
 * @example insectsKeptOut(mother.bed, '2026-07-06') // false
 */
export function insectsKeptOut(bed: Pick<Bed, 'shelters'>, date: LocalDate): boolean {
  return shelterOn(bed, date)?.insects === 'out';
}

type Kind = Pick<Growing, 'variety' | 'crop'>;

/** Whether a plant stood there on a day: what was set later, or is gone since, says nothing of that day's flowers. */
function stoodOn({ plantedOn, addedAt, ended }: Plant, date: LocalDate): boolean {
  return (plantedOn ?? addedAt.slice(0, 10)) <= date && (ended === null || ended.at.slice(0, 10) >= date);
}

/** Varieties of one crop that may cross with each other. Peppers say their species; one that does not counts with all peppers. */
function mayCross(a: Kind, b: Kind): boolean {
  const kind = ({ crop, variety }: Kind) => ({ crop: crop.id, species: variety.traits.species ?? null });
  return a.crop.id === b.crop.id && crossing(kind(a), kind(b)).verdict !== 'never';
}

/** Whether flowers for seed must be shut, and why. */
export interface Covers {
  readonly needed: boolean;
  /** Other varieties of its species under cover too: they share the shelter, or may. */
  readonly others: readonly string[];
  readonly shelter: ShelterView | null;
}

/**
 * A variety that stands alone of its species where insects are kept out needs no covers; a second one under cover changes that,
 * as it may share the house (common practice). A net holds no pollen that flies: corn needs walls.
 * @example coversFor(state, mother, '2026-07-06').needed // true
 */
export function coversFor(state: Planted, each: Growing, date: LocalDate): Covers {
  const shelter = shelterOn(each.bed, date);
  const walls = shelter?.shelter === 'closed-house' || shelter?.shelter === 'indoors';
  if (shelter?.insects !== 'out' || (each.crop.family === 'corn' && !walls))
    return { needed: true, others: [], shelter };
  const others = new Set<string>();
  for (const stand of state.stands.values()) {
    const bed = state.beds.get(stand.bed);
    const variety = state.varieties.get(stand.variety);
    if (!bed || !variety || variety.id === each.variety.id || !insectsKeptOut(bed, date)) continue;
    if (!mayCross(each, { variety, crop: cropOf(variety.crop) })) continue;
    if (plantsOfStand(state, stand.id).some((plant) => stoodOn(plant, date))) others.add(variety.name);
  }
  return { needed: others.size > 0, others: [...others], shelter };
}

/**
 * Whether every flower of a plant is the grower's to work: no insect comes to it, and it does not fruit by itself.
 * @example wantsHands(mother, '2026-07-06') // false
 */
export function wantsHands({ bed, crop, variety }: Growing, date: LocalDate): boolean {
  return insectsKeptOut(bed, date) && isEdible(crop) && !setsByItself(crop, variety.system);
}
