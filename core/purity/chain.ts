import { DEFAULT_SCHOOLS, hasCone, type SchoolChoices } from '../crops';
import type { EventId } from '../ids';
import type { Flower, State } from '../ledger';
import { growing, mainPatch, type Growing } from '../patch';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';
import { fitForSeed, type FitReason, type SeedTables } from './fitForSeed';
import { FATHER_ODD, odditiesOf, twinsOf, type Oddity } from './oddities';
import { SHUT_DAYS } from './keptShut';
import { offspringOff } from './offspring';
import { PROOF_LINKS, type GradedLink, type ProofInput, type ProofLinkKind, type Share } from './gradeProof';

/** What a link says, for words: as `fitForSeed` has it, and what only the whole chain knows. */
export type LinkSays =
  | FitReason['what']
  | 'clean'
  | 'carried-over'
  | 'stayed-shut'
  | 'at-once'
  | 'late'
  | 'no-mark'
  | 'read'
  | 'unreadable'
  | 'not-read'
  | 'marked-again'
  | 'father-off-type'
  | 'mother-off-type'
  | 'offspring-off'
  | 'father-odd'
  | 'two-mothers'
  | 'mark-on-two';

/** One link of a fruit's proof: how it stands, on what entries it rests, and until when it can still be made good. */
export interface ProofLink extends GradedLink {
  readonly says: LinkSays;
  readonly events: readonly EventId[];
  /** The last day on which somebody can still see to it; `null`: it is as it is. */
  readonly until: LocalDate | null;
}

/** The proof of one fruit, link by link. */
export interface ProofChain extends ProofInput {
  readonly links: readonly ProofLink[];
  /** What can't be so as it was written. */
  readonly oddities: readonly Oddity[];
}

/**
 * The chain of evidence of a flower or fruit on a day, from its own entries and those of its fathers. What nobody answered is not
 * recorded. `pressure`: how much foreign pollen an open flower of its stand gets; `null`: nobody looked.
 */
export function proofOf(flower: Flower, state: State, today: LocalDate, pressure: Share | null): ProofChain {
  return chainOf(flower, evidenceFor(flower, state), today, pressure);
}

/** What the record holds for or against one flower's seed, besides its own entries. */
export interface Evidence extends SeedTables {
  /** The flowers whose mark is its own too, itself among them; none: its mark hangs on it alone. */
  readonly twins: readonly Flower[];
  /** The entry that says its offspring were not true; `null`: none says so. */
  readonly offspring: EventId | null;
}

/** All of it that a state holds of a flower. */
export function evidenceFor(flower: Flower, state: State): Evidence {
  const { plants, stands, beds, varieties, patches, flowers } = state;
  return {
    plants,
    stands,
    beds,
    varieties,
    patches,
    flowers,
    twins: twinsOf(flower, state),
    offspring: offspringOff(state).get(flower.id) ?? null,
  };
}

/** `proofOf` from the evidence alone. */
export function chainOf(
  flower: Flower,
  state: Evidence,
  today: LocalDate,
  pressure: Share | null,
): ProofChain {
  const schools: SchoolChoices = mainPatch(state)?.schools ?? DEFAULT_SCHOOLS;
  const found = growing(state, flower.plant);
  const zone = mainPatch(state)?.place?.zone ?? 'UTC';
  const day = (at: string) => localDateOf(Date.parse(at), zone);
  const { reasons } = fitForSeed(flower, state, schools);
  const way = wayOf(flower, found, reasons);
  const about = { flower, found, today, day, schools };
  // How its closure failed, of one that was left to the insects by that.
  const failed = flower.shuttings.length > 0 ? reasons.filter(({ state: how }) => how === 'broken') : [];
  const links =
    way === 'open'
      ? [...fromReasons(failed, flower, state), markedLink(about), readLink(about)]
      : [
          ...fromReasons(reasons, flower, state),
          ...(flower.pollinations.length > 0
            ? [cleanLink(flower)]
            : flower.sex === 'perfect'
              ? []
              : [noFather]),
          ...(way === 'cone' ? [] : [keptShutLink(about, reasons)]),
          markedLink(about),
          readLink(about),
        ];
  const rank = (link: ProofLinkKind) => PROOF_LINKS.indexOf(link);
  const oddities = odditiesOf(flower, state, day);
  return {
    links: links.map((link) => doubted(link, oddities)).sort((a, b) => rank(a.link) - rank(b.link)),
    way,
    pressure,
    oddities,
  };
}

/** A link that rests on what can't be so is not seen, whatever was written. */
function doubted(link: ProofLink, oddities: readonly Oddity[]): ProofLink {
  const odd = (wanted: (what: Oddity['what']) => boolean) => oddities.find(({ what }) => wanted(what));
  const father = link.link === 'fathers' && link.state === 'seen' && odd((what) => FATHER_ODD.has(what));
  if (father) return { ...link, state: 'not-recorded', says: 'father-odd', events: father.events };
  const which = odd((what) => what === 'two-mothers' || what === 'mark-on-two');
  if (link.link !== 'mark-read' || !which) return link;
  const says = which.what === 'two-mothers' ? 'two-mothers' : 'mark-on-two';
  return { ...link, state: 'not-recorded', says, events: which.events, doubtful: true };
}

