import type { SchoolChoices } from '../crops';
import type { Flower, Shutting } from '../ledger';
import type { Growing } from '../patch';
import type { FitReason, SeedTables } from './fitForSeed';
import { openingHours, type OpeningHours } from './hours';

/** Whether the flower was shut before it opened: the first link of the proof. */
export function shutBefore(
  flower: Flower,
  schools: SchoolChoices,
  found: Growing | null,
  state: SeedTables,
): FitReason {
  const shut = flower.shuttings[0];
  const link = 'shut-before';
  // A tassel is bagged while it sheds; what counts is the bag over it.
  if (found?.crop.family === 'corn' && flower.sex === 'male' && shut)
    return { link, state: 'seen', what: 'shut', events: [shut.event] };
  const worked = flower.pollinations[0];
  const open = flower.sightings.find(({ stage }) => stage === 'open' || stage === 'spent');
  const hours = (at: string) => (found ? openingHours(state, found.crop, Date.parse(at)) : null);
  const inTime = shut && (!open || shut.at <= open.at) && (!worked || shut.at <= worked.at);
  if (inTime) return byItsHours(flower, shut, hours);
  const events = [...(open ? [open.event] : []), ...(worked ? [worked.event] : [])];
  if (!open && !worked)
    // A bud that may still be shut, or a male of which nothing more is known.
    return { link, state: 'not-recorded', what: 'never-shut', events };
  // Tied shut after it was worked, or a male taken as it opened: all that the practical school asks.
  if (schools.proof === 'practical' && (worked ? worked.shutAgain !== 'open' : flower.sex === 'male')) {
    const insects = worked && hours(worked.at)?.insectsFrom;
    return insects !== undefined && insects !== null && Date.parse(worked?.at ?? '') > insects
      ? { link, state: 'broken', what: 'worked-after-insects', events }
      : { link, state: 'seen', what: 'worked-as-it-opened', events };
  }
  return {
    link,
    state: 'broken',
    what: shut ? 'stood-open' : 'never-shut',
    events: [...events, ...(shut ? [shut.event] : [])],
  };
}

/**
 * A closure proves something only if it was on before the flower opened: by the hours of the day on which it was worked, found at dawn or
 * seen open. One put on later proves nothing, unless somebody saw that the flower was still shut; once insects flew it came too late.
 */
function byItsHours(
  { pollinations, checks, sightings, emasculatedAt }: Flower,
  shut: Shutting,
  hoursAt: (at: string) => OpeningHours | null,
): FitReason {
  const link = 'shut-before';
  const seen: FitReason = { link, state: 'seen', what: 'shut', events: [shut.event] };
  // The anthers come out of a flower that is still shut, and its bag goes on at the same visit.
  if (shut.stillShut || emasculatedAt !== null) return seen;
  const opened =
    pollinations[0] ??
    checks.find(({ result }) => result !== 'not-open') ??
    sightings.find(({ stage }) => stage === 'open' || stage === 'spent');
  const hours = opened && hoursAt(opened.at);
  const at = Date.parse(shut.at);
  if (!opened || !hours || at <= hours.opens) return seen;
  const events = [shut.event, opened.event];
  return at > hours.insectsFrom
    ? { link, state: 'broken', what: 'shut-after-insects', events }
    : { link, state: 'not-recorded', what: 'shut-after-opening', events };
}
