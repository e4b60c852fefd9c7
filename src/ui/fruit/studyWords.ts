import type { DropKind, FruitEnd } from '@core/fruitset';
import { growing, plantName } from '@core/patch';
import type { State } from '@core/ledger';
import type { CaseNumber, Circumstance, Grouping, ModelTerm, Pair, SetModel, Study } from '@core/study';
import { plural, toolWords } from '../words';

export const percent = (share: number) => `${Math.round(share * 100)} %`;

export const groupingWords: Readonly<Record<Exclude<Grouping, 'hands'>, string>> = {
  variety: 'variety',
  plant: 'plant',
  how: 'tool',
  father: 'father',
  hour: 'hour',
};

const handsWords: Readonly<Record<string, string>> = {
  hand: 'by hand',
  insects: 'left to insects',
  before: 'before hand work',
};

/** `1 to 2 h after sunrise`. */
function hourWords(hour: number): string {
  return hour < 0 ? 'before sunrise' : `${hour} to ${hour + 1} h after sunrise`;
}

/** What a group is called. */
export function groupName(state: State, grouping: Grouping, id: string): string {
  switch (grouping) {
    case 'variety':
      return state.varieties.get(id as never)?.name ?? 'a variety';
    case 'plant':
    case 'father': {
      const found = growing(state, id as never);
      return found ? plantName(found) : 'a plant';
    }
    case 'hour':
      return hourWords(Number(id));
    default:
      return handsWords[id] ?? (toolWords as Readonly<Record<string, string>>)[id] ?? id;
  }
}

export const circumstanceWords: Readonly<Record<Circumstance, string>> = {
  date: 'the time of year',
  minutes: 'the hour',
  maxC: 'the warmth of the day',
  males: 'the number of males',
  load: 'the fruit already on the plants',
  variety: 'the variety',
  plant: 'the plants',
  how: 'the tool',
  by: 'who did it',
};

const list = (words: readonly string[]) =>
  words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

const signed = (points: number) => (points < 0 ? `−${-points}` : points === 0 ? '0' : `+${points}`);

/** How many flowers would settle a comparison, no finer than such a guess can be. */
function settleWords(flowers: number): string {
  if (flowers > 1000) return 'more than a thousand';
  const step = flowers < 100 ? 5 : 10;
  return `about ${Math.ceil(flowers / step) * step}`;
}

/** What a comparison comes to, in plain words: the counts, luck or more, how many flowers would settle it. */
export function pairWords(
  { a, b, low, high, verdict, wouldTell, among }: Pair,
  names: [string, string],
  /** Two plants are asked about themselves. */
  ofPlants = false,
): string[] {
  const counts = `${names[0]} ${a.set} of ${a.judged}, ${names[1]} ${b.set} of ${b.judged}`;
  const [least, most] = [Math.round(low * 100), Math.round(high * 100)];
  const settle =
    wouldTell === null || wouldTell <= Math.min(a.judged, b.judged)
      ? ''
      : ` It would take ${settleWords(wouldTell)} flowers each to settle it.`;
  const said = {
    'one-plant': 'can’t tell: one side rests on a single plant or tray, and plants differ.',
    'too-few': `can’t tell: under ten flowers on a side say nothing.`,
    luck: `the difference could easily be luck.${settle}`,
    more: `more than luck is likely: ${names[(a.share ?? 0) >= (b.share ?? 0) ? 0 : 1]} set more.`,
  }[verdict];
  return [
    `${counts}: ${said}`,
    ...(verdict === 'too-few' || verdict === 'one-plant'
      ? []
      : [
          `The true difference lies somewhere from ${signed(least)} to ${signed(most)} points${ofPlants ? ', for these two plants' : ', with the plant as the unit'}.`,
        ]),
    ...(among > 2
      ? [`Of ${among} groups the farthest apart always look different: more is asked of each pair.`]
      : []),
  ];
}

