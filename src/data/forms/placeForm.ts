import { placeSchema, type Place } from '@core/ledger';

/** Reads what was typed as a place, or says what is wrong with each field. */
export function readPlace(typed: {
  placeName: string;
  latitude: string;
  longitude: string;
  zone: string;
}): { place: Place } | { errors: Record<string, string> } {
  const number = (text: string) => (text.trim() === '' ? Number.NaN : Number(text.trim().replace(',', '.')));
  const place = {
    name: typed.placeName.trim(),
    latitude: number(typed.latitude),
    longitude: number(typed.longitude),
    zone: typed.zone.trim(),
  };
  const errors: Record<string, string> = {};
  if (Number.isNaN(place.latitude)) errors.latitude = 'Latitude must be a number of degrees, e.g. 46.2';
  if (Number.isNaN(place.longitude)) errors.longitude = 'Longitude must be a number of degrees, e.g. 14.6';
  const { error } = placeSchema.validate(place, {
    abortEarly: false,
    convert: false,
    errors: { wrap: { label: false } },
  });
  for (const problem of error?.details ?? []) {
    const field = String(problem.path[0] ?? 'zone');
    const words: Record<string, string> = {
      name: 'The place needs a name of 1 to 80 characters',
      latitude: 'Latitude lies between -90 and 90',
      longitude: 'Longitude lies between -180 and 180',
      zone: 'Pick a town from the list, or write a zone such as Europe/Ljubljana',
    };
    errors[field] ??= words[field] ?? problem.message;
  }
  return Object.keys(errors).length > 0 ? { errors } : { place };
}
