import type { FlowerId, PlantId, VarietyId } from '../ids';
import { Shards, type Flower, type State } from '../ledger';
import { growing } from '../patch';
import { bearsSeed, workedIn } from '../purity';
import { remembered } from '../remember';
import { fruitPairs, kinshipAmong, lineageOf, type ParentPair } from './descent';
import { alleleCapture, effectiveParents } from './effectiveSize';

/** What one plant gives to the coming lot, in fruits: one it bears counts a half for it, and a half goes to its fathers. */
export interface Contribution {
  readonly plant: PlantId;
  readonly asMother: number;
  readonly asFather: number;
}

/** How a lot is mixed, or would be. */
export interface Mixture {
  /** Those that gave most first. */
  readonly plants: readonly Contribution[];
  readonly fruits: number;
  readonly mothers: number;
  readonly fathers: number;
  /** Fruits' worth of pollen of which nobody knows the father. */
  readonly unknownFathers: number;
  /** Share of the seed of which mother and father are one plant. */
  readonly selfed: number;
  /** How many unrelated plants that gave equally would make as varied a lot (status number; Lindgren et al. 1996). 0 of none. */
  readonly size: number;
  /** The same, as if none of them were akin. */
  readonly sizeUnrelated: number;
  /** How even they gave: `sizeUnrelated` over the plants that gave. 0 of none. */
  readonly evenness: number;
}

/** Who gave pollen to which fruit, worked out once for both. */
export interface FruitParents {
  readonly fruit: FlowerId;
  readonly pairs: readonly ParentPair[];
}

/** The fruits for seed of a variety, worked in a year, that may come into one lot. */
export function fruitsForSeed(state: State, variety: VarietyId, year: string): Flower[] {
  return Shards.of(state.flowers)
    .parts.flatMap((part) => seedFruitsIn(part, year))
    .filter((flower) => growing(state, flower.plant)?.variety.id === variety);
}

/** Some hundred flowers of a state, which stay as they are while none of them changes. */
export type Part = ReadonlyMap<unknown, Flower>;

/** The fruits for seed of a year among some hundred flowers. */
export const seedFruitsIn = remembered(
  'seed fruits',
  (part: Part, year: string) => ({ part, year }),
  ({ part, year }): readonly Flower[] =>
    [...part.values()].filter((flower) => bearsSeed(flower) && workedIn(flower) === year),
);

/** The parents of some fruits. */
function parentsOfFruits(state: State, fruits: readonly Flower[]): FruitParents[] {
  const { self } = lineageOf(state);
  return fruits.map((flower) => ({ fruit: flower.id, pairs: fruitPairs(state, flower, self) }));
}

/**
 * How varied a lot of these fruits is, each giving the same amount of seed. Parents by lineage count with their kin: size is
 * 1 / (2 sum c_i c_j f_ij) over shares c and kinship f.
 */
export function mixtureOf(
  parents: readonly FruitParents[],
  kinship: (a: PlantId, b: PlantId) => number,
): Mixture {
  const given = new Map<PlantId, { asMother: number; asFather: number }>();
  const give = (plant: PlantId, as: 'asMother' | 'asFather', part: number) => {
    const had = given.get(plant) ?? { asMother: 0, asFather: 0 };
    given.set(plant, { ...had, [as]: had[as] + part });
  };
  let selfed = 0;
  let unknownFathers = 0;
  for (const { pairs } of parents)
    for (const { mother, father, weight } of pairs) {
      if (mother !== null) give(mother, 'asMother', weight);
      if (father === null) unknownFathers += weight;
      else give(father, 'asFather', weight);
      if (mother !== null && mother === father) selfed += weight;
    }
  const plants = [...given]
    .map(([plant, parts]) => ({ plant, ...parts }))
    .sort((a, b) => totalGiven(b) - totalGiven(a) || (a.plant < b.plant ? -1 : 1));
  const sizeUnrelated = effectiveParents(plants.map(totalGiven));
  return {
    plants,
    fruits: parents.length,
    mothers: plants.filter(({ asMother }) => asMother > 0).length,
    fathers: plants.filter(({ asFather }) => asFather > 0).length,
    unknownFathers,
    selfed: parents.length === 0 ? 0 : selfed / parents.length,
    size: statusNumber(plants, kinship),
    sizeUnrelated,
    evenness: plants.length === 0 ? 0 : sizeUnrelated / plants.length,
  };
}

/** What a plant gave in all, in fruits. */
export const totalGiven = ({ asMother, asFather }: Omit<Contribution, 'plant'>) => asMother + asFather;

function statusNumber(plants: readonly Contribution[], kinship: (a: PlantId, b: PlantId) => number): number {
  const all = plants.reduce((sum, each) => sum + totalGiven(each), 0);
  if (all === 0) return 0;
  let akin = 0;
  for (const a of plants)
    for (const b of plants) akin += totalGiven(a) * totalGiven(b) * kinship(a.plant, b.plant);
  return all ** 2 / (2 * akin);
}

/** How a lot of these fruits is mixed, their mothers and fathers with their kin. */
export function mixtureOfFruits(state: State, fruits: readonly Flower[]): Mixture {
  return withKin(state, parentsOfFruits(state, fruits));
}

/** How a variety's coming lot is mixed so far. */
export function mixingOf(state: State, variety: VarietyId, year: string): Mixture {
  return mixtureOfFruits(state, fruitsForSeed(state, variety, year));
}

function withKin(state: State, parents: readonly FruitParents[]): Mixture {
  const plants = parents.flatMap(({ pairs }) =>
    pairs.flatMap(({ mother, father }) => [mother, father].filter((id) => id !== null)),
  );
  return mixtureOf(parents, kinshipAmong(lineageOf(state), [...new Set(plants)]));
}

/** The lot as it would be with some pairs more, say tonight's. */
export function mixingWith(
  state: State,
  variety: VarietyId,
  year: string,
  more: readonly { readonly mother: PlantId; readonly fathers: readonly PlantId[] }[],
): Mixture {
  const { self } = lineageOf(state);
  const parents = [
    ...parentsOfFruits(state, fruitsForSeed(state, variety, year)),
    ...more
      .filter(({ fathers }) => fathers.length > 0)
      .map(({ mother, fathers }, i) => ({
        fruit: `flower:${i}` as FlowerId,
        pairs: fathers.map((father) => ({
          mother: self(mother),
          father: self(father),
          weight: 1 / fathers.length,
        })),
      })),
  ];
  return withKin(state, parents);
}

/** What a lot of such a size loses and keeps. */
export interface SmallPopulation {
  /** Share of what varies that is lost in this generation: 1 / (2 N). */
  readonly lost: number;
  /** The same after ten such generations. */
  readonly lostInTen: number;
  /** The chance that an allele of 5 % is in it. */
  readonly keepsRare: number;
  /** Plants, unrelated and giving alike, that keep it with 95 %. */
  readonly plantsForRare: number;
}

/**
 * What is lost per generation with such an effective size (Wright 1931), and what becomes of an allele of 5 %.
 * @example smallPopulation(10).lost // 0.05
 */
export function smallPopulation(size: number): SmallPopulation {
  const lost = size <= 0.5 ? 1 : 1 / (2 * size);
  const rare = alleleCapture({ alleleFrequency: 0.05, inbreeding: 0, plants: Math.max(0, size) });
  return {
    lost,
    lostInTen: 1 - (1 - lost) ** 10,
    keepsRare: rare.probability,
    plantsForRare: rare.plantsFor95,
  };
}
