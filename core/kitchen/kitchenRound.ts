import { isEdible, kitchenTool, type Tool } from '../crops';
import { kitchenPace, STEP_S, type KitchenPace } from '../fruitset';
import type { State } from '../ledger';
import {
  coversFor,
  flowersOn,
  insectsKeptOut,
  openingOn,
  reasonFor,
  walkOrder,
  type Growing,
} from '../patch';
import { localDateOf, type LocalDate } from '../time';
import { openFemales, type OpenFemale } from './openFemales';

/** A plant of the kitchen round. */
export interface KitchenPlant {
  readonly growing: Growing;
  readonly tool: Tool;
  /** Flowers worked today so far, counted or one by one. */
  readonly today: number;
  /** Perfect flowers that it usually opens on a day at its age. */
  readonly expected: number;
  /** How long a flower takes here. */
  readonly pace: KitchenPace;
  readonly lastTruss: number | null;
  /** Of a vine: the females to be worked this morning, and those done. */
  readonly females: readonly OpenFemale[];
  /** Nothing but the grower comes to its flowers. */
  readonly insectsOut: boolean;
  /** Its flowers are worked for seed as they open: it needs no covers where it stands. */
  readonly seed: boolean;
}

/** Plants worked without closures, each with its usual tool, what is expected open and what was done on `date`. */
export function kitchenRound(state: State, zone: string, date: LocalDate): KitchenPlant[] {
  return walkOrder(state).flatMap((growing): KitchenPlant[] => {
    const { plant, crop, stand, bed } = growing;
    const forKitchen = isEdible(crop) && (stand.reason === 'fruit' || (stand.goal?.kitchenFruits ?? 0) > 0);
    const females = openFemales(state, growing, zone, date);
    if (!forKitchen && females.length === 0 && !hasKitchenFlower(state, growing)) return [];
    const last = plant.tallies[plant.tallies.length - 1];
    const tool = last?.tool ?? kitchenTool(crop);
    const counted = plant.tallies
      .filter(({ at }) => localDateOf(Date.parse(at), zone) === date)
      .reduce((sum, { flowers }) => sum + flowers, 0);
    return [
      {
        growing,
        tool,
        expected: openingOn(state, growing, date),
        pace: kitchenPace(state, crop.id, tool),
        today: counted + females.filter(({ how }) => how === 'worked').length,
        lastTruss: last?.truss ?? null,
        females,
        insectsOut: insectsKeptOut(bed, date),
        seed: stand.reason !== 'fruit' && !coversFor(state, growing, date).needed,
      },
    ];
  });
}

/** A single flower on a plant for seed that was said to be for the kitchen. */
function hasKitchenFlower(state: State, growing: Growing): boolean {
  return (
    growing.stand.reason !== 'fruit' &&
    flowersOn(state, growing.plant.id).some(
      (flower) => flower.reason === 'fruit' && reasonFor(flower, growing) === 'fruit',
    )
  );
}

/**
 * Minutes for a kitchen round: what is expected (a vine's noted females, else the usual number a day) by the grower's own pace.
 * @example kitchenMinutes([]) // 0
 */
export function kitchenMinutes(plants: readonly KitchenPlant[]): number {
  const minutes = plants.reduce((sum, { growing: { crop }, pace, expected, females, today }) => {
    const due = females.filter(({ how }) => how === 'due' || how === 'perhaps').length;
    const open = crop.family === 'cucurbit' ? due : Math.max(0, expected - today);
    return sum + (STEP_S + open * pace.seconds) / 60;
  }, 0);
  return plants.length === 0 ? 0 : Math.max(1, Math.round(minutes));
}
