import { mustBe } from '../errors';
import { leastCostFlow } from './transport';

/** A female that wants pollen. */
export interface PollenFemale {
  readonly id: string;
  readonly plant: string;
  readonly variety: string;
  /** The father's variety where a cross is asked for; else its own. */
  readonly fatherVariety?: string;
  /** What a pollination of it is worth against the others; above 0. */
  readonly value: number;
  /** Males it should get, 1 to 4. */
  readonly wants: number;
  readonly purpose: 'seed' | 'kitchen';
}

/** A male that has some. */
export interface PollenMale {
  readonly id: string;
  readonly plant: string;
  readonly variety: string;
  /** Shut before it opened and found whole: the only pollen fit for seed. */
  readonly pure: boolean;
  /** Females it may still serve; `femalesPerMale` when left out. */
  readonly serves?: number;
  /** Picked already: its pollen is in the hands, and would be wasted. */
  readonly picked?: boolean;
}

/** Who may serve whom. */
export interface PollenRules {
  readonly selfing: 'others-first' | 'allowed' | 'never';
  /** How many females one male may serve; 1 or more. */
  readonly femalesPerMale: number;
  /** Kinship of two plants, 0..1, where lineage is known. */
  readonly kinship?: (mother: string, father: string) => number;
  /** What a plant gave before, in fruits, where the season is to be evened out and not this morning alone. */
  readonly already?: (father: string) => number;
}

/** One male for one female. */
export interface PollenPair {
  readonly female: string;
  readonly male: string;
}

/** A female with fewer males than she wants, and why. */
export interface Unmet {
  readonly female: string;
  readonly missing: number;
  readonly why: 'no-male' | 'only-own' | 'too-few';
}

/** The matching: every pair, and what is left wanting. */
export interface PollenMatch {
  readonly pairs: readonly PollenPair[];
  readonly unmet: readonly Unmet[];
  /** What was minimised among the matchings with most pairs; see `matchPollen`. */
  readonly objective: number;
}

/** Worth of a female's first, second, third and fourth male, as a share of her value [M]: uneven pollen starts at one. */
export const MALE_GAINS = [1, 0.5, 0.25, 0.125] as const;
const PER_VALUE = 1000;
/** A father akin like a full sibling (0.25) costs as much as a tenth of a female's first male [M]. */
const PER_KINSHIP = 400;
/** A male still to be fetched, where others are in hand [M]: more than evenness counts, less than kin or a mother's worth. */
const PER_FETCH = 40;
/** Weight of the sum of squares of a father's uses: equal use gives the largest effective size. */
const PER_SQUARE = 1;

/**
 * Which male goes to which female: exact optimum. As many pairs as can be; among those the least of
 * `-1000 value gain(n) + 400 kinship + (uses of a father plant)^2` summed over females (gains 1, 1/2, 1/4, 1/8 of
 * the first to fourth male), pairs and father plants. So females of more worth go first when males are short, close kin are
 * avoided, and fathers are used evenly, over the season where `already` says what they gave before. What is in hand goes before what is still to be fetched (40 each). Males of one plant are alike (those that may serve fewer, or are in hand, are groups of their own); a female gets no male twice. Where other
 * plants come first, own males only go to females left without any, as a second matching. For seed only pure males.
 * Throws `wants`, `value` or `femalesPerMale` out of range.
 */
export function matchPollen({
  females,
  males,
  rules,
}: {
  readonly females: readonly PollenFemale[];
  readonly males: readonly PollenMale[];
  readonly rules: PollenRules;
}): PollenMatch {
  check(females, rules);
  const groups = groupsOf(males, rules.femalesPerMale);
  const sharing = beginSharing(groups, females);
  const own = rules.selfing;
  const run = (fits: Fits, most: (j: number) => number) => give(sharing, groups, females, rules, fits, most);
  const usable = ({ variety, pure }: Group, female: PollenFemale) =>
    variety === (female.fatherVariety ?? female.variety) && (pure || female.purpose === 'kitchen');
  run(
    (group, female) => usable(group, female) && (own === 'allowed' || group.plant !== female.plant),
    (j) => (females[j] as PollenFemale).wants,
  );
  if (own === 'others-first') {
    const without = sharing.got.map((count) => count === 0);
    run(
      (group, female, j) => usable(group, female) && group.plant === female.plant && without[j] === true,
      (j) => (without[j] ? (females[j] as PollenFemale).wants : 0),
    );
  }
  return {
    pairs: handedOut(groups, females, sharing.flow),
    unmet: females.flatMap((female, j) => {
      const missing = female.wants - (sharing.got[j] as number);
      if (missing <= 0) return [];
      const able = groups.filter((group) => usable(group, female));
      const why =
        able.length === 0
          ? 'no-male'
          : able.every(({ plant }) => plant === female.plant)
            ? 'only-own'
            : 'too-few';
      return [{ female: female.id, missing, why }];
    }),
    objective: sharing.objective,
  };
}

