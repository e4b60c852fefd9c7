import { cropOf, type Crop, type Reason } from '../crops';
import type { PlantId, StandId, VarietyId } from '../ids';
import type { Bed, Flower, Lot, Patch, Plant, Stand, State, Variety } from '../ledger';
import { remembered } from '../remember';

/** The tables that say what grows where. */
export type Planted = Pick<State, 'plants' | 'stands' | 'varieties' | 'beds'>;

/** Those of a state, and nothing else of it. */
export const plantedIn = ({ plants, stands, varieties, beds }: Planted): Planted => ({
  plants,
  stands,
  varieties,
  beds,
});

/** A plant with everything it belongs to. */
export interface Growing {
  readonly plant: Plant;
  readonly stand: Stand;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly bed: Bed;
}

/** A stand as a plant grown for another reason sees it: whatever asks the reason asks it there. */
export const standFor = remembered(
  'reason',
  (stand: Stand, reason: Reason) => ({ stand, reason }),
  ({ stand, reason }): Stand => ({ ...stand, reason }),
);

/**
 * What a stand is called: its variety, and its bed where another stand of the variety grows.
 * @example standName(state, mother.stand) // 'Slate Dome'
 */
export function standName(
  state: Pick<State, 'stands' | 'varieties' | 'beds' | 'plants'>,
  { id, variety, bed }: Pick<Stand, 'id' | 'variety' | 'bed'>,
): string {
  const name = state.varieties.get(variety)?.name ?? '';
  const stands = (stand: StandId) => plantsOfStand(state, stand).some(({ ended }) => ended === null);
  const another = [...state.stands.values()].some(
    (each) => each.id !== id && each.variety === variety && stands(each.id),
  );
  return another ? `${name}, ${state.beds.get(bed)?.name ?? ''}` : name;
}

/**
 * What a flower is worked for: what was said of it (work "for the kitchen" says so too), else of its plant, else of its stand.
 * @example reasonFor({ reason: null, pollinations: [], harvested: null }, mother) // 'seed'
 */
export function reasonFor(
  { reason, pollinations, harvested }: Pick<Flower, 'reason' | 'pollinations' | 'harvested'>,
  { stand }: Pick<Growing, 'stand'>,
): Reason {
  if (reason) return reason;
  const worked = pollinations[pollinations.length - 1]?.purpose;
  return worked === 'kitchen' && harvested?.harvestFor !== 'seed' ? 'fruit' : stand.reason;
}

/** `null` while some of it is missing (another phone may still bring the bed). */
export function growing(state: Planted, plantId: PlantId): Growing | null {
  const plant = state.plants.get(plantId);
  const stand = plant && state.stands.get(plant.stand);
  const variety = stand && state.varieties.get(stand.variety);
  const bed = stand && state.beds.get(stand.bed);
  if (!plant || !stand || !variety || !bed) return null;
  const own = plant.reason !== null && plant.reason !== stand.reason ? standFor(stand, plant.reason) : stand;
  return { plant, stand: own, variety, crop: cropOf(variety.crop), bed };
}

/**
 * `Slate Dome 2`: how a plant is called everywhere.
 * @example plantName(mother) // 'Slate Dome 1'
 */
export function plantName({ variety, plant }: Pick<Growing, 'variety' | 'plant'>): string {
  return `${variety.name} ${plant.label}`;
}

/**
 * `Slate Dome 2025`: how a lot is called; of two of one variety and year the later begun is `Slate Dome 2025 (2)`.
 * @example lotName({ id: 'lot:1', variety: mother.variety.id, year: 2025 }, state) // 'Slate Dome 2025'
 */
export function lotName(
  { id, variety, year }: Pick<Lot, 'id' | 'variety' | 'year'>,
  { lots, varieties }: Pick<State, 'lots' | 'varieties'>,
): string {
  const name = varieties.get(variety)?.name ?? 'A variety not on this phone';
  const order = (a: Lot, b: Lot) => (a.begunAt === b.begunAt ? a.id < b.id : a.begunAt < b.begunAt);
  const alike = [...lots.values()]
    .filter((lot) => lot.variety === variety && lot.year === year)
    .sort((a, b) => (order(a, b) ? -1 : 1));
  const at = alike.findIndex((lot) => lot.id === id);
  return at > 0 ? `${name} ${year} (${at + 1})` : `${name} ${year}`;
}

/**
 * Whose pollen a stand's flowers get: the father's variety where a cross is asked for, else their own.
 * @example fatherVarietyOf(mother) === mother.variety.id // true
 */
export function fatherVarietyOf({ stand, variety }: Pick<Growing, 'stand' | 'variety'>): VarietyId {
  return (stand.reason === 'cross' ? stand.goal?.fatherVariety : null) ?? variety.id;
}

/**
 * The name of the father's variety, where a cross is asked for; `null`: of the mother's own.
 * @example crossFather(state, mother) // null
 */
export function crossFather(
  state: Pick<State, 'varieties'>,
  mother: Pick<Growing, 'stand' | 'variety'>,
): string | null {
  const father = fatherVarietyOf(mother);
  return father === mother.variety.id ? null : (state.varieties.get(father)?.name ?? null);
}

/** The patch shown: the one begun first (a log holds one; a merge of two keeps the older in front). */
export const mainPatch = remembered(
  'main patch',
  ({ patches }: Pick<State, 'patches'>) => ({ patches }),
  ({ patches }): Patch | null => {
    let first: Patch | null = null;
    for (const patch of patches.values()) {
      if (!first || patch.begunAt < first.begunAt || (patch.begunAt === first.begunAt && patch.id < first.id))
        first = patch;
    }
    return first;
  },
);

/** The plants of a stand, ended ones too, in the order in which they were added. */
export function plantsOfStand(state: Pick<State, 'plants'>, stand: StandId): readonly Plant[] {
  return plantsByStand(state).get(stand) ?? [];
}

const plantsByStand = remembered(
  'by stand',
  ({ plants }: Pick<State, 'plants'>) => ({ plants }),
  ({ plants }): ReadonlyMap<StandId, readonly Plant[]> => {
    const index = new Map<StandId, Plant[]>();
    for (const plant of plants.values()) {
      const list = index.get(plant.stand);
      if (list) list.push(plant);
      else index.set(plant.stand, [plant]);
    }
    return index;
  },
);

/**
 * Whether any flower of a crop is on record.
 * @example hasFlowersOf(state, crop) // true
 */
export function hasFlowersOf(state: Planted & Pick<State, 'flowersOf'>, crop: Crop): boolean {
  for (const plant of state.flowersOf.keys()) if (growing(state, plant)?.crop === crop) return true;
  return false;
}

/** Every flower recorded on a plant, oldest record first. */
export function flowersOn(state: Pick<State, 'flowers' | 'flowersOf'>, plant: PlantId): Flower[] {
  return (state.flowersOf.get(plant) ?? []).flatMap((id) => state.flowers.get(id) ?? []);
}
