import type { AnyEvent } from './events';

/** An event that may go into the log, or the field that is wrong with it. */
export type Validation =
  | { readonly ok: true; readonly event: AnyEvent; readonly unknown: boolean }
  | {
      readonly ok: false;
      readonly reason: 'invalid' | 'newer-version';
      readonly field: string;
      readonly message: string;
    };

/** Says whether an event is sound; `validateEvent` is the one there is. */
export type Judge = (value: unknown) => Validation;

let judge: Judge | null = null;

/**
 * Says who judges what a correction makes of an event. The judge holds a schema of every kind, which is a tenth of the code that a first
 * screen would wait for: whoever reads a log without correction can do without. A log that has one must not be folded before.
 */
export function judgeBy(those: Judge): void {
  judge = those;
}

/** What the judge says. Throws where there is none yet: what nobody judged never counts as sound, nor as unsound. */
export function judged(value: unknown): Validation {
  if (!judge)
    throw new Error('judged: say first who judges (judgeBy); a log with corrections was folded too early.');
  return judge(value);
}
