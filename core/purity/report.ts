import { bearsSeed } from './bearsSeed';
import type { FlowerId, StandId, VarietyId } from '../ids';
import { aboutIn, isolationIn, type AboutTables } from '../isolation';
import type { Flower, State, Variety } from '../ledger';
import { growing, plantedIn } from '../patch';
import { remembered, sameUnder, some, steady } from '../remember';
import type { LocalDate } from '../time';
import { chainOf, evidenceFor, type ProofChain } from './chain';
import type { LinkState } from './fitForSeed';
import {
  GRADES,
  gradeProof,
  LINK_ORDER,
  type Grade,
  type Proof,
  type ProofLinkKind,
  type Share,
} from './gradeProof';
import { lotShare, weakestGrade } from './lotProof';
import type { ProofLink } from './proofLink';

/** One fruit with its evidence and what that comes to. */
export interface FruitProof {
  readonly flower: Flower;
  readonly chain: ProofChain;
  readonly proof: Proof;
}

/** What a list says of a fruit's proof: plain and small, since a year's fruits come from a worker. */
export interface ListedFruit extends Pick<Proof, 'grade' | 'untrue' | 'foreignShare' | 'weakest'> {
  readonly flower: FlowerId;
  readonly links: readonly Pick<ProofLink, 'link' | 'state'>[];
}

/**
 * Fruits beside each other, link by link: the links that any of them has, in the order of the chain, and how each stands for each fruit;
 * `null`: it does not apply to it.
 */
export function chainTable(fruits: readonly Pick<ListedFruit, 'links'>[]): {
  readonly links: readonly ProofLinkKind[];
  readonly rows: readonly (readonly (LinkState | null)[])[];
} {
  const links = LINK_ORDER.filter((kind) =>
    fruits.some((fruit) => fruit.links.some(({ link }) => link === kind)),
  );
  return {
    links,
    rows: fruits.map((fruit) =>
      links.map((kind) => fruit.links.find(({ link }) => link === kind)?.state ?? null),
    ),
  };
}

/** How pure the seed of a variety is, by its fruits. */
export interface VarietyPurity {
  readonly variety: VarietyId;
  readonly name: string;
  /** The weakest first. */
  readonly fruits: readonly ListedFruit[];
  /** That of its weakest fruit. */
  readonly grade: Grade;
  /** Of the seed of all of them together, each fruit alike. */
  readonly share: Share;
  readonly mothers: number;
  readonly fathers: number;
}

/** A year's fruits for seed, and which years there are, the latest first. */
export interface YearPurity {
  readonly year: string | null;
  readonly years: readonly string[];
  readonly varieties: readonly VarietyPurity[];
}

/** How much foreign pollen an open flower of a stand gets, by the plan; `null` where nobody wrote down what grows about. */
const aboutStand = remembered(
  'about',
  (state: AboutTables, today: LocalDate) => ({ ...aboutIn(state), today }),
  ({ today, ...state }) => {
    const known = new Map<StandId, Share | null>();
    return (stand: StandId): Share | null => {
      const found = known.get(stand);
      if (found !== undefined) return found;
      const isolation = isolationIn(state, stand, today);
      const looked =
        isolation &&
        (isolation.verdict === 'closed-house' || isolation.rivals.length > 0 || state.neighbours.size > 0);
      const about = looked ? isolation.pressure : null;
      known.set(stand, about);
      return about;
    };
  },
);

/** The evidence of one fruit on a day, and what it comes to; a fruit is graded again only when it, its males or its schools change. */
export function fruitProof(state: State, flower: Flower, today: LocalDate): FruitProof {
  const stand = state.plants.get(flower.plant)?.stand;
  return graded(flower, state, today, stand === undefined ? null : aboutStand(state, today)(stand));
}

