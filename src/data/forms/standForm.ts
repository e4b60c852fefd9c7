import Joi from 'joi';
import type { FruitShape, Reason, SexSystem, VarietyTraits } from '@core/crops';
import type { FlowerId, LotId } from '@core/ids';
import { fieldSchema, type Stand, type Variety } from '@core/ledger';
import { typedText } from './typed';

/** What was said of a stand, to be put right. */
export interface TypedStand {
  readonly name: string;
  readonly shape: FruitShape;
  readonly system: SexSystem;
  readonly traits: VarietyTraits;
  readonly reason: Reason;
  readonly lot: LotId | null;
  readonly fruit: FlowerId | null;
}

/** A stand as its form has it; `usual` is how flowers of its crop are made. */
export const typedStand = (stand: Stand, variety: Variety, usual: SexSystem): TypedStand => ({
  name: variety.name,
  shape: variety.shape,
  system: variety.system ?? usual,
  traits: variety.traits,
  reason: stand.reason,
  lot: stand.sown?.lot ?? null,
  fruit: stand.sown?.fruit ?? null,
});

export const VARIETY_NAME = typedText(fieldSchema('varietyAdded', 'name'), 'the name of the variety');
export const standForm = Joi.object({ name: VARIETY_NAME });
/** The same where it is planted. */
export const plantingForm = Joi.object({ variety: VARIETY_NAME });
