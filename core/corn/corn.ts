import type { Draft, Flower, Place, State } from '../ledger';
import { fatherVarietyOf, mainPatch, plantPlace, walkOrder, type Growing } from '../patch';
import { fitForSeed } from '../purity';
import { addDays, localDateOf, type LocalDate } from '../time';
import { sheds, shutMales } from '../bloom';
import { EARS_A_BAG } from '../goals';
import { matchPollen } from '../planning';
import { chainCost, cornChain } from './chain';
import { freeMales, earStops, maleUses, silkAge, silkReady, silkSeenAt } from '../rounds';

/** One ear shoot, or one tassel, with the plant it grows on. */
export interface Ear {
  readonly flower: Flower;
  readonly growing: Growing;
}

/** An ear whose silk shows. */
export interface SilkedEar extends Ear {
  /** Days since its silk was first seen. */
  readonly silkDays: number;
}

/** One pouring: which bag over which ear. */
export interface EarPair {
  readonly ear: SilkedEar;
  /** The tassel bag poured over it. */
  readonly tassel: Ear;
  /** Place in the swap order, from 1. */
  readonly turn: number;
  /** Ears that its bag is poured over after this one: it is kept level and shut, and this ear gets a fresh bag. */
  readonly after: number;
}

/** What corn asks for on one day. */
export interface CornDay {
  /** Plants with shoots that have no bag yet, and shoots still to be looked for. */
  readonly toBag: readonly Ear[];
  /** Plants on which no shoot was noted yet. */
  readonly toScout: readonly Growing[];
  /** Bagged, no silk seen yet: look through the bag each day, never under it. */
  readonly toCheck: readonly Ear[];
  /** Not for seed any more: silk out before its bag, or a bag that let pollen in. */
  readonly tooLate: readonly Ear[];
  readonly silked: readonly SilkedEar[];
  /** Shedding and free to bag this afternoon for tomorrow, other plants than the silked ears' first. */
  readonly tasselsToBag: readonly Ear[];
  /** How many bags this afternoon: as many as silked ears, less those on already. */
  readonly bagsWanted: number;
  /** This morning's swaps, in order. */
  readonly pairs: readonly EarPair[];
  /** Silked ears without a tassel bag this morning. */
  readonly unpaired: number;
  /** Pollinated, bag left on till harvest. */
  readonly covered: number;
}

/** Corn's work of a day in stands grown for seed or a cross. `windFromDeg` orders the swaps. */
export function cornDay(
  state: State,
  place: Place,
  date: LocalDate,
  windFromDeg: number | null = null,
): CornDay {
  const plants = walkOrder(state).filter(
    ({ crop, stand }) => crop.family === 'corn' && stand.reason !== 'fruit',
  );
  const toBag: Ear[] = [];
  const toScout: Growing[] = [];
  const toCheck: Ear[] = [];
  const tooLate: Ear[] = [];
  const silked: SilkedEar[] = [];
  let covered = 0;
  for (const growing of plants) {
    let ears = 0;
    for (const id of state.flowersOf.get(growing.plant.id) ?? []) {
      const flower = state.flowers.get(id);
      if (!flower || flower.sex !== 'female' || flower.lost || flower.harvested) continue;
      ears++;
      const shut = flower.shuttings[0];
      const silk = silkSeenAt(flower);
      if (flower.pollinations.length > 0) covered++;
      else if (fitForSeed(flower, state).verdict === 'unfit') tooLate.push({ flower, growing });
      else if (!shut) toBag.push({ flower, growing });
      else if (silkReady(flower, place.zone, date))
        silked.push({ flower, growing, silkDays: silkAge(flower, place.zone, date) ?? 0 });
      else if (!silk) toCheck.push({ flower, growing });
      else tooLate.push({ flower, growing });
    }
    if (ears === 0) toScout.push(growing);
  }
  const already = plants.reduce(
    (sum, growing) => sum + shutMales(state, growing, addDays(date, 1), place.zone).length,
    0,
  );
  const pairs = pairsOf(state, place, date, silked, windFromDeg);
  const waiting = silked.filter(({ flower }) => !pairs.some(({ ear }) => ear.flower.id === flower.id));
  const mothers = new Set(silked.map(({ growing }) => growing.plant.id));
  return {
    toBag,
    toScout,
    toCheck,
    tooLate,
    silked,
    tasselsToBag: sheddingTassels(state, plants, date, place.zone).sort(
      (a, b) => Number(mothers.has(a.growing.plant.id)) - Number(mothers.has(b.growing.plant.id)),
    ),
    bagsWanted: Math.max(0, silked.length - already),
    pairs,
    unpaired: waiting.length,
    covered,
  };
}

/**
 * Tassels to bag this afternoon: seen shedding in the last three days without a bag, or shedding still and due a fresh one, since the last
 * was poured or has hung for more than a night.
 */