/** Shut, and no work written down: somebody's pollen it must have had, if it bears seed. */
const noFather: ProofLink = {
  link: 'fathers',
  state: 'not-recorded',
  says: 'no-father',
  events: [],
  until: null,
};

interface About {
  readonly flower: Flower;
  readonly found: Growing | null;
  readonly today: LocalDate;
  readonly day: (at: string) => LocalDate;
  readonly schools: SchoolChoices;
}

/** Links that say whether a flower stood open, as long as nobody had worked it. */
const CLOSURE: ReadonlySet<FitReason['link']> = new Set(['shut-before', 'whole']);

function wayOf(flower: Flower, found: Growing | null, reasons: readonly FitReason[]): ProofChain['way'] {
  const first = reasons.find(({ link }) => link === 'shut-before');
  if (first?.what === 'closed-cone') return 'cone';
  if (first?.what === 'worked-as-it-opened') return 'practical';
  const covered =
    (flower.shuttings.length > 0 &&
      !reasons.some(({ link, state }) => CLOSURE.has(link) && state === 'broken')) ||
    first?.what === 'no-insects-here';
  if (flower.pollinations.length === 0 && !covered)
    return found && hasCone(found.crop) && flower.sex === 'perfect' ? 'cone' : 'open';
  return 'by-hand';
}

/** Which link of the chain a reason of `fitForSeed` speaks of; `null`: of none. */
const LINK_OF: Readonly<Record<FitReason['link'], ProofLinkKind | null>> = {
  'shut-before': 'shut-before',
  whole: 'whole',
  'kept-shut': null,
  kept: null,
  'no-insect': 'no-insect',
  'shut-again': 'shut-again',
  fathers: 'fathers',
  'father-variety': 'fathers',
  'anthers-out': 'fathers',
};

const WORSE: readonly GradedLink['state'][] = ['seen', 'not-recorded', 'broken'];

/** One link each, the worst of what several visits say. */
function fromReasons(reasons: readonly FitReason[], flower: Flower, state: Evidence): ProofLink[] {
  const links = new Map<ProofLinkKind, ProofLink>();
  for (const { link, state: how, what, events } of reasons) {
    const kind = LINK_OF[link];
    if (kind === null) continue;
    const otherVariety = what === 'other-variety';
    const next: ProofLink = {
      link: kind,
      state: how,
      says: what,
      events,
      until: null,
      ...(otherVariety ? { otherVariety } : {}),
    };
    const had = links.get(kind);
    if (!had || WORSE.indexOf(how) > WORSE.indexOf(had.state) || otherVariety) links.set(kind, next);
  }
  const stranger = offTypeFather(flower, state);
  if (stranger) links.set('fathers', stranger);
  return [...links.values()];
}

/** A father, or the mother, found later not to be true to the variety, or what came of its seed. */
function offTypeFather({ pollinations, plant }: Flower, state: Evidence): ProofLink | null {
  const mother = state.plants.get(plant)?.offType ?? null;
  const father = pollinations
    .flatMap(({ fathers }) => fathers)
    .map((each) => state.plants.get(each.plant)?.offType ?? null)
    .find((found) => found !== null);
  const found = mother ?? father;
  if (!found)
    return state.offspring === null
      ? null
      : {
          link: 'fathers',
          state: 'broken',
          says: 'offspring-off',
          events: [state.offspring],
          until: null,
          foreign: true,
        };
  return {
    link: 'fathers',
    state: 'broken',
    says: mother ? 'mother-off-type' : 'father-off-type',
    events: [found.event],
    until: null,
    otherVariety: true,
  };
}

function cleanLink({ pollinations }: Flower): ProofLink {
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

function keptShutLink({ flower, found, today, day }: About, reasons: readonly FitReason[]): ProofLink {
  const opened = reasons.find(({ link }) => link === 'kept-shut');
  const worked = flower.pollinations.at(-1) ?? flower.shuttings.at(-1);
  const link = 'kept-shut';
  const house = reasons.find(({ what }) => what === 'no-insects-here');
  if (house) return { link, state: 'seen', says: 'no-insects-here', events: house.events, until: null };
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

function markedLink({ flower, today, day, schools }: About): ProofLink {
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
  const atOnce = !worked || day(first.at) <= day(worked.at);
  const whenGrowing = schools.marking === 'when-growing';
  return {
    link,
    state: atOnce || whenGrowing ? 'seen' : 'not-recorded',
    says: atOnce ? 'at-once' : 'late',
    events: [first.event],
    until: null,
  };
}

function readLink({ flower, today }: About): ProofLink {
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
