import { SCHEMA_VERSION } from './events';

type Loose = Readonly<Record<string, unknown>>;

/**
 * From version n to n + 1, at index n - 1, without gaps. Version 1 is the first, so there is nothing to lift
 * yet; a fixture of every version that was ever written stays in core/formats/fixtures and is read by a test.
 */
const STEPS: readonly ((event: Loose) => Loose)[] = [];

if (STEPS.length !== SCHEMA_VERSION - 1)
  throw new Error('core/ledger/upcast: a schema version without its step');

/** An event of an older version as today's version writes it; anything else as it came. */
export function upcast(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  let event = value as Loose;
  while (typeof event.v === 'number' && event.v >= 1 && event.v < SCHEMA_VERSION) {
    const step = STEPS[event.v - 1];
    if (!step) return event;
    event = { ...step(event), v: event.v + 1 };
  }
  return event;
}