function sheddingTassels(state: State, plants: readonly Growing[], date: LocalDate, zone: string): Ear[] {
  const since = addDays(date, -3);
  const on = (at: string) => localDateOf(Date.parse(at), zone);
  const uses = maleUses(state, date, zone);
  const wanted = (flower: Flower) => {
    const last = flower.sightings.at(-1);
    const bag = flower.shuttings.at(-1);
    if (!bag) return last?.stage === 'open' && on(last.at) >= since;
    const poured = on(bag.at) < date && uses.has(flower.id);
    return last?.stage !== 'spent' && sheds(flower, date, zone) && (poured || on(bag.at) < addDays(date, -1));
  };
  return plants.flatMap((growing) =>
    (state.flowersOf.get(growing.plant.id) ?? []).flatMap((id): Ear[] => {
      const flower = state.flowers.get(id);
      return flower?.sex === 'male' && !flower.lost && wanted(flower) ? [{ flower, growing }] : [];
    }),
  );
}

/** A plant that is no mother yet goes before a second ear of one that is [M]: as much as a day of silk. */
const NEW_MOTHER = 0.05;

function pairsOf(
  state: State,
  place: Place,
  date: LocalDate,
  silked: readonly SilkedEar[],
  windFromDeg: number | null,
): EarPair[] {
  const tassels = freeMales(state, place, date).filter(
    ({ id }) => silked.some(({ growing }) => growing.crop.family === 'corn') && state.flowers.get(id),
  );
  const toDo = new Set(
    earStops(state, date, place.zone).flatMap(({ flower, state: how }) =>
      how === 'to-do' ? [flower.id] : [],
    ),
  );
  const ears = silked.filter(({ flower }) => toDo.has(flower.id));
  const selfing = mainPatch(state)?.schools.selfing;
  const chains = new Map(
    [...new Set(ears.map(({ growing }) => growing.stand.id))].map((id) => [id, cornChain(state, id)]),
  );
  const chainOf = new Map(
    ears.map(({ growing }) => [growing.plant.id as string, chains.get(growing.stand.id)]),
  );
  const { pairs } = matchPollen({
    females: ears.map(({ flower, growing, silkDays }) => ({
      id: flower.id,
      plant: growing.plant.id,
      variety: growing.variety.id,
      fatherVariety: fatherVarietyOf(growing),
      // The oldest silk first: it has least time left. Then the plants that have no ear poured yet.
      value:
        1 + silkDays / 20 + (chainOf.get(growing.plant.id)?.mothers.has(growing.plant.id) ? 0 : NEW_MOTHER),
      wants: 1,
      purpose: 'seed',
    })),
    males: tassels,
    rules: {
      // Corn suffers badly from selfing: own pollen only where nothing else is left, whatever the patch allows.
      selfing: selfing === 'never' ? 'never' : 'others-first',
      femalesPerMale: EARS_A_BAG,
      kinship: (mother, father) => {
        const chain = chainOf.get(mother);
        return chain ? chainCost(chain, mother, father) : 0;
      },
    },
  });
  const plantOf = new Map(walkOrder(state).map((growing) => [growing.plant.id, growing]));
  const found = pairs.flatMap(({ female, male }): Omit<EarPair, 'turn' | 'after'>[] => {
    const ear = ears.find(({ flower }) => flower.id === female);
    const flower = state.flowers.get(male);
    const growing = flower && plantOf.get(flower.plant);
    return ear && flower && growing ? [{ ear, tassel: { flower, growing } }] : [];
  });
  const order = swapOrder(found, windFromDeg);
  return order.map((pair, i) => ({
    ...pair,
    turn: i + 1,
    after: order.slice(i + 1).filter(({ tassel }) => tassel.flower.id === pair.tassel.flower.id).length,
  }));
}

/**
 * The facts of one swap, as its key says them: the ear's bag and the tassel's were whole, its pollen poured and nothing else got in, the
 * tassel bag over the ear, the mark on.
 */
export function pourDrafts(
  { ear, tassel }: EarPair,
  mark: string,
  /** Whether nothing else got in while it was poured; `null`: nobody said. */
  onlyThis: boolean | null = true,
): Draft[] {
  const whole = ({ flower }: Ear): Draft => ({ kind: 'closureChecked', flower: flower.id, result: 'whole' });
  return [
    whole(ear),
    whole(tassel),
    {
      kind: 'pollinated',
      flower: ear.flower.id,
      fathers: [{ plant: tassel.growing.plant.id, males: 1, flowers: [tassel.flower.id] }],
      tool: 'pouring',
      shutAgain: 'tassel-bag',
      purpose: 'seed',
      ...(onlyThis === null ? {} : { beeIn: !onlyThis, clean: onlyThis }),
    },
    { kind: 'marked', flower: ear.flower.id, mark },
  ];
}

/**
 * The order of the swaps: from the far end downwind towards the wind, so that what is spilt drifts over ears already
 * covered [M]. Without a wind, as they stand. Degrees are where the wind blows from; the plan's y runs south.
 */
export function swapOrder<T extends { readonly ear: Ear }>(
  pairs: readonly T[],
  windFromDeg: number | null,
): T[] {
  if (windFromDeg === null) return [...pairs];
  const rad = (windFromDeg * Math.PI) / 180;
  // How far upwind a plant stands.
  const upwind = ({ ear }: T) => {
    const { xM, yM } = plantPlace(ear.growing);
    return xM * Math.sin(rad) - yM * Math.cos(rad);
  };
  return [...pairs].sort((a, b) => upwind(a) - upwind(b));
}