/** Before and after are never the same days. */
export const BEFORE_WORDS =
  'One came after the other: the season, the weather and the fruit already on the plants changed as well, and any of it may be the reason.';

/** The caution where other things changed along with the groups. */
export function togetherWords(together: readonly Circumstance[]): string | null {
  return together.length === 0
    ? null
    : `Between the two ${list(together.map((what) => circumstanceWords[what]))} differed too: any of it may be the reason.`;
}

export const numberWords: Readonly<Record<CaseNumber, string>> = {
  minutes: 'hour',
  maxC: 'warmth',
  dewPointC: 'dew point',
  males: 'males',
  lobes: 'lobes',
  load: 'load',
};

const stepWords: Readonly<Record<CaseNumber, string>> = {
  minutes: 'an hour later',
  maxC: '5 °C warmer',
  dewPointC: 'a dew point 5 °C higher',
  males: 'one more male',
  lobes: 'one more lobe',
  load: 'one more fruit on the plant',
};

/** `an hour later: 55 % would set where 70 % do now (95 %: 41 to 68)`. `share`: of the flowers that it was worked out from. */
export function termWords({ what, oddsRatio, low, high }: ModelTerm, share: number): string {
  const shifted = (odds: number) => Math.round((100 * odds * share) / (1 - share + odds * share));
  return `${stepWords[what]}: ${shifted(oddsRatio)} % would set where ${percent(share)} do now (95 %: ${shifted(low)} to ${shifted(high)})`;
}

/** What the curve says of the thing it is drawn along. */
export function modelWords({ terms, flowers, plants, along }: SetModel): string {
  const first = terms[0];
  const held = terms.slice(1).map(({ what }) => numberWords[what]);
  const beside = held.length > 0 ? `, ${list(held)} being equal` : '';
  const from = `From ${plural(flowers, 'flower')} on ${plural(plants, 'plant')}${beside}: `;
  if (!first) return from;
  if (first.low <= 1 && first.high >= 1)
    return `${from}whatever difference the ${numberWords[along]} makes could be luck.`;
  return `${from}${stepWords[along]}, and ${first.oddsRatio > 1 ? 'more' : 'fewer'} set; more than luck is likely.`;
}

export const noModelWords = {
  'too-few': 'Too little noted so far: some ten that set and ten that dropped are needed for a curve.',
  same: 'It was always the same, so nothing can be told of it.',
  parted: 'All that set lies on one side of all that dropped: it matters, but how much can’t be told.',
} as const;

export const endWords: Readonly<Record<FruitEnd, string>> = {
  pollen: 'no or little pollen',
  load: 'too much fruit',
  rot: 'rot',
  pest: 'pest',
  weather: 'weather',
  accident: 'knocked or picked off',
  unknown: 'cause unknown',
  harvested: 'harvested',
  'plant-ended': 'its plant ended',
} satisfies Record<DropKind | 'harvested' | 'plant-ended', string>;

/** The overview in one sentence. */
export function overviewWords({ overview }: Study): string {
  const { set, dropped, share, interval, plants } = overview;
  if (share === null || interval === null) return 'No verdict yet.';
  return `${set} of ${set + dropped} with a verdict set: ${percent(share)}; the true share${plants === 1 ? ' of this plant' : ''} may be ${Math.round(interval.low * 100)} to ${percent(interval.high)}.`;
}

/** When drops come, in words. */
export function dropWords({ curve }: Study): string {
  const { followed, dropped, latest } = curve;
  if (followed === 0) return 'No fruit has been looked at yet.';
  if (dropped === 0) return `Of ${plural(followed, 'fruit')} followed none has dropped.`;
  const first = latest[0]?.time ?? 0;
  const end = latest.at(-1);
  return `Of ${plural(followed, 'fruit')} followed ${dropped} dropped, the first found by day ${first}; ${percent(end?.survival ?? 1)} still hang after day ${end?.time ?? 0}.`;
}
