import type { Crop } from '../crops';
import type { Flower, LossCause, NotedDay } from '../ledger';
import { daysBetween, localDateOf } from '../time';
import { workedOn } from './fate';

/** What speaks for a cause. */
export type CauseClue =
  | 'stopped-early'
  | 'few-males'
  | 'few-lobes'
  | 'bent'
  | 'grew-well'
  | 'load'
  | 'hot'
  | 'frost'
  | 'wet-heat'
  | 'insects';

/** A cause, and what was recorded that speaks for it. */
export interface LikelyCause {
  readonly cause: LossCause;
  readonly clues: readonly CauseClue[];
}

/** What is known at the moment of asking. */
export interface LossSetting {
  readonly flower: Flower;
  readonly crop: Crop;
  readonly zone: string;
  /** Older fruits on the plant when it was worked; `null`: not known. */
  readonly load: number | null;
  /** The weather noted from its day on, where anybody did. */
  readonly days: readonly NotedDay[];
}

/** Crops whose fruit gets blossom-end rot (general texts, from memory); the cucurbits among them are squash and watermelon. */
const END_ROT: ReadonlySet<Crop['id']> = new Set([
  'tomato',
  'pepper',
  'aubergine',
  'squash-pepo',
  'squash-maxima',
  'squash-moschata',
  'squash-argyrosperma',
  'watermelon',
]);
const HEAVY_LOAD = 2;
const HOT_C = 32;
const WET_MM = 5;
const WARM_C = 25;

/**
 * Causes in the order in which the record speaks for them, the strongest first; those it says nothing of follow in their own order, so
 * that nothing is left out. Never grew, whenever it is found: no pollen. Grew, then failed: load under several older fruits first, end rot
 * in crops that get it, wet rot in wet heat (common practice). It only puts in order: what it was the grower says.
 * @example likelyCauses({ flower: female, crop, zone, load: 3, days: [] }).map(({ cause }) => cause) // ['too-much-fruit', 'blossom-end-rot']
 */
export function likelyCauses({ flower, crop, zone, load, days }: LossSetting): LikelyCause[] {
  const clues = new Map<LossCause, CauseClue[]>();
  const add = (cause: LossCause, clue: CauseClue) => clues.set(cause, [...(clues.get(cause) ?? []), clue]);
  const day0 = workedOn(flower, zone);
  const dayOf = (at: number) => (day0 === null ? 0 : daysBetween(day0, localDateOf(at, zone)));
  const grown = flower.looks.filter(({ result }) => result === 'growing' || result === 'bent');
  const last = flower.pollinations.at(-1);
  const males = last?.fathers.reduce((sum, father) => sum + father.males, 0) ?? 0;
  if (grown.length === 0 && day0 !== null) {
    add('not-pollinated', 'stopped-early');
    if (flower.left && !last) add('not-pollinated', 'insects');
  }
  if (last && males === 1 && crop.malesPerFemale.value[1] > 1) add('poorly-pollinated', 'few-males');
  if (last?.lobes === 1) add('poorly-pollinated', 'few-lobes');
  if (grown.some(({ result }) => result === 'bent')) add('poorly-pollinated', 'bent');
  if (load !== null && load >= HEAVY_LOAD && day0 !== null) add('too-much-fruit', 'load');
  if (END_ROT.has(crop.id) && grown.some(({ at }) => dayOf(Date.parse(at)) >= crop.verdictDay.value))
    add('blossom-end-rot', 'grew-well');
  if (days.some(({ maxC }) => maxC !== null && maxC >= HOT_C)) add('heat', 'hot');
  if (days.some(({ minC }) => minC !== null && minC <= 0)) add('frost', 'frost');
  if (days.some(({ maxC, rainMm }) => (maxC ?? 0) >= WARM_C && (rainMm ?? 0) >= WET_MM))
    add('wet-rot', 'wet-heat');
  return [...clues]
    .map(([cause, of]) => ({ cause, clues: of }))
    .sort((a, b) => b.clues.length - a.clues.length);
}
