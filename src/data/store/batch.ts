import { SCHEMA_VERSION, upcast, type AnyEvent, type Judge } from '@core/ledger';
import { hashText } from '@core/random';

/** What one stored key holds, once read. */
export interface ReadBatch {
  readonly events: readonly AnyEvent[];
  /** Whether all of it could be read; else the key's bytes stay where they are and are told of. */
  readonly whole: boolean;
}

const HEAD = /^\{"schema":(\d+),"sum":(\d+),"events":/;

/** The text of a batch: its events, the schema they passed and a sum over their text. */
export function batchText(events: readonly AnyEvent[]): string {
  const list = JSON.stringify(events);
  return `{"schema":${SCHEMA_VERSION},"sum":${hashText(list)},"events":${list}}`;
}

/**
 * Reads a stored batch whose sum shows that it is just what this schema's check let through: such a one is not checked a second time.
 * `null` for any other, which is for `readChecked`.
 */
export function readSummed(text: string): ReadBatch | null {
  const head = HEAD.exec(text);
  if (!head || !text.endsWith('}') || Number(head[1]) !== SCHEMA_VERSION) return null;
  const list = text.slice(head[0].length, -1);
  if (Number(head[2]) !== hashText(list)) return null;
  const items = listIn(list);
  return items && { events: items as AnyEvent[], whole: true };
}

function listIn(text: string): unknown[] | null {
  try {
    const items: unknown = JSON.parse(text);
    return Array.isArray(items) ? items : null;
  } catch {
    return null;
  }
}

/**
 * Reads any stored batch; a bare list is how older versions wrote it. Every event is brought to today's version and checked as a file's
 * would be, so that nothing unsound gets into the state by the back door. Never throws.
 */
export function readChecked(
  text: string,
  judge: Judge,
  toToday: (event: unknown) => unknown = upcast,
): ReadBatch {
  const head = HEAD.exec(text);
  const list = head && text.endsWith('}') ? text.slice(head[0].length, -1) : text;
  const items = listIn(list);
  if (!items) return { events: [], whole: false };
  const events: AnyEvent[] = [];
  for (const item of items) {
    const checked = judge(toToday(item));
    if (checked.ok) events.push(checked.event);
  }
  return { events, whole: events.length === items.length };
}
