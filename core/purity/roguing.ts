import { seasonOf } from '../bloom';
import { bloomSpan, cropOf, type Crop, type RogueStage } from '../crops';
import type { Plant, Stand, State, Variety } from '../ledger';
import { mainPatch, plantsOfStand } from '../patch';
import { addDays, daysBetween, localDateOf, type LocalDate } from '../time';

/** A stand for seed that is to be looked over for plants that are not true to the variety. */
export interface RogueDue {
  readonly stand: Stand;
  readonly variety: Variety;
  readonly crop: Crop;
  readonly stage: RogueStage;
  /** Those still standing that nobody found to be off-type. */
  readonly plants: readonly Plant[];
}

/** Days after planting from which, and until which, leaves are compared as seedlings [M]. */
const SEEDLING_FROM = 10;
/** Days before the first flowers can come from which their plants are looked over [M]. */
const BEFORE_FLOWER = 10;
/** Days after its pollination from which a fruit shows what it is [M]. */
const FRUIT_FROM = 20;

/**
 * The stands for seed that are due to be looked over, each once in its stage: as seedlings, before they flower, at the first fruit
 * (common practice; the days ours). A look that was not made in its time is not asked for later: off-types are pulled before they shed.
 * Where a single plant stands there is nothing to compare.
 */
export function roguesDue(state: State, zone: string, today: LocalDate): RogueDue[] {
  const place = mainPatch(state)?.place;
  return [...state.stands.values()].flatMap((stand): RogueDue[] => {
    const variety = state.varieties.get(stand.variety);
    const plants = plantsOfStand(state, stand.id).filter(({ ended, offType }) => !ended && !offType);
    if (!variety || stand.reason !== 'seed' || plants.length < 2) return [];
    // Of what has had its season nothing is to be seen any more.
    if (place && seasonOf(state, place, stand, today).over) return [];
    const crop = cropOf(variety.crop);
    // Every potato seedling is a variety of its own.
    if (crop.id === 'potato') return [];
    const stage = stageOf(state, crop, plants, today);
    if (stage === null || lookedOver(stand, stage, today, zone)) return [];
    return [{ stand, variety, crop, stage, plants }];
  });
}

/** A bed that stands for years is looked over anew each year. */
function lookedOver({ rogueLooks }: Stand, stage: RogueStage, today: LocalDate, zone: string): boolean {
  return rogueLooks.some(
    (each) =>
      each.stage === stage && localDateOf(Date.parse(each.at), zone).slice(0, 4) === today.slice(0, 4),
  );
}

function stageOf(state: State, crop: Crop, plants: readonly Plant[], today: LocalDate): RogueStage | null {
  // By the day as it is written: of thousands of flowers it is asked with every tap, and some hours decide nothing here.
  const old = addDays(today, -FRUIT_FROM);
  let flowered = false;
  for (const { id } of plants)
    for (const flowerId of state.flowersOf.get(id) ?? []) {
      const flower = state.flowers.get(flowerId);
      if (!flower) continue;
      const worked = flower.pollinations[0]?.at;
      const grows = !flower.lost && !flower.harvested;
      if (worked && grows && worked.slice(0, 10) <= old) return 'fruit';
      flowered ||=
        worked !== undefined || flower.sightings.some(({ stage }) => stage === 'open' || stage === 'spent');
    }
  const span = bloomSpan(crop);
  if (flowered || !span) return null;
  const ages = plants.flatMap(({ plantedOn }) => (plantedOn ? [daysBetween(plantedOn, today)] : []));
  // Nobody said when it was planted: nobody can say what is due.
  if (ages.length === 0) return null;
  const age = Math.min(...ages);
  const flowers = Math.max(span.firstAfter[0], SEEDLING_FROM + BEFORE_FLOWER);
  if (age > span.firstAfter[1]) return null;
  if (age >= flowers - BEFORE_FLOWER) return 'before-flower';
  return age >= SEEDLING_FROM ? 'seedling' : null;
}
