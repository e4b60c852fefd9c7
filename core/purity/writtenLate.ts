import { writtenAt, type EventId } from '../ids';
import type { Flower } from '../ledger';
import { daysBetween, type LocalDate } from '../time';
import type { ProofLinkKind } from './gradeProof';
import type { ProofLink } from './proofLink';

/** The field of an entry that a link rests on, where one entry holds several answers. */
const FIELD_OF: Readonly<Partial<Record<ProofLinkKind, string>>> = {
  'shut-before': 'stillShut',
  fathers: 'fathers',
  clean: 'clean',
  'no-insect': 'beeIn',
  'shut-again': 'shutAgain',
  'mark-read': 'markRead',
};

/** The day of an instant (epoch ms) in the garden. */
type DayOf = (at: number) => LocalDate;

/**
 * A link that was seen, with what was added to it later: the entry that put it right is cited as well, and what was written after the day
 * that followed is evidence from memory. `flowers`: the fruit's own and its males.
 */
export function withItsWriting(link: ProofLink, flowers: readonly Flower[], day: DayOf): ProofLink {
  if (link.state !== 'seen') return link;
  const cited = new Set(link.events);
  const field = FIELD_OF[link.link];
  const added = flowers.flatMap(({ putRight }) =>
    putRight.filter(
      ({ target, fields }) =>
        cited.has(target) && fields.some((each) => each === 'at' || each === field || each === 'result'),
    ),
  );
  const times = new Map<EventId, string>();
  for (const flower of flowers) for (const { event, at } of entriesOf(flower)) times.set(event, at);
  const late = (said: EventId, of: string) => daysBetween(day(Date.parse(of)), day(writtenAt(said))) > 1;
  const lateAdded = added.some(({ event, target }) => late(event, times.get(target) ?? ''));
  const lateWritten = link.events.some((event) => {
    const at = times.get(event);
    return at !== undefined && late(event, at);
  });
  const events = added.length === 0 ? link.events : [...link.events, ...added.map(({ event }) => event)];
  return lateAdded || lateWritten ? { ...link, events, late: true } : { ...link, events };
}

function entriesOf(flower: Flower): readonly { readonly event: EventId; readonly at: string }[] {
  const { shuttings, checks, emasculated, pollinations, markings, looks, harvested } = flower;
  return [
    ...shuttings,
    ...checks,
    ...(emasculated ? [emasculated] : []),
    ...pollinations,
    ...markings,
    ...looks,
    ...(harvested ? [harvested] : []),
  ];
}
