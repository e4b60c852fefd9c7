import type { CropId, NeighbourCropId, PEPPER_SPECIES } from '@core/crops';
import type { Beside, Between, Draft, KnownBy, Neighbour } from '@core/ledger';
import type { LocalDate } from '@core/time';

/** What grows next door, as it is typed and ticked. */
export interface TypedNeighbour {
  readonly crop: CropId | NeighbourCropId | null;
  readonly species: (typeof PEPPER_SPECIES)[number] | null;
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
    variety: neighbour?.variety ?? '',
    plants: neighbour?.plants == null ? '' : String(neighbour.plants),
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

/** To a tenth in other units than its own. */
const typedDistance = ({ distanceM }: Neighbour, unitM: number) =>
  String(unitM === 1 ? distanceM : Math.round((distanceM / unitM) * 10) / 10);

/** All days on which it was sprayed, in their order. */
export const sprayDays = ({ sprayed, sprayedToo }: TypedNeighbour): readonly LocalDate[] =>
  [...new Set([...sprayed, ...(sprayedToo ? [sprayedToo] : [])])].sort();

export type NeighbourErrors = Partial<Record<'crop' | 'plants' | 'distance' | 'to' | 'knownBy', string>>;
type Said = Omit<Extract<Draft, { kind: 'neighbourNoted' }>, 'neighbour' | 'patch'>;

/** What was typed as an entry, or what is wrong by field. Bounds of the entry itself are the ledger's. */
export function readNeighbour(
  typed: TypedNeighbour,
  before: Neighbour | null = null,
  unitM = 1,
): { readonly draft: Said } | { readonly errors: NeighbourErrors } {
  const errors: NeighbourErrors = {};
  const number = (text: string) => (text.trim() === '' ? NaN : Number(text.trim().replace(',', '.')));
  // What nobody typed anew stays as it was said, to the letter.
  const distanceM =
    before && typed.distance === typedDistance(before, unitM)
      ? before.distanceM
      : Math.round(number(typed.distance) * unitM * 100) / 100;
  if (!(distanceM >= 0 && distanceM <= 20_000))
    errors.distance = `The distance must be a number from 0 to ${Math.floor(20_000 / unitM)}`;
  const plants = typed.plants.trim() === '' ? null : number(typed.plants);
  if (plants !== null && !(Number.isInteger(plants) && plants >= 1 && plants <= 10_000_000))
    errors.plants = 'The plants must be a whole number, 1 or more';
  const { from: bloomFrom, to: bloomTo } = typed;
  const sprayed = sprayDays(typed);
  if (bloomFrom !== null && bloomTo !== null && bloomTo < bloomFrom)
    errors.to = 'That is before the first day';
  // Where it was put on the plan stands until another distance or direction is said.
  const place =
    before?.distanceM === distanceM && before.bearingDeg === typed.bearingDeg ? before.place : null;
  const { crop, knownBy } = typed;
  if (crop === null) errors.crop = 'Say what grows there';
  if (knownBy === null) errors.knownBy = 'Say how you know';
  if (Object.keys(errors).length > 0 || crop === null || knownBy === null) return { errors };
  return {
    draft: {
      kind: 'neighbourNoted',
      crop,
      ...(crop === 'pepper' && typed.species ? { species: typed.species } : {}),
      variety: typed.variety.trim() === '' ? null : typed.variety.trim(),
      plants,
      distanceM,
      bearingDeg: typed.bearingDeg,
      between: typed.between,
      besides: typed.besides,
      bloomFrom,
      bloomTo,
      ...(sprayed.length > 0 ? { sprayed } : {}),
      ...(place ? { place } : {}),
      knownBy,
    },
  };
}
