import { SCHEMA_VERSION, upcast, validateEvent, type AnyEvent } from '@core/ledger';
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
 * Reads a stored batch; a bare list is how older versions wrote it. Every event is brought to today's version and checked
 * as a file's would be, so that nothing unsound gets into the state by the back door. Only text whose sum shows that it is
 * just what this schema's check let through is not checked a second time. Never throws.
 */
export function readBatch(text: string, toToday: (event: unknown) => unknown = upcast): ReadBatch {
  const head = HEAD.exec(text);
  const list = head && text.endsWith('}') ? text.slice(head[0].length, -1) : text;
  let items: unknown;
  try {
    items = JSON.parse(list);
  } catch {
    return { events: [], whole: false };
  }
  if (!Array.isArray(items)) return { events: [], whole: false };
  if (head && Number(head[1]) === SCHEMA_VERSION && Number(head[2]) === hashText(list))
    return { events: items as AnyEvent[], whole: true };
  const events: AnyEvent[] = [];
  for (const item of items) {
    const checked = validateEvent(toToday(item));
    if (checked.ok) events.push(checked.event);
  }
  return { events, whole: events.length === items.length };
}
