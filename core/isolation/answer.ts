import { crossing, kindOf, notToFear, type Crop } from '../crops';
import type { StandId } from '../ids';
import type { Precious, Stand, Variety } from '../ledger';
import { coversFor, growing, standing, standings, type Standing } from '../patch';
import { remembered } from '../remember';
import type { LocalDate } from '../time';
import { aboutIn, type About, type AboutTables } from './about';
import { bloomIn, type OwnBloom } from './bloom';
import type { DistanceVerdict } from './needed';
import { foreignPressure, type Pressure } from './pressure';
import { neighbourRivals, ownRivals, type Rival } from './rivals';

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
  /** When it flowers, where that can be told. */
  readonly bloom: OwnBloom | null;
  readonly pressure: Pressure;
  /** What grows about and is feared without reason, in sentences. */
  readonly harmless: readonly string[];
  /** What grows about and crosses so rarely that nobody keeps it apart, in sentences. */
  readonly rare: readonly string[];
}

const WORST: readonly DistanceVerdict[] = ['too-near', 'in-between', 'fine'];

/** The answers for every stand that is grown for seed and has plants, as things stand on a day. */
export const isolations = remembered(
  'isolations',
  (state: AboutTables, today: LocalDate) => ({ ...aboutIn(state), today }),
  ({ today, ...state }): readonly StandIsolation[] =>
    [...state.stands.values()].flatMap((stand) => isolationIn(state, stand.id, today) ?? []),
);

/**
 * Who could cross with a stand, how far each stands and should stand, and what it comes to; `null` where the stand is not for seed or
 * has no plants. Flowers shut and worked by hand need none of it.
 * @example isolationOf(state, stand.id, '2026-07-13').verdict // 'alone'
 */
export function isolationOf(state: AboutTables, id: StandId, today: LocalDate): StandIsolation | null {
  return isolationIn(aboutIn(state), id, today);
}

/** `isolationOf` where it is known what grows about. */
export function isolationIn(state: About, id: StandId, today: LocalDate): StandIsolation | null {
  const found = standing(state, id);
  const first = found?.plants[0];
  const at = first ? growing(state, first.id) : null;
  if (!found || !at || found.stand.reason !== 'seed') return null;
  const own = {
    ...found,
    importance: found.stand.goal?.precious ?? 'keep',
    bloom: bloomIn(state, found),
  };
  const { needed, shelter } = coversFor(state, at, today);
  // On its own days the cage is off: what grows next door still counts.
  const inTurn = !needed && shelter?.insects === 'in-turn';
  const closed = !needed && !inTurn;
  const rivals = closed
    ? []
    : [...(inTurn ? [] : ownRivals(state, own, today)), ...neighbourRivals(state, own)].sort(
        (a, b) => lackOf(b) - lackOf(a) || (a.id < b.id ? -1 : 1),
      );
  const worst = WORST.find((verdict) => rivals.some((rival) => rival.verdict === verdict));
  const { stand, variety, crop, plants, importance, bloom } = own;
  return {
    stand,
    variety,
    crop,
    plants: plants.length,
    importance,
    importanceSaid: stand.goal !== null,
    verdict: closed ? 'closed-house' : (worst ?? 'alone'),
    rivals,
    bloom,
    harmless: harmlessTo(state, crop),
    rare: closed ? [] : rareFor(state, own),
    pressure: foreignPressure(
      { ...kindOf(own.variety), plants: plants.length, bloom },
      rivals.map(({ source }) => source),
      { winds: windsIn(state, bloom) },
    ),
  };
}

/** Fewer days say nothing of how the wind blows [M]. */
const ENOUGH_WINDS = 5;

/** Where the wind came from on the days of its flowers on which somebody noted it, degrees; none where they are too few. */
function windsIn({ patches }: About, bloom: OwnBloom | null): readonly number[] {
  if (!bloom) return [];
  const winds = [...patches.values()].flatMap(({ weather }) =>
    Object.entries(weather).flatMap(([date, { windFromDeg }]) =>
      windFromDeg !== null && date >= bloom.from && date <= bloom.to ? [windFromDeg] : [],
    ),
  );
  return winds.length < ENOUGH_WINDS ? [] : winds;
}

/** The kinds about that cross with a stand, but too rarely to be kept apart. */
function rareFor(state: About, own: Standing): readonly string[] {
  const kinds = [
    ...standings(state).map(({ variety }) => kindOf(variety)),
    ...[...state.neighbours.values()].filter(({ goneAt }) => goneAt === null),
  ];
  const found = kinds.map((kind) => crossing(kindOf(own.variety), kind));
  return [
    ...new Set(found.flatMap(({ verdict, counts, why }) => (verdict === 'rarely' && !counts ? why : []))),
  ];
}

/** What puts the mind at rest about everything else that grows in the patch or next door. */
function harmlessTo(state: About, { id }: Crop): readonly string[] {
  const about = [
    ...standings(state).map(({ crop }) => crop.id),
    ...[...state.neighbours.values()].filter(({ goneAt }) => goneAt === null).map(({ crop }) => crop),
  ];
  return [...new Set(about.flatMap((crop) => notToFear(id, crop) ?? []))];
}

/** How much of its distance a rival lacks, m; one that flowers at another time lacks nothing. */
function lackOf({ verdict, needed, distanceM }: Rival): number {
  return verdict === 'fine' ? -distanceM : needed.chosenM - distanceM;
}
