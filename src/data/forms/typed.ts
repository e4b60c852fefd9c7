import Joi from 'joi';
import { limitOf } from './limits';

/**
 * What a form's fields hold while they are typed, held to the ledger's own schema (`fieldSchema`): its bounds and the words for them
 * stand nowhere else. Each of these reads the text of one field as a value of the ledger, or says what would do.
 */

/** How a number is typed: in the unit of the grower, by its name. */
export interface Scale {
  /** As in "a number of metres". */
  readonly name?: string;
  readonly toLedger: (typed: number) => number;
  readonly toTyped: (stored: number) => number;
}

/** As it is stored. */
const PLAIN: Scale = { toLedger: (typed) => typed, toTyped: (stored) => stored };

/** A unit that is so many of the ledger's. */
export const unitOf = (per: number, name: string): Scale => ({
  name,
  toLedger: (typed) => typed * per,
  toTyped: (stored) => stored / per,
});

/** Points and commas alike; `NaN` for what is no number. */
export const numberIn = (text: string): number =>
  text.trim() === '' ? NaN : Number(text.trim().replace(',', '.').replace('−', '-'));

/** A number of the ledger as it stands in a field, to so many digits; nothing for `null`. */
export function typedOf(stored: number | null | undefined, digits = 2, scale = PLAIN): string {
  return stored == null ? '' : String(rounded(scale.toTyped(stored), digits));
}

const rounded = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

/** A field whose text is read by `read` and judged by `part`; what is wrong is said in the words of `say`. */
function held(part: Joi.Schema, read: (text: string) => unknown, say: (code: string) => string): Joi.Schema {
  return Joi.any().custom((text: string, helpers) => {
    const { value, error } = part.validate(read(text)) as Joi.ValidationResult<unknown>;
    return error ? helpers.message({ custom: say(error.details[0]?.type ?? '') }) : value;
  });
}

/** What an empty field stands for: the ledger's own "not said", where it has one. */
const emptyOf = (part: Joi.Schema): null | undefined => (part.validate(null).error ? undefined : null);

export interface NumberTyped {
  readonly scale?: Scale;
  /** Digits that are kept after the point. */
  readonly digits?: number;
  /** As it was before: what nobody typed again is not rounded to the figure shown. */
  readonly before?: { readonly typed: string; readonly stored: number };
}

/** A number that is typed: `what` names it, as in "the length". Left empty it becomes the ledger's "not said", or is asked for. */
export function typedNumber(
  part: Joi.Schema,
  what: string,
  { scale = PLAIN, digits = 2, before }: NumberTyped = {},
) {
  return held(
    part,
    (text) => {
      if (before && text === before.typed) return before.stored;
      if (text.trim() === '') return emptyOf(part);
      return rounded(scale.toLedger(numberIn(text)), digits);
    },
    () => `${what.charAt(0).toUpperCase()}${what.slice(1)} must be ${rangeWords(part, scale)}`,
  );
}

/** Text of one field: `what` is its name within a sentence, as in "a name for the bed". */
export function typedText(part: Joi.Schema, what: string) {
  const most = limitOf(part, 'max');
  return held(
    part,
    (text) => text.trim() || (part.validate('').error ? emptyOf(part) : ''),
    (code) => {
      if (code === 'text.unseen') return `Write ${what} without signs that cannot be seen`;
      return `Write ${what}${code === 'string.max' ? ` of at most ${most} letters` : ''}`;
    },
  );
}

/** One of some answers, picked; `say` asks for it. */
export const answered = (part: Joi.Schema, say: string) =>
  held(
    part,
    (chosen) => (typeof chosen === 'string' ? chosen.trim() || null : chosen),
    () => say,
  );

export const NO_DAY = 'There is no such day';

/** A day that must not lie before that of another field, where both are said. */
export const notBefore = (part: Joi.Schema, field: string) =>
  part.custom((day: string | null, helpers) => {
    const first = beside(helpers)[field];
    return day && typeof first === 'string' && day < first
      ? helpers.message({ custom: 'That is before the first day' })
      : day;
  });

/** A number that must not be more than that of a field before it. */
export const noMoreThan = (part: Joi.Schema, field: string, say: string) =>
  against(part, field, (value, other) => value <= other, say);
/** A number that must not be less than that of a field before it. */
export const noLessThan = (part: Joi.Schema, field: string, say: string) =>
  against(part, field, (value, other) => value >= other, say);

const against = (
  part: Joi.Schema,
  field: string,
  holds: (value: number, other: number) => boolean,
  say: string,
) =>
  part.custom((value: number | null, helpers) => {
    const other = beside(helpers)[field];
    return value !== null && typeof other === 'number' && !holds(value, other)
      ? helpers.message({ custom: say })
      : value;
  });

/** The other fields of a form: those before this one as they were read, the rest as they are typed. */
export const beside = ({ state }: Joi.CustomHelpers) =>
  (state.ancestors as readonly Readonly<Record<string, unknown>>[])[0] ?? {};

/** To a tenth below ten, else whole; the error of a binary tenth is not rounded up a step. */
const inside = (value: number, round: (value: number) => number) => {
  const step = Math.abs(value) < 10 ? 10 : 1;
  return round(Number((value * step).toPrecision(12))) / step;
};

/** Which numbers will do: `a whole number from 1 to 500`, `a number of metres above 0, up to 1000`. */
export function rangeWords(part: Joi.Schema, scale = PLAIN): string {
  const whole = part.$_getRule('integer') !== undefined && scale === PLAIN;
  const kind = `${whole ? 'a whole number' : 'a number'}${scale.name ? ` of ${scale.name}` : ''}`;
  const [least, most] = [limitOf(part, 'min'), limitOf(part, 'max') ?? limitOf(part, 'less')];
  const above = limitOf(part, 'greater');
  // Rounded inwards, so that what is named will do.
  const low = least === null ? null : inside(scale.toTyped(least), Math.ceil);
  const high = most === null ? null : inside(scale.toTyped(most), Math.floor);
  if (above !== null && (least === null || least <= above))
    return `${kind} above ${scale.toTyped(above)}${high === null ? '' : `, up to ${high}`}`;
  if (low === null) return high === null ? kind : `${kind} up to ${high}`;
  return high === null ? `${kind}, ${low} or more` : `${kind} from ${low} to ${high}`;
}

/** Reads a whole form at once: the sound values by field, and what is wrong with the others. */
export function readTyped<R>(schema: Joi.ObjectSchema, typed: object): Reading<R> {
  const { value, error } = schema.validate(typed, TYPED_OPTIONS) as Joi.ValidationResult<R>;
  const wrong: Record<string, string> = {};
  for (const { path, message } of error?.details ?? []) wrong[String(path[0] ?? '')] ??= message;
  return error ? { ok: false, wrong } : { ok: true, value: value as R };
}

export type Reading<R> =
  | { readonly ok: true; readonly value: R }
  | { readonly ok: false; readonly wrong: Readonly<Record<string, string>> };

/** Everything wrong is reported at once, each at its field; what else a form holds passes. */
export const TYPED_OPTIONS = { abortEarly: false, allowUnknown: true } as const;
