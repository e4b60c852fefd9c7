import type { Crop } from '../crops';
import type { Draft, Flower, Pollination, State } from '../ledger';
import { atLocalTime, addDays, localDateOf, toInstant, type Instant, type LocalDate } from '../time';
import type { ProofChain } from './chain';
import type { ProofLinkKind } from './gradeProof';
import { SHUT_DAYS } from './keptShut';
import type { LinkSays, ProofLink } from './proofLink';

/** An answer that can still be given: what the link says then, and what is written. */
export interface Addition {
  readonly says: LinkSays;
  readonly drafts: readonly Draft[];
  /** The time of what was seen; `null`: it is an answer added to an entry that has its own. */
  readonly at: Instant | null;
}

/** A link that nobody answered on the spot, and the answers that can be added. */
export interface Addable {
  readonly link: ProofLinkKind;
  /** Which answer is asked for, where a link has several. */
  readonly asks: LinkSays;
  readonly answers: readonly Addition[];
  /** The days on which it may have been looked at, where that has to be said: its answers come from `keptShutOn`. */
  readonly days: readonly LocalDate[];
}

/** How a closure can have been found. */
const FOUND = ['whole', 'torn', 'holed', 'insect'] as const;
/** Up to so many days after it had to hold a look at a closure says that it held [M]. */
const LOOKED_WITHIN = 3;

/**
 * What can still be said of a fruit's links, by whoever was there: each answer with the time of what it speaks of, or added to the entry
 * that lacks it. When it was written down stays on record as well.
 */
export function addableTo(
  flower: Flower,
  { links, way }: ProofChain,
  crop: Crop,
  state: Pick<State, 'flowers'>,
  today: LocalDate,
  zone: string,
): Addable[] {
  if (way === 'open') return [];
  return links.flatMap((link) =>
    link.state === 'not-recorded' ? answersTo(link, flower, crop, state, today, zone) : [],
  );
}

function answersTo(
  link: ProofLink,
  flower: Flower,
  crop: Crop,
  state: Pick<State, 'flowers'>,
  today: LocalDate,
  zone: string,
): Addable[] {
  const worked = flower.pollinations.at(-1);
  const one = (asks: LinkSays, ...answers: Addition[]): Addable[] =>
    answers.length > 0 ? [{ link: link.link, asks, answers, days: [] }] : [];
  const about = (wanted: (visit: Pollination) => boolean) => flower.pollinations.filter(wanted);
  switch (link.link) {
    case 'shut-before':
      return one('shut', ...stillShut(flower, link));
    case 'whole':
      return worked && flower.shuttings.length > 0
        ? one('whole', ...FOUND.map((says) => found(flower, says, worked.at)))
        : [];
    case 'anthers-out':
      return one('anthers-out', ...anthersOut(flower, link));
    case 'fathers':
      return one('pure-fathers', ...malesWhole(flower, link, state));
    case 'clean': {
      const unsaid = about(({ clean }) => clean === null);
      return one(
        'clean',
        put('clean', flower, unsaid, { clean: true }),
        put('carried-over', flower, unsaid, { clean: false }),
      );
    }
    case 'no-insect': {
      const unsaid = about(({ beeIn }) => beeIn === null);
      return one(
        'no-bee',
        put('no-bee', flower, unsaid, { beeIn: false }),
        put('bee-in', flower, unsaid, { beeIn: true }),
      );
    }
    case 'shut-again': {
      const unsaid = about(({ shutAgain }) => shutAgain === null);
      const worn = flower.shuttings.at(-1)?.closure;
      return one(
        'shut',
        ...(worn ? [put('shut', flower, unsaid, { shutAgain: worn })] : []),
        put('left-open', flower, unsaid, { shutAgain: null }),
      );
    }
    case 'kept-shut':
      return worked ? keptShut(link, worked, crop, today, zone) : [];
    case 'mark-read':
      return one('read', ...markRead(flower, link));
    case 'marked':
      return [];
  }
}

/** Added to each entry that lacks the answer. */
function put(
  says: LinkSays,
  { id }: Flower,
  entries: readonly { readonly event: string }[],
  changes: Readonly<Record<string, unknown>>,
): Addition {
  return {
    says,
    drafts: entries.map(({ event }) => ({ kind: 'corrected', subject: id, target: event, changes })),
    at: null,
  };
}

function found({ id }: Flower, result: (typeof FOUND)[number], at: Instant): Addition {
  return { says: result, drafts: [{ kind: 'closureChecked', flower: id, result }], at };
}

function stillShut(flower: Flower, { says }: ProofLink): Addition[] {
  const [shut] = flower.shuttings;
  return shut && says === 'shut-after-opening' ? [put('shut', flower, [shut], { stillShut: true })] : [];
}

/** Taken out at the visit on which it was bagged (common practice). */
function anthersOut(flower: Flower, { says }: ProofLink): Addition[] {
  const [shut] = flower.shuttings;
  return says === 'nobody-said' && shut && flower.emasculated === null
    ? [{ says: 'anthers-out', drafts: [{ kind: 'emasculated', flower: flower.id }], at: shut.at }]
    : [];
}

/** The males of its visits at whose closure nobody looked, where each is known. */
function malesWhole(flower: Flower, { says }: ProofLink, state: Pick<State, 'flowers'>): Addition[] {
  if (says !== 'father-not-recorded') return [];
  return flower.pollinations.slice(-1).flatMap(({ at, fathers }) => {
    const males = fathers.flatMap((father) => father.flowers.flatMap((id) => state.flowers.get(id) ?? []));
    const unseen = males.filter(({ shuttings, checks }) => shuttings.length > 0 && checks.length === 0);
    if (unseen.length === 0) return [];
    const drafts = unseen.map(({ id }): Draft => ({ kind: 'closureChecked', flower: id, result: 'whole' }));
    return [{ says: 'pure-fathers', drafts, at } as const];
  });
}

function markRead(flower: Flower, { says }: ProofLink): Addition[] {
  const last = flower.harvested ?? flower.looks.at(-1);
  return says === 'not-read' && last && last.markRead === null
    ? [
        put('read', flower, [last], { markRead: true }),
        put('unreadable', flower, [last], { markRead: false }),
      ]
    : [];
}

function keptShut(
  { says, link }: ProofLink,
  worked: Pollination,
  { family }: Crop,
  today: LocalDate,
  zone: string,
): Addable[] {
  if (says !== 'not-looked-at') return [];
  const first = addDays(localDateOf(Date.parse(worked.at), zone), SHUT_DAYS[family]);
  const days = Array.from({ length: LOOKED_WITHIN }, (_, i) => addDays(first, i)).filter(
    (day) => day <= today,
  );
  return days.length > 0 ? [{ link, asks: 'stayed-shut', answers: [], days }] : [];
}

/** How its closure was found on a day, at an hour of the garden. */
export function keptShutOn(flower: Flower, day: LocalDate, hour: number, zone: string): Addition[] {
  return FOUND.map((says) => found(flower, says, toInstant(atLocalTime(day, hour, 0, zone))));
}
