import type { LinkState } from './fitForSeed';
import { atMost, likelyShare, mixed, quantile, unsure, WORST_SHARE, type ShareDistribution } from './shares';

/** The links that make a fruit pure, in the order in which they are made (common practice). */
export const PROOF_LINKS = [
  'shut-before',
  'whole',
  'fathers',
  'clean',
  'no-insect',
  'shut-again',
  'kept-shut',
  'marked',
  'mark-read',
] as const;
/**
 * One link of the proof of a fruit. `anthers-out`: whether a mother with anthers of her own lost them in time, where they are not wanted;
 * it lets in no foreign pollen, but her own.
 */
export type ProofLinkKind = (typeof PROOF_LINKS)[number] | 'anthers-out';
/** All of them, in the order in which they are made. */
export const LINK_ORDER: readonly ProofLinkKind[] = PROOF_LINKS.flatMap((link) =>
  link === 'whole' ? ([link, 'anthers-out'] as const) : [link],
);

/**
 * sound: every link seen. good: one or two not recorded, or written from memory. fair: more, or worked as it opened. distance-only: open to insects, or a closure
 * that failed. not-pure: known foreign pollen, or a parent not true to its variety.
 */
export const GRADES = ['sound', 'good', 'fair', 'distance-only', 'not-pure'] as const;
export type Grade = (typeof GRADES)[number];

/** One link as far as it bears on the grade. */
export interface GradedLink {
  readonly link: ProofLinkKind;
  readonly state: LinkState;
  /** Pollen of another variety was used: all that this father gave may be foreign. */
  readonly otherVariety?: boolean;
  /** Foreign pollen is known to have been there: what only failed to keep it out is no better and no worse than an open flower. */
  readonly foreign?: boolean;
  /** It is not certain that this is the fruit that was worked. */
  readonly doubtful?: boolean;
  /** It was seen, but only written down after the day that followed: from memory. */
  readonly late?: boolean;
  /** It decides whether the fruit is of a cross at all. */
  readonly ofCross?: boolean;
  /** A parent, or what came of the seed, was not true to the variety. */
  readonly untrue?: boolean;
  /** Nothing ever told this fruit from its neighbours, and nothing will: it was picked, and its mark not read. */
  readonly never?: boolean;
}

/** What is known of a fruit: its links (those that do not apply to its crop left out), and what foreign pollen is about. */
export interface ProofInput {
  readonly links: readonly GradedLink[];
  /**
   * by-hand: shut and worked. practical: worked as it opened, then shut. cone: a closed cone, not bagged. in-turn: left
   * to bees on a day on which the others that cross with it were caged. open: left to the insects.
   */
  readonly way: 'by-hand' | 'practical' | 'cone' | 'in-turn' | 'open';
  /** Share of foreign pollen that an open flower there gets; `null`: nobody looked what grows about. */
  readonly pressure: Share | null;
}

/** A share, 0 to 1: what is likely, and within what it may well lie. */
export interface Share {
  readonly low: number;
  readonly likely: number;
  readonly high: number;
}

/** What a proof comes to. */
export interface Proof {
  readonly grade: Grade;
  /** A parent, or what came of the seed, was not true to the variety: whatever its closures were. */
  readonly untrue: boolean;
  /** Share of seeds with a foreign father. */
  readonly foreignShare: Share;
  /** Share of seeds of the mother's own pollen, where that was not wanted; `null`: it was, or she has none of her own. */
  readonly selfedShare: Share | null;
  /** Whether a wanted cross is proven: her anthers were out in time. `null`: no cross was wanted. */
  readonly cross: boolean | null;
  /** The link that weighs most against it; `null` where every link was seen. */
  readonly weakest: ProofLinkKind | null;
  /** Each link that was not seen, the one that weighs most first. */
  readonly reasons: readonly GradedLink[];
}

/** Where nobody looked what grows about: from next to nothing to a rival a few beds off [M]. */
const UNKNOWN: Share = { low: 0.01, likely: 0.1, high: 0.35 };

/** How a link fails: how often, and what share of the foreign pollen about (or of all pollen) then comes in, usually and at worst [M]. */
interface Failing {
  /** Although it was seen to hold; where nobody recorded it. */
  readonly seen: number;
  readonly unrecorded: number;
  readonly usual: number;
  readonly worst: number;
  /** Whether that is a share of what is about (`pressure`), or of all pollen. */
  readonly of: 'about' | 'all';
}

