import Joi from 'joi';
import type { CornKind, CropId, NeighbourCropId, PEPPER_SPECIES } from '@core/crops';
import {
  fieldSchema,
  type Beside,
  type Between,
  type Draft,
  type KnownBy,
  type Neighbour,
} from '@core/ledger';
import type { LocalDate } from '@core/time';
import type { Ground } from './bedForm';
import { answered, NO_DAY, notBefore, typedNumber, typedOf, typedText, unitOf } from './typed';

/** What grows next door, as it is typed and ticked. */
export interface TypedNeighbour {
  readonly crop: CropId | NeighbourCropId | null;
  readonly species: (typeof PEPPER_SPECIES)[number] | null;
  readonly corn: CornKind | null;
  readonly variety: string;
  readonly plants: string;
  readonly distance: string;
  readonly bearingDeg: number | null;
  readonly between: readonly Between[];
  readonly besides: readonly Beside[];
  readonly from: LocalDate | null;
  readonly to: LocalDate | null;
  readonly sprayed: readonly LocalDate[];
  /** Another such day, picked and not put to the others yet: it counts as much. */
  readonly sprayedToo: LocalDate | null;
  readonly knownBy: KnownBy | null;
}

/** Nothing said yet, or what was said last; `unitM` is the length that distances are typed in, m. */
export function typedNeighbour(neighbour: Neighbour | null, unitM = 1): TypedNeighbour {
  return {
    crop: neighbour?.crop ?? null,
    species: neighbour?.species ?? null,
    corn: neighbour?.corn ?? null,
    variety: neighbour?.variety ?? '',
    plants: typedOf(neighbour?.plants),
    distance: neighbour ? typedDistance(neighbour, unitM) : '',
    bearingDeg: neighbour?.bearingDeg ?? null,
    between: neighbour?.between ?? [],
    besides: neighbour?.besides ?? [],
    from: neighbour?.bloomFrom ?? null,
    to: neighbour?.bloomTo ?? null,
    sprayed: neighbour?.sprayed ?? [],
    sprayedToo: null,
    knownBy: neighbour?.knownBy ?? null,
  };
}

/** Rounded to a tenth in any unit but its own. */
const typedDistance = ({ distanceM }: Neighbour, unitM: number) =>
  String(unitM === 1 ? distanceM : Math.round((distanceM / unitM) * 10) / 10);

/** All days on which it was sprayed, in their order. */
export const sprayDays = ({
  sprayed,
  sprayedToo,
}: Pick<TypedNeighbour, 'sprayed' | 'sprayedToo'>): readonly LocalDate[] =>
  [...new Set([...sprayed, ...(sprayedToo ? [sprayedToo] : [])])].sort();

type Said = Omit<Extract<Draft, { kind: 'neighbourNoted' }>, 'neighbour' | 'patch'>;
/** The same in the ledger's terms. */
export type ReadNeighbour = Omit<TypedNeighbour, 'crop' | 'variety' | 'plants' | 'distance' | 'knownBy'> &
  Pick<Said, 'crop' | 'variety' | 'plants' | 'knownBy'> & { readonly distance: number };

const part = (field: string) => fieldSchema('neighbourNoted', field);

/** What a neighbour's form holds, with lengths in the grower's unit. */
export const neighbourForm = (before: Neighbour | null, { name, metres }: Ground): Joi.ObjectSchema =>
  Joi.object({
    crop: answered(part('crop'), 'Say what grows there'),
    variety: typedText(part('variety'), 'a variety'),
    distance: typedNumber(part('distanceM'), 'the distance', {
      scale: unitOf(metres, name),
      ...(before
        ? { before: { typed: typedNeighbour(before, metres).distance, stored: before.distanceM } }
        : {}),
    }),
    plants: typedNumber(part('plants'), 'how many plants'),
    from: answered(part('bloomFrom'), NO_DAY),
    to: notBefore(answered(part('bloomTo'), NO_DAY), 'from'),
    knownBy: answered(part('knownBy'), 'Say how you know'),
  });

/** What the form came to, as an entry. */
export function neighbourDraft(read: ReadNeighbour, before: Neighbour | null = null): Said {
  const { crop, distance: distanceM, bearingDeg } = read;
  const sprayed = sprayDays(read);
  // Where it was put on the plan stands until another distance or direction is said.
  const place = before?.distanceM === distanceM && before.bearingDeg === bearingDeg ? before.place : null;
  return {
    kind: 'neighbourNoted',
    crop,
    ...(crop === 'pepper' && read.species ? { species: read.species } : {}),
    ...(crop === 'corn' && read.corn ? { corn: read.corn } : {}),
    variety: read.variety,
    plants: read.plants,
    distanceM,
    bearingDeg,
    between: read.between,
    besides: read.besides,
    bloomFrom: read.from,
    bloomTo: read.to,
    ...(sprayed.length > 0 ? { sprayed } : {}),
    ...(place ? { place } : {}),
    knownBy: read.knownBy,
  };
}
