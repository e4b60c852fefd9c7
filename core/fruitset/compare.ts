import { normalQuantile } from '../distributions';
import { mustBe } from '../errors';
import type { ClusteredShare } from './clustered';

/** Fewer than this on a side, and the honest word is "can't tell" (common practice). */
export const ENOUGH_TO_COMPARE = 10;

/** What two groups come to, side by side. */
export interface Comparison {
  readonly difference: number;
  readonly low: number;
  readonly high: number;
  /**
   * one-plant: a side rests on one plant or tray, and plants differ. too-few: under ten flowers on a side. luck: shares this far apart come up by chance among plants such as these. more: they hardly do.
   */
  readonly verdict: 'one-plant' | 'too-few' | 'luck' | 'more';
  /** Flowers on each side that would show such a difference four times in five; `null` where there is none to show. */
  readonly wouldTell: number | null;
}

/** A share as far as it is compared with another. */
type Compared = Pick<ClusteredShare, 'share' | 'low' | 'high' | 'judged' | 'designEffect'> &
  Partial<Pick<ClusteredShare, 'plants'>>;

/**
 * The difference of two shares, `a` less `b`, from their intervals by plants (Newcombe 1998, method 10, with the bounds of
 * `clusteredShare`). Bounds must be of the confidence that the comparison is to have: 95 %, or more where many pairs are looked at
 * (`confidenceFor`). Where plants stand for a way of working, one a side tells nothing, whatever the counts. Throws `counts` where one side has no verdict.
 * @example compareShares({ share: 0.5, low: 0.4, high: 0.6, judged: 90, designEffect: 1 }, { share: 0.8, low: 0.7, high: 0.9, judged: 90, designEffect: 1 }).verdict // 'more'
 */
export function compareShares(a: Compared, b: Compared): Comparison {
  if (a.share === null || b.share === null)
    throw mustBe('compareShares', 'counts', 'of groups with a verdict', `${a.judged} and ${b.judged}`);
  const difference = a.share - b.share;
  const low = Math.max(-1, difference - Math.hypot(a.share - a.low, b.high - b.share));
  const high = Math.min(1, difference + Math.hypot(a.high - a.share, b.share - b.low));
  const onePlant = Math.min(a.plants ?? 2, b.plants ?? 2) < 2;
  const few = Math.min(a.judged, b.judged) < ENOUGH_TO_COMPARE;
  const alone = flowersToTell(a.share, b.share);
  return {
    difference,
    low,
    high,
    verdict: onePlant ? 'one-plant' : few ? 'too-few' : low <= 0 && high >= 0 ? 'luck' : 'more',
    wouldTell: alone === null ? null : Math.ceil(alone * Math.max(a.designEffect, b.designEffect)),
  };
}

/**
 * How sure each of several comparisons has to be, so that all of them are right together with 95 % (Bonferroni): of `groups` groups
 * there are g (g - 1) / 2 pairs to pick from.
 * @example confidenceFor(2) // 0.95
 * @example confidenceFor(5) // 0.995
 */
export function confidenceFor(groups: number): number {
  return 1 - 0.05 / Math.max(1, (groups * (groups - 1)) / 2);
}

/** More flowers than anybody works to settle a question. */
const MOST_FLOWERS = 5000;

/**
 * Flowers on each side that show a difference between two true shares with 80 % chance at the 5 % level (two-sided; R: `power.prop.test`).
 * `null` for shares so alike that over 5000 would be needed.
 *
 *   n = (z97.5 sqrt(2 q (1 - q)) + z80 sqrt(p1 (1 - p1) + p2 (1 - p2)))^2 / (p1 - p2)^2 ,  q the mean of both
 *
 * @example flowersToTell(0.6, 0.8) // 82
 */
export function flowersToTell(p1: number, p2: number): number | null {
  const q = (p1 + p2) / 2;
  const [sure, likely] = [normalQuantile(0.975), normalQuantile(0.8)];
  const reach = sure * Math.sqrt(2 * q * (1 - q)) + likely * Math.sqrt(p1 * (1 - p1) + p2 * (1 - p2));
  const n = Math.ceil((reach / (p1 - p2)) ** 2);
  return n <= MOST_FLOWERS ? n : null;
}
