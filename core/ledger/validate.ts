import Joi from 'joi';
import { EVENT_ID } from '../ids';
import { SCHEMA_VERSION, SUBJECT_FIELD, type AnyEvent, type EventKind } from './events';
import type { GroupCounted } from './gardenEvents';
import { judgeBy, type Validation } from './judge';
import type { NeighbourNoted } from './planEvents';
import { instant, text } from './payloadParts';
import { payloads } from './payloads';

const base: Joi.SchemaMap = {
  id: Joi.string().pattern(EVENT_ID).required(),
  v: Joi.number().integer().min(1).max(SCHEMA_VERSION).required(),
  at: instant.required(),
  by: text(80).required(),
  device: text(80).required(),
};

const messages: Joi.LanguageMessages = {
  'any.required': '{#label} is missing',
  'any.only': '{#label} is not one of the words it can be',
  'object.unknown': '{#label} does not belong here',
  'string.max': '{#label} is longer than {#limit} characters',
  'string.min': '{#label} is empty',
  'string.empty': '{#label} is empty',
  'string.pattern.base': '{#label} is not an id of ours',
  'text.unseen': '{#label} holds characters that cannot be seen or that turn the writing round',
  'time.instant': '{#label} is not a time between 1990 and 2200, written like 2026-07-14T03:05:00.000Z',
  'time.date': '{#label} is not a date between 1990 and 2200, written like 2026-07-14',
  'time.monthDay': '{#label} is not a day of the year, written like 10-05',
  'weather.order': '{#label}: the warmest lies below the coldest',
  'group.days': '"to" lies before "from"',
  'neighbour.days': '"bloomTo" lies before "bloomFrom"',
  'group.set': '"set" is more than "worked"',
  'group.bent': '"bent" is more than "set"',
  'time.zone': '{#label} is not a time zone',
};

// Numbers written as text are not quietly turned into numbers: what is stored is what was checked.
const options: Joi.ValidationOptions = {
  convert: false,
  abortEarly: true,
  messages,
  errors: { wrap: { label: '"' } },
};

/** What only two fields together can say. */
function checked(kind: EventKind, schema: Joi.ObjectSchema): Joi.ObjectSchema {
  if (kind === 'neighbourNoted')
    return schema.custom((event: NeighbourNoted, helpers) =>
      event.bloomFrom !== null && event.bloomTo !== null && event.bloomTo < event.bloomFrom
        ? helpers.error('neighbour.days')
        : event,
    );
  if (kind !== 'groupCounted') return schema;
  return schema.custom(({ from, to, worked, set, bent, ...rest }: GroupCounted, helpers) => {
    if (to < from) return helpers.error('group.days');
    if (set > worked) return helpers.error('group.set');
    if (bent !== null && bent > set) return helpers.error('group.bent');
    return { from, to, worked, set, bent, ...rest };
  });
}

/**
 * One schema per event kind: the single truth, at entry, at import and when the store is read. The options are bound to
 * the schema: given with each call, Joi would compile its messages anew for every event.
 */
export function eventSchema(kind: EventKind): Joi.ObjectSchema {
  let schema = schemas.get(kind);
  if (!schema) {
    const whole = Joi.object({ ...base, ...payloads[kind](), kind: Joi.valid(kind).required() });
    schemas.set(kind, (schema = checked(kind, whole).prefs(options)));
  }
  return schema;
}

// Not `remembered`: a kind has one schema for as long as the app runs.
const schemas = new Map<EventKind, Joi.ObjectSchema>();

/** The schema of one field of an entry, `goal.kitchenFruits` for one within another: a form holds to the ledger's own bounds. */
export const fieldSchema = (kind: EventKind, path: string): Joi.Schema => eventSchema(kind).extract(path);

const unknownKind = Joi.object({
  ...base,
  v: Joi.number().integer().min(1).required(),
  kind: text(60).min(1).required(),
})
  .unknown(true)
  .label('event')
  .prefs(options);

/**
 * Checks one event from outside (a form, a file). Never throws and never changes the value. An unknown kind
 * with a sound envelope is valid, and kept; one from a newer schema version is refused by name.
 */
export function validateEvent(value: unknown): Validation {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return {
      ok: false,
      reason: 'invalid',
      field: 'event',
      message: 'An event must be an object with named fields.',
    };
  }
  const hostile = hostileKey(value);
  if (hostile !== null) {
    return {
      ok: false,
      reason: 'invalid',
      field: hostile,
      message: `The field "${hostile}" is not allowed.`,
    };
  }
  const { v, kind } = value as { v?: unknown; kind?: unknown };
  if (typeof v === 'number' && Number.isInteger(v) && v > SCHEMA_VERSION) {
    const message = `This event was written by a newer version of Steady Trowel (v ${v}, this one knows ${SCHEMA_VERSION}).`;
    return { ok: false, reason: 'newer-version', field: 'v', message };
  }
  const known = typeof kind === 'string' && Object.hasOwn(SUBJECT_FIELD, kind);
  const schema = known ? eventSchema(kind as EventKind) : unknownKind;
  const { error } = schema.validate(value);
  if (!error) return { ok: true, event: value as AnyEvent, unknown: !known };
  const problem = error.details[0];
  const field = problem?.path.join('.') || 'event';
  return { ok: false, reason: 'invalid', field, message: `${problem?.message ?? error.message}.` };
}

judgeBy(validateEvent);

/** Names that would reach into JavaScript's own objects if a copy were made carelessly; in no record of ours. */
const HOSTILE = new Set(['__proto__', 'constructor', 'prototype']);

function hostileKey(value: object, depth = 0): string | null {
  if (depth > 12) return 'nesting';
  for (const key of Object.keys(value)) {
    if (HOSTILE.has(key)) return key;
    const inner = (value as Record<string, unknown>)[key];
    if (typeof inner === 'object' && inner !== null) {
      const found = hostileKey(inner, depth + 1);
      if (found !== null) return found;
    }
  }
  return null;
}
