import { compareEvents, isKnown, subjectOf, type AnyEvent, type LedgerEvent } from './events';
import type { Corrected, Withdrawn } from './flowerEvents';
import { judged } from './judge';

/** An event as it stands now, with what it said before any correction. */
export interface Standing {
  readonly event: LedgerEvent;
  readonly original: LedgerEvent;
  readonly corrections: readonly Corrected[];
  readonly withdrawnBy: Withdrawn | null;
}

/**
 * What stands of one subject's events, in the order given. A withdrawal takes out any fact, but among
 * withdrawals only an earlier-written one: so two that name each other cannot make a circle, and the order in
 * which phones meet cannot matter. Corrections apply oldest first; one that would make the event invalid, or
 * move it to another subject, is passed over (it stays in the history).
 */
export function standings(events: readonly LedgerEvent[]): Standing[] {
  const corrections = new Map<string, Corrected[]>();
  const withdrawals: Withdrawn[] = [];
  for (const event of events) {
    if (event.kind === 'withdrawn') withdrawals.push(event);
    else if (event.kind === 'corrected') append(corrections, event.target, event);
  }
  // Latest-written first: when a withdrawal's turn comes, all that could take it back are settled.
  withdrawals.sort((a, b) => (a.id < b.id ? 1 : -1));
  const isWithdrawal = new Set(withdrawals.map(({ id }) => id));
  const taken = new Map<string, Withdrawn>();
  for (const withdrawal of withdrawals) {
    if (taken.has(withdrawal.id)) continue;
    if (isWithdrawal.has(withdrawal.target) && withdrawal.target >= withdrawal.id) continue;
    taken.set(withdrawal.target, withdrawal);
  }
  const withdrawnBy = (event: LedgerEvent): Withdrawn | null => taken.get(event.id) ?? null;
  return events.map((original) => {
    const standing = (corrections.get(original.id) ?? []).filter(
      (correction) => withdrawnBy(correction) === null,
    );
    let event = original;
    if (original.kind !== 'corrected' && original.kind !== 'withdrawn') {
      for (const correction of standing) {
        const corrected = correctedEvent(event, correction.changes);
        // What was put right speaks with the version it was put right in.
        if (corrected) event = { ...corrected, v: Math.max(corrected.v, correction.v) };
      }
    }
    return { event, original, corrections: standing, withdrawnBy: withdrawnBy(original) };
  });
}

/** The facts in force of one subject: withdrawn ones out, corrections applied. */
export function inForce(events: readonly LedgerEvent[]): readonly LedgerEvent[] {
  // Nearly every subject has neither, and this runs for each of them.
  if (!events.some((event) => event.kind === 'withdrawn' || event.kind === 'corrected')) return events;
  return standings(events)
    .filter(
      ({ event, withdrawnBy }) =>
        withdrawnBy === null && event.kind !== 'withdrawn' && event.kind !== 'corrected',
    )
    .map(({ event }) => event)
    .sort(compareEvents);
}

function append<T>(map: Map<string, T[]>, key: string, value: T): void {
  const list = map.get(key);
  if (list) list.push(value);
  else map.set(key, [value]);
}

const FIXED = new Set(['id', 'v', 'kind', 'device']);

/** The event with some fields changed, or `null` when the result would not be a sound event of the same subject. */
export function correctedEvent(
  event: LedgerEvent,
  changes: Readonly<Record<string, unknown>>,
): LedgerEvent | null {
  if (Object.keys(changes).some((key) => FIXED.has(key))) return null;
  const result = judged({ ...event, ...changes });
  if (!result.ok) return null;
  const changed: AnyEvent = result.event;
  return isKnown(changed) && subjectOf(changed) === subjectOf(event) ? changed : null;
}
