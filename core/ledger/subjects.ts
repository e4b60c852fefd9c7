import type { SubjectId, SubjectKind } from '../ids';
import { deriveBed, deriveLot, deriveNeighbour, deriveObstacle, deriveStand, deriveVariety } from './derive';
import { derivePatch } from './derivePatch';
import { deriveFlower, derivePlant } from './derivePlant';
import type { LedgerEvent } from './events';
import type { Flower } from './flowerViews';
import type { Bed, Lot, Neighbour, Obstacle, Patch, Plant, Stand, Variety } from './views';

/** The view of each kind of subject. */
interface ViewOf {
  readonly patch: Patch;
  readonly bed: Bed;
  readonly variety: Variety;
  readonly stand: Stand;
  readonly plant: Plant;
  readonly flower: Flower;
  readonly neighbour: Neighbour;
  readonly obstacle: Obstacle;
  readonly lot: Lot;
}

interface Subject<View, Table extends string> {
  /** The table of the state in which its views stand. */
  readonly table: Table;
  /**
   * Its view, from its own events in force (`written`: all of them, what was put right or taken back too); `null` while the event that
   * begins it is missing.
   */
  readonly derive: (
    id: SubjectId,
    events: readonly LedgerEvent[],
    written: readonly LedgerEvent[],
  ) => View | null;
}

/** Every kind of subject, and all that the ledger has to know of it: the state's tables and the snapshot follow from here. */
export const SUBJECTS = {
  patch: { table: 'patches', derive: derivePatch },
  bed: { table: 'beds', derive: deriveBed },
  variety: { table: 'varieties', derive: deriveVariety },
  stand: { table: 'stands', derive: deriveStand },
  plant: { table: 'plants', derive: derivePlant },
  flower: { table: 'flowers', derive: deriveFlower },
  neighbour: { table: 'neighbours', derive: deriveNeighbour },
  obstacle: { table: 'obstacles', derive: deriveObstacle },
  lot: { table: 'lots', derive: deriveLot },
} as const satisfies { readonly [Kind in SubjectKind]: Subject<ViewOf[Kind], string> };

/** The tables of views in a state. */
export type ViewTables = {
  readonly [Kind in SubjectKind as (typeof SUBJECTS)[Kind]['table']]: ReadonlyMap<SubjectId, ViewOf[Kind]>;
};
/** The name of a table of the state. */
export type ViewTable = keyof ViewTables;
/** The tables of the state, one for each kind of subject. */
export const VIEW_TABLES: readonly ViewTable[] = Object.values(SUBJECTS).map(({ table }) => table);
