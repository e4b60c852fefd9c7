import { isolationRange, pollenPath, type CrossingKind, type PollenPath } from '../crops';
import type { Beside, Between, Precious, WeighedReason } from '../ledger';

/** What holds around a stand; what is absent nobody said, and it weighs nothing. */
export interface Surroundings {
  readonly between?: readonly Between[];
  readonly besides?: readonly Beside[];
  /** One's own stand is a large block, whose own pollen is in the majority. */
  readonly largeBlock?: boolean;
}

/** Parts of the way from the near to the far end of the range. */
export type Weights = Readonly<Record<WeighedReason, number>>;

/** The directions are common practice; how much each weighs is our modelling choice, for the grower to change. */
export const WEIGHTS: Weights = {
  spare: 0,
  keep: 1 / 3,
  rare: 1,
  open: 0.25,
  'few-flowers': 0.15,
  larger: 0.2,
  upwind: 0.3,
  hedge: -0.15,
  building: -0.2,
  hill: -0.2,
  forage: -0.15,
  'large-block': -0.2,
};

/** What each reason is, in words. */
export const WEIGHED_WORDS: Readonly<Record<WeighedReason, string>> = {
  spare: 'seed that is easy to replace',
  keep: 'a variety you keep going',
  rare: 'seed that can’t be had again',
  open: 'open ground between',
  'few-flowers': 'little else in flower between',
  larger: 'a larger planting over there',
  upwind: 'the wind from over there',
  hedge: 'a hedge between',
  building: 'a building between',
  hill: 'a hill between',
  forage: 'other flowers between',
  'large-block': 'a large block of your own',
};

/** One thing weighed: so much of the way from the near to the far end, in words beside it. */
export interface Weighed {
  readonly reason: WeighedReason;
  readonly weight: number;
  readonly words: string;
}

/** How far apart two stands of kinds that cross should be, m. */
export interface Needed {
  readonly nearM: number;
  readonly farM: number;
  readonly chosenM: number;
  /** In a sentence: what carries the pollen, and what the figure was chosen by. */
  readonly why: string;
  readonly weighed: readonly Weighed[];
}

/**
 * The usual range, and the figure chosen within it: near + w (far - near), w the sum of the weights, from 0 to 1 (the reasons common
 * practice, the form ours). Distance lowers the risk and proves nothing; a flower that was shut needs none.
 * @example isolationNeeded({ crop: 'squash-pepo', importance: 'rare' }).chosenM // 800
 */
export function isolationNeeded({
  importance,
  surroundings = {},
  weights = WEIGHTS,
  ...kind
}: CrossingKind & {
  readonly importance: Precious;
  readonly surroundings?: Surroundings;
  readonly weights?: Weights;
}): Needed {
  const range = isolationRange(kind);
  if (!range) {
    const why = 'It is not kept from seed: it needs no distance.';
    return { nearM: 0, farM: 0, chosenM: 0, why, weighed: [] };
  }
  const path = pollenPath(kind).value;
  const [nearM, farM] = range.value;
  const weighed = reasonsFrom(importance, surroundings, path).map((reason) => ({
    reason,
    weight: weights[reason],
    words: WEIGHED_WORDS[reason],
  }));
  const share = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const chosenM = nearM + Math.max(0, Math.min(1, share)) * (farM - nearM);
  const reasons = weighed.map(({ words }) => words).join(', ');
  return { nearM, farM, chosenM, why: `${PATH_WORDS[path]} Chosen for ${reasons}.`, weighed };
}

const PATH_WORDS: Readonly<Record<PollenPath, string>> = {
  self: 'It pollinates itself: the distance is mainly to tell dry plants apart.',
  insects: 'Insects carry its pollen.',
  wind: 'The wind carries its pollen, farther than any bee.',
  mixed: 'It pollinates itself mostly, and insects carry the rest: the larger range holds.',
};

/** Of what the wind carries, flowers in between tell nothing; the wind tells nothing of what insects carry. */
const NOT_OF_WIND: ReadonlySet<string> = new Set(['forage', 'few-flowers']);

function reasonsFrom(
  importance: Precious,
  { between = [], besides = [], largeBlock = false }: Surroundings,
  path: PollenPath,
): WeighedReason[] {
  const said: WeighedReason[] = [importance];
  for (const each of new Set(between)) {
    if (each === 'water' || (path === 'wind' && NOT_OF_WIND.has(each))) continue;
    said.push(each);
  }
  for (const each of new Set(besides)) {
    if (each === 'hives' || (each === 'upwind' && path !== 'wind')) continue;
    said.push(each);
  }
  if (largeBlock) said.push('large-block');
  return said;
}

/** What a distance comes to. */
export type DistanceVerdict = 'fine' | 'in-between' | 'too-near';

/** The share of the chosen distance from which on it is no longer too near [M]. */
const IN_BETWEEN = 2 / 3;

/**
 * What a distance, m, comes to beside the one chosen.
 * @example distanceVerdict(200, 245) // 'in-between'
 */
export function distanceVerdict(distanceM: number, chosenM: number): DistanceVerdict {
  if (distanceM >= chosenM) return 'fine';
  return distanceM >= IN_BETWEEN * chosenM ? 'in-between' : 'too-near';
}
