import type { Bed } from '../ledger';
import { localDateOf, type LocalDate } from '../time';
import type { Planted } from './garden';
import { standingOrder } from './layout';
import { shelterOn } from './shelter';

/** A bed whose cage takes turns with others, what grows in it, and whether this is its day. */
export interface Turn {
  readonly bed: Bed;
  readonly varieties: readonly string[];
  /** When its cage came off today; `null`: it is on, as far as anybody wrote. */
  readonly offAt: string | null;
  /** The last day before on which it was off. */
  readonly lastOn: LocalDate | null;
}

/**
 * The beds whose cages take turns on a day, the one that has waited longest first; empty where none do.
 * @example turnsOn(state, '2026-07-06', 'UTC') // []
 */
export function turnsOn(state: Planted, date: LocalDate, zone: string): readonly Turn[] {
  const inTurn = [...state.beds.values()].filter((bed) => shelterOn(bed, date)?.insects === 'in-turn');
  if (inTurn.length === 0) return [];
  const grown = new Map(inTurn.map(({ id }) => [id, new Set<string>()]));
  for (const { bed, variety } of standingOrder(state)) grown.get(bed.id)?.add(variety.name);
  const day = (at: string) => localDateOf(Date.parse(at), zone);
  return inTurn
    .flatMap((bed): Turn[] => {
      const varieties = [...(grown.get(bed.id) ?? [])];
      if (varieties.length === 0) return [];
      const days = bed.cageOff.map(({ at }) => day(at)).filter((each) => each < date);
      const offAt = bed.cageOff.find(({ at }) => day(at) === date)?.at ?? null;
      return [{ bed, varieties, offAt, lastOn: days.sort().at(-1) ?? null }];
    })
    .sort((a, b) => (a.lastOn ?? '').localeCompare(b.lastOn ?? ''));
}
