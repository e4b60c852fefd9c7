import Joi from 'joi';
import type { Bed } from '@core/ledger';
import { groundPart, LENGTHS, type Ground } from './bedForm';
import { typedNumber, typedOf, unitOf } from './typed';

/** Where something lies on the plan, m, and of a bed its size and turn. */
export interface ReadSpot {
  readonly east: number;
  readonly south: number;
  readonly lengthM: number;
  readonly widthM: number;
  readonly turnedDeg: number;
}
export type TypedSpot = Record<keyof ReadSpot, string>;

interface Spot {
  readonly east: number;
  readonly south: number;
  readonly bed: Bed | undefined;
}

/** A spot as it stands in its form. */
export function typedSpot({ east, south, bed }: Spot, { name, metres }: Ground): TypedSpot {
  const typed = (length: number | undefined) => typedOf(length, 2, unitOf(metres, name));
  return {
    east: typed(east),
    south: typed(south),
    lengthM: typed(bed?.lengthM),
    widthM: typed(bed?.widthM),
    turnedDeg: typedOf(bed?.turnedDeg),
  };
}

/** To either side, and once round. */
const TURNED = Joi.number().min(-360).max(360).required();

export function spotForm(spot: Spot, { name, metres }: Ground): Joi.ObjectSchema {
  const shown = typedSpot(spot, { name, metres });
  const length = (field: keyof TypedSpot, of: keyof typeof LENGTHS, stored: number) =>
    typedNumber(groundPart(of), LENGTHS[of], {
      scale: unitOf(metres, name),
      before: { typed: shown[field], stored },
    });
  const { east, south, bed } = spot;
  return Joi.object({
    east: length('east', 'xM', east),
    south: length('south', 'yM', south),
    ...(bed
      ? {
          lengthM: length('lengthM', 'lengthM', bed.lengthM),
          widthM: length('widthM', 'widthM', bed.widthM),
          turnedDeg: typedNumber(TURNED, 'how far it is turned'),
        }
      : {}),
  });
}
