import Joi from 'joi';
import type { PlantId, StandId } from '@core/ids';
import { fieldSchema, type GroupHow } from '@core/ledger';
import type { LocalDate } from '@core/time';
import { answered, noMoreThan, notBefore, typedNumber } from './typed';

/** Flowers counted together: of so many, worked or left alone between two days, so many set. */
export interface TypedCount {
  readonly stand: StandId | null;
  /** Of one plant; `null`: of the whole stand. */
  readonly plant: PlantId | null;
  readonly how: GroupHow | null;
  readonly from: LocalDate | null;
  readonly to: LocalDate | null;
  readonly worked: string;
  readonly set: string;
  readonly bent: string;
}
export interface ReadCount extends ReadVerdict {
  readonly stand: StandId;
  readonly plant: PlantId | null;
  readonly how: GroupHow;
  readonly from: LocalDate;
  readonly to: LocalDate;
  readonly worked: number;
}

/** What became of flowers whose number is known. */
export interface ReadVerdict {
  readonly set: number;
  readonly bent: number | null;
}
export type TypedVerdict = Record<keyof ReadVerdict, string>;

const part = (field: string) => fieldSchema('groupCounted', field) as Joi.NumberSchema;
const bent = () => noMoreThan(typedNumber(part('bent'), 'how many are bent'), 'set', 'That is more than set');

export const countForm = Joi.object({
  stand: answered(part('stand'), 'Say of which stand'),
  plant: part('plant'),
  how: answered(part('how'), 'Say how they came to their pollen'),
  from: answered(part('from'), 'Say from which day on'),
  to: notBefore(answered(part('to'), 'Say to which day'), 'from'),
  worked: typedNumber(part('worked'), 'the flowers'),
  set: noMoreThan(typedNumber(part('set'), 'how many set'), 'worked', 'That is more than there were'),
  bent: bent(),
});

/** Of so many worked flowers. */
export const verdictForm = (worked: number): Joi.ObjectSchema =>
  Joi.object({ set: typedNumber(part('set').max(worked), 'how many set'), bent: bent() });
