import type { Crop } from '../crops';
import type { CheckResult, Flower } from '../ledger';
import { mainPatch, type Growing } from '../patch';
import { daysBetween, localDateOf } from '../time';
import type { FitReason, SeedTables } from './fitForSeed';

/** How a closure looks that lets other pollen in. */
export const OPENED: ReadonlySet<CheckResult> = new Set(['torn', 'holed', 'insect']);

/**
 * How many days after the work a closure must be seen whole: next day, until the silk is brown, or until the petals have fallen [M].
 * What has no rounds, beans and lettuce, selfs in a flower that shuts by itself next day.
 */
export const SHUT_DAYS: Readonly<Record<Crop['family'], number>> = {
  cucurbit: 1,
  corn: 7,
  nightshade: 3,
  strawberry: 3,
  quiet: 1,
};

/**
 * A closure found open after the flower was worked and shut again. Within the days in which it has to keep shut the link is broken. Later a
 * swelling fruit bursts its tape: that says nothing where it was seen whole once those days were over, and else leaves open when it
 * happened (common practice).
 */
export function openedLater(flower: Flower, found: Growing | null, state: SeedTables): FitReason[] {
  const worked = flower.pollinations.at(-1);
  if (!worked) return [];
  const zone = mainPatch(state)?.place?.zone ?? 'UTC';
  const day = (at: string) => localDateOf(Date.parse(at), zone);
  const need = found ? SHUT_DAYS[found.crop.family] : 1;
  for (const { at, result, event } of flower.checks) {
    if (at <= worked.at) continue;
    const after = daysBetween(day(worked.at), day(at));
    if (result === 'whole' && after >= need) return [];
    if (!OPENED.has(result)) continue;
    const state: FitReason['state'] = after <= need ? 'broken' : 'not-recorded';
    return [{ link: 'kept-shut', state, what: result, events: [event] }];
  }
  return [];
}
