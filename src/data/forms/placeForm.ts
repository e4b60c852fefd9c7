import Joi from 'joi';
import { placeSchema, type Place } from '@core/ledger';
import { answered, typedNumber, typedOf, typedText, unitOf } from './typed';

/** A place as it is picked from a list or typed. */
export interface TypedPlace {
  readonly placeName: string;
  readonly latitude: string;
  readonly longitude: string;
  readonly zone: string;
}
export type ReadPlace = Pick<Place, 'latitude' | 'longitude' | 'zone'> & { readonly placeName: string };

const DEGREES = unitOf(1, 'degrees');
/** Seven digits are a centimetre on the ground: as many as a phone gives. */
const DIGITS = 7;
const degrees = (field: 'latitude' | 'longitude') =>
  typedNumber(placeSchema.extract(field), `the ${field}`, { scale: DEGREES, digits: DIGITS });

export const PLACE_FIELDS = {
  placeName: typedText(placeSchema.extract('name'), 'a name for the place'),
  latitude: degrees('latitude'),
  longitude: degrees('longitude'),
  zone: answered(
    placeSchema.extract('zone'),
    'Pick a town from the list, or write a zone such as Europe/Ljubljana',
  ),
};
export const placeForm = Joi.object(PLACE_FIELDS);

export const typedPlace = ({ name, latitude, longitude, zone }: Place): TypedPlace => ({
  placeName: name,
  latitude: typedOf(latitude, DIGITS),
  longitude: typedOf(longitude, DIGITS),
  zone,
});

export const placeOf = ({ placeName: name, latitude, longitude, zone }: ReadPlace): Place => ({
  name,
  latitude,
  longitude,
  zone,
});
