import Joi from 'joi';
import type { FlowerId } from '@core/ids';
import { fieldSchema, nameSchema, type GrowOutStage, type Rogued } from '@core/ledger';
import { answered, typedText } from './typed';

/** Plants of a lot looked over: how far they are, how many, and how many were off by what. */
export interface TypedGrowOut {
  readonly fruit: FlowerId | null;
  readonly stage: GrowOutStage | null;
  readonly grown: number;
  readonly off: number;
  readonly reason: string;
  readonly rogued: Rogued | null;
}
export type ReadGrowOut = TypedGrowOut & { readonly stage: GrowOutStage };

export const growOutForm = Joi.object({
  stage: answered(fieldSchema('grownOut', 'stage'), 'Say how far they have grown'),
  reason: Joi.when('off', {
    is: Joi.number().greater(0),
    then: typedText(nameSchema, 'what is off about them'),
  }),
});
