import { conflicts, upcast, validateEvent, type AnyEvent } from '../ledger';
import { validatePractice, type PracticeRecord } from '../practice';
import { FORMAT, FORMAT_VERSION, type FileShape } from './toJson';

/** Five seasons of 200 000 events take under 70 MB; a file past this is not one of ours. */
export const MOST_BYTES = 100_000_000;

/** Why a file was refused. */
export type FileProblem =
  'not-json' | 'not-ours' | 'newer-version' | 'invalid-event' | 'invalid-practice' | 'conflict' | 'too-large';

/** What a file held, or which field of it is wrong and how. */
export type ReadFile =
  | {
      readonly ok: true;
      readonly events: readonly AnyEvent[];
      readonly practice: readonly PracticeRecord[];
      readonly repeated: number;
      readonly unknownKinds: number;
    }
  | {
      readonly ok: false;
      readonly reason: FileProblem;
      /** A full sentence for a person. */
      readonly message: string;
      /** Index in `events`, from 0, and the field, where one event is to blame. */
      readonly row: number | null;
      readonly field: string | null;
    };

const refuse = (
  reason: FileProblem,
  message: string,
  row: number | null = null,
  field: string | null = null,
): ReadFile => ({
  ok: false,
  reason,
  message,
  row,
  field,
});

/**
 * Reads our file. All or nothing: one bad event refuses the whole file and names it. Exact repeats are dropped;
 * one id with two contents is refused. `onProgress` gets the share done, 0..1, and may throw to stop.
 */
export function fromJson(text: string, onProgress?: (share: number) => void): ReadFile {
  if (text.length > MOST_BYTES) return tooLarge(text.length);
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    const cut = text.trimStart().startsWith('{') && !text.trimEnd().endsWith('}');
    return refuse(
      'not-json',
      cut
        ? 'The file breaks off in the middle: it was cut short. Copy it again.'
        : 'The file is not JSON: it is damaged, or another kind of file.',
    );
  }
  const file = value as Partial<FileShape> | null;
  if (typeof file !== 'object' || file === null || file.format !== FORMAT) {
    return refuse(
      'not-ours',
      'This is not a Steady Trowel file: it lacks "format": "steady-trowel".',
      null,
      'format',
    );
  }
  if (typeof file.version !== 'number' || !Number.isInteger(file.version) || file.version < 1) {
    return refuse('not-ours', 'The file says no version we can read.', null, 'version');
  }
  if (file.version > FORMAT_VERSION) {
    const message = `The file was written by a newer version of Steady Trowel (format ${file.version}; this one reads up to ${FORMAT_VERSION}). Update first; the file is left as it is.`;
    return refuse('newer-version', message, null, 'version');
  }
  if (!Array.isArray(file.events))
    return refuse('not-ours', 'The file holds no list of events.', null, 'events');
  const practice = file.practice ?? [];
  if (!Array.isArray(practice))
    return refuse('not-ours', 'The practice records of the file are no list.', null, 'practice');
  for (const [row, item] of practice.entries()) {
    const checked = validatePractice(item);
    if (!checked.ok) {
      const message = `Practice record ${row + 1} of ${practice.length}: ${checked.message}`;
      return refuse('invalid-practice', message, row, checked.field);
    }
  }
  return readEvents(file.events, practice as PracticeRecord[], onProgress);
}

function readEvents(
  list: readonly unknown[],
  practice: readonly PracticeRecord[],
  onProgress?: (share: number) => void,
): ReadFile {
  const events: AnyEvent[] = [];
  let unknownKinds = 0;
  for (const [row, item] of list.entries()) {
    const result = validateEvent(upcast(item));
    if (!result.ok) {
      const reason = result.reason === 'newer-version' ? 'newer-version' : 'invalid-event';
      return refuse(reason, `Event ${row + 1} of ${list.length}: ${result.message}`, row, result.field);
    }
    if (result.unknown) unknownKinds++;
    events.push(result.event);
    if (row % 2000 === 1999) onProgress?.(row / list.length);
  }
  const clash = conflicts(events, [])[0];
  if (clash !== undefined) {
    const row = events.findLastIndex(({ id }) => id === clash);
    return refuse(
      'conflict',
      `Two different events carry the id ${clash}: the file is damaged or was edited.`,
      row,
      'id',
    );
  }
  const unique = [...new Map(events.map((event) => [event.id, event])).values()];
  return { ok: true, events: unique, practice, repeated: events.length - unique.length, unknownKinds };
}

/** The refusal for a file that is too large to be ours; checked before a single byte is read. */
export function tooLarge(bytes: number): ReadFile {
  const mb = Math.round(bytes / 1_000_000);
  return refuse(
    'too-large',
    `The file has ${mb} MB; a patch of many seasons stays under ${MOST_BYTES / 1_000_000} MB. Nothing was read.`,
  );
}
