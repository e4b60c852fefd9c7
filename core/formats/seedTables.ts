import type { PlantId } from '../ids';
import type { Plant, State } from '../ledger';
import { generationCode, generationOfPlant, lineageOf, type Lineage } from '../lineage';
import { growing, lotName, plantName } from '../patch';
import type { Share } from '../purity';
import { lotsInOrder, lotStanding, untrueShare, type LotStanding } from '../seed';
import type { LocalDate } from '../time';
import { tableOf, type Column } from './column';
import type { Cell } from './csv';

const thousandths = (share: number | null | undefined): number | null =>
  share === null || share === undefined ? null : Math.round(share * 1000) / 1000;

type LotRow = LotStanding & { readonly state: State; readonly share: Share | null };

const LOT_COLUMNS: readonly Column<LotRow>[] = [
  ['lot', ({ lot }) => lot.id],
  ['name', ({ lot, state }) => lotName(lot, state)],
  ['variety', ({ variety }) => variety?.name ?? null],
  ['crop', ({ crop }) => crop?.id ?? null],
  ['year', ({ lot }) => lot.year],
  ['from', ({ lot }) => lot.from],
  ['generation', ({ generation }) => generationCode(generation) ?? generation.kind],
  ['fruits', ({ lot }) => lot.fruits.length],
  ['mothers', ({ mixture }) => mixture?.mothers ?? null],
  ['father plants', ({ mixture }) => mixture?.fathers ?? null],
  ['effective size', ({ mixture }) => thousandths(mixture?.size)],
  ['selfed share', ({ mixture }) => thousandths(mixture?.selfed)],
  ['grade', ({ grade }) => grade],
  ['foreign low', ({ share }) => thousandths(share?.low)],
  ['foreign likely', ({ share }) => thousandths(share?.likely)],
  ['foreign high', ({ share }) => thousandths(share?.high)],
  ['plants sown', ({ sown }) => sown],
  ['what cannot be so', ({ oddities }) => oddities.join(' ')],
  ['note', ({ lot }) => lot.note],
];

/** Every lot with what follows from its record on a day. */
export function lotRows(state: State, today: LocalDate): Cell[][] {
  return tableOf(
    LOT_COLUMNS,
    lotsInOrder(state).map((lot) => {
      const standing = lotStanding(state, lot, today);
      return { ...standing, state, share: untrueShare(standing) };
    }),
  );
}

interface PlantRow {
  readonly state: State;
  readonly lineage: Lineage;
  readonly plant: Plant;
}

/** The plants that stand in one place of the pairs, by name. */
function parents({ state, lineage, plant }: PlantRow, which: 'mother' | 'father'): string {
  const ids = new Set(lineage.of(plant.id).pairs.flatMap((pair) => pair[which] ?? []));
  return [...ids].map((id) => nameOf(state, id)).join('; ');
}

function nameOf(state: State, id: PlantId): string {
  const found = growing(state, id);
  return found ? plantName(found) : id;
}

const LINEAGE_COLUMNS: readonly Column<PlantRow>[] = [
  ['plant', ({ plant }) => plant.id],
  ['name', ({ state, plant }) => nameOf(state, plant.id)],
  [
    'cutting of',
    ({ state, lineage, plant }) => {
      const self = lineage.self(plant.id);
      return self === plant.id ? null : nameOf(state, self);
    },
  ],
  ['lot', ({ lineage, plant }) => lineage.of(plant.id).lot],
  ['mothers', (row) => parents(row, 'mother')],
  ['father plants', (row) => parents(row, 'father')],
  [
    'generation',
    ({ state, lineage, plant }) => {
      const generation = generationOfPlant(state, plant.id, lineage);
      return generationCode(generation) ?? generation.kind;
    },
  ],
  ['what cannot be so', ({ lineage, plant }) => lineage.of(plant.id).oddities.join(' ')],
  ['kept for', ({ plant }) => plant.keepers.map(({ trait }) => trait).join('; ')],
];

/** Where every plant comes from: one row each, several parents where the seed was mixed. */
export function lineageRows(state: State): Cell[][] {
  const lineage = lineageOf(state);
  return tableOf(
    LINEAGE_COLUMNS,
    [...state.plants.values()].map((plant) => ({ state, lineage, plant })),
  );
}
