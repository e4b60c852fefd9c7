import { coneShuts, DEFAULT_SCHOOLS, type SchoolChoices } from '../crops';
import { writtenAt } from '../ids';
import type { Flower, PutRight, State } from '../ledger';
import { growing, mainPatch, reasonFor, type Growing } from '../patch';
import { localDateOf, type LocalDate } from '../time';
import { fitForSeed, type FitReason, type SeedTables } from './fitForSeed';
import {
  gradeProof,
  LINK_ORDER,
  type GradedLink,
  type ProofInput,
  type ProofLinkKind,
  type Share,
} from './gradeProof';
import { FATHER_ODD, odditiesOf, twinsOf, type Oddity } from './oddities';
import { offShare, offspringOff, type Offspring } from './offspring';
import { cleanLink, inItsCover, keptShutLink, markedLink, readLink, type About } from './ownLinks';
import { untrueParent } from './parents';
import type { ProofLink } from './proofLink';
import { withItsWriting } from './writtenLate';

/** The proof of one fruit, link by link. */
export interface ProofChain extends ProofInput {
  readonly links: readonly ProofLink[];
  /** What can't be so as it was written. */
  readonly oddities: readonly Oddity[];
  /** Plants grown from its seed, where some were not true; `null`: none was found so. */
  readonly offspring: Offspring | null;
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
  /** What came of its seed, where that was not all true; `null`: nobody found a fault. */
  readonly offspring: Offspring | null;
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
  const stranger = untrueParent(flower, state);
  const own =
    way === 'open'
      ? [...fromReasons(failed), markedLink(about), readLink(about)]
      : linksOf(about, way, reasons);
  const parents = stranger ? [...own.filter(({ link }) => link !== 'fathers'), stranger] : own;
  const rank = (link: ProofLinkKind) => LINK_ORDER.indexOf(link);
  const oddities = odditiesOf(flower, state, day);
  const males = flower.pollinations.flatMap(({ fathers }) =>
    fathers.flatMap(({ flowers }) => flowers.flatMap((id) => state.flowers.get(id) ?? [])),
  );
  const links = withItsWriting(
    parents.map((link) => moved(doubted(link, oddities), flower)),
    [flower, ...males],
    (at) => localDateOf(at, zone),
  );
  const { offspring } = state;
  return {
    links: grownOut({ links, way, pressure }, offspring).sort((x, y) => rank(x.link) - rank(y.link)),
    way,
    pressure,
    oddities,
    offspring,
  };
}

/** The links of a flower that was kept for seed in some way, from how its closure held to its mark. */
function linksOf(about: About, way: ProofChain['way'], reasons: readonly FitReason[]): ProofLink[] {
  const { flower, found } = about;
  const byBees = flower.pollinations.length === 0;
  const bees = reasons.find(({ what }) => what === 'bees-put-in' || what === 'caged-in-turn');
  const cross = found !== null && reasonFor(flower, found) === 'cross';
  const fathers = bees
    ? { ...noFather, state: 'seen' as const, says: bees.what, events: bees.events }
    : noFather;
  const hands = inItsCover(flower, found) ? [] : [cleanLink(flower)];
  // Of what bees of its own worked in a cage any fruit is as good as the next: no mark has to tell them apart.
  const marks = byBees && bees?.what === 'bees-put-in' ? [] : [markedLink(about), readLink(about)];
  const yesterday: ProofLink[] =
    byBees && way === 'in-turn' ? [{ ...noFather, link: 'clean', says: 'bees-of-yesterday' }] : [];
  return [
    ...fromReasons(reasons).map((link) =>
      cross && link.link === 'anthers-out' ? { ...link, ofCross: true } : link,
    ),
    ...(byBees ? (flower.sex === 'perfect' ? [] : [fathers]) : hands),
    ...(way === 'cone' ? [] : [keptShutLink(about, reasons)]),
    ...marks,
    ...yesterday,
  ];
}

/** Where more came untrue of its seed than its evidence leaves room for, the evidence is wrong somewhere. */
function grownOut(
  chain: Omit<ProofInput, 'links'> & { readonly links: readonly ProofLink[] },
  offspring: Offspring | null,
): ProofLink[] {
  if (!offspring || offShare(offspring).atLeast <= gradeProof(chain).foreignShare.high)
    return [...chain.links];
  return [
    ...chain.links.filter(({ link }) => link !== 'fathers'),
    {
      link: 'fathers',
      state: 'broken',
      says: 'offspring-off',
      events: offspring.events,
      until: null,
      foreign: true,
      untrue: true,
    },
  ];
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

/** Said to grow on another plant once it had been worked: it may be that other flower after all. */
function moved(link: ProofLink, { putRight, pollinations, plant }: Flower): ProofLink {
  if (link.link !== 'mark-read') return link;
  const [worked] = pollinations;
  const since = (each: PutRight) => !worked || writtenAt(each.event) >= Date.parse(worked.at);
  const move = putRight.findLast((each) => each.from !== null && each.from !== plant && since(each));
  return move
    ? { ...link, state: 'not-recorded', says: 'moved', events: [move.event], until: null, doubtful: true }
    : link;
}

/** Shut, and no work written down: somebody's pollen it must have had, if it bears seed. */
const noFather: ProofLink = {
  link: 'fathers',
  state: 'not-recorded',
  says: 'no-father',
  events: [],
  until: null,
};

/** Of a flower that needed no closure where it stood. */
const HOUSED: ReadonlySet<FitReason['what']> = new Set(['no-insects-here', 'bees-put-in', 'caged-in-turn']);

/** Links that say whether a flower stood open, as long as nobody had worked it. */
const CLOSURE: ReadonlySet<FitReason['link']> = new Set(['shut-before', 'whole']);

function wayOf(flower: Flower, found: Growing | null, reasons: readonly FitReason[]): ProofChain['way'] {
  const first = reasons.find(({ link }) => link === 'shut-before');
  if (first?.what === 'closed-cone') return 'cone';
  if (first?.what === 'worked-as-it-opened') return 'practical';
  if (first?.what === 'caged-in-turn') return 'in-turn';
  const covered =
    (flower.shuttings.length > 0 &&
      !reasons.some(({ link, state }) => CLOSURE.has(link) && state === 'broken')) ||
    (first !== undefined && HOUSED.has(first.what));
  if (flower.pollinations.length === 0 && !covered)
    return found && coneShuts(found.variety) && flower.sex === 'perfect' ? 'cone' : 'open';
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
  'anthers-out': 'anthers-out',
};

const WORSE: readonly GradedLink['state'][] = ['seen', 'not-recorded', 'broken'];

/** One link each, the worst of what several visits say. */
function fromReasons(reasons: readonly FitReason[]): ProofLink[] {
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
  return [...links.values()];
}
