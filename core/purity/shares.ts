/** How likely each share is, from 0 to 1 in equal steps; adds up to 1. */
export type ShareDistribution = Float64Array;

// Looked up once: this runs in the innermost of loops.
const { ceil, floor, max, min } = Math;

const STEPS = 250;
/** What is less likely than this is left out of a sum over many fruits. */
const NEGLIGIBLE = 1e-6;
/** What is less likely than this is moved no further: a link more that was seen must never count against a fruit, be it by a hair. */
const TINY = 1e-12;

/** How often a failure is as bad as it gets [M]: mostly little comes in, now and then much. */
export const WORST_SHARE = 0.3;

/** Something that may have happened, and what share then is foreign: as usual, or now and then as bad as it gets. */
export interface Failure {
  readonly chance: number;
  readonly usual: number;
  readonly worst: number;
}

const CLEAN: ShareDistribution = new Float64Array(STEPS + 1);
CLEAN[0] = 1;

/** All of them together, each for itself: what one lets in takes the room of what was clean before. `from`: what had come in already. */
export function unsure(failures: readonly Failure[], from: ShareDistribution = CLEAN): ShareDistribution {
  let now = from;
  let top = from === CLEAN ? 0 : from.findLastIndex((chance) => chance > 0);
  for (const { chance, usual, worst } of failures) {
    if (chance <= 0 || worst <= 0) continue;
    const next = new Float64Array(STEPS + 1);
    const holds = 1 - chance;
    const [some, most] = [min(1, usual), min(1, worst)];
    for (let bin = 0; bin <= top; bin++) {
      const had = now[bin] as number;
      if (had <= TINY) {
        next[bin] = (next[bin] as number) + had;
        continue;
      }
      // Of what is still clean a part goes: as far up as that part of the way to the top.
      const clean = STEPS - bin;
      next[bin] = (next[bin] as number) + had * holds;
      spread(next, bin + clean * some, had * chance * (1 - WORST_SHARE));
      spread(next, bin + clean * most, had * chance * WORST_SHARE);
    }
    top = min(STEPS, ceil(top + (STEPS - top) * max(some, most)));
    now = next;
  }
  return now;
}

/** The same where it can't be more than this. */
export function atMost(shares: ShareDistribution, most: number): ShareDistribution {
  const end = STEPS * min(1, most);
  const next = new Float64Array(STEPS + 1);
  for (let bin = 0; bin <= STEPS; bin++) {
    const chance = shares[bin] as number;
    if (chance > 0) spread(next, min(bin, end), chance);
  }
  return next;
}

/** One of several, by their chances. */
export function mixed(
  parts: readonly (readonly [chance: number, shares: ShareDistribution])[],
): ShareDistribution {
  const sum = new Float64Array(STEPS + 1);
  for (const [chance, shares] of parts)
    for (let bin = 0; bin <= STEPS; bin++) sum[bin] = (sum[bin] as number) + chance * (shares[bin] as number);
  return sum;
}

/** The mean of shares by weight, each unsure for itself: of the fruits of one lot, by their seed. */
export function averaged(
  parts: readonly { readonly weight: number; readonly shares: ShareDistribution }[],
): ShareDistribution {
  const all = parts.reduce((sum, { weight }) => sum + weight, 0);
  let now = new Float64Array(STEPS + 1);
  now[0] = 1;
  for (const { weight, shares } of parts) {
    const next = new Float64Array(STEPS + 1);
    const part = all > 0 ? weight / all : 0;
    const there = binsOf(shares);
    for (const bin of binsOf(now)) {
      const had = now[bin] as number;
      for (const other of there) spread(next, bin + other * part, had * (shares[other] as number));
    }
    now = next;
  }
  return now;
}

/** The steps that may be. */
function binsOf(shares: ShareDistribution): number[] {
  const there: number[] = [];
  for (let bin = 0; bin <= STEPS; bin++) if ((shares[bin] as number) > NEGLIGIBLE) there.push(bin);
  return there;
}

/** Between two steps a chance goes to both, so that the mean stays what it is. */
function spread(into: Float64Array, at: number, chance: number): void {
  const below = min(STEPS, floor(at));
  const rest = at - below;
  into[below] = (into[below] as number) + chance * (1 - rest);
  if (rest > 0 && below < STEPS) into[below + 1] = (into[below + 1] as number) + chance * rest;
}

/** The mean. */
export function likelyShare(shares: ShareDistribution): number {
  return shares.reduce((sum, chance, bin) => sum + (chance * bin) / STEPS, 0);
}

/** The least share that is not exceeded with this chance. */
export function quantile(shares: ShareDistribution, chance: number): number {
  let sum = 0;
  for (let bin = 0; bin <= STEPS; bin++) {
    sum += shares[bin] as number;
    if (sum >= chance - 1e-9) return bin / STEPS;
  }
  return 1;
}
