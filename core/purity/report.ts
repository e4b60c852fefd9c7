import type { PlantId, StandId, VarietyId } from '../ids';
import { isolationOf } from '../isolation';
import type { Flower, State, Variety } from '../ledger';
import { growing, mainPatch } from '../patch';
import { remembered } from '../remember';
import type { LocalDate } from '../time';
import { proofOf, type ProofChain } from './chain';
import { gradeProof, type Grade, type Proof, type Share } from './gradeProof';
import { lotShare, weakestGrade } from './lotProof';

/** One fruit with its evidence and what that comes to. */
export interface FruitProof {
  readonly flower: Flower;
  readonly chain: ProofChain;
  readonly proof: Proof;
}

/** How pure the seed of a variety is, by its fruits. */
export interface VarietyPurity {
  readonly variety: Variety;
  /** The weakest first. */
  readonly fruits: readonly FruitProof[];
  /** That of its weakest fruit. */
  readonly grade: Grade;
  /** Of the seed of all of them together, each fruit alike. */
  readonly share: Share;
  readonly mothers: readonly PlantId[];
  readonly fathers: readonly PlantId[];
}

/** How much foreign pollen an open flower of a stand gets, by the plan; `null` where nobody wrote down what grows about. */
const aboutStand = remembered(
  ({ stands, plants, beds, varieties, patches, neighbours, obstacles }: State, today: LocalDate) => [
    stands,
    plants,
    beds,
    varieties,
    patches,
    neighbours,
    obstacles,
    today,
  ],
  (state, today) => {
    const known = new Map<StandId, Share | null>();
    return (stand: StandId): Share | null => {
      const found = known.get(stand);
      if (found !== undefined) return found;
      const isolation = isolationOf(state, stand, today);
      const looked = isolation && (isolation.rivals.length > 0 || state.neighbours.size > 0);
      const about = looked ? isolation.pressure : null;
      known.set(stand, about);
      return about;
    };
  },
);

/** The evidence of one fruit on a day, and what it comes to; a fruit is graded again only when it, its males or its schools change. */
export function fruitProof(state: State, flower: Flower, today: LocalDate): FruitProof {
  const found = growing(state, flower.plant);
  const about = found ? aboutStand(state, today)(found.stand.id) : null;
  const chain = proofOf(flower, state, today, about, mainPatch(state)?.schools);
  return { flower, chain, proof: gradeProof(chain) };
}

/** Whether a flower became, or may still become, a fruit whose seed is wanted. */
function bearsSeed(flower: Flower): boolean {
  const { sex, pollinations, lost, harvested, looks } = flower;
  if (sex === 'male' || lost || harvested?.harvestFor === 'kitchen') return false;
  if (harvested) return true;
  if (pollinations.at(-1)?.purpose !== 'seed') return false;
  return !['yellowing', 'gone'].includes(looks.at(-1)?.result ?? '');
}

const RANK: readonly Grade[] = ['not-pure', 'distance-only', 'fair', 'good', 'sound'];

/** The year in which a fruit was worked, by the calendar. */
const yearOf = ({ pollinations, harvested, sightings }: Flower): string =>
  (pollinations[0] ?? harvested ?? sightings[0])?.at.slice(0, 4) ?? '';

/** The years of which there is fruit for seed, the latest first. */
export const seedYears = remembered(
  ({ flowers }: Pick<State, 'flowers'>) => [flowers],
  ({ flowers }): readonly string[] => {
    const years = new Set<string>();
    for (const flower of flowers.values()) if (bearsSeed(flower)) years.add(yearOf(flower));
    return [...years].sort().reverse();
  },
);

/** Each variety with fruits for seed of a year, in the order in which they were added. */
export function varietyPurities(state: State, today: LocalDate, year = today.slice(0, 4)): VarietyPurity[] {
  const by = new Map<VarietyId, Flower[]>();
  for (const flower of state.flowers.values()) {
    if (!bearsSeed(flower) || yearOf(flower) !== year) continue;
    const found = growing(state, flower.plant);
    if (!found) continue;
    const list = by.get(found.variety.id);
    if (list) list.push(flower);
    else by.set(found.variety.id, [flower]);
  }
  return [...state.varieties.values()].flatMap((variety): VarietyPurity[] => {
    const flowers = by.get(variety.id);
    if (!flowers) return [];
    const fruits = flowers
      .map((flower) => fruitProof(state, flower, today))
      .sort((a, b) => RANK.indexOf(a.proof.grade) - RANK.indexOf(b.proof.grade));
    const served = flowers.flatMap(({ pollinations }) => pollinations.flatMap(({ fathers }) => fathers));
    return [
      {
        variety,
        fruits,
        grade: weakestGrade(fruits.map(({ proof }) => proof.grade)) ?? 'fair',
        share: lotShare(fruits.map(({ chain }) => ({ chain, seeds: 1 }))),
        mothers: [...new Set(flowers.map(({ plant }) => plant))],
        fathers: [...new Set(served.map(({ plant }) => plant))],
      },
    ];
  });
}
