import { bloomSpan } from '../crops';
import type { PlantId } from '../ids';
import { Shards, type Flower, type State } from '../ledger';
import { mainPatch, type Standing } from '../patch';
import { remembered, sameUnder, steady } from '../remember';
import { addDays, daysBetween, localDateOf, type Instant, type LocalDate } from '../time';
import { warmDaysAfter } from './firstFlowers';

/** The days on which flowers are open, the first and the last. */
export interface Bloom {
  readonly from: LocalDate;
  readonly to: LocalDate;
}

/** When a stand of one's own flowers: seen, or reckoned from when it was planted. */
export interface OwnBloom extends Bloom {
  /** The latest day on which its first flowers may open: `from` is the earliest. */
  readonly fromLatest: LocalDate;
  readonly seen: boolean;
  /** It flowers on until the cold, whose day nobody said. */
  readonly openEnded: boolean;
}

/** When each plant's first flower was seen open, or worked. */
export interface Opened {
  readonly opened: ReadonlyMap<PlantId, Instant>;
}

/** Where no day of the first frost was said, vines are taken to flower so long after they began [M]. */
const ON_AND_ON_DAYS = 120;

/**
 * When the flowers of a stand are open: from the first seen open, else from the day it was planted and the warmth its crop takes; until the
 * first frost that is looked for, or (corn) as long as a block sheds. `null` where neither was written down.
 */
export function bloomOf(
  state: Pick<State, 'patches' | 'flowers'>,
  standing: Pick<Standing, 'crop' | 'plants'>,
): OwnBloom | null {
  return bloomIn({ patches: state.patches, opened: openedFirst(state) }, standing);
}

/** `bloomOf` where it is known when plants began to flower. */
export function bloomIn(
  state: Opened & Pick<State, 'patches'>,
  { crop, plants }: Pick<Standing, 'crop' | 'plants'>,
): OwnBloom | null {
  const patch = mainPatch(state);
  const [zone, frostOn] = [patch?.place?.zone ?? 'UTC', patch?.frostOn ?? null];
  const seen = firstOpen(state.opened, plants, zone);
  const span = bloomSpan(crop);
  const planted = plants.reduce<LocalDate | null>(
    (first, { plantedOn }) =>
      plantedOn !== null && (first === null || plantedOn < first) ? plantedOn : first,
    null,
  );
  let from = seen;
  let fromLatest = seen;
  if (from === null && planted !== null && span) {
    const here = patch ?? { place: null, weather: {} };
    from = warmDaysAfter(here, planted, span.firstAfter[0]);
    fromLatest = warmDaysAfter(here, planted, span.firstAfter[1]);
  }
  if (from === null || fromLatest === null) return null;
  if (span && span.lasts !== null)
    return { from, fromLatest, to: addDays(fromLatest, span.lasts), seen: seen !== null, openEnded: false };
  const frost = frostOn === null ? null : frostAfter(from, frostOn);
  return {
    from,
    fromLatest,
    to: frost ?? addDays(from, ON_AND_ON_DAYS),
    seen: seen !== null,
    openEnded: frost === null,
  };
}

/** The first day of frost after another, `MM-DD` of its year or the next. */
function frostAfter(from: LocalDate, frostOn: string): LocalDate {
  const year = Number(from.slice(0, 4));
  const sameYear = `${year}-${frostOn}`;
  return sameYear >= from ? sameYear : `${year + 1}-${frostOn}`;
}

/** The first day on which a flower of some plants was seen open, or was worked. */
function firstOpen(opened: Opened['opened'], plants: Standing['plants'], zone: string): LocalDate | null {
  let first: Instant | null = null;
  for (const { id } of plants) {
    const at = opened.get(id);
    if (at !== undefined && (first === null || at < first)) first = at;
  }
  return first === null ? null : localDateOf(Date.parse(first), zone);
}

/** When each plant's first flower was seen open, or worked: that many a flower more changes nothing of it. */
export const openedFirst = remembered(
  'opened',
  ({ flowers }: Pick<State, 'flowers'>) => ({ flowers }),
  ({ flowers }): Opened['opened'] => {
    const first = new Map<PlantId, Instant>();
    for (const part of Shards.of(flowers).parts)
      for (const [plant, at] of openedFirstIn(part)) earliest(first, plant, at);
    return steadyOpened(first);
  },
);

const steadyOpened = steady<Opened['opened']>(sameUnder((a, b) => a === b));

const openedFirstIn = remembered(
  'opened in',
  (part: ReadonlyMap<unknown, Flower>) => ({ part }),
  ({ part }): Opened['opened'] => {
    const first = new Map<PlantId, Instant>();
    for (const { plant, sightings, pollinations } of part.values()) {
      for (const { stage, at } of sightings) if (stage === 'open') earliest(first, plant, at);
      for (const { at } of pollinations) earliest(first, plant, at);
    }
    return first;
  },
);

function earliest(first: Map<PlantId, Instant>, plant: PlantId, at: Instant): void {
  const known = first.get(plant);
  if (known === undefined || at < known) first.set(plant, at);
}

/**
 * The share of one's own days of bloom on which the other flowers too; 1 where either is not known.
 * @example overlapOf({ from: '2026-07-01', to: '2026-07-10' }, { from: '2026-07-06', to: '2026-08-01' }) // 0.5
 */
export function overlapOf(own: Bloom | null, other: Bloom | null): number {
  if (!own || !other) return 1;
  const both = bothOpen(own, other);
  return both ? (daysBetween(both.from, both.to) + 1) / (daysBetween(own.from, own.to) + 1) : 0;
}

/**
 * Days without open flowers between the bloom of two stands; 0 where they overlap or either is not known.
 * @example daysApart({ from: '2026-07-01', to: '2026-07-10' }, { from: '2026-07-25', to: '2026-08-10' }) // 14
 */
export function daysApart(own: Bloom | null, other: Bloom | null): number {
  if (!own || !other) return 0;
  const gap = (first: Bloom, then: Bloom) => daysBetween(first.to, then.from) - 1;
  return Math.max(0, gap(own, other), gap(other, own));
}

/** The days on which both flower; `null` where either is not known, or there are none. */
export function bothOpen(own: Bloom | null, other: Bloom | null): Bloom | null {
  if (!own || !other) return null;
  const from = own.from > other.from ? own.from : other.from;
  const to = own.to < other.to ? own.to : other.to;
  return to < from ? null : { from, to };
}
