import {
  atRiskOn,
  confidenceFor,
  compareShares,
  clusteredShare,
  countSet,
  dropCurve,
  fatesByDay,
  type Comparison,
  type DropCurve,
  type FateOnDay,
  type FollowedFruit,
  type FruitEnd,
  type SetCount,
} from '../fruitset';
import type { Place, State } from '../ledger';
import { remembered } from '../remember';
import type { LocalDate } from '../time';
import { allCases, eachCasePart, type Case } from './cases';
import { ALL, choicesOf, chosen, type Choice, type Choices } from './choice';
import { byCluster, grouped, sharesBy, type Grouping, type GroupShare } from './grouping';
import { knockedOff, type KnockedShare } from './knocked';
import { setModel, type NoModel, type SetModel } from './model';
import type { CaseNumber } from './numbers';
import { shapeOf, type Shape } from './shape';
import { changedTogether, type Circumstance } from './together';

/** What is asked of the record. */
export interface StudyQuestion {
  readonly today: LocalDate;
  readonly choice: Choice;
  readonly grouping: Grouping;
  /** Two groups to compare; `null`: none picked. */
  readonly pair: readonly [string, string] | null;
  /** What set is drawn along. */
  readonly along: CaseNumber;
}

/** Two groups side by side. */
export interface Pair extends Comparison {
  readonly a: GroupShare;
  readonly b: GroupShare;
  /** How many groups there were to pick two from. */
  readonly among: number;
  readonly together: readonly Circumstance[];
}

/** All that the Fruit place shows of the flowers chosen. */
export interface Study {
  readonly overview: SetCount;
  readonly choices: Choices;
  readonly shares: readonly GroupShare[];
  readonly pair: Pair | null;
  /** By hand, left to insects, before hand work; and what the hands bring against each of the others. */
  readonly hands: { readonly shares: readonly GroupShare[]; readonly pairs: readonly Pair[] };
  readonly curve: DropCurve;
  /** How many are still followed on the days of the axis. */
  readonly atRisk: readonly { readonly day: number; readonly count: number }[];
  readonly fates: readonly FateOnDay[];
  /** How many fruits came to each end. */
  readonly ends: ReadonlyMap<FruitEnd, number>;
  readonly model: SetModel | NoModel;
  readonly shape: Shape;
  /** Knocked off, by who worked it. */
  readonly knocked: readonly KnockedShare[];
  /** Those worked one by one, the latest first. */
  readonly flowers: readonly string[];
}

/** What differs between groups because they were made by it. */
const PARTED: Readonly<Record<Grouping, readonly Circumstance[]>> = {
  variety: ['variety', 'plant'],
  plant: ['plant'],
  how: ['how'],
  father: [],
  hour: ['minutes'],
  hands: ['how'],
};

const AXIS_DAYS = [0, 3, 7, 14, 21, 30, 45, 60] as const;

/** Answers of one choice, kept while only the grouping, the pair or the axis of a curve changes. */
const chosenParts = remembered(
  'chosen',
  // A choice may have come by message, so it is compared by content.
  (cases: readonly Case[], { when, variety, how, father }: Choice, today: LocalDate) => ({
    cases,
    when,
    variety,
    how,
    father,
    today,
  }),
  ({ cases, today, ...choice }) => {
    const some = chosen(cases, choice, today);
    const fruits = some.flatMap(({ followed }): FollowedFruit[] => (followed ? [followed] : []));
    const last = fruits.reduce((most, { by }) => Math.max(most, by), 0);
    const days = AXIS_DAYS.filter((day) => day <= last);
    return {
      some,
      overview: countSet(
        some.map(({ trial }) => trial),
        today,
        // Asked for alone it is shown.
        { before: choice.how === 'before' },
      ),
      ends: endsOf(fruits),
      curve: dropCurve(fruits),
      atRisk: atRiskOn(fruits, days).map((count, i) => ({ day: days[i] as number, count })),
      fates: fatesByDay(fruits),
      shape: shapeOf(some),
      knocked: knockedOff(some),
      flowers: some
        .filter(({ trial }) => trial.kind === 'flower' && trial.facts !== null)
        .sort((a, b) => ((a.trial.at ?? '') < (b.trial.at ?? '') ? 1 : -1))
        .map(({ trial }) => trial.id),
    };
  },
);

function endsOf(fruits: readonly FollowedFruit[]): ReadonlyMap<FruitEnd, number> {
  const ends = new Map<FruitEnd, number>();
  for (const { end } of fruits) if (end !== null) ends.set(end, (ends.get(end) ?? 0) + 1);
  return ends;
}

/**
 * What the record says of the flowers chosen, as things stand on a garden day.
 * @example study(state, place, { today: '2026-07-13', choice: { when: null, variety: null, how: null, father: null }, grouping: 'variety', pair: null, along: 'minutes' }).overview.set // 1
 */
export const study = remembered(
  'study',
  (
    state: State,
    place: Place,
    { today, choice: { when, variety, how, father }, grouping, pair, along }: StudyQuestion,
  ) => ({
    cases: allCases(state, place, today),
    today,
    when,
    variety,
    how,
    father,
    grouping,
    pair,
    along,
  }),
  ({ cases, today, grouping, pair, along, ...choice }): Study => {
    const { some, ...parts } = chosenParts(cases, choice, today);
    const shares = sharesBy(some, grouping);
    return {
      ...parts,
      choices: choicesOf(cases, choice, today),
      shares,
      pair: pair && pairOf(some, grouping, shares, pair),
      hands: handsOf(some),
      model: setModel(some, along),
    };
  },
);

/** The study of everything that Fruit opens with, in steps of some hundred flowers: what is worked out in idle moments isn't waited for. */
export function* studyAhead(state: State, place: Place, today: LocalDate): Generator<void, void> {
  const parts = eachCasePart(state, place, today);
  while (!parts.next().done) yield;
  const cases = allCases(state, place, today);
  yield;
  chosenParts(cases, ALL, today);
  yield;
  study(state, place, { today, choice: ALL, grouping: 'variety', pair: null, along: 'minutes' });
}

function handsOf(cases: readonly Case[]): Study['hands'] {
  const shares = sharesBy(cases, 'hands');
  const pairs = ['insects', 'before'].flatMap(
    (other) => pairOf(cases, 'hands', shares, ['hand', other]) ?? [],
  );
  return { shares, pairs };
}

function pairOf(
  cases: readonly Case[],
  grouping: Grouping,
  shares: readonly GroupShare[],
  [first, second]: readonly [string, string],
): Pair | null {
  const [a, b] = [first, second].map((id) => shares.find((share) => share.id === id));
  if (!a || !b || a.judged === 0 || b.judged === 0) return null;
  const groups = grouped(cases, grouping);
  const [one, two] = [groups.get(a.id) ?? [], groups.get(b.id) ?? []];
  const among = shares.filter(({ judged }) => judged > 0).length;
  const sure = (side: readonly Case[]) => {
    const share = clusteredShare(byCluster(side), confidenceFor(among));
    // Two plants set side by side are asked about themselves.
    return grouping === 'plant' ? { ...share, plants: 2 } : share;
  };
  return {
    ...compareShares(sure(one), sure(two)),
    a,
    b,
    among,
    together: changedTogether(one, two, PARTED[grouping]),
  };
}