/**
 * How links fail [M]. A flower that was open before the work had foreign pollen first; what comes in after a full load of one's own
 * finds less room, and the next day hardly any. Held to a simulation that shares none of this (`bench/proof.ts`).
 */
const FAILING: Readonly<Record<ProofLinkKind, Failing>> = {
  'shut-before': { seen: 0.001, unrecorded: 0.2, usual: 0.2, worst: 0.9, of: 'about' },
  whole: { seen: 0.004, unrecorded: 0.08, usual: 0.05, worst: 0.8, of: 'about' },
  'anthers-out': { seen: 0, unrecorded: 0, usual: 0, worst: 0, of: 'about' },
  fathers: { seen: 0.004, unrecorded: 0.06, usual: 0.2, worst: 1, of: 'about' },
  clean: { seen: 0.004, unrecorded: 0.02, usual: 0.03, worst: 0.1, of: 'all' },
  'no-insect': { seen: 0.004, unrecorded: 0.06, usual: 0.05, worst: 0.5, of: 'about' },
  'shut-again': { seen: 0.003, unrecorded: 0.07, usual: 0.06, worst: 0.7, of: 'about' },
  'kept-shut': { seen: 0.003, unrecorded: 0.06, usual: 0.02, worst: 0.4, of: 'about' },
  marked: { seen: 0.001, unrecorded: 0.03, usual: 1, worst: 1, of: 'about' },
  'mark-read': { seen: 0.001, unrecorded: 0.03, usual: 1, worst: 1, of: 'about' },
};
/** How often it is another fruit, where a lost mark was put on again by what was remembered [M]. */
const DOUBTFUL = 0.2;
/** Pollen of another variety on the stigma: half of the fathers, or all [M]. */
const OTHER_VARIETY = { usual: 0.6, worst: 1 };
/** A closed cone that nobody bagged gets so much of what is about [M]; `pressure` is reckoned for its crop already. */
const CONE = { usual: 0.7, worst: 1 };

/** Chances of a foreign pollen as low, likely and high as it is reckoned. */
const ABOUT = [
  ['low', 0.25],
  ['likely', 0.5],
  ['high', 0.25],
] as const;
/** The range: in one of ten it lies below, in one of twenty above, the upper end with some room for what no reckoning knows. */
const LOW_AT = 0.1;
const HIGH_AT = 0.98;

/**
 * What a fruit's evidence comes to: its grade, and the share of its seed that may have a foreign father, by how often each link fails
 * and what then comes in. A default is no evidence: what nobody recorded counts as such. Grades and links: common practice (the
 * numbers are our modelling choice).
 *
 * @example gradeProof({ links: [{ link: 'whole', state: 'broken' }], way: 'by-hand', pressure: null }).grade // 'distance-only'
 */
export function gradeProof(chain: ProofInput): Proof {
  const { likely: about } = chain.pressure ?? UNKNOWN;
  const weight = (link: GradedLink) => {
    const { chance, usual, worst } = failureOf(link, about);
    return chance * (usual * (1 - WORST_SHARE) + worst * WORST_SHARE);
  };
  const reasons = chain.links
    .filter(({ state }) => state !== 'seen')
    .map((link) => ({ link, broken: link.state === 'broken', weighs: weight(link) }))
    .sort((a, b) => Number(b.broken) - Number(a.broken) || b.weighs - a.weighs)
    .map(({ link }) => link);
  return {
    grade: gradeOf(chain),
    untrue: chain.links.some(({ untrue }) => untrue),
    foreignShare: known(chain).range,
    selfedShare: selfedShare(chain),
    cross: crossed(chain),
    weakest: reasons[0]?.link ?? null,
    reasons,
  };
}

function gradeOf({ links, way }: ProofInput): Grade {
  if (links.some(({ otherVariety, foreign }) => otherVariety || foreign)) return 'not-pure';
  if (way === 'open' || links.some(({ state }) => state === 'broken')) return 'distance-only';
  const wanting = links.filter(({ state }) => state === 'not-recorded').length;
  const unproven = links.some(
    ({ doubtful, never, ofCross, state }) => doubtful || never || (ofCross && state !== 'seen'),
  );
  if (way !== 'by-hand' || wanting > 2 || unproven) return 'fair';
  return wanting > 0 || links.some(({ late }) => late) ? 'good' : 'sound';
}

