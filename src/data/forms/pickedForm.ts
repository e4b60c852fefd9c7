import Joi from 'joi';
import { fieldSchema } from '@core/ledger';
import type { Units } from '../device/prefs';
import { typedNumber, unitOf } from './typed';

/** Fruit picked: how many, and what all of it weighs. */
export interface TypedPicked {
  readonly count: string;
  readonly weight: string;
}
export interface ReadPicked {
  readonly count: number;
  /** Grams; `null`: not weighed. */
  readonly weight: number | null;
}

const GRAMS_PER_OUNCE = 28.3495;

export const pickedForm = (units: Units): Joi.ObjectSchema =>
  Joi.object({
    count: typedNumber(fieldSchema('fruitsPicked', 'count'), 'how many'),
    weight: typedNumber(fieldSchema('fruitsPicked', 'weightG'), 'the weight', {
      scale: units === 'us' ? unitOf(GRAMS_PER_OUNCE, 'ounces') : unitOf(1, 'grams'),
    }),
  });
