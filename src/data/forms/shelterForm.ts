import Joi from 'joi';
import { fieldSchema, type Mesh, type Shelter, type ShelterInsects } from '@core/ledger';
import type { LocalDate } from '@core/time';
import { answered, NO_DAY, notBefore } from './typed';

/** What stands over a bed, whether insects get in, how long lamps burn, and from when to when. */
export interface TypedShelter {
  readonly shelter: Shelter | null;
  readonly insects: ShelterInsects | null;
  /** `null`: not said. */
  readonly mesh: Mesh | null;
  readonly lampHours: number | null;
  readonly from: LocalDate | null;
  readonly to: LocalDate | null;
}
export type ReadShelter = TypedShelter & { readonly from: LocalDate };

const part = (field: string) => fieldSchema('shelterSet', field);

export const shelterForm = Joi.object({
  shelter: part('shelter'),
  insects: Joi.when('shelter', {
    is: null,
    otherwise: answered(part('insects'), 'Say whether insects can get in'),
  }),
  from: answered(part('from'), 'Say from which day on'),
  to: notBefore(answered(part('to'), NO_DAY), 'from'),
});
