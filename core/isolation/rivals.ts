import { crossing, kindOf, pollenPath, type Crossing, type CrossingKind } from '../crops';
import type { NeighbourId, StandId } from '../ids';
import type { Beside, Between, Corner, Neighbour, Precious } from '../ledger';
import { between, groundOf, mainPatch, neighbourPlace, shelterOn, standings, type Standing } from '../patch';
import type { LocalDate } from '../time';
import type { About } from './about';
import { bloomIn, daysApart, type Bloom, type OwnBloom } from './bloom';
import { nearest, type Nearest } from './distance';
import { distanceVerdict, isolationNeeded, WEIGHTS, type DistanceVerdict, type Needed } from './needed';
import type { PollenSource } from './pressure';

/** Another stand of the patch or a planting next door that could cross with a stand. */
export interface Rival {
  readonly from: 'own' | 'neighbour';
  readonly id: StandId | NeighbourId;
  readonly crop: CrossingKind['crop'];
  /** `null`: not known, which counts as another. */
  readonly variety: string | null;
  readonly distanceM: number;
  /** The nearest points of the two on the plan; `null` where nobody said in which direction it lies. */
  readonly across: Pick<Nearest, 'from' | 'to'> | null;
  readonly crossing: Crossing;
  readonly needed: Needed;
  readonly bloom: Bloom | null;
  /** Days without open flowers between the two; with so many that no pollen meets, its distance is fine. */
  readonly apartDays: number;
  readonly verdict: DistanceVerdict;
  /** What it could send, for `foreignPressure`. */
  readonly source: PollenSource;
}

/** A stand asked about, with what its rivals are judged by. */
export interface Asked extends Standing {
  readonly importance: Precious;
  readonly bloom: OwnBloom | null;
}

/** From this many plants on, a stand is a large block [M]. */
const LARGE_BLOCK = 50;
/** This many times one's own plants are clearly more [M]. */
const LARGER = 2;
/** Where nobody counted the plants next door [M]. */
const PLANTS_NEXT_DOOR = 5;
/** Days to keep between the silk of one corn and the pollen of another, by seed savers' handbooks (from memory). */
export const CORN_APART_DAYS = 14;
/** For the others, days between the last flower of one and the first of the other [M]. */
const APART_DAYS = 3;

/** The other stands of the patch that could cross with one. */
export function ownRivals(state: About, own: Asked, today: LocalDate): Rival[] {
  const ground = groundOf(own);
  return standings(state).flatMap((other): Rival[] => {
    const { id } = other.stand;
    if (id === own.stand.id || other.variety.id === own.variety.id || shutIn(other, today)) return [];
    const found = crossing(kindOf(own.variety), kindOf(other.variety));
    if (!found.counts) return [];
    const { distanceM, from, to } = nearest(ground, groundOf(other));
    const larger = other.plants.length > LARGER * own.plants.length;
    return [
      rivalOf(state, own, found, {
        from: 'own',
        id,
        ...kindOf(other.variety),
        variety: other.variety.name,
        plants: other.plants.length,
        bearingDeg: null,
        distanceM,
        across: { from, to },
        between: between(state.obstacles, from, to),
        besides: larger ? ['larger'] : [],
        bloom: bloomIn(state, other),
        guessed: false,
      }),
    ];
  });
}

/** Behind walls, insects kept out: its pollen stays in, too. */
function shutIn({ bed }: Standing, today: LocalDate): boolean {
  const over = shelterOn(bed, today);
  return over?.insects === 'out' && (over.shelter === 'closed-house' || over.shelter === 'indoors');
}

/** The plantings next door that could cross with a stand. */
export function neighbourRivals(state: About, own: Asked): Rival[] {
  const ground = groundOf(own);
  return [...state.neighbours.values()].flatMap((neighbour): Rival[] => {
    const found = crossing(kindOf(own.variety), neighbour);
    const same = neighbour.variety?.trim().toLowerCase() === own.variety.name.trim().toLowerCase();
    if (neighbour.goneAt !== null || !found.counts || same) return [];
    const place = neighbourPlace(state.beds, neighbour);
    const across = place && nearest(ground, { type: 'Point', coordinates: place });
    const larger = (neighbour.plants ?? 0) > LARGER * own.plants.length;
    return [
      rivalOf(state, own, found, {
        ...neighbour,
        from: 'neighbour',
        distanceM: across?.distanceM ?? neighbour.distanceM,
        across,
        between: across
          ? withoutTwice(neighbour.between, between(state.obstacles, across.from, across.to))
          : neighbour.between,
        besides: larger ? withoutTwice(neighbour.besides, ['larger']) : neighbour.besides,
        bloom: bloomNextDoor(neighbour),
        guessed: neighbour.knownBy === 'guessed',
      }),
    ];
  });
}

const withoutTwice = <T>(said: readonly T[], found: readonly T[]): T[] => [...new Set([...said, ...found])];

/** Both days are needed: with only one, the other could be any day. */
function bloomNextDoor({ bloomFrom, bloomTo }: Neighbour): Bloom | null {
  return bloomFrom !== null && bloomTo !== null ? { from: bloomFrom, to: bloomTo } : null;
}

type Other = Pick<Rival, 'from' | 'id' | 'variety' | 'distanceM' | 'across' | 'bloom'> &
  CrossingKind & {
    readonly plants: number | null;
    readonly bearingDeg: number | null;
    readonly between: readonly Between[];
    readonly besides: readonly Beside[];
    readonly guessed: boolean;
  };

function rivalOf(state: About, own: Asked, found: Crossing, other: Other): Rival {
  const { from, id, crop, species, corn, barrier, variety, distanceM, across, bloom, bearingDeg, plants } =
    other;
  const needed = isolationNeeded({
    ...kindOf(own.variety),
    importance: own.importance,
    surroundings: {
      between: other.between,
      besides: other.besides,
      largeBlock: own.plants.length >= LARGE_BLOCK,
    },
    weights: { ...WEIGHTS, ...mainPatch(state)?.weights },
  });
  // Guessed days keep nothing apart.
  const apartDays = other.guessed ? 0 : daysApart(own.bloom, bloom);
  const enough = pollenPath(kindOf(own.variety)).value === 'wind' ? CORN_APART_DAYS : APART_DAYS;
  return {
    from,
    id,
    crop,
    variety,
    distanceM,
    across,
    crossing: found,
    needed,
    bloom,
    apartDays,
    verdict: apartDays >= enough ? 'fine' : distanceVerdict(distanceM, needed.chosenM),
    source: {
      crop,
      species: species ?? null,
      corn: corn ?? null,
      barrier: barrier ?? null,
      plants: plants ?? PLANTS_NEXT_DOOR,
      bloom: other.guessed ? null : bloom,
      distanceM,
      bearingDeg: bearingDeg ?? bearingOf(across),
      between: other.between,
      besides: other.besides,
    },
  };
}

/** Degrees clockwise from north, from one's own plants to the others. */
function bearingOf(across: { readonly from: Corner; readonly to: Corner } | null): number | null {
  if (!across || (across.from[0] === across.to[0] && across.from[1] === across.to[1])) return null;
  const [east, south] = [across.to[0] - across.from[0], across.to[1] - across.from[1]];
  return ((Math.atan2(east, -south) * 180) / Math.PI + 360) % 360;
}
