import type { CropId, Sex, Stage } from '../crops';

/** What an answer looks like, for a drawing beside it. */
export interface Picture {
  readonly sex: Sex;
  readonly stage: Stage;
  readonly view: 'side' | 'inside';
}

/** Small pictures of where a flower is, or what it does. */
export type Sketch =
  | 'at-tip'
  | 'near'
  | 'back'
  | 'bush-heart'
  | 'bush-near'
  | 'bush-out'
  | 'alone'
  | 'bunch'
  | 'dust'
  | 'no-dust'
  | 'shut';

/** Every answer has a drawing beside it: a flower, or a sketch. */
export interface Answer {
  readonly id: string;
  readonly words: string;
  readonly picture: Picture | Sketch;
}

/** Where one has to look for the answer. Looking inside spoils a bud, so it is asked of open flowers only. */
export type From = 'outside' | 'inside' | 'place';

/** One question of a key and its answers. */
export interface Question {
  readonly id: string;
  readonly text: string;
  readonly from: From;
  readonly answers: readonly Answer[];
  /** How often a careful beginner answers it rightly [M]. */
  readonly reliability: number;
}

/** One thing a grower may be looking at. */
export interface Entry {
  readonly id: string;
  readonly crop: CropId;
  readonly sex: Sex;
  readonly stage: Stage;
  /**
   * By question: the answers that are true of it, with how often each is seen (sums to 1), the usual one first.
   * A question that is missing here says nothing about this entry.
   */
  readonly shows: Readonly<Record<string, Readonly<Record<string, number>>>>;
}

/** The key of one crop: its questions, and all it can tell apart. */
export interface Key {
  readonly crop: CropId;
  readonly questions: readonly Question[];
  readonly entries: readonly Entry[];
}

/** Answers so far, by question; `null` = can't tell. */
export type Answers = Readonly<Record<string, string | null>>;
