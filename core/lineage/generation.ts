import type { FlowerId, LotId, PlantId, VarietyId } from '../ids';
import type { Lot, State } from '../ledger';
import { lotFlowers, sownFrom, sownSaid } from '../patch';
import { remembered } from '../remember';
import { fruitPairs, lineageOf, type Lineage, type ParentPair } from './descent';
import { heterozygosityOf, recurrentShare } from './generations';

/**
 * What a plant (or the seed of a lot) is by its ancestors. pure: of one variety. cross: of two, `mother` x `father` (reciprocals are
 * two things), `backcrosses` times to `to`, then `selfings` times with itself or its sisters. mixed: of more than that. f1: bought as
 * an F1 hybrid, of parents that nobody knows, `selfings` times on.
 */
export type Generation =
  | { readonly kind: 'pure'; readonly variety: VarietyId }
  | {
      readonly kind: 'cross';
      readonly mother: VarietyId;
      readonly father: VarietyId;
      readonly backcrosses: number;
      /** `null` without a backcross. */
      readonly to: VarietyId | null;
      readonly selfings: number;
    }
  | { readonly kind: 'f1'; readonly variety: VarietyId; readonly selfings: number }
  | { readonly kind: 'mixed' }
  | { readonly kind: 'unknown' };

const UNKNOWN: Generation = { kind: 'unknown' };
const MIXED: Generation = { kind: 'mixed' };

/**
 * What the offspring of two are.
 * @example offspringOf({ kind: 'pure', variety: 'a' }, { kind: 'pure', variety: 'b' }).kind // 'cross'
 */
export function offspringOf(mother: Generation, father: Generation): Generation {
  if (mother.kind === 'unknown' || father.kind === 'unknown') return UNKNOWN;
  if (mother.kind === 'pure' && father.kind === 'pure')
    return mother.variety === father.variety
      ? mother
      : {
          kind: 'cross',
          mother: mother.variety,
          father: father.variety,
          backcrosses: 0,
          to: null,
          selfings: 0,
        };
  if (mother.kind === 'f1' && father.kind === 'f1' && mother.variety === father.variety)
    return { ...mother, selfings: Math.max(mother.selfings, father.selfings) + 1 };
  if (mother.kind === 'cross' && father.kind === 'cross') return sibs(mother, father);
  if (mother.kind === 'cross' && father.kind === 'pure') return backcrossed(mother, father.variety);
  if (mother.kind === 'pure' && father.kind === 'cross') return backcrossed(father, mother.variety);
  return MIXED;
}

type Cross = Extract<Generation, { kind: 'cross' }>;

function sibs(a: Cross, b: Cross): Generation {
  const alike =
    [a.mother, a.father].every((variety) => [b.mother, b.father].includes(variety)) &&
    a.backcrosses === b.backcrosses &&
    a.to === b.to;
  return alike ? { ...a, selfings: Math.max(a.selfings, b.selfings) + 1 } : MIXED;
}

/** Once it was selfed, a cross to a parent begins anew from there: what it kept of the other no count of backcrosses tells. */
function backcrossed(cross: Cross, to: VarietyId): Generation {
  if (to !== cross.mother && to !== cross.father) return MIXED;
  if (cross.to !== null && cross.to !== to) return MIXED;
  return { ...cross, backcrosses: cross.backcrosses + 1, to, selfings: 0 };
}

function same(a: Generation, b: Generation): boolean {
  return JSON.stringify(a) === JSON.stringify(b);
}

/** All of them where they agree, mixed where they don't; and where one is not known, nobody knows. */
function agreed(all: readonly Generation[]): Generation {
  const [first, ...others] = all;
  if (!first || all.some(({ kind }) => kind === 'unknown')) return UNKNOWN;
  return others.every((each) => same(each, first)) ? first : MIXED;
}

/** What a plant is by its ancestors; a founder is what it is called. */
export function generationOfPlant(
  state: State,
  plant: PlantId,
  lineage: Lineage = lineageOf(state),
): Generation {
  return plantGeneration(state, lineage, lineage.self(plant), new Map());
}

function plantGeneration(
  state: State,
  lineage: Lineage,
  plant: PlantId,
  known: Map<PlantId, Generation>,
): Generation {
  const found = known.get(plant);
  if (found) return found;
  const { pairs } = lineage.of(plant);
  const made =
    pairs.length === 0
      ? founder(state, plant)
      : agreed(pairs.map((pair) => ofPair(state, lineage, pair, known)));
  known.set(plant, made);
  return made;
}

