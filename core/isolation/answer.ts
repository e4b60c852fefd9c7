import { crossing, cropOf, type Crop, type Crossing, type CrossingKind } from '../crops';
import type { NeighbourId, StandId } from '../ids';
import type { Neighbour, Plant, Precious, Stand, State, Variety } from '../ledger';
import { coversFor, growing, plantsOfStand, shelterOn } from '../patch';
import { remembered } from '../remember';
import type { LocalDate } from '../time';
import { standDistance, type Ground } from './distance';
import { distanceVerdict, isolationNeeded, type DistanceVerdict, type Needed } from './needed';
import { foreignPressure, type PollenSource, type Pressure } from './pressure';

/** Another stand of the patch or a planting next door that could cross with a stand. */
export interface Rival {
  readonly from: 'own' | 'neighbour';
  readonly id: StandId | NeighbourId;
  readonly crop: CrossingKind['crop'];
  /** `null`: not known, which counts as another. */
  readonly variety: string | null;
  readonly distanceM: number;
  readonly crossing: Crossing;
  readonly needed: Needed;
  readonly verdict: DistanceVerdict;
}

/** Whether a stand's distances would keep it pure without a hand. */
export interface StandIsolation {
  readonly stand: Stand;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly plants: number;
  readonly importance: Precious;
  /** Whether somebody said how much its seed is worth; else it counts as a variety one keeps. */
  readonly importanceSaid: boolean;
  /** alone: nothing known of could cross. closed-house: no insect comes to it, and no other of its species stands under cover. */
  readonly verdict: DistanceVerdict | 'alone' | 'closed-house';
  /** The one that lacks most of its distance first. */
  readonly rivals: readonly Rival[];
  readonly pressure: Pressure;
}

/** From so many plants on a stand is a large block [M]. */
const LARGE_BLOCK = 50;
/** So many times one's own plants are clearly more [M]. */
const LARGER = 2;
/** Where nobody counted the plants next door [M]. */
const PLANTS_NEXT_DOOR = 5;

const WORST: readonly DistanceVerdict[] = ['too-near', 'in-between', 'fine'];

/** The answers for every stand that is grown for seed and has plants, as things stand on a day. */
export const isolations = remembered(
  ({ stands, plants, beds, varieties, neighbours }: State, today: LocalDate) => [
    stands,
    plants,
    beds,
    varieties,
    neighbours,
    today,
  ],
  (state, today): readonly StandIsolation[] =>
    [...state.stands.values()].flatMap((stand) => isolationOf(state, stand.id, today) ?? []),
);

/**
 * Who could cross with a stand, how far each stands and should stand, and what it comes to; `null` where the stand is not for seed or
 * has no plants. Flowers shut and worked by hand need none of it.
 * @example isolationOf(state, stand.id, '2026-07-13').verdict // 'alone'
 */
export function isolationOf(state: State, id: StandId, today: LocalDate): StandIsolation | null {
  const own = standing(state, id);
  const first = own?.plants[0];
  const at = first ? growing(state, first.id) : null;
  if (!own || !first || !at || own.stand.reason !== 'seed') return null;
  const { stand, variety, crop, plants } = own;
  const importance = stand.goal?.precious ?? 'keep';
  const closed = !coversFor(state, at, today).needed;
  const rivals = closed
    ? []
    : [...ownRivals(state, own, today), ...neighbourRivals(state, own)].sort(
        (a, b) => a.distanceM - a.needed.chosenM - (b.distanceM - b.needed.chosenM),
      );
  const worst = WORST.find((verdict) => rivals.some((rival) => rival.verdict === verdict));
  return {
    stand,
    variety,
    crop,
    plants: plants.length,
    importance,
    importanceSaid: stand.goal !== null,
    verdict: closed ? 'closed-house' : (worst ?? 'alone'),
    rivals,
    pressure: foreignPressure(
      { ...kindOf(own), plants: plants.length, bloom: null },
      rivals.map((rival) => sourceOf(state, rival)),
    ),
  };
}

