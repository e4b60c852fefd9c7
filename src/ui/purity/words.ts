import {
  offShare,
  type Grade,
  type LinkSays,
  type Oddity,
  type Offspring,
  type ProofLink,
  type ProofLinkKind,
  type Share,
} from '@core/purity';
import type { FlowerId } from '@core/ids';
import type { State } from '@core/ledger';
import { growing } from '@core/patch';
import { shortDayText } from '@core/time';
import { flowerText } from '../words';

/** What a link says, in words. */
export const reasonText: Record<LinkSays, string> = {
  shut: 'shut in time',
  'no-insects-here': 'alone of its kind where no insect gets in',
  'bees-put-in': 'alone of its kind in a shut cage, with bees of its own put in',
  'caged-in-turn': 'open on its own day, while all that cross with it were caged',
  'bees-of-yesterday': 'bees may carry pollen of the day before',
  'never-shut': 'not shut before it opened',
  'stood-open': 'stood open before it was shut',
  'shut-after-opening': 'shut after such flowers began to open, and nobody said that it was still shut',
  'shut-after-insects': 'shut after insects had begun to fly',
  'worked-after-insects': 'open and not shut, and worked after insects had begun to fly',
  'worked-as-it-opened': 'worked as it opened, then shut',
  'closed-cone': 'not bagged: it sheds into its own closed cone',
  whole: 'closure found whole',
  torn: 'closure found torn',
  holed: 'closure found holed',
  insect: 'an insect was inside',
  'not-open': 'not open yet when looked at',
  gone: 'found gone',
  'no-pollen': 'no pollen came off',
  'not-looked-at': 'nobody noted how the closure was found',
  lost: 'lost',
  picked: 'picked',
  'bee-in': 'a bee got in while it was worked',
  'no-bee': 'no bee got in',
  'left-open': 'left open after the work',
  'nobody-said': 'not noted',
  'no-father': 'father not noted',
  'father-unfit': 'a father’s flower was not pure',
  'father-not-recorded': 'a father’s closure was not noted',
  'pure-fathers': 'pure fathers',
  'other-variety': 'a father of another variety',
  'anthers-out': 'anthers out',
  'anthers-late': 'anthers taken out after it stood open: it has pollinated itself',
  'bagged-that-day': 'the tassel’s bag went on that same day: it held other pollen',
  clean: 'hands and tool clean',
  'carried-over': 'pollen of another variety was on hands or tool',
  'stayed-shut': 'still whole later on',
  'at-once': 'marked on the same visit',
  late: 'marked late',
  'no-mark': 'no mark on it',
  read: 'its mark was read',
  unreadable: 'its mark was gone, or could not be read',
  'not-read': 'nobody noted that its mark was read',
  'marked-again': 'its mark was lost and put on again: it may be another fruit',
  moved: 'somebody put right which plant it grows on: it may be another flower',
  'father-off-type': 'a father turned out not to be true to the variety',
  'mother-off-type': 'its plant turned out not to be true to the variety',
  'offspring-off': 'plants that were not true came of its seed',
  'father-odd': 'what was written of its father cannot be so',
  'two-mothers': 'two plants were named for it',
  'mark-on-two': 'its mark hangs on another fruit as well',
};

/** What cannot be so as it was written; `plant`: the father, or the other plant. */
export const oddityText: Readonly<Record<Oddity['what'], (plant: string) => string>> = {
  'worked-before-seen': () =>
    'It was worked before anybody saw it, by what was written. Look at the hours of the two entries.',
  'worked-when-gone': () => 'It was worked after it was lost or picked, by what was written.',
  'father-gone': (plant) => `${plant} was gone before the day on which its pollen is said to have been used.`,
  'father-not-yet': (plant) =>
    `${plant} was only planted after the day on which its pollen is said to have been used.`,
  'father-elsewhere': (plant) => `The male that was used grew on ${plant}, not on the father that was named.`,
  'circular-fathers': () =>
    'The flower that gave its pollen had its own pollen from this one: the two cannot both be so.',
  'two-mothers': (plant) => `Somebody said that it grows on ${plant}. Which plant is its mother?`,
  'mark-on-two': (plant) => `A fruit of ${plant} wears the same mark. Which of the two is meant?`,
};

/** The links in words, as they stand in the chain. */
export const linkNames: Readonly<Record<ProofLinkKind, string>> = {
  'shut-before': 'Shut before it opened',
  whole: 'Whole at dawn',
  'anthers-out': 'Anthers out in time',
  fathers: 'Fathers shut, whole and true',
  clean: 'Nothing carried over',
  'no-insect': 'No insect while open',
  'shut-again': 'Shut again',
  'kept-shut': 'Still whole later',
  marked: 'Its mark',
  'mark-read': 'Mark read',
};

