import { SUBJECT_KINDS } from '../ids';
import { eventSchema, SUBJECT_FIELD, type EventKind } from '../ledger';
import { FORMAT, FORMAT_VERSION } from './toJson';

type Json = Readonly<Record<string, unknown>>;

/** What `describe()` of Joi gives, as far as it is used here. */
interface Described {
  readonly type?: string;
  readonly flags?: { readonly presence?: string; readonly only?: boolean };
  readonly allow?: readonly unknown[];
  readonly rules?: readonly { readonly name: string; readonly args?: Readonly<Record<string, unknown>> }[];
  readonly keys?: Readonly<Record<string, Described>>;
  readonly items?: readonly Described[];
}

/**
 * The JSON Schema (draft 2020-12) of our file, made from the Joi schemas that check it. It describes shapes and
 * bounds; what only code can say (a real time zone, unseen characters) stays with the code.
 */
export function fileSchema(): Json {
  const kinds = Object.keys(SUBJECT_FIELD) as EventKind[];
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Steady Trowel file',
    type: 'object',
    required: ['format', 'version', 'events'],
    properties: {
      format: { const: FORMAT },
      version: { type: 'integer', minimum: 1, maximum: FORMAT_VERSION },
      events: {
        type: 'array',
        items: {
          anyOf: [...kinds.map((kind) => ({ $ref: `#/$defs/${kind}` })), { $ref: '#/$defs/unknownKind' }],
        },
      },
    },
    $defs: {
      ...Object.fromEntries(
        kinds.map((kind) => [kind, converted(eventSchema(kind).describe() as Described)]),
      ),
      unknownKind: {
        description: `A kind that this version does not know; kept as it is. Subjects: ${SUBJECT_KINDS.join(', ')}.`,
        type: 'object',
        required: ['id', 'v', 'at', 'by', 'device', 'kind'],
        properties: { kind: { type: 'string', not: { enum: kinds } } },
      },
    },
  };
}

function converted(described: Described): Json {
  const allowed = described.allow ?? [];
  if (described.flags?.only) return { enum: [...allowed] };
  const base = shape(described);
  return allowed.includes(null) ? { anyOf: [base, { type: 'null' }] } : base;
}

function shape({ type, rules = [], keys, items }: Described): Json {
  const rule = (name: string) => rules.find((each) => each.name === name)?.args;
  const bounds = (least: string, most: string): Json => ({
    ...(rule('min') ? { [least]: rule('min')?.limit } : {}),
    ...(rule('max') ? { [most]: rule('max')?.limit } : {}),
  });
  switch (type) {
    case 'object': {
      if (!keys) return { type: 'object' };
      const entries = Object.entries(keys);
      return {
        type: 'object',
        required: entries.filter(([, each]) => each.flags?.presence === 'required').map(([key]) => key),
        properties: Object.fromEntries(entries.map(([key, each]) => [key, converted(each)])),
        additionalProperties: false,
      };
    }
    case 'array':
      return {
        type: 'array',
        items: items?.[0] ? converted(items[0]) : {},
        ...bounds('minItems', 'maxItems'),
      };
    case 'number': {
      const above = rule('greater') ? { exclusiveMinimum: rule('greater')?.limit } : {};
      return {
        type:
          rule('integer') === undefined && !rules.some(({ name }) => name === 'integer')
            ? 'number'
            : 'integer',
        ...bounds('minimum', 'maximum'),
        ...above,
      };
    }
    case 'string': {
      const pattern = rule('pattern')?.regex;
      // Joi writes a pattern as /source/flags.
      return {
        type: 'string',
        ...bounds('minLength', 'maxLength'),
        ...(pattern ? { pattern: String(pattern).replace(/^\/|\/[a-z]*$/g, '') } : {}),
      };
    }
    default:
      return {};
  }
}
