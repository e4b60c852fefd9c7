import { SCHEMA_VERSION, type AnyEvent, type Draft } from './events';
import { applyAll, type State } from './state';

/** After everything that can be in a log. */
const LAST = '2199-12-31T23:59:59.000Z';

/**
 * The state as it would be if something were recorded: for a look ahead, never stored. Its entries count as the last of all. What
 * `validateEvent` would refuse must not be asked.
 * @example whatIf(state).beds === state.beds // true
 */
export function whatIf(state: State, ...drafts: readonly Draft[]): State {
  return applyAll(
    state,
    drafts.map(
      (draft, i) =>
        ({
          // After all there is, and after an earlier look ahead that this one builds on.
          id: `7ZZZZZZZZZZZZZZZZ${String(state.count + i).padStart(9, '0')}`,
          v: SCHEMA_VERSION,
          at: LAST,
          by: '',
          device: '',
          ...draft,
        }) as AnyEvent,
    ),
  );
}