/** Links whose name hangs on what they say: whose plants are meant where one was not true, and ways without a closure. */
const NAMED: Readonly<Partial<Record<LinkSays, string>>> = {
  'mother-off-type': 'True to the variety',
  'father-off-type': 'True to the variety',
  'offspring-off': 'True to the variety',
  'worked-as-it-opened': 'Worked before the insects',
  'worked-after-insects': 'Worked before the insects',
};

/** The name of a link. */
export const linkName = ({ link, says }: Pick<ProofLink, 'link' | 'says'>): string =>
  NAMED[says] ?? linkNames[link];

export const gradeWords: Readonly<Record<Grade, string>> = {
  sound: 'sound',
  good: 'good',
  fair: 'fair',
  'distance-only': 'distance only',
  'not-pure': 'not pure',
};
/** A grade, or what is said instead where a parent was not true to the variety. */
export const gradeText = ({ grade, untrue }: { readonly grade: Grade; readonly untrue: boolean }): string =>
  untrue ? 'not true to the variety' : gradeWords[grade];
export const gradeTone = {
  sound: 'leaf',
  good: 'leaf',
  fair: 'pollen',
  'distance-only': 'pollen',
  'not-pure': 'brick',
} as const satisfies Readonly<Record<Grade, string>>;

/** What can still be done about a link, and until when. */
const toDo: Readonly<Partial<Record<ProofLinkKind, string>>> = {
  'kept-shut': 'look at its closure',
  marked: 'put its mark on',
  'mark-read': 'read its mark at the next look, and when you pick it',
};

/** What would still raise the proof; `null` where nothing can any more. */
export function stillToDo({ link, until }: ProofLink): string | null {
  const words = toDo[link];
  if (until === null || words === undefined) return null;
  return link === 'kept-shut'
    ? `Still to do: ${words}, by ${shortDayText(until)}.`
    : `Still to do: ${words}.`;
}

const percent = (share: number): string => {
  const points = share * 100;
  if (points === 0) return '0';
  return points < 0.5
    ? 'under 0.5'
    : points < 10
      ? points.toFixed(1).replace('.0', '')
      : String(Math.round(points));
};

/**
 * The share of seed that may have a foreign father.
 * @example shareWords({ low: 0, likely: 0.004, high: 0.031 }) // 'Foreign fathers: likely under 0.5 %, 0 to 3.1 % of its seed.'
 */
export function shareWords(share: Share): string {
  return share.high < 0.005
    ? 'Foreign fathers: likely under 0.5 % of its seed.'
    : `Foreign fathers: likely ${percent(share.likely)} %, ${rangeWords(share)} of its seed.`;
}

/** The share of seed that may be of the mother's own pollen, where a cross or other plants' pollen was wanted. */
export function selfedWords({ likely, low, high }: Share): string {
  return `Its own pollen: likely ${percent(likely)} %, ${rangeWords({ likely, low, high })} of its seed.`;
}

/** What came of its seed, as a share with its end. */
export function offspringWords({ grown, off }: Pick<Offspring, 'grown' | 'off'>): string {
  const { found, atMost } = offShare({ grown, off });
  const were = off === 1 ? 'was' : 'were';
  return `Of ${grown} ${grown === 1 ? 'plant' : 'plants'} grown from its seed ${off} ${were} not true to the variety: ${percent(found)} %, at most ${percent(atMost)} %.`;
}

/** From least to most: `0 to 3.1 %`. */
export function rangeWords({ low, high }: Share): string {
  return high < 0.005 ? 'under 0.5 %' : `${percent(low)} to ${percent(high)} %`;
}

/** What a fruit is known by in a list: its mark, its plant and node. */
export interface FruitName {
  readonly mark: string | null;
  readonly place: string;
}

export function fruitName(state: State, id: FlowerId): FruitName {
  const flower = state.flowers.get(id);
  const found = flower ? growing(state, flower.plant) : null;
  return {
    mark: flower?.mark ?? null,
    place: flower && found ? flowerText(found, flower) : '',
  };
}

/** The chain in one sentence: all that the drawing shows. */
export function chainWords(
  links: readonly Pick<ProofLink, 'link' | 'state'>[],
  grade: Grade,
  untrue = false,
): string {
  const of = (state: ProofLink['state']) =>
    links.filter((link) => link.state === state).map(({ link }) => linkNames[link].toLowerCase());
  const [broken, open] = [of('broken'), of('not-recorded')];
  return [
    `Proof ${gradeText({ grade, untrue })}`,
    `${links.length - broken.length - open.length} of ${links.length} links seen`,
    ...(open.length > 0 ? [`not recorded: ${open.join(', ')}`] : []),
    ...(broken.length > 0 ? [`broken: ${broken.join(', ')}`] : []),
  ].join('; ');
}
