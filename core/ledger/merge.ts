import { compareEvents, type AnyEvent } from './events';

/**
 * Union of two logs by event id, in canonical order. Commutative, associative and idempotent, so phones may
 * meet in any order, any number of times. Where one id has two contents (a damaged or forged file) the same
 * one wins whoever comes first; `conflicts` names them so that an import can refuse instead.
 */
export function merge(a: readonly AnyEvent[], b: readonly AnyEvent[]): AnyEvent[] {
  const byId = new Map<string, AnyEvent>();
  for (const list of [a, b]) {
    for (const event of list) {
      const known = byId.get(event.id);
      byId.set(event.id, known ? chosenOf(known, event) : event);
    }
  }
  return [...byId.values()].sort(compareEvents);
}

/** Ids that both lists hold with different contents, and ids that one list holds twice so. */
export function conflicts(a: readonly AnyEvent[], b: readonly AnyEvent[]): string[] {
  const found = new Set<string>();
  const byId = new Map<string, AnyEvent>();
  for (const list of [a, b]) {
    for (const event of list) {
      const known = byId.get(event.id);
      if (known && !sameContents(known, event)) found.add(event.id);
      else byId.set(event.id, event);
    }
  }
  return [...found];
}

/** Which of two events with one id is kept: a fixed choice by content, so that order cannot matter. */
export function chosenOf(a: AnyEvent, b: AnyEvent): AnyEvent {
  if (a === b) return a;
  return canonicalText(a) <= canonicalText(b) ? a : b;
}

function sameContents(a: AnyEvent, b: AnyEvent): boolean {
  return a === b || canonicalText(a) === canonicalText(b);
}

/** JSON with sorted keys: equal exactly when the contents are. */
function canonicalText(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonicalText).join(',')}]`;
  if (typeof value === 'object' && value !== null) {
    const record = value as Record<string, unknown>;
    const keys = Object.keys(record).sort();
    return `{${keys.map((key) => `${JSON.stringify(key)}:${canonicalText(record[key])}`).join(',')}}`;
  }
  return JSON.stringify(value) ?? 'null';
}