/** What has been handed out so far. */
interface Sharing {
  /** Males each group may still send. */
  readonly left: number[];
  /** Males each female has got. */
  readonly got: number[];
  /** Uses of each group. */
  readonly uses: number[];
  readonly flow: number[][];
  objective: number;
}

type Fits = (group: Group, female: PollenFemale, j: number) => boolean;

function beginSharing(groups: readonly Group[], females: readonly PollenFemale[]): Sharing {
  return {
    left: groups.map(({ males: alike, each }) => alike.length * each),
    got: females.map(() => 0),
    uses: groups.map(() => 0),
    flow: groups.map(() => females.map(() => 0)),
    objective: 0,
  };
}

/** One matching on top of what was handed out before: as many pairs as can be, then the least cost; the sharing takes it in. */
function give(
  sharing: Sharing,
  groups: readonly Group[],
  females: readonly PollenFemale[],
  rules: PollenRules,
  fits: Fits,
  most: (j: number) => number,
): void {
  const { left, got, uses, flow } = sharing;
  const inHand = groups.some(({ picked }) => picked);
  const pairCost = (group: Group, female: PollenFemale) =>
    PER_KINSHIP * (rules.kinship?.(female.plant, group.plant) ?? 0) +
    (inHand && !group.picked ? PER_FETCH : 0);
  const best = females.reduce((high, { value }) => Math.max(high, value), 0);
  const before = [...uses];
  const earlier = groups.map(({ plant }) => rules.already?.(plant) ?? 0);
  const had = [...got];
  const found = leastCostFlow({
    sources: groups.length,
    sinks: females.length,
    supply: (i) => left[i] as number,
    demand: most,
    most: (i) => (groups[i] as Group).males.length,
    cost: (i, j) => {
      const group = groups[i] as Group;
      const female = females[j] as PollenFemale;
      return fits(group, female, j) ? pairCost(group, female) : null;
    },
    supplyCost: (i, n) => usesCost((earlier[i] as number) + (before[i] as number) + n),
    // Worth is turned into cost by what is missing to the best, which is the same for every count of pairs.
    demandCost: (j, n) =>
      PER_VALUE *
      (best - (females[j] as PollenFemale).value * (MALE_GAINS[(had[j] as number) + n] as number)),
  });
  for (const [i, row] of found.entries())
    for (const [j, visits] of row.entries()) {
      if (visits === 0) continue;
      const female = females[j] as PollenFemale;
      for (let k = 0; k < visits; k++) {
        sharing.objective -= PER_VALUE * female.value * (MALE_GAINS[got[j] as number] as number);
        sharing.objective += usesCost((earlier[i] as number) + (uses[i] as number));
        got[j] = (got[j] as number) + 1;
        uses[i] = (uses[i] as number) + 1;
        left[i] = (left[i] as number) - 1;
      }
      sharing.objective += visits * pairCost(groups[i] as Group, female);
      (flow[i] as number[])[j] = ((flow[i] as number[])[j] as number) + visits;
    }
}

/** What one use more adds to the square of a father's uses. */
const usesCost = (uses: number) => PER_SQUARE * (2 * uses + 1);

interface Group {
  readonly plant: string;
  readonly variety: string;
  readonly pure: boolean;
  readonly picked: boolean;
  readonly males: readonly string[];
  /** Females each of them may still serve. */
  readonly each: number;
}

function groupsOf(males: readonly PollenMale[], femalesPerMale: number): Group[] {
  const groups = new Map<string, Group & { males: string[] }>();
  for (const { id, plant, variety, pure, serves: each = femalesPerMale, picked = false } of males) {
    if (each <= 0) continue;
    const key = `${plant}/${variety}/${pure}/${each}/${picked}`;
    const group = groups.get(key);
    if (group) group.males.push(id);
    else groups.set(key, { plant, variety, pure, picked, males: [id], each });
  }
  return [...groups.values()];
}

/** Names the males: in turn, so that none comes twice to one female and none serves more than its share. */
function handedOut(
  groups: readonly Group[],
  females: readonly PollenFemale[],
  flow: readonly (readonly number[])[],
): PollenPair[] {
  const pairs: PollenPair[] = [];
  for (const [i, { males }] of groups.entries()) {
    let turn = 0;
    for (const [j, { id }] of females.entries())
      for (let k = 0; k < ((flow[i] as number[])[j] as number); k++)
        pairs.push({ female: id, male: males[turn++ % males.length] as string });
  }
  return pairs;
}

function check(females: readonly PollenFemale[], rules: PollenRules): void {
  for (const { id, wants, value } of females) {
    if (!Number.isInteger(wants) || wants < 1 || wants > MALE_GAINS.length)
      throw mustBe('matchPollen', 'wants', 'a whole number from 1 to 4', `${wants} for ${id}`);
    if (!(value > 0 && Number.isFinite(value)))
      throw mustBe('matchPollen', 'value', 'above 0', `${value} for ${id}`);
  }
  if (!Number.isInteger(rules.femalesPerMale) || rules.femalesPerMale < 1)
    throw mustBe('matchPollen', 'femalesPerMale', 'a whole number, 1 or more', rules.femalesPerMale);
}