function founder(state: State, plant: PlantId): Generation {
  return asCalled(state, state.stands.get(state.plants.get(plant)?.stand ?? '')?.variety ?? '');
}

/** What is known of a variety by its name alone. */
function asCalled({ varieties }: State, id: VarietyId): Generation {
  const variety = varieties.get(id);
  if (!variety) return UNKNOWN;
  return variety.traits.f1 ? { kind: 'f1', variety: id, selfings: 0 } : { kind: 'pure', variety: id };
}

function ofPair(
  state: State,
  lineage: Lineage,
  { mother, father }: ParentPair,
  known: Map<PlantId, Generation>,
): Generation {
  if (mother === null || father === null) return UNKNOWN;
  return offspringOf(
    plantGeneration(state, lineage, mother, known),
    plantGeneration(state, lineage, father, known),
  );
}

/** What the seed of one fruit is. */
export function generationOfFruit(state: State, fruit: FlowerId): Generation {
  const lineage = lineageOf(state);
  const flower = state.flowers.get(fruit);
  if (!flower) return UNKNOWN;
  const known = new Map<PlantId, Generation>();
  return agreed(fruitPairs(state, flower, lineage.self).map((pair) => ofPair(state, lineage, pair, known)));
}

/** What the seed of a lot is: of a lot from fruits by their parents, else what it is called. */
export function generationOfLot(state: State, lot: Lot): Generation {
  return lot.from === 'fruits'
    ? agreed(lot.fruits.map((fruit) => generationOfFruit(state, fruit)))
    : asCalled(state, lot.variety);
}

/** Whether it is the F1 of a cross, of which selfed mothers give themselves away. */
export const isFirstGeneration = (generation: Generation): boolean =>
  generation.kind === 'cross' && generation.backcrosses === 0 && generation.selfings === 0;

/** The short name of a generation: `F1`, `F3`, `BC2`, `BC2F2`; `null` of what is pure, mixed or not known. */
export function generationCode(generation: Generation): string | null {
  if (generation.kind === 'f1') return `F${generation.selfings + 1}`;
  if (generation.kind !== 'cross') return null;
  const { backcrosses, selfings } = generation;
  const filial = `F${selfings + 1}`;
  if (backcrosses === 0) return filial;
  return selfings === 0 ? `BC${backcrosses}` : `BC${backcrosses}${filial}`;
}

/** Of the genes in which the parents differed: how much is still mixed on average, and the share of the parent crossed back to. */
export function expectedMakeup(
  generation: Generation,
): { readonly heterozygosity: number; readonly recurrent: number | null } | null {
  if (generation.kind === 'pure') return { heterozygosity: 0, recurrent: null };
  if (generation.kind === 'f1')
    return { heterozygosity: heterozygosityOf(generation.selfings + 1), recurrent: null };
  if (generation.kind !== 'cross') return null;
  const { backcrosses, selfings } = generation;
  return {
    heterozygosity: heterozygosityOf(selfings + 1) * 2 ** -backcrosses,
    recurrent: backcrosses === 0 ? null : recurrentShare(backcrosses),
  };
}

/** Plants sown from a lot, each once; clones of one are as many as there are. */
export function plantsOfLot(state: State, lot: LotId): readonly PlantId[] {
  return plantsByLot(state).of.get(lot) ?? [];
}

/** How many plants are said to be of a lot that can't be: they stood there before its seed was ripe. */
export const saidOfLot = (state: State, lot: LotId): number => plantsByLot(state).cannotBe.get(lot) ?? 0;

/** The plants of all lots, and how many are said to be of one that can't be. */
interface PlantsOfLots {
  readonly of: ReadonlyMap<LotId, readonly PlantId[]>;
  readonly cannotBe: ReadonlyMap<LotId, number>;
}

const plantsByLot = remembered(
  'lot plants',
  (state: Pick<State, 'plants' | 'stands' | 'lots' | 'flowers'>) => ({
    plants: state.plants,
    stands: state.stands,
    lots: state.lots,
    flowers: lotFlowers(state),
  }),
  (state): PlantsOfLots => {
    const of = new Map<LotId, PlantId[]>();
    const cannotBe = new Map<LotId, number>();
    for (const plant of state.plants.values()) {
      const lot = sownSaid(plant, state)?.lot ?? null;
      if (lot === null) continue;
      const had = of.get(lot);
      if (sownFrom(plant, state) === null) cannotBe.set(lot, (cannotBe.get(lot) ?? 0) + 1);
      else if (had) had.push(plant.id);
      else of.set(lot, [plant.id]);
    }
    return { of, cannotBe };
  },
);
