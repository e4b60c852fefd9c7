import Joi from 'joi';
import type { FlowerId, LotId, PatchId, VarietyId } from '@core/ids';
import { fieldSchema, type Draft, type LotFrom } from '@core/ledger';
import { answered, typedText } from './typed';

/** What the form of a lot holds. */
export interface TypedLot {
  readonly variety: VarietyId | null;
  readonly from: LotFrom;
  readonly fruits: readonly FlowerId[];
  /** `null`: as is usual for seed from there. */
  readonly year: number | null;
  readonly note: string;
}

const part = (field: string) => fieldSchema('lotBegun', field);

/** Which seed it is has to be said; of own seed also from which fruits. */
export const lotForm = Joi.object({
  variety: answered(part('variety'), 'Say which variety it is'),
  fruits: Joi.when('from', {
    is: 'fruits',
    then: answered(Joi.array().min(1), 'Tick the fruits its seed was taken from, or say that nobody knows'),
  }),
  note: typedText(part('note'), 'a note'),
});

/** The year that is offered: own fruits ripened this one, what comes from elsewhere a year before. */
export const lotYear = ({ year, from }: TypedLot, thisYear: number): number =>
  year ?? (from === 'fruits' ? thisYear : thisYear - 1);

/** As the schema gave it: the variety is known. */
export type ReadLot = TypedLot & { readonly variety: VarietyId };

/** The entry that begins a lot. */
export function lotDraft(lot: LotId, patch: PatchId, form: ReadLot, thisYear: number): Draft {
  const { variety, from, fruits, note } = form;
  return {
    kind: 'lotBegun',
    lot,
    patch,
    variety,
    from,
    fruits: from === 'fruits' ? fruits : [],
    year: lotYear(form, thisYear),
    note,
  };
}
