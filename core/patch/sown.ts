import type { FlowerId, SubjectId } from '../ids';
import type { Flower, Lot, Plant, SownView, Stand, State } from '../ledger';
import { remembered, some } from '../remember';
import type { LocalDate } from '../time';

/** A plant as far as its seed goes. */
export type SownPlant = Pick<Plant, 'stand' | 'plantedOn' | 'addedAt' | 'sown'>;

/** What is asked to know whether it can be. */
export interface SownTables extends Pick<State, 'lots'> {
  readonly stands: ReadonlyMap<SubjectId, Pick<Stand, 'sown'>>;
  /** Those of lots will do (`lotFlowers`). */
  readonly flowers: ReadonlyMap<SubjectId, Flower>;
}

/** The fruits that became seed of a lot: the only flowers that where a plant comes from hangs on. */
export const lotFlowers = remembered(
  'lot fruits',
  ({ lots, flowers }: Pick<State, 'lots' | 'flowers'>) => ({ lots, flowers }),
  ({ lots, flowers }) =>
    some(
      flowers,
      [...lots.values()].flatMap(({ fruits }) => fruits),
    ),
);

/**
 * What a plant is said to be sown from: as it was said of it, else of its stand, whether or not it can be; `null`: nobody said.
 * @example sownSaid(mother.plant, state) // null
 */
export function sownSaid(
  plant: Pick<Plant, 'sown' | 'stand'>,
  { stands }: Pick<SownTables, 'stands'>,
): SownView | null {
  return plant.sown ?? stands.get(plant.stand)?.sown ?? null;
}

/**
 * What a plant was sown from, where it can be: what can't is kept, told, and counts for nothing. `null`: nobody said, or it can't be.
 * @example sownFrom(mother.plant, state) // null
 */
export function sownFrom(plant: SownPlant, tables: SownTables): SownView | null {
  const said = sownSaid(plant, tables);
  const lot = said?.lot == null ? undefined : tables.lots.get(said.lot);
  if (!said || !lot) return said;
  return couldBeOf(stoodSince(plant), said.fruit === null ? lot : { ...lot, fruits: [said.fruit] }, tables)
    ? said
    : null;
}

/** The first day on which a plant is known to have stood there: where nobody said when it was planted, the one on which it was written down. */
export const stoodSince = ({ plantedOn, addedAt }: Pick<Plant, 'plantedOn' | 'addedAt'>): LocalDate =>
  plantedOn ?? addedAt.slice(0, 10);

/**
 * Whether a plant that stood there on a day can be of a lot: not where that was before any fruit of it was picked, or worked, nor in a year
 * before the lot's. `null`: one that is still to be planted.
 * @example couldBeOf('2026-05-20', { year: 2025, fruits: [] }, state) // true
 */
export function couldBeOf(
  since: LocalDate | null,
  lot: Pick<Lot, 'year' | 'fruits'>,
  tables: Pick<SownTables, 'flowers'>,
): boolean {
  if (since === null) return true;
  if (Number(since.slice(0, 4)) < lot.year) return false;
  return lot.fruits.length === 0 || lot.fruits.some((fruit) => ripeBefore(since, fruit, tables));
}

function ripeBefore(since: LocalDate, fruit: FlowerId, { flowers }: Pick<SownTables, 'flowers'>): boolean {
  const flower = flowers.get(fruit);
  const ripe = (flower?.harvested ?? flower?.pollinations[0])?.at;
  return ripe === undefined || ripe.slice(0, 10) < since;
}
