import type { LotId, VarietyId } from '../ids';
import type { Lot, State } from '../ledger';
import { fruitsForSeed, generationCode, mixingOf } from '../lineage';
import type { Grade } from '../purity';
import type { LocalDate } from '../time';
import { lotName } from '../patch';
import { lotsInOrder, lotStanding } from './lots';

/** What a list says of a lot: plain and small, since all of them come from a worker. */
export interface ListedLot extends Pick<Lot, 'from'> {
  readonly lot: LotId;
  readonly name: string;
  readonly crop: string | null;
  /** `F1`, `BC2`; `null` of what is pure, mixed or not known. */
  readonly code: string | null;
  readonly fruits: number;
  /** As many plants it is worth; `null` of a lot from elsewhere. */
  readonly size: number | null;
  readonly sown: number;
  readonly grade: Grade | null;
  /** Whether something in its record cannot be so. */
  readonly odd: boolean;
}

/** A variety of which fruits for seed grow this year. */
export interface ComingLot {
  readonly variety: VarietyId;
  readonly name: string;
  readonly fruits: number;
  readonly size: number;
}

/** All lots, and what comes into the next. */
export interface SeedOverview {
  readonly lots: readonly ListedLot[];
  readonly coming: readonly ComingLot[];
}

/** Every lot with its standing, the latest first, and this year's varieties grown for seed. */
export function seedOverview(state: State, today: LocalDate): SeedOverview {
  const year = today.slice(0, 4);
  return {
    lots: lotsInOrder(state).map((lot) => {
      const { crop, generation, mixture, sown, grade, oddities } = lotStanding(state, lot, today);
      return {
        lot: lot.id,
        name: lotName(lot, state),
        crop: crop?.name ?? null,
        code: generationCode(generation),
        from: lot.from,
        fruits: lot.fruits.length,
        size: mixture?.size ?? null,
        sown,
        grade,
        odd: oddities.length > 0,
      };
    }),
    coming: [...state.varieties.values()].flatMap(({ id, name }) => {
      const { length } = fruitsForSeed(state, id, year);
      return length === 0
        ? []
        : [{ variety: id, name, fruits: length, size: mixingOf(state, id, year).size }];
    }),
  };
}
