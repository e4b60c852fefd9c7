import { crossing, cropOf, isEdible, kindOf, setsByItself } from '../crops';
import type { Bed, Plant, ShelterView } from '../ledger';
import { localDateOf, type LocalDate } from '../time';
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
  return a.crop.id === b.crop.id && crossing(kindOf(a.variety), kindOf(b.variety)).counts;
}

/** Whether flowers for seed must be shut, and why. */
export interface Covers {
  readonly needed: boolean;
  /** Other varieties of its species that share the shelter, or may. */
  readonly others: readonly string[];
  /** The mesh is said to be too wide: small bees go through. */
  readonly wideMesh: boolean;
  readonly shelter: ShelterView | null;
}

/** What stands over a bed by itself, so that the beds beside it are not in it. */
const OVER_ONE_BED: ReadonlySet<ShelterView['shelter']> = new Set(['cage', 'net']);

/**
 * A variety that stands alone of its species where no insect gets in needs no covers, nor does one with bees of its own in there: one
 * variety to a cage is proof by itself. A second one in there changes that, and in a house one under cover anywhere, as it may share it
 * (common practice). A net holds no pollen that flies: corn needs walls.
 * @example coversFor(state, mother, '2026-07-06').needed // true
 */
export function coversFor(state: Planted, each: Growing, date: LocalDate): Covers {
  const shelter = shelterOn(each.bed, date);
  const walls = shelter?.shelter === 'closed-house' || shelter?.shelter === 'indoors';
  const none: Covers = { needed: true, others: [], wideMesh: false, shelter };
  if (!shelter || shelter.insects === 'in' || (each.crop.family === 'corn' && !walls)) return none;
  if (shelter.mesh === 'wide') return { ...none, wideMesh: true };
  const alone = OVER_ONE_BED.has(shelter.shelter);
  const inThere = (bed: Bed): boolean => {
    // Its cage is off on its days: whatever is not shut away somewhere meets it then.
    if (shelter.insects === 'in-turn')
      return bed.id === each.bed.id || (shelterOn(bed, date)?.insects ?? 'in') === 'in';
    if (alone) return bed.id === each.bed.id;
    const over = shelterOn(bed, date);
    return over !== null && over.insects !== 'in' && !OVER_ONE_BED.has(over.shelter);
  };
  const others = new Set<string>();
  for (const stand of state.stands.values()) {
    const bed = state.beds.get(stand.bed);
    const variety = state.varieties.get(stand.variety);
    if (!bed || !variety || variety.id === each.variety.id || !inThere(bed)) continue;
    if (!mayCross(each, { variety, crop: cropOf(variety.crop) })) continue;
    if (plantsOfStand(state, stand.id).some((plant) => stoodOn(plant, date))) others.add(variety.name);
  }
  return { ...none, needed: others.size > 0, others: [...others] };
}

/** Whether bees do the work under a shelter, its own or on its days: no hand is wanted. */
export const beesAtWork = (shelter: ShelterView | null): boolean =>
  shelter?.insects === 'put-in' || shelter?.insects === 'in-turn';

/**
 * When the cage over a plant came off for a day on which no other that takes turns with it, and crosses with it, was off too; `null`:
 * it was not its day.
 * @example turnOf(state, mother, '2026-07-06', 'UTC') // null
 */
export function turnOf(
  state: Planted,
  each: Growing,
  date: LocalDate,
  zone: string,
): Bed['cageOff'][number] | null {
  const offOn = ({ cageOff }: Bed) => cageOff.find(({ at }) => localDateOf(Date.parse(at), zone) === date);
  const own = offOn(each.bed);
  if (!own) return null;
  for (const stand of state.stands.values()) {
    const bed = state.beds.get(stand.bed);
    const variety = state.varieties.get(stand.variety);
    if (!bed || !variety || variety.id === each.variety.id || bed.id === each.bed.id || !offOn(bed)) continue;
    if (mayCross(each, { variety, crop: cropOf(variety.crop) })) return null;
  }
  return own;
}

/**
 * Whether every flower of a plant is the grower's to work: no insect comes to it, and it does not fruit by itself.
 * @example wantsHands(mother, '2026-07-06') // false
 */
export function wantsHands({ bed, crop, variety }: Growing, date: LocalDate): boolean {
  return insectsKeptOut(bed, date) && isEdible(crop) && !setsByItself(crop, variety.system);
}
