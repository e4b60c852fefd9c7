import {
  applyAll,
  emptyState,
  eventsOf,
  fold,
  isKnown,
  standings,
  subjectOf,
  type AnyEvent,
  type Draft,
  type State,
} from '@core/ledger';
import { mainPatch } from '@core/patch';

/** The events of one tap made in this browser. */
export interface Tap {
  readonly key: string;
  readonly events: readonly AnyEvent[];
}

/** A tap taken back, and the events that did it. */
export interface Undone {
  readonly tap: Tap;
  readonly by: readonly AnyEvent[];
}

/** The patch itself is no slip of the finger: the tap that began it is never offered to be taken back. */
export function beginsPatch(state: State, events: readonly AnyEvent[]): boolean {
  const main = mainPatch(state)?.id;
  return events.some(
    (event) => isKnown(event) && event.kind === 'patchBegun' && (main === undefined || event.patch === main),
  );
}

/** What the screens see; a new object on every change. */
export interface Ledger {
  readonly state: State;
  /** Whether all of the state can be read; before that who reads of bygone plants' flowers is told `not-here`. */
  readonly whole: boolean;
  /** Taps made here that can be taken back, latest last. Never what came from a file. */
  readonly undoable: readonly Tap[];
  /** Taps taken back since the last entry, which can be brought back, latest last. Not kept over a reload. */
  readonly redoable: readonly Undone[];
  /** Entries on the screen that storage has not answered for yet. */
  readonly waiting: readonly AnyEvent[];
  /** Entries that storage refused; kept here, in the export, and tried again on the next tap. */
  readonly unsaved: readonly AnyEvent[];
  readonly trouble: 'full' | 'refused' | null;
  /** What judges entries could not be fetched when it was last wanted: an entry made then was not recorded. */
  readonly unjudged: boolean;
  /** When the latest entry happened by its own clock: past now, some device's clock is wrong. */
  readonly latestAt: string | null;
  /** Keys of stored batches that could not be read whole; their bytes stay where they are. */
  readonly damaged: readonly string[];
}

/** Before anything was read. */
export const EMPTY: Ledger = {
  state: emptyState(),
  whole: true,
  undoable: [],
  redoable: [],
  waiting: [],
  unsaved: [],
  trouble: null,
  unjudged: false,
  latestAt: null,
  damaged: [],
};

/** Whether an entry is a fact that has not been taken back. */
export function stands(state: State, event: AnyEvent): boolean {
  const subject = subjectOf(event);
  if (subject === null || !isKnown(event) || event.kind === 'withdrawn') return false;
  const events = state.log.get(subject);
  return (
    events !== undefined &&
    standings(events).some(({ original, withdrawnBy }) => original.id === event.id && withdrawnBy === null)
  );
}

/** What takes events back. */
export function withdrawing(events: readonly AnyEvent[]): Draft[] {
  return events.flatMap((event): Draft[] => {
    const subject = subjectOf(event);
    return subject === null ? [] : [{ kind: 'withdrawn', subject, target: event.id }];
  });
}

/** The state with more events. */
export function applied(state: State, events: readonly AnyEvent[]): State {
  // Past some hundred, building the tables once is cheaper than looking each subject's list through.
  if (events.length > 500 && state.sealed === 0) return fold([...eventsOf(state), ...events]);
  return applyAll(state, events);
}

/** Whether storage refused for want of room. */
export function isFull(error: unknown): boolean {
  const { name, message } = (error ?? {}) as { name?: unknown; message?: unknown };
  return /quota|full|space/i.test(`${String(name)} ${String(message)}`);
}