/** Plants in beds over which something stood: whether a house held one variety hangs on all of them. */
const steadySheltered = steady<State['plants']>(sameUnder((a, b) => a === b));
const shelteredPlants = remembered('sheltered', plantedIn, ({ plants, stands, beds }): State['plants'] => {
  const sheltered = (stand: StandId) => (beds.get(stands.get(stand)?.bed ?? '')?.shelters.length ?? 0) > 0;
  return steadySheltered(new Map([...plants].filter(([, plant]) => sheltered(plant.stand))));
});

/** Kept by fruit: one new entry grades one fruit, whoever else there is. */
const graded = remembered(
  'proof',
  (flower: Flower, state: State, today: LocalDate, about: Share | null) => {
    const fathers = flower.pollinations.flatMap((visit) => visit.fathers);
    const { twins, offspring, ...evidence } = evidenceFor(flower, state);
    return {
      flower,
      today,
      low: about?.low,
      likely: about?.likely,
      high: about?.high,
      stands: evidence.stands,
      beds: evidence.beds,
      varieties: evidence.varieties,
      patches: evidence.patches,
      plants: some(evidence.plants, [flower.plant, ...fathers.map(({ plant }) => plant)]),
      sheltered: shelteredPlants(state),
      flowers: some(
        evidence.flowers,
        fathers.flatMap((father) => father.flowers),
      ),
      twins,
      offspring,
    };
  },
  ({ flower, today, low, likely, high, sheltered, ...evidence }): FruitProof => {
    const about =
      low === undefined || likely === undefined || high === undefined ? null : { low, likely, high };
    const plants = sheltered.size === 0 ? evidence.plants : new Map([...sheltered, ...evidence.plants]);
    const chain = chainOf(flower, { ...evidence, plants }, today, about);
    return { flower, chain, proof: gradeProof(chain) };
  },
);

/** The year in which a fruit was worked, by the calendar. */
export const workedIn = ({ pollinations, harvested, sightings }: Flower): string =>
  (pollinations[0] ?? harvested ?? sightings[0])?.at.slice(0, 4) ?? '';

/** The fruits for seed of a year by variety, in the order in which those were added; `null`: of the last year that has any. */
export function yearPurity(state: State, today: LocalDate, wanted: string | null): YearPurity {
  const bearing = [...state.flowers.values()].filter(bearsSeed);
  const years = [...new Set(bearing.map(workedIn))].sort().reverse();
  const year = wanted ?? years[0] ?? null;
  const by = new Map<VarietyId, Flower[]>();
  for (const flower of bearing) {
    const found = workedIn(flower) === year ? growing(state, flower.plant) : null;
    if (!found) continue;
    const list = by.get(found.variety.id);
    if (list) list.push(flower);
    else by.set(found.variety.id, [flower]);
  }
  const varieties = [...state.varieties.values()].flatMap((variety) => {
    const flowers = by.get(variety.id);
    return flowers ? [varietyPurity(state, today, variety, flowers)] : [];
  });
  return { year, years, varieties };
}

function varietyPurity(
  state: State,
  today: LocalDate,
  { id, name }: Variety,
  flowers: readonly Flower[],
): VarietyPurity {
  const fruits = flowers
    .map((flower) => fruitProof(state, flower, today))
    .sort((a, b) => GRADES.indexOf(b.proof.grade) - GRADES.indexOf(a.proof.grade));
  const served = flowers.flatMap(({ pollinations }) => pollinations.flatMap(({ fathers }) => fathers));
  return {
    variety: id,
    name,
    fruits: fruits.map(({ flower, chain, proof: { grade, untrue, foreignShare, weakest } }) => ({
      flower: flower.id,
      grade,
      untrue,
      foreignShare,
      weakest,
      links: chain.links.map(({ link, state: how }) => ({ link, state: how })),
    })),
    grade: weakestGrade(fruits.map(({ proof }) => proof.grade)) ?? 'fair',
    share: lotShare(fruits.map(({ chain }) => ({ chain, seeds: 1 }))),
    mothers: new Set(flowers.map(({ plant }) => plant)).size,
    fathers: new Set(served.map(({ plant }) => plant)).size,
  };
}