/** Where her anthers should have been out: how much of the seed may then be of her own pollen [M]. */
const SELFED: Readonly<Record<LinkState, Share>> = {
  seen: { low: 0, likely: 0.01, high: 0.05 },
  'not-recorded': { low: 0.02, likely: 0.3, high: 0.9 },
  broken: { low: 0.15, likely: 0.6, high: 0.98 },
};

function selfedShare({ links }: ProofInput): Share | null {
  const anthers = links.find(({ link }) => link === 'anthers-out');
  return anthers ? SELFED[anthers.state] : null;
}

function crossed({ links }: ProofInput): boolean | null {
  const anthers = links.find(({ ofCross }) => ofCross);
  return anthers ? anthers.state === 'seen' : null;
}

/** The range and the mean of a share that is not known for certain. */
export function rangeOf(shares: ShareDistribution): Share {
  const likely = likelyShare(shares);
  // Where nearly all is clean the rare failure lies beyond both ends, and still counts for what is likely.
  return {
    low: Math.min(likely, quantile(shares, LOW_AT)),
    likely,
    high: Math.max(likely, quantile(shares, HIGH_AT)),
  };
}

/** How likely each share is, and its range. */
interface Known {
  readonly shares: ShareDistribution;
  readonly range: Share;
}

/**
 * Thousands of fruits have a few dozen kinds of chain among them; beyond so many, the memory is begun anew. Not `remembered`, as chains are
 * made anew each time: kept under all that `reckoned` reads, as text, and so never older than what it was asked.
 */
const MOST_KEPT = 6000;
const kept = new Map<string, Known>();

/** How likely each share of foreign seed is, by the links. */
export function sharesOf(chain: ProofInput): ShareDistribution {
  return known(chain).shares;
}

function known(chain: ProofInput): Known {
  const key = keyOf(chain);
  const found = kept.get(key);
  if (found) return found;
  if (kept.size >= MOST_KEPT) kept.clear();
  const shares = reckoned(chain);
  const made = { shares, range: rangeOf(shares) };
  kept.set(key, made);
  return made;
}

function keyOf({ links, way, pressure }: ProofInput): string {
  const { low, likely, high } = pressure ?? UNKNOWN;
  const said = links.map(
    ({ link, state, otherVariety, doubtful, late }) =>
      `${link}${state}${otherVariety ? 'o' : ''}${doubtful ? 'd' : ''}${late ? 'l' : ''}`,
  );
  return `${way} ${low} ${likely} ${high} ${said.join()}`;
}

function reckoned({ links, way, pressure }: ProofInput): ShareDistribution {
  const about = pressure ?? UNKNOWN;
  const given = (link: GradedLink) => link.otherVariety === true || FAILING[link.link].of === 'all';
  return mixed(
    ABOUT.map(([which, chance]) => {
      const flying = about[which];
      const ofThem = (those: readonly GradedLink[]) => those.map((link) => failureOf(link, flying));
      // However much failed, what flies about brings no more than it brings to an open flower; what was given by hand comes on top.
      const open = atMost(
        unsure([...ofThem(links.filter((link) => !given(link))), ...wayOf(way, flying)]),
        flying,
      );
      return [chance, unsure(ofThem(links.filter(given)), open)];
    }),
  );
}

type Failure = Parameters<typeof unsure>[0][number];

function failureOf({ link, state, otherVariety, doubtful, late }: GradedLink, about: number): Failure {
  const { seen, unrecorded, usual, worst, of } = FAILING[link];
  if (otherVariety) return { chance: 1, ...OTHER_VARIETY };
  // What was written from memory is worth half of what was written on the spot [M].
  const held = late ? (seen + unrecorded) / 2 : seen;
  const chance = state === 'broken' ? 1 : state === 'seen' ? held : doubtful ? DOUBTFUL : unrecorded;
  const part = of === 'about' ? about : 1;
  return { chance, usual: usual * part, worst: worst * part };
}

function wayOf(way: ProofInput['way'], about: number): Failure[] {
  // On its day the bees bring what comes from next door, as to any open flower.
  if (way === 'open' || way === 'in-turn') return [{ chance: 1, usual: about, worst: about }];
  if (way === 'cone') return [{ chance: 1, usual: CONE.usual * about, worst: CONE.worst * about }];
  // Worked as it opened: an early bee may have been first.
  return way === 'practical' ? [{ chance: 0.15, usual: 0.5 * about, worst: about }] : [];
}
