import { compareEvents, type AnyEvent } from '../ledger';
import { mergePractice, type PracticeRecord } from '../practice';

/** What our files call themselves. */
export const FORMAT = 'steady-trowel';
/** 2: practice records beside the events. */
export const FORMAT_VERSION = 2;

/** A file of ours as it is written. */
export interface FileShape {
  readonly format: typeof FORMAT;
  readonly version: number;
  readonly events: readonly AnyEvent[];
  /** Answers to the trainer, kept apart from the garden's events. */
  readonly practice: readonly PracticeRecord[];
}

/** Our file: every event, in canonical order, one a line, and the practice records. docs/file-format.md describes it. */
export function toJson(events: readonly AnyEvent[], practice: readonly PracticeRecord[] = []): string {
  const lines = [...events].sort(compareEvents).map((event) => JSON.stringify(event));
  const answers = mergePractice(practice, []).map((record) => JSON.stringify(record));
  return `{"format":"${FORMAT}","version":${FORMAT_VERSION},"events":[\n${lines.join(',\n')}\n],"practice":[\n${answers.join(',\n')}\n]}\n`;
}
