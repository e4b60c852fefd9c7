import { createEmptyCard, fsrs, generatorParameters, Rating, type Card } from 'ts-fsrs';
import { cropOf, type CropId } from '../crops';
import type { Random } from '../random';
import { skillsFor } from './questions';
import type { PracticeRecord, Practised, Skill } from './types';

// No fuzz: the same records must always give the same days.
const scheduler = fsrs(generatorParameters({ enable_fuzz: false, enable_short_term: true }));

/** An answer that took longer was not sure [M]. */
const SLOW_MS = 15_000;

/** Where one skill with one crop stands in its repeats. */
export interface Deck {
  readonly skill: Skill;
  readonly crop: CropId;
  readonly card: Card;
  readonly answers: number;
}

const keyOfCard = (skill: Skill, crop: CropId) => `${skill}/${crop}`;

/** The state of memory per skill and crop, worked out anew from the answers (FSRS by ts-fsrs). */
export function decksOf(records: readonly PracticeRecord[]): ReadonlyMap<string, Deck> {
  const decks = new Map<string, Deck>();
  for (const record of records) {
    if (record.kind !== 'practised') continue;
    const key = keyOfCard(record.skill, record.crop);
    const at = new Date(record.at);
    const before = decks.get(key);
    const { card } = scheduler.next(before?.card ?? createEmptyCard(at), at, ratingOf(record));
    decks.set(key, { skill: record.skill, crop: record.crop, card, answers: (before?.answers ?? 0) + 1 });
  }
  return decks;
}

function ratingOf({ truth, answered, tookMs }: Practised): Rating.Again | Rating.Hard | Rating.Good {
  if (answered !== truth) return Rating.Again;
  return tookMs > SLOW_MS ? Rating.Hard : Rating.Good;
}

/** What to ask next, and why. */
export interface Next {
  readonly skill: Skill;
  readonly crop: CropId;
  /** 0..1: harder look-alikes as the answers grow sure. */
  readonly hard: number;
  readonly why: 'due' | 'new' | 'ahead';
}

/**
 * What to ask next over some crops: what is due and most nearly forgotten; else something new; else what falls due
 * first. Never the same skill and crop twice running while there is another.
 */
export function nextUp(
  records: readonly PracticeRecord[],
  crops: readonly CropId[],
  now: number,
  random: Random,
): Next {
  const decks = decksOf(records);
  const last = records.findLast((record): record is Practised => record.kind === 'practised');
  const all = crops.flatMap((crop) => skillsFor(cropOf(crop)).map((skill) => ({ skill, crop })));
  const others = all.filter(({ skill, crop }) => skill !== last?.skill || crop !== last?.crop);
  const choices = others.length > 0 ? others : all;
  const again = ({ skill }: Deck) => (skill === last?.skill ? 0.3 : 0);
  const seen = choices.flatMap(({ skill, crop }) => decks.get(keyOfCard(skill, crop)) ?? []);
  const due = seen
    .filter(({ card }) => card.due.getTime() <= now)
    .map((deck) => ({ deck, left: scheduler.get_retrievability(deck.card, new Date(now), false) }))
    // The same skill on another crop straight after may wait a little: variety keeps one looking.
    .sort((a, b) => a.left + again(a.deck) - b.left - again(b.deck))[0]?.deck;
  if (due) return told(due, 'due');
  const fresh = choices.filter(({ skill, crop }) => !decks.has(keyOfCard(skill, crop)));
  const other = fresh.filter(({ skill }) => skill !== last?.skill);
  const from = other.length > 0 ? other : fresh;
  const one = from[Math.floor(random() * from.length)];
  if (one) return { ...one, hard: 0.15, why: 'new' };
  const soonest = [...seen].sort(
    (a, b) => again(a) - again(b) || a.card.due.getTime() - b.card.due.getTime(),
  )[0];
  return soonest ? told(soonest, 'ahead') : { skill: 'stage', crop: 'squash-maxima', hard: 0.15, why: 'new' };
}

const told = ({ skill, crop, card, answers }: Deck, why: 'due' | 'ahead'): Next => ({
  skill,
  crop,
  hard: Math.max(0.15, Math.min(1, answers / 8 - card.lapses / 6)),
  why,
});

/** How many skills and crops are due at `now`. */
export function dueCount(records: readonly PracticeRecord[], now: number): number {
  return [...decksOf(records).values()].filter(({ card }) => card.due.getTime() <= now).length;
}
