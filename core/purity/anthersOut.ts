import type { Reason } from '../crops';
import type { Flower } from '../ledger';
import type { Growing } from '../patch';
import type { FitReason, SeedTables } from './fitForSeed';
import { openingHours } from './hours';

/** Whether the flowers that bear fruit have anthers of their own: perfect ones, and the "females" of many melons. */
function hasAnthers({ crop, variety }: Pick<Growing, 'crop' | 'variety'>): boolean {
  return crop.flowers.perfect !== undefined || (variety.system ?? crop.sexSystem.value) === 'andromonoecious';
}

/**
 * Whether her own anthers have to go: for a cross, and in vines where own pollen is never wanted. A tomato for seed selfs on purpose.
 * @example losesAnthers(mother, 'seed', 'allowed') // false
 */
export function losesAnthers(
  of: Pick<Growing, 'crop' | 'variety'>,
  reason: Reason,
  selfing: string | undefined,
): boolean {
  if (!hasAnthers(of)) return false;
  return (
    reason === 'cross' || (reason === 'seed' && selfing === 'never' && of.crop.flowers.perfect === undefined)
  );
}

/** Taken out of a flower that stood open they have shed already: bagged or not, it has selfed. */
export function anthersOut(flower: Flower, found: Growing, state: SeedTables): FitReason {
  const { emasculated, pollinations, sightings } = flower;
  const link = 'anthers-out';
  if (emasculated === null)
    return {
      link,
      state: 'not-recorded',
      what: 'nobody-said',
      events: pollinations.map(({ event }) => event),
    };
  const open = sightings.find(
    ({ stage, at }) => (stage === 'open' || stage === 'spent') && at <= emasculated.at,
  );
  if (open) return { link, state: 'broken', what: 'anthers-late', events: [open.event] };
  return openedBefore(flower, emasculated.at, found, state)
    ? { link, state: 'broken', what: 'anthers-late', events: [emasculated.event] }
    : { link, state: 'seen', what: 'anthers-out', events: [emasculated.event] };
}

/**
 * Whether a vine's flower had opened by then, by the hours of the day on which it was worked: in its bag it opens as any other. Not where
 * somebody saw just before that it was still shut. The bud of a perfect flower is laid bare days before, at any hour.
 */
function openedBefore(
  { pollinations, sightings }: Flower,
  at: string,
  found: Growing,
  state: SeedTables,
): boolean {
  const worked = pollinations[0];
  if (!worked || found.crop.flowers.perfect) return false;
  const hours = openingHours(state, found.crop, Date.parse(worked.at));
  if (!hours || Date.parse(at) <= hours.opens) return false;
  return !sightings.some((seen) => seen.at <= at && Date.parse(seen.at) > hours.opens);
}
