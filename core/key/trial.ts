import { catalogue, stageAdvice, type CropId } from '../crops';
import { keyOf, nextStep, truthOf, type KeyStep } from './key';
import type { Answers, Entry, Key } from './types';

/** How somebody answers: an answer's id, or `null` for "can't tell". */
export type Reply = (entry: Entry, questionId: string, asked: number) => string | null;

/**
 * Entries whose verdict would have a grower shut (or emasculate) for seed: the key confirms them.
 * @example mattersForSeed({ crop: 'squash-maxima', sex: 'female', stage: 'coloured' }) // true
 */
export function mattersForSeed(entry: Pick<Entry, 'crop' | 'sex' | 'stage'>): boolean {
  const crop = catalogue.find(({ id }) => id === entry.crop);
  return crop ? stageAdvice(crop, entry.sex, entry.stage, 'seed').shutTonight : false;
}

/** Runs the key for one entry with somebody who replies so; gives the end and the questions asked. */
export function runKey(
  key: Key,
  entry: Entry,
  reply: Reply,
): { end: KeyStep; asked: number; answers: Answers } {
  const answers: Record<string, string | null> = {};
  for (let asked = 0; ; asked++) {
    const step = nextStep(key, answers, { matters: mattersForSeed });
    if (step.kind !== 'ask') return { end: step, asked, answers };
    answers[step.question.id] = reply(entry, step.question.id, asked);
  }
}

const truthful: Reply = (entry, question) => truthOf(entry, question);

/** Whether the entry is the verdict, or named among what it may be. */
export function found(end: KeyStep, entry: Entry): boolean {
  if (end.kind === 'sure')
    return end.entry.id === entry.id || end.others.some((other) => other.entry.id === entry.id);
  return end.kind === 'not-sure' && end.candidates.some((other) => other.entry.id === entry.id);
}

/** How the key fares over all entries of a crop. */
export interface Trial {
  readonly crop: CropId;
  readonly entries: number;
  /** Entries that truthful answers lead to as the verdict. */
  readonly reached: number;
  readonly meanQuestions: number;
  /** Ways of skipping any of the questions, and how many of them ended in a wrong verdict. */
  readonly skipRuns: number;
  readonly skipWrong: number;
  /** One wrong answer at every place and of every kind: how often the entry was still the verdict or named. */
  readonly slipRuns: number;
  readonly slipFound: number;
}

/** Tries a crop's key from end to end: truthful, with every set of skipped questions, with every single slip. */
export function tryKey(crop: CropId): Trial {
  const key = keyOf(crop);
  let reached = 0;
  let questions = 0;
  let skipRuns = 0;
  let skipWrong = 0;
  let slipRuns = 0;
  let slipFound = 0;
  for (const entry of key.entries) {
    const plain = runKey(key, entry, truthful);
    if (plain.end.kind === 'sure' && plain.end.entry.id === entry.id) reached++;
    questions += plain.asked;
    for (let skipped = 1; skipped < 1 << key.questions.length; skipped++) {
      const at = new Map(key.questions.map(({ id }, i) => [id, i]));
      const { end } = runKey(key, entry, (each, id) =>
        skipped & (1 << (at.get(id) as number)) ? null : truthOf(each, id),
      );
      skipRuns++;
      if (end.kind === 'sure' && end.entry.id !== entry.id) skipWrong++;
    }
    for (let place = 0; place < plain.asked; place++) {
      const question = questionAt(key, entry, place);
      for (const { id: wrong } of question.answers) {
        if ((entry.shows[question.id]?.[wrong] ?? 0) > 0) continue;
        const { end } = runKey(key, entry, (each, id, asked) =>
          asked === place ? wrong : truthOf(each, id),
        );
        slipRuns++;
        if (found(end, entry)) slipFound++;
      }
    }
  }
  return {
    crop,
    entries: key.entries.length,
    reached,
    meanQuestions: questions / key.entries.length,
    skipRuns,
    skipWrong,
    slipRuns,
    slipFound,
  };
}

function questionAt(key: Key, entry: Entry, place: number) {
  const answers: Record<string, string | null> = {};
  for (let asked = 0; ; asked++) {
    const step = nextStep(key, answers, { matters: mattersForSeed });
    if (step.kind !== 'ask') throw new Error(`questionAt: ${entry.id} has no question ${place}`);
    if (asked === place) return step.question;
    answers[step.question.id] = truthOf(entry, step.question.id);
  }
}

/** Every key of the catalogue put to the test. */
export const tryAllKeys = (): Trial[] => catalogue.map(({ id }) => tryKey(id));
