import type { FlowerId, LotId, PlantId } from '../ids';
import type { Lot, State } from '../ledger';
import { fruitPairs, lineageOf, type Lineage, type LineageOddity, type ParentPair } from './descent';
import { generationOfPlant, plantsOfLot, type Generation } from './generation';

/** One place in a tree of generations: a plant, one of several, or nobody knows. */
export interface TreePlace {
  /** One plant; several where the seed of their fruits was mixed; none: nobody knows. */
  readonly plants: readonly PlantId[];
  /** Of one plant. */
  readonly generation: Generation | null;
  readonly lot: LotId | null;
  readonly oddities: readonly LineageOddity[];
  /** `null`: beyond what was asked for, or not known. */
  readonly parents: {
    readonly mother: TreePlace;
    readonly father: TreePlace;
    readonly selfed: boolean;
  } | null;
  /** Whether parents are on record beyond what was asked for. */
  readonly more: boolean;
}

/** A tree of so many generations back from a plant. */
export function treeOf(state: State, plant: PlantId, generations: number): TreePlace {
  return placeOf(state, lineageOf(state), [plant], generations);
}

/** A tree of so many generations back from the seed of a lot: its mothers and its fathers. */
export function treeOfLot(state: State, lot: Lot, generations: number): TreePlace {
  const lineage = lineageOf(state);
  const pairs = lot.fruits.flatMap((id) => {
    const flower = state.flowers.get(id);
    return flower ? fruitPairs(state, flower, lineage.self) : [];
  });
  return {
    plants: [],
    generation: null,
    lot: lot.id,
    oddities: [],
    parents: pairs.length === 0 || generations < 1 ? null : parentsIn(state, lineage, pairs, generations - 1),
    more: pairs.length > 0 && generations < 1,
  };
}

const NOBODY: TreePlace = {
  plants: [],
  generation: null,
  lot: null,
  oddities: [],
  parents: null,
  more: false,
};

function placeOf(state: State, lineage: Lineage, plants: readonly PlantId[], generations: number): TreePlace {
  const [only] = plants;
  if (only === undefined) return NOBODY;
  const descents = plants.map((plant) => lineage.of(plant));
  const lots = new Set(descents.map(({ lot }) => lot));
  // One of several has the parents of all of them, as far as every one has any.
  const known = descents.every(({ pairs }) => pairs.length > 0);
  const pairs = descents.flatMap((each) => each.pairs);
  return {
    plants,
    generation: plants.length === 1 ? generationOfPlant(state, only, lineage) : null,
    lot: lots.size === 1 ? (descents[0]?.lot ?? null) : null,
    oddities: [...new Set(descents.flatMap(({ oddities }) => oddities))],
    parents: known && generations > 0 ? parentsIn(state, lineage, pairs, generations - 1) : null,
    more: known && generations === 0,
  };
}

function parentsIn(state: State, lineage: Lineage, pairs: readonly ParentPair[], generations: number) {
  const all = (which: 'mother' | 'father') => [
    ...new Set(pairs.flatMap((pair) => (pair[which] === null ? [] : [pair[which]]))),
  ];
  const place = (which: 'mother' | 'father') => placeOf(state, lineage, all(which), generations);
  return {
    mother: place('mother'),
    father: place('father'),
    selfed: pairs.every(({ mother, father }) => mother !== null && mother === father),
  };
}

/** A lot to which a plant gave seed or pollen. */
export interface Offspring {
  readonly lot: LotId;
  readonly asMother: number;
  readonly asFather: number;
  /** Plants on record that were sown from it. */
  readonly sown: readonly PlantId[];
}

/** What came of a plant and its clones: the lots its fruits, and those it fathered, went into. */
export function offspringLots(state: State, plant: PlantId): Offspring[] {
  const { self } = lineageOf(state);
  const wanted = self(plant);
  return [...state.lots.values()].flatMap((lot) => {
    let asMother = 0;
    let asFather = 0;
    for (const id of lot.fruits) {
      const flower = state.flowers.get(id);
      if (!flower) continue;
      const pairs = fruitPairs(state, flower, self);
      if (pairs.some(({ mother }) => mother === wanted)) asMother++;
      if (pairs.some(({ father }) => father === wanted)) asFather++;
    }
    return asMother + asFather === 0
      ? []
      : [{ lot: lot.id, asMother, asFather, sown: plantsOfLot(state, lot.id) }];
  });
}

/** The fruits of a lot of which seed was sown apart, or could be. */
export function fruitsOfLot(state: State, lot: LotId): readonly FlowerId[] {
  return state.lots.get(lot)?.fruits.filter((id) => state.flowers.has(id)) ?? [];
}
