import { cropOf, type CropId, type SexSystem } from '../crops';
import { cornKey, perfectKey } from './otherKeys';
import type { Answers, Entry, Key, Question } from './types';
import { vineKey } from './vineKey';

/** How likely an entry must be for a verdict [M]: a beginner's walk should be right nine times in ten. */
export const SURE = 0.93;
/** What is still this likely is named beside a verdict, or as a candidate [M]. */
const NAMED = 0.03;
/** A question that tells less than this (bits) is not worth asking [M]. */
const WORTH_ASKING = 0.06;

/** The key of a crop; `system` narrows it to what the variety can be. */
export function keyOf(crop: CropId, system: SexSystem | null = null): Key {
  const found = cropOf(crop);
  if (found.family === 'corn') return cornKey(found);
  return found.flowers.perfect ? perfectKey(found) : vineKey(found, system);
}

/**
 * Chance of an answer if it is this entry: the true ones by how often they are seen, slips spread over all.
 * @example likelihood(keyOf('squash-maxima').questions[0], keyOf('squash-maxima').entries[0], 'open') // 0.028
 */
export function likelihood(question: Question, entry: Entry, answer: string): number {
  const shows = entry.shows[question.id];
  const slip = 1 / question.answers.length;
  if (!shows) return slip;
  return question.reliability * (shows[answer] ?? 0) + (1 - question.reliability) * slip;
}

/** Outside knowledge on an entry, e.g. of a measured ovary: a weight by entry id, 1 where it says nothing. */
export type Evidence = Readonly<Record<string, number>>;

/**
 * How likely each entry is after the answers (Bayes, every entry alike beforehand); sums to 1, in the key's order.
 * @example weigh(keyOf('squash-maxima'), {}).reduce((sum, weight) => sum + weight, 0) // 1.000
 */
export function weigh(key: Key, answers: Answers, evidence: Evidence = {}): number[] {
  const weights = key.entries.map((entry) =>
    key.questions.reduce((product, question) => {
      const answer = answers[question.id];
      return answer === null || answer === undefined
        ? product
        : product * likelihood(question, entry, answer);
    }, evidence[entry.id] ?? 1),
  );
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((weight) => weight / sum);
}

function entropy(weights: readonly number[]): number {
  return weights.reduce((sum, p) => (p > 0 ? sum - p * Math.log2(p) : sum), 0);
}

/** Expected gain of a question, bits. */
export function gain(key: Key, weights: readonly number[], question: Question): number {
  let after = 0;
  for (const { id } of question.answers) {
    const joint = key.entries.map((entry, i) => (weights[i] as number) * likelihood(question, entry, id));
    const chance = joint.reduce((a, b) => a + b, 0);
    if (chance > 0) after += chance * entropy(joint.map((p) => p / chance));
  }
  return entropy(weights) - after;
}

/** What a flower may be, and how likely (0..1). */
export interface Candidate {
  readonly entry: Entry;
  /** 0..1. */
  readonly chance: number;
}

/** Two answers that no entry of this crop shows together: one of them was a slip. */
export interface Clash {
  readonly first: Question;
  readonly second: Question;
}

/** What the key does next: asks, gives its verdict, or says what is left. */
export type KeyStep =
  | {
      readonly kind: 'ask';
      readonly question: Question;
      /** Asked to be certain of a verdict that much hangs on. */
      readonly confirming: boolean;
      readonly clash: Clash | null;
    }
  | {
      readonly kind: 'sure';
      readonly entry: Entry;
      readonly chance: number;
      readonly others: readonly Candidate[];
      readonly clash: Clash | null;
    }
  | { readonly kind: 'not-sure'; readonly candidates: readonly Candidate[]; readonly clash: Clash | null };

/** What the key may know beside the answers. */
export interface KeyOptions {
  readonly evidence?: Evidence;
  /** Entries whose verdict must be confirmed by one question more (shutting for seed). */
  readonly matters?: (entry: Entry) => boolean;
}

/**
 * The next step of the key: the question that tells most, the verdict with how sure it is, or the candidates when
 * no question is left that tells them apart. The same answers always give the same step.
 */
