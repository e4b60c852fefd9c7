import type { SchoolChoices } from '../crops';
import type { EventId } from '../ids';
import type { Flower, Shutting } from '../ledger';
import type { Growing } from '../patch';
import type { FitReason, SeedTables } from './fitForSeed';
import { openingHours, type OpeningHours } from './hours';

/** Whether the flower was shut before it opened: the first link of the proof. `usedAt`: when a male's pollen was used. */
export function shutBefore(
  flower: Flower,
  schools: SchoolChoices,
  found: Growing | null,
  state: SeedTables,
  usedAt: string | null,
): FitReason {
  const shut = flower.shuttings[0];
  const link = 'shut-before';
  // A tassel is bagged while it sheds; what counts is the bag over it.
  if (found?.crop.family === 'corn' && flower.sex === 'male' && shut)
    return { link, state: 'seen', what: 'shut', events: [shut.event] };
  const worked = flower.pollinations[0];
  const workedAt = worked?.at ?? usedAt;
  const open = flower.sightings.find(({ stage }) => stage === 'open' || stage === 'spent');
  const events = [...(open ? [open.event] : []), ...(worked ? [worked.event] : [])];
  const hours = hoursOf(flower, found, state, usedAt);
  if (shut && (!open || shut.at <= open.at) && (!worked || shut.at <= worked.at))
    return byItsHours(flower, shut, hours, events);
  if (!open && !worked)
    // A bud that may still be shut, or a male of which nothing more is known.
    return { link, state: 'not-recorded', what: 'never-shut', events };
  // Tied shut after it was worked, or a male taken as it opened: all that the practical school asks.
  if (schools.proof === 'practical' && (worked ? worked.shutAgain !== 'open' : flower.sex === 'male'))
    return workedAt && hours && Date.parse(workedAt) > hours.insectsFrom
      ? { link, state: 'broken', what: 'worked-after-insects', events }
      : { link, state: 'seen', what: 'worked-as-it-opened', events };
  return {
    link,
    state: 'broken',
    what: shut ? 'stood-open' : 'never-shut',
    events: [...events, ...(shut ? [shut.event] : [])],
  };
}

/** The opening hours of the day on which a flower was worked, its pollen used, or it was seen open; `null` before any of that. */
export function hoursOf(
  { pollinations, sightings }: Flower,
  found: Growing | null,
  state: SeedTables,
  usedAt: string | null = null,
): OpeningHours | null {
  const open = sightings.find(({ stage }) => stage === 'open' || stage === 'spent');
  const at = pollinations[0]?.at ?? usedAt ?? open?.at;
  return found && at ? openingHours(state, found.crop, Date.parse(at)) : null;
}

/**
 * A closure proves something only if it was on before the flower opened: by the hours of the day on which it was worked, used or seen open.
 * One put on later proves nothing, unless somebody saw that the flower was still shut; once insects flew it came too late.
 */
function byItsHours(
  { emasculated }: Flower,
  shut: Shutting,
  hours: OpeningHours | null,
  opened: readonly EventId[],
): FitReason {
  const link = 'shut-before';
  const at = Date.parse(shut.at);
  // The anthers come out of a flower that is still shut, and its bag goes on at the same visit.
  if (shut.stillShut || emasculated !== null || !hours || at <= hours.opens)
    return { link, state: 'seen', what: 'shut', events: [shut.event] };
  const events = [shut.event, ...opened];
  return at > hours.insectsFrom
    ? { link, state: 'broken', what: 'shut-after-insects', events }
    : { link, state: 'not-recorded', what: 'shut-after-opening', events };
}
