import Joi from 'joi';
import { fieldSchema } from '@core/ledger';
import { PLACE_FIELDS, type ReadPlace, type TypedPlace } from './placeForm';
import type { Planting } from './planting';
import { VARIETY_NAME } from './standForm';
import { typedText } from './typed';

/** What the first patch is asked for. */
export type TypedBegin = TypedPlace &
  Required<Planting> & {
    readonly patch: string;
    readonly bed: string;
    /** Whether it was said what for. */
    readonly asked: boolean;
  };
export type ReadBegin = Omit<TypedBegin, keyof TypedPlace> & ReadPlace;

/** Who wants something to eat need not know the variety; patch and bed have names to begin with. */
export const beginForm = Joi.object({
  ...PLACE_FIELDS,
  variety: Joi.when('reason', { is: 'fruit', otherwise: VARIETY_NAME }),
  patch: typedText(fieldSchema('patchBegun', 'name').allow(''), 'a name for the patch'),
  bed: typedText(fieldSchema('bedAdded', 'name').allow(''), 'a name for the bed'),
});