export function nextStep(key: Key, answers: Answers, { evidence, matters }: KeyOptions = {}): KeyStep {
  const weights = weigh(key, answers, evidence);
  const ranked = key.entries
    .map((entry, i): Candidate => ({ entry, chance: weights[i] as number }))
    .sort((a, b) => b.chance - a.chance);
  const top = ranked[0] as Candidate;
  const open = key.questions.filter(({ id }) => answers[id] === undefined && worthLooking(key, id, weights));
  const clash = clashIn(key, answers);
  const given = key.questions.filter(({ id }) => typeof answers[id] === 'string').length;
  // One answer alone is never enough: a single slip would make the verdict.
  if (top.chance >= SURE && given >= 2) {
    if (matters?.(top.entry) && !confirmed(key, answers, top.entry, ranked[1] as Candidate)) {
      const confirm = best(open, (question) => separates(question, top.entry, rival(key, top.entry)));
      if (confirm) return { kind: 'ask', question: confirm, confirming: true, clash };
    }
    const others = ranked.slice(1).filter(({ chance }) => chance >= NAMED);
    return { kind: 'sure', ...top, others, clash };
  }
  const question = best(open, (each) => {
    const bits = gain(key, weights, each);
    // Two answers are wanted in any case; beyond that a question must earn its place.
    return bits < WORTH_ASKING && given >= 2 ? 0 : bits;
  });
  if (question) return { kind: 'ask', question, confirming: false, clash };
  return { kind: 'not-sure', candidates: ranked.filter(({ chance }) => chance >= NAMED), clash };
}

/** Looking inside a bud spoils it: only asked once it is more likely open than not. */
function worthLooking(key: Key, questionId: string, weights: readonly number[]): boolean {
  const question = key.questions.find(({ id }) => id === questionId);
  if (question?.from !== 'inside') return true;
  const open = key.entries.reduce(
    (sum, { stage }, i) => (stage === 'open' ? sum + (weights[i] as number) : sum),
    0,
  );
  return open > 0.5;
}

function best(questions: readonly Question[], worth: (question: Question) => number): Question | null {
  let found: Question | null = null;
  let most = 0;
  for (const question of questions) {
    const value = worth(question);
    if (value > most + 1e-9) {
      found = question;
      most = value;
    }
  }
  return found;
}

/** The entry it is usually taken for: the same flower a stage younger (green for coloured), else older. */
export function rival(key: Key, entry: Entry): Entry {
  const same = key.entries.filter(({ sex }) => sex === entry.sex);
  const at = same.indexOf(entry);
  return same[at - 1] ?? (same[at + 1] as Entry);
}

/** How well a question tells two entries apart: how often their answers differ. */
function separates(question: Question, a: Entry, b: Entry): number {
  return question.answers.reduce(
    (sum, { id }) => sum + Math.abs(likelihood(question, a, id) - likelihood(question, b, id)) / 2,
    0,
  );
}

/** Whether two answers already tell the verdict from its rival. */
function confirmed(key: Key, answers: Answers, entry: Entry, second: Candidate): boolean {
  const telling = key.questions.filter((question) => {
    const answer = answers[question.id];
    return typeof answer === 'string' && separates(question, entry, rival(key, entry)) > 0.5;
  });
  return telling.length >= 3 || (telling.length >= 2 && second.chance < NAMED);
}

function clashIn(key: Key, answers: Answers): Clash | null {
  const given = key.questions.filter(({ id }) => typeof answers[id] === 'string');
  for (const [i, first] of given.entries())
    for (const second of given.slice(i + 1)) {
      const together = key.entries.some((entry) => {
        const fits = (question: Question) => {
          const shows = entry.shows[question.id];
          return !shows || (shows[answers[question.id] as string] ?? 0) > 0;
        };
        return fits(first) && fits(second);
      });
      if (!together) return { first, second };
    }
  return null;
}

/** The answers that speak for an entry and those that speak against it, in the words they were given in. */
export function reasons(key: Key, answers: Answers, entry: Entry): { for: string[]; against: string[] } {
  const out = { for: [] as string[], against: [] as string[] };
  for (const question of key.questions) {
    const answer = question.answers.find(({ id }) => id === answers[question.id]);
    const shows = entry.shows[question.id];
    if (!answer || !shows) continue;
    ((shows[answer.id] ?? 0) > 0 ? out.for : out.against).push(answer.words);
  }
  return out;
}

/** The usual answer that is true of an entry: what a careful eye would say. `null` where a question doesn't apply. */
export function truthOf(entry: Entry, questionId: string): string | null {
  const shows = entry.shows[questionId];
  if (!shows) return null;
  return Object.entries(shows).sort((a, b) => b[1] - a[1])[0]?.[0] ?? null;
}
