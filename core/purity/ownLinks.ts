import type { SchoolChoices } from '../crops';
import type { Flower } from '../ledger';
import type { Growing } from '../patch';
import { addDays, daysBetween, type LocalDate } from '../time';
import type { FitReason } from './fitForSeed';
import { SHUT_DAYS } from './keptShut';
import type { ProofLink } from './proofLink';

/** A fruit, and what its links hang on. */
export interface About {
  readonly flower: Flower;
  readonly found: Growing | null;
  readonly today: LocalDate;
  readonly day: (at: string) => LocalDate;
  readonly schools: SchoolChoices;
}

/** Shaken inside its cover, with no pollen carried to it: a perfect flower that selfs (common practice). */
export function inItsCover({ sex, pollinations }: Flower, found: Growing | null): boolean {
  return (
    sex === 'perfect' &&
    found?.stand.reason !== 'cross' &&
    pollinations.every(({ fathers, clean }) => fathers.length === 0 && clean === null)
  );
}

/** Whether hands and tool were clean at each visit. */
export function cleanLink({ pollinations }: Flower): ProofLink {
  const dirty = pollinations.find(({ clean }) => clean === false);
  const unsaid = pollinations.find(({ clean }) => clean === null);
  const [state, says, of] = dirty
    ? (['broken', 'carried-over', dirty] as const)
    : unsaid
      ? (['not-recorded', 'nobody-said', unsaid] as const)
      : (['seen', 'clean', pollinations[pollinations.length - 1]] as const);
  return {
    link: 'clean',
    state,
    says,
    events: of ? [of.event] : [],
    until: null,
    ...(dirty ? { foreign: true } : {}),
  };
}

/** Whether the closure was seen whole as long as it has to hold. */
export function keptShutLink({ flower, found, today, day }: About, reasons: readonly FitReason[]): ProofLink {
  const opened = reasons.find(({ link }) => link === 'kept-shut');
  const worked = flower.pollinations.at(-1) ?? flower.shuttings.at(-1);
  const link = 'kept-shut';
  const house = reasons.find(
    ({ what }) => what === 'no-insects-here' || what === 'bees-put-in' || what === 'caged-in-turn',
  );
  if (house) return { link, state: 'seen', says: house.what, events: house.events, until: null };
  if (opened) return { link, state: opened.state, says: opened.what, events: opened.events, until: null };
  const need = found ? SHUT_DAYS[found.crop.family] : 1;
  const wholeLater = worked
    ? flower.checks.find(
        ({ result, at }) => result === 'whole' && daysBetween(day(worked.at), day(at)) >= need,
      )
    : undefined;
  if (wholeLater)
    return { link, state: 'seen', says: 'stayed-shut', events: [wholeLater.event], until: null };
  const last = worked ? addDays(day(worked.at), need + 1) : null;
  return {
    link,
    state: 'not-recorded',
    says: 'not-looked-at',
    events: [],
    until: last !== null && today <= last && flower.coverOffAt === null ? last : null,
  };
}

/** Whether it was marked on the visit on which it was worked. */
export function markedLink({ flower, found, today, day, schools }: About): ProofLink {
  const [first] = flower.markings;
  const worked = flower.pollinations.at(-1);
  const link = 'marked';
  if (!first) {
    const over = flower.lost !== null || flower.harvested !== null;
    return {
      link,
      state: 'not-recorded',
      says: 'no-mark',
      events: [],
      until: over ? null : today,
      ...(over ? { never: true } : {}),
    };
  }
  // Under its cover nothing else could be taken for it: it is marked as that comes off.
  const hidden = inItsCover(flower, found) && flower.coverOffAt !== null;
  const until = hidden ? flower.coverOffAt : worked?.at;
  const atOnce = !until || day(first.at) <= day(until);
  const whenGrowing = schools.marking === 'when-growing';
  return {
    link,
    state: atOnce || whenGrowing ? 'seen' : 'not-recorded',
    says: atOnce ? 'at-once' : 'late',
    events: [first.event],
    until: null,
  };
}

/** Whether its mark was read at the last look, and so told that this is the fruit that was worked. */
export function readLink({ flower, today }: About): ProofLink {
  const { harvested, looks, markLost, marking } = flower;
  const link = 'mark-read';
  // For a while nothing told it from its neighbours; of two marks one may go.
  if (marking && markLost)
    return {
      link,
      state: 'not-recorded',
      says: 'marked-again',
      events: [markLost.event, marking.event],
      until: null,
      doubtful: true,
    };
  const last = harvested ?? looks.at(-1);
  if (last?.markRead === true)
    return { link, state: 'seen', says: 'read', events: [last.event], until: null };
  const over = harvested !== null || flower.lost !== null;
  return {
    link,
    state: 'not-recorded',
    says: last?.markRead === false || markLost ? 'unreadable' : 'not-read',
    events: last ? [last.event] : [],
    until: over ? null : today,
    ...(over ? { never: true } : {}),
    ...(markLost ? { doubtful: true } : {}),
  };
}
