import { inFlower } from '../bloom';
import type { Bed, Place, Stand, State, Variety } from '../ledger';
import { standingOrder } from '../patch';
import { bearsSeed } from '../purity';
import type { PlantId } from '../ids';
import type { LocalDate } from '../time';

/** Plants of one stand that have had their season. */
export interface PastStand {
  readonly stand: Stand;
  readonly variety: Variety;
  readonly bed: Bed;
  readonly plants: readonly PlantId[];
}

/** What stands on record from a season that is over. */
export interface LastSeason {
  /** Stand by stand, what can be cleared. */
  readonly past: readonly PastStand[];
  readonly plants: number;
  /** Plants of the same stands with seed fruit still on them: they stay. */
  readonly withSeed: number;
}

/**
 * What has had its season and nobody ended: it can be cleared in one step. Plants with seed fruit still out stay, and what stands for
 * years.
 * @example lastSeason(state, place, '2026-07-13').plants // 0
 */
export function lastSeason(state: State, place: Place, today: LocalDate): LastSeason {
  const flowering = inFlower(state, place, today);
  const past = new Map<string, { stand: Stand; variety: Variety; bed: Bed; plants: PlantId[] }>();
  let plants = 0;
  let withSeed = 0;
  for (const growing of standingOrder(state)) {
    const { plant, stand, variety, bed, crop } = growing;
    if (crop.perennial !== null || flowering(growing) !== 'over') continue;
    const seed = (state.flowersOf.get(plant.id) ?? []).some((id) => {
      const flower = state.flowers.get(id);
      return flower !== undefined && !flower.harvested && bearsSeed(flower);
    });
    if (seed) {
      withSeed++;
      continue;
    }
    const found = past.get(stand.id) ?? { stand, variety, bed, plants: [] };
    found.plants.push(plant.id);
    past.set(stand.id, found);
    plants++;
  }
  return { past: [...past.values()], plants, withSeed };
}
