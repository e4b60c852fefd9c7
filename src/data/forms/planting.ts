import {
  cropOf,
  type CropId,
  type FruitShape,
  type Reason,
  type SexSystem,
  type VarietyTraits,
} from '@core/crops';
import type { FlowerId, LotId, PatchId } from '@core/ids';
import type { Bed, Draft, State } from '@core/ledger';
import { nextPlantPlaces } from '@core/patch';
import type { LocalDate } from '@core/time';
import type { Garden } from '../garden/garden';

export interface Planting {
  readonly crop: CropId;
  readonly variety: string;
  readonly shape: FruitShape;
  readonly plants: number;
  readonly reason: Reason;
  /** How its flowers are made; `null` = the crop's usual way. */
  readonly system?: SexSystem | null;
  readonly traits?: VarietyTraits;
  /** The lot it is sown from, and which fruit of it; `null`: nobody said. */
  readonly lot?: LotId | null;
  readonly fruit?: FlowerId | null;
}

/** The facts of one new stand in a bed: its variety (the known one of that name and crop, or new), itself, its plants. */
export function plantingDrafts(
  newId: Garden['newId'],
  state: State,
  patch: PatchId,
  bed: Pick<Bed, 'id' | 'first' | 'lengthM' | 'widthM'>,
  {
    crop,
    variety: name,
    shape,
    plants,
    reason,
    system = null,
    traits = {},
    lot = null,
    fruit = null,
  }: Planting,
  plantedOn: LocalDate | null,
): Draft[] {
  const wanted = name.trim();
  const known = [...state.varieties.values()].find(
    (variety) => variety.name.toLowerCase() === wanted.toLowerCase() && variety.crop === crop,
  );
  const variety = known?.id ?? newId('variety');
  const stand = newId('stand');
  const stands = new Map([...state.stands].filter(([, each]) => each.bed === bed.id));
  const standing = [...state.plants.values()].filter((plant) => stands.has(plant.stand));
  const ofVariety = [...state.plants.values()].filter(
    (plant) => known && state.stands.get(plant.stand)?.variety === known.id,
  );
  const highest = ofVariety.reduce((most, { label }) => Math.max(most, Number(label) || 0), 0);
  return [
    ...(known
      ? []
      : [
          {
            kind: 'varietyAdded' as const,
            variety,
            patch,
            name: wanted,
            crop,
            shape,
            ...(system === null ? {} : { system }),
            ...(Object.keys(traits).length === 0 ? {} : { traits }),
          },
        ]),
    { kind: 'standAdded', stand, bed: bed.id, variety, reason },
    ...(lot === null ? [] : [{ kind: 'sownFrom' as const, subject: stand, lot, fruit }]),
    ...nextPlantPlaces({ ...bed, ...bed.first }, standing, plants, cropOf(crop)).map(
      (position, i): Draft => ({
        kind: 'plantAdded',
        plant: newId('plant'),
        stand,
        label: String(highest + i + 1),
        ...position,
        plantedOn,
      }),
    ),
  ];
}
