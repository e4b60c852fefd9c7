import Joi from 'joi';
import { ROUND_CROP_IDS } from '../crops';
import { EVENT_ID } from '../ids';
import { isInstant } from '../time';
import { SKILLS, type PracticeRecord } from './types';

const words = Joi.string().max(60).required();
const base = {
  id: Joi.string().pattern(EVENT_ID).required(),
  at: Joi.string()
    .custom((value: string, helpers) => (isInstant(value) ? value : helpers.error('any.invalid')))
    .required(),
  by: Joi.string().max(80).allow('').required(),
  device: Joi.string().max(80).required(),
  crop: Joi.valid(...ROUND_CROP_IDS).required(),
};

const practised = Joi.object({
  ...base,
  kind: Joi.valid('practised').required(),
  skill: Joi.valid(...SKILLS).required(),
  truth: words,
  answered: words,
  tookMs: Joi.number().integer().min(0).max(86_400_000).required(),
  inWords: Joi.boolean().required(),
});

const rehearsed = Joi.object({
  ...base,
  kind: Joi.valid('rehearsed').required(),
  seed: Joi.number().integer().min(0).max(4_294_967_295).required(),
  shut: Joi.array().items(Joi.string().max(40)).max(200).required(),
  fruits: Joi.number().integer().min(0).max(200).required(),
  best: Joi.number().integer().min(0).max(200).required(),
});

/** A practice record that may be kept, or the field that is wrong with it. */
export type PracticeCheck =
  | { readonly ok: true; readonly record: PracticeRecord }
  | { readonly ok: false; readonly field: string; readonly message: string };

/** Checks one practice record from a file or from storage. Never throws, never changes the value. */
export function validatePractice(value: unknown): PracticeCheck {
  const schema = (value as { kind?: unknown } | null)?.kind === 'rehearsed' ? rehearsed : practised;
  const { error } = schema.required().validate(value, { convert: false });
  if (!error) return { ok: true, record: value as PracticeRecord };
  return { ok: false, field: error.details[0]?.path.join('.') || 'practice', message: `${error.message}.` };
}
