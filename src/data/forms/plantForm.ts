import Joi from 'joi';
import { fieldSchema } from '@core/ledger';
import { typedText } from './typed';

/** A note on a plant, and what the plant is called: two forms of one field each. */
export const noteForm = Joi.object({ note: typedText(fieldSchema('noted', 'text'), 'a note') });
export const labelForm = Joi.object({
  label: typedText(fieldSchema('plantAdded', 'label'), 'a number or name'),
});
