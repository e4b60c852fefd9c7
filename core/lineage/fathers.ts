import type { PlantId, VarietyId } from '../ids';
import { Shards, type State } from '../ledger';
import { fatherVarietyOf, standingOrder } from '../patch';
import { remembered } from '../remember';
import { kinshipAmong, lineageOf, type Lineage } from './descent';
import { seedFruitsIn, totalGiven, type Contribution, type Part } from './mixing';

/** What each plant gave to those, as mother and as father, in fruits' worth. */
const givenIn = remembered(
  'given',
  (part: Part, year: string) => ({ part, year }),
  ({ part, year }): ReadonlyMap<PlantId, number> => {
    const given = new Map<PlantId, number>();
    const give = (plant: PlantId, fruits: number) => given.set(plant, (given.get(plant) ?? 0) + fruits);
    for (const { plant, pollinations } of seedFruitsIn(part, year)) {
      give(plant, 1);
      const fathers = pollinations.flatMap((visit) => visit.fathers);
      const males = fathers.reduce((sum, father) => sum + father.males, 0);
      for (const father of fathers) give(father.plant, father.males / males);
    }
    return given;
  },
);

/**
 * Tomorrow's fathers of a variety: the standing plants whose pollen its flowers get (in a cross those of the other variety), with what
 * they gave so far (`given`, of the lot's mixture), those that gave least first. None of a perfect flower that selfs in its cover.
 */
export function fathersNext(
  state: State,
  variety: VarietyId,
  given: readonly Contribution[],
): Contribution[] {
  const { self } = lineageOf(state);
  const order = standingOrder(state);
  const wanted = new Set(
    order
      .filter((each) => each.variety.id === variety)
      .filter(({ crop, stand }) => !crop.flowers.perfect || stand.reason === 'cross')
      .map(fatherVarietyOf),
  );
  const gave = new Map(given.map((each) => [each.plant, each]));
  return order
    .filter((each) => wanted.has(each.variety.id) && each.plant.offType === null)
    .map(({ plant: { id } }) => {
      const { asMother = 0, asFather = 0 } = gave.get(self(id)) ?? {};
      return { plant: id, asMother, asFather };
    })
    .sort((a, b) => totalGiven(a) - totalGiven(b) || a.asFather - b.asFather);
}

/** What the fathers of a round are chosen by besides the round itself. */
export interface FatherHistory {
  /** What a plant and its clones gave so far this year, as mother and as father, in fruits. The least sum of squares mixes best. */
  already(plant: PlantId): number;
  kinship(a: PlantId, b: PlantId): number;
}

/**
 * What each plant has given this year, and how akin some plants are: for the matching of a morning, those whose flowers are to be
 * worked or picked.
 */
export function fatherHistory(state: State, year: string, plants: readonly PlantId[]): FatherHistory {
  const lineage = lineageOf(state);
  const given = new Map<PlantId, number>();
  for (const part of Shards.of(state.flowers).parts)
    for (const [plant, fruits] of givenIn(part, year)) {
      const self = lineage.self(plant);
      given.set(self, (given.get(self) ?? 0) + fruits);
    }
  return {
    already: (plant) => given.get(lineage.self(plant)) ?? 0,
    kinship: kinOfSome(lineage, [...new Set(plants)].sort()),
  };
}

const kinOfSome = remembered(
  'kinship',
  (lineage: Lineage, plants: readonly PlantId[]) => ({ lineage, plants }),
  ({ lineage, plants }) => kinshipAmong(lineage, plants),
);