interface Standing {
  readonly stand: Stand;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly plants: readonly Plant[];
}

/** A stand with its living plants; `null` where it has none. */
function standing(state: State, id: StandId): Standing | null {
  const stand = state.stands.get(id);
  const variety = stand && state.varieties.get(stand.variety);
  const plants = plantsOfStand(state, id).filter(({ ended }) => ended === null);
  return stand && variety && plants.length > 0
    ? { stand, variety, crop: cropOf(variety.crop), plants }
    : null;
}

const kindOf = ({ crop, variety }: Standing): CrossingKind => ({
  crop: crop.id,
  species: variety.traits.species ?? null,
});

/** The ground of a stand: its plants. */
const groundOf = ({ plants }: Standing): Ground => ({
  type: 'Polygon',
  coordinates: plants.map(({ xM, yM }) => [[xM, yM]] as const),
});

function ownRivals(state: State, own: Standing, today: LocalDate): Rival[] {
  return [...state.stands.values()].flatMap(({ id }): Rival[] => {
    const other = id === own.stand.id ? null : standing(state, id);
    if (!other || other.variety.id === own.variety.id || shutIn(state, other, today)) return [];
    const found = crossing(kindOf(own), kindOf(other));
    if (found.verdict === 'never') return [];
    const larger = other.plants.length > LARGER * own.plants.length;
    return [
      rivalOf(own, found, {
        from: 'own',
        id,
        crop: other.crop.id,
        variety: other.variety.name,
        distanceM: standDistance(groundOf(own), groundOf(other)),
        between: [],
        besides: larger ? ['larger'] : [],
      }),
    ];
  });
}

/** Behind walls, insects kept out: its pollen stays in, too. */
function shutIn(state: State, { stand }: Standing, today: LocalDate): boolean {
  const bed = state.beds.get(stand.bed);
  const over = bed ? shelterOn(bed, today) : null;
  return over?.insects === 'out' && (over.shelter === 'closed-house' || over.shelter === 'indoors');
}

function neighbourRivals(state: State, own: Standing): Rival[] {
  return [...state.neighbours.values()].flatMap((neighbour): Rival[] => {
    const found = crossing(kindOf(own), neighbour);
    const same = neighbour.variety?.trim().toLowerCase() === own.variety.name.trim().toLowerCase();
    if (neighbour.goneAt !== null || found.verdict === 'never' || same) return [];
    const larger = (neighbour.plants ?? 0) > LARGER * own.plants.length;
    const besides =
      larger && !neighbour.besides.includes('larger')
        ? [...neighbour.besides, 'larger' as const]
        : neighbour.besides;
    return [rivalOf(own, found, { ...neighbour, from: 'neighbour', besides })];
  });
}

function rivalOf(
  own: Standing,
  found: Crossing,
  other: Pick<Rival, 'from' | 'id' | 'crop' | 'variety' | 'distanceM'> &
    Pick<Neighbour, 'between' | 'besides'>,
): Rival {
  const { from, id, crop, variety, distanceM, between, besides } = other;
  const needed = isolationNeeded({
    ...kindOf(own),
    importance: own.stand.goal?.precious ?? 'keep',
    surroundings: { between, besides, largeBlock: own.plants.length >= LARGE_BLOCK },
  });
  const verdict = distanceVerdict(distanceM, needed.chosenM);
  return { from, id, crop, variety, distanceM, crossing: found, needed, verdict };
}

function sourceOf(state: State, { from, id, crop, distanceM }: Rival): PollenSource {
  const neighbour = from === 'neighbour' ? state.neighbours.get(id) : undefined;
  const stand = from === 'own' ? standing(state, id as StandId) : null;
  return {
    crop,
    species: neighbour?.species ?? stand?.variety.traits.species ?? null,
    plants: stand?.plants.length ?? neighbour?.plants ?? PLANTS_NEXT_DOOR,
    bloom: null,
    distanceM,
    bearingDeg: neighbour?.bearingDeg ?? null,
    between: neighbour?.between ?? [],
    besides: neighbour?.besides ?? [],
  };
}
