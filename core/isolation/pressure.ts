import { crossing, pollenPath, type CrossingKind } from '../crops';
import { mustBe } from '../errors';
import type { Beside, Between } from '../ledger';
import { overlapOf, type Bloom } from './bloom';

/** A stand whose flowers are open to whatever comes. */
export interface OpenStand extends CrossingKind {
  readonly plants: number;
  /** `null`: nobody knows; it counts as open at the same time. */
  readonly bloom: Bloom | null;
}

/** Another stand whose pollen could come. */
export interface PollenSource extends OpenStand {
  readonly distanceM: number;
  /** Where it lies, seen from the stand, degrees clockwise from north; `null`: not known. */
  readonly bearingDeg: number | null;
  readonly between: readonly Between[];
  readonly besides: readonly Beside[];
}

/** A share of seeds with a foreign father, 0 to 1: what is likely, and within what it may well lie. */
export interface Pressure {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** How pollen thins out with distance: r(d) = beside / (1 + (d / halfM) ^ power), against 1 for a stand's own pollen. */
interface Thinning {
  readonly beside: number;
  readonly halfM: number;
  readonly power: number;
}

/**
 * Fitted to orders of magnitude of scientific papers, from memory, and wide: foreign kernels of corn 10-50 % at the block's edge, 1 %
 * at 30 m, 0.1 % at 200 m; vines by bees 10-60 % at 1-5 m, 5-20 % at 50 m, 1 % at 250 m, traces at 800 m; tomato in its closed cone
 * 0-5 % at 1 m; pepper 1-40 % side by side, under 1 % at 100 m; bean, pea and lettuce under 1 % at 3 m.
 */
const THINNING = {
  wind: { beside: 0.6, halfM: 1.06, power: 1.22 },
  bees: { beside: 0.55, halfM: 21, power: 1.6 },
  bumblebees: { beside: 0.017, halfM: 5, power: 2 },
  stigmaOut: { beside: 0.053, halfM: 10, power: 1.6 },
  visited: { beside: 0.15, halfM: 20, power: 2 },
  shut: { beside: 0.01, halfM: 2, power: 2 },
} as const satisfies Record<string, Thinning>;

/** Either way, as a factor of the odds: years, places and bees differ by that much [M]. */
const EITHER_WAY = 4;
/** What is left of the pollen behind each [M]. */
const BEHIND: Readonly<Record<Between, { readonly wind: number; readonly bees: number }>> = {
  hedge: { wind: 0.5, bees: 0.5 },
  building: { wind: 0.4, bees: 0.4 },
  hill: { wind: 0.4, bees: 0.5 },
  water: { wind: 1, bees: 1 },
  forage: { wind: 1, bees: 0.5 },
  open: { wind: 1, bees: 1 },
  'few-flowers': { wind: 1, bees: 1 },
};
/** Straight downwind against straight upwind (scientific papers, from memory: about ten times). */
const DOWNWIND = 10;
/** Hives over there send more bees this way [M]. */
const HIVES = 1.5;
/** Kinds that cross only now and then [M]. */
const RARELY = 0.05;

/** How far such a figure can be trusted, to be said beside it. */
export const PRESSURE_WORTH =
  'An order of magnitude only: bees, wind and years differ. It says nothing of any one fruit, and no open flower is proved pure by it.';

/**
 * The share of seeds with a foreign father in a stand whose flowers are open, from all stands around: the odds of foreign pollen fall
 * with distance, rise with the plants over there and fall with one's own (by the square root [M]), and count for the days on which
 * both flower. Winds that were noted (degrees they came from) count for what the wind carries, each alike. It is no verdict on a flower:
 * one that was shut and whole is pure whatever this says. Throws by field.
 *
 * @example
 *   const stand = { crop: 'corn', plants: 100, bloom: null };
 *   foreignPressure(stand, [{ crop: 'cucumber', plants: 9, bloom: null, distanceM: 2, bearingDeg: null, between: [], besides: [] }]).high; // 0
 */
export function foreignPressure(
  stand: OpenStand,
  others: readonly PollenSource[],
  {
    windFromDeg = null,
    winds = windFromDeg === null ? [] : [windFromDeg],
  }: {
    readonly windFromDeg?: number | null;
    readonly winds?: readonly number[];
  } = {},
): Pressure {
  if (!(stand.plants > 0)) throw mustBe('foreignPressure', 'plants', 'more than 0', stand.plants);
  const odds = others.reduce((sum, other) => sum + oddsOf(stand, other, winds), 0);
  const share = (of: number) => of / (1 + of);
  return { low: share(odds / EITHER_WAY), likely: share(odds), high: share(odds * EITHER_WAY) };
}

function oddsOf(stand: OpenStand, other: PollenSource, winds: readonly number[]): number {
  if (!(other.distanceM >= 0)) throw mustBe('foreignPressure', 'distanceM', '0 or more', other.distanceM);
  if (!(other.plants >= 0)) throw mustBe('foreignPressure', 'plants', '0 or more', other.plants);
  const { verdict } = crossing(stand, other);
  if (verdict === 'never') return 0;
  const by = carrierOf(stand);
  const { beside, halfM, power } = THINNING[by];
  const wind = by === 'wind';
  const behind = [...new Set(other.between)].reduce(
    (left, each) => left * BEHIND[each][wind ? 'wind' : 'bees'],
    1,
  );
  return (
    (beside / (1 + (other.distanceM / halfM) ** power)) *
    Math.sqrt(other.plants / stand.plants) *
    overlapOf(stand.bloom, other.bloom) *
    behind *
    (wind ? windFactor(other, winds) : other.besides.includes('hives') ? HIVES : 1) *
    (verdict === 'rarely' ? RARELY : 1)
  );
}

function carrierOf(kind: CrossingKind): keyof typeof THINNING {
  switch (pollenPath(kind).value) {
    case 'wind':
      return 'wind';
    case 'insects':
      return 'bees';
    case 'mixed':
      return kind.crop === 'tomato' || kind.crop === 'potato' ? 'stigmaOut' : 'visited';
    case 'self':
      return kind.crop === 'tomato' ? 'bumblebees' : 'shut';
  }
}

/** More where the wind comes from over there, less where it blows that way: `DOWNWIND` between the two, 1 across. */
function windFactor({ bearingDeg, besides }: PollenSource, winds: readonly number[]): number {
  if (bearingDeg === null || winds.length === 0) return besides.includes('upwind') ? Math.sqrt(DOWNWIND) : 1;
  const factors = winds.map((from) => DOWNWIND ** (Math.cos(((bearingDeg - from) * Math.PI) / 180) / 2));
  return factors.reduce((sum, each) => sum + each, 0) / factors.length;
}
