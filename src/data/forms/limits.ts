import type Joi from 'joi';
import { fieldSchema, type EventKind } from '@core/ledger';

/** Asked of the part itself: Joi's browser build cannot describe a schema. */
export function limitOf(part: Joi.Schema, rule: string): number | null {
  const limit: unknown = part.$_getRule(rule)?.args?.limit;
  return typeof limit === 'number' ? limit : null;
}

/** The least and the most of a number. */
export interface Limits {
  readonly least: number;
  readonly most: number;
}

const known = new Map<string, Limits>();

/**
 * The least and the most that the ledger takes for a field of an entry, for keys that go up and down. Throws where it has no such limits.
 * @example limitsOf('flowerSeen', 'node') // { least: 0, most: 200 }
 */
export function limitsOf(kind: EventKind, field: string): Limits {
  const name = `${kind}.${field}`;
  const found = known.get(name);
  if (found) return found;
  const part = fieldSchema(kind, field);
  const [least, most] = [limitOf(part, 'min'), limitOf(part, 'max')];
  if (least === null || most === null) throw new Error(`limitsOf: ${name} must have a least and a most.`);
  const limits = { least, most };
  known.set(name, limits);
  return limits;
}
