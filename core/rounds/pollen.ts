import { malesFor } from '../goals';
import type { PlantId, VarietyId } from '../ids';
import type { Place, State } from '../ledger';
import { fatherHistory, mixingWith, type Mixture } from '../lineage';
import { fatherVarietyOf, growing, mainPatch } from '../patch';
import { matchPollen, type PollenFemale, type PollenMale, type PollenMatch } from '../planning';
import type { LocalDate } from '../time';
import { freeMales } from './freeMales';
import { stopsOf, type Stop } from './stops';

const PRECIOUS_WORTH = { spare: 1, keep: 2, rare: 4 } as const;
const HEALTH_WORTH = { healthy: 1, doubtful: 0.5, sick: 0.2 } as const;

/** A second morning, by which most of the pollen and some of the stigma are spent, against the first [M]. */
const AGAIN_WORTH = 0.3;

/**
 * What a pollination is worth against the others of the round [M]: how precious the seed, how good the mother.
 * @example worthOf({ growing: mother, again: false }) // 1.8
 */
export function worthOf({ growing, again }: Pick<Stop, 'growing' | 'again'>): number {
  const { stand, plant } = growing;
  const worth =
    PRECIOUS_WORTH[stand.goal?.precious ?? 'keep'] * (plant.health ? HEALTH_WORTH[plant.health] : 0.9);
  return again ? worth * AGAIN_WORTH : worth;
}

/** Whose pollen goes where on a morning (or dusk), of what is shut for it and still to be worked. */
function morningMatch(state: State, place: Place, date: LocalDate, kind: 'dawn' | 'dusk'): PollenMatch {
  const stops = stopsOf(state, date, place.zone, kind).filter(
    ({ state: how }) => how === 'to-do' || how === 'later',
  );
  return matchedPollen(state, stops, freeMales(state, place, date), date.slice(0, 4));
}

/** Whose pollen goes where, by the patch's way with a plant's own. */
export function matchedPollen(
  state: State,
  stops: readonly Stop[],
  males: readonly PollenMale[],
  year: string,
): PollenMatch {
  const { already, kinship } = fatherHistory(state, year, [
    ...stops.map((stop) => stop.growing.plant.id),
    ...males.map(({ plant }) => plant),
  ]);
  const tonight = new Map<PlantId, number>();
  for (const { growing: each } of stops) tonight.set(each.plant.id, (tonight.get(each.plant.id) ?? 0) + 1);
  const selfing = mainPatch(state)?.schools.selfing;
  const females = stops.map((stop): PollenFemale => ({
    id: stop.flower.id,
    plant: stop.growing.plant.id,
    variety: stop.growing.variety.id,
    fatherVariety: fatherVarietyOf(stop.growing),
    value: worthOf(stop),
    wants: malesFor(state, stop.growing.crop, stop.growing.stand.goal).value,
    purpose: 'seed',
  }));
  // The matching counts males: a fruit is as many of them as its mother gets.
  const toAFruit = new Map(females.map(({ fatherVariety, wants }) => [fatherVariety, wants]));
  const fruits = (plant: PlantId) => already(plant) + (tonight.get(plant) ?? 0);
  const varietyOf = new Map(males.map(({ plant, variety }) => [plant, variety]));
  return matchPollen({
    females,
    males,
    rules: {
      selfing: selfing === 'allowed' || selfing === 'never' ? selfing : 'others-first',
      // Each male comes with what it may still serve.
      femalesPerMale: 1,
      // What bears fruit from today on has given its part as a mother.
      already: (plant) => fruits(plant) * (toAFruit.get(varietyOf.get(plant) ?? '') ?? 1),
      // Whether a plant may have its own pollen is for the school to say.
      kinship: (mother, father) => (mother === father ? 0 : kinship(mother, father)),
    },
  });
}

/** How many flowers of a variety a round works, and what they make of its coming lot. */
export interface MixingAhead {
  readonly flowers: number;
  readonly mixture: Mixture;
}

/** What a round, as its pollen is matched, would make of the coming lot of a variety; `null` where no flower of it gets any. */
export function mixingAhead(
  state: State,
  place: Place,
  { date, kind }: { readonly date: LocalDate; readonly kind: 'dawn' | 'dusk' },
  variety: VarietyId,
): MixingAhead | null {
  const pairs = new Map<string, { readonly mother: PlantId; readonly fathers: PlantId[] }>();
  for (const { female, male } of morningMatch(state, place, date, kind).pairs) {
    const mother = state.flowers.get(female)?.plant;
    const father = state.flowers.get(male)?.plant;
    if (!mother || !father || growing(state, mother)?.variety.id !== variety) continue;
    const had = pairs.get(female);
    if (had) had.fathers.push(father);
    else pairs.set(female, { mother, fathers: [father] });
  }
  if (pairs.size === 0) return null;
  return { flowers: pairs.size, mixture: mixingWith(state, variety, date.slice(0, 4), [...pairs.values()]) };
}
