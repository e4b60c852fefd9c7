import Joi from 'joi';
import { fieldSchema } from '@core/ledger';
import { typedNumber } from './typed';

/** The usual week: days on which somebody comes, 1 = Monday, and how long a morning may take. */
export interface TypedMornings {
  readonly weekdays: readonly number[];
  readonly minutes: string;
}
export interface ReadMornings {
  readonly weekdays: readonly number[] | null;
  /** `null`: no limit. */
  readonly minutes: number | null;
}

export const morningsForm = Joi.object({
  weekdays: fieldSchema('morningsSet', 'weekdays'),
  minutes: typedNumber(fieldSchema('morningsSet', 'minutes'), 'the minutes of a morning', { digits: 0 }),
});
