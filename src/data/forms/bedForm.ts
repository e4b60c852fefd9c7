import Joi from 'joi';
import { fieldSchema, type Bed } from '@core/ledger';
import { typedNumber, typedOf, typedText, unitOf } from './typed';

/** What a bed is called, how large it is and where it lies, m. */
export type Measured = Pick<Bed, 'name' | 'lengthM' | 'widthM' | 'xM' | 'yM'>;
export type TypedBed = Record<keyof Measured, string>;
/** A unit of length by its name. */
export interface Ground {
  readonly name: string;
  readonly metres: number;
}

/** What its measures are called within a sentence. */
export const LENGTHS = {
  lengthM: 'the length',
  widthM: 'the width',
  xM: 'how far from the left edge',
  yM: 'how far from the top edge',
} as const;

/** No patch reaches farther either way, m: this catches a nought too many. */
const PATCH_M = 1000;
/** The ledger's schema of a length on the ground, within a patch. */
export const groundPart = (field: keyof typeof LENGTHS): Joi.Schema => {
  const part = fieldSchema('bedAdded', field) as Joi.NumberSchema;
  return field === 'xM' || field === 'yM' ? part.min(-PATCH_M).max(PATCH_M) : part;
};

/** A bed as it stands in its form. */
export function typedBed(bed: Measured, { name, metres }: Ground): TypedBed {
  const typed = (length: number) => typedOf(length, 2, unitOf(metres, name));
  return {
    name: bed.name,
    lengthM: typed(bed.lengthM),
    widthM: typed(bed.widthM),
    xM: typed(bed.xM),
    yM: typed(bed.yM),
  };
}

export function bedForm({ name, metres }: Ground): Joi.ObjectSchema {
  const scale = unitOf(metres, name);
  return Joi.object({
    name: typedText(fieldSchema('bedAdded', 'name'), 'a name for the bed'),
    ...Object.fromEntries(
      (['lengthM', 'widthM', 'xM', 'yM'] as const).map((field) => [
        field,
        typedNumber(groundPart(field), LENGTHS[field], { scale }),
      ]),
    ),
  });
}
