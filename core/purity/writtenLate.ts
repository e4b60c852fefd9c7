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
 * Links with what was added to them later, where they were seen: the entry that put one right is cited as well, and what was written after
 * the day that followed is evidence from memory. `flowers`: the fruit's own and its males.
 */
export function withItsWriting(
  links: readonly ProofLink[],
  flowers: readonly Flower[],
  day: DayOf,
): ProofLink[] {
  const times = new Map(flowers.flatMap(entriesOf).map(({ event, at }) => [event, at]));
  const putRight = flowers.flatMap((flower) => flower.putRight);
  const late = (said: EventId, of: EventId) => {
    const at = times.get(of);
    return at !== undefined && daysBetween(day(Date.parse(at)), day(writtenAt(said))) > 1;
  };
  return links.map((link) => {
    if (link.state !== 'seen') return link;
    const field = FIELD_OF[link.link];
    const added = putRight.filter(
      ({ target, fields }) =>
        link.events.includes(target) &&
        fields.some((each) => each === 'at' || each === field || each === 'result'),
    );
    const fromMemory =
      added.some(({ event, target }) => late(event, target)) ||
      link.events.some((event) => late(event, event));
    return {
      ...link,
      events: [...link.events, ...added.map(({ event }) => event)],
      ...(fromMemory ? { late: true } : {}),
    };
  });
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
