import type { PlantId } from '../ids';
import type { State } from '../ledger';
import { growing, plantsOfStand } from '../patch';

/**
 * Who has been mother and who father in a stand of corn: as a chain (1 x 2, 2 x 3 ... N x 1) every plant is each once, and none its own
 * (common practice).
 */
export interface CornChain {
  readonly plants: readonly PlantId[];
  /** Ears poured, by mother plant; and by father plant. */
  readonly mothers: ReadonlyMap<PlantId, number>;
  readonly fathers: ReadonlyMap<PlantId, number>;
  /** Pairs made, `mother/father`. */
  readonly pairs: ReadonlySet<string>;
}

/** The chain of one stand so far, from its pollinations that were not lost. */
export function cornChain(state: State, stand: string): CornChain {
  const plants = plantsOfStand(state, stand).flatMap(({ id, ended }) => (ended ? [] : [id]));
  const mothers = new Map<PlantId, number>();
  const fathers = new Map<PlantId, number>();
  const pairs = new Set<string>();
  for (const plant of plants)
    for (const id of state.flowersOf.get(plant) ?? []) {
      const flower = state.flowers.get(id);
      if (!flower || flower.sex !== 'female' || flower.lost || flower.pollinations.length === 0) continue;
      mothers.set(plant, (mothers.get(plant) ?? 0) + 1);
      for (const { fathers: given } of flower.pollinations)
        for (const { plant: father } of given) {
          fathers.set(father, (fathers.get(father) ?? 0) + 1);
          pairs.add(`${plant}/${father}`);
        }
    }
  return { plants, mothers, fathers, pairs };
}

/** A father that served already costs as much as a near relation [M]; so does the pair turned round. */
const USED = 0.25;

/**
 * How ill a father suits a mother in the chain, 0 = a new link: as `kinship` of the matching has it.
 * @example chainCost({ plants: [], mothers: new Map(), fathers: new Map([['b', 1]]), pairs: new Set() }, 'a', 'b') // 0.25
 */
export function chainCost(chain: CornChain, mother: string, father: string): number {
  const used = Math.min(2, chain.fathers.get(father as PlantId) ?? 0) * USED;
  return used + (chain.pairs.has(`${father}/${mother}`) ? USED : 0);
}

/** Plants that are neither mother nor father yet, by label. */
export function unlinked(state: State, chain: CornChain): string[] {
  return chain.plants
    .filter((plant) => !chain.mothers.has(plant) && !chain.fathers.has(plant))
    .flatMap((plant) => growing(state, plant)?.plant.label ?? []);
}
