import { isEdible, type Crop, type Tool } from '../crops';
import type { State } from '../ledger';
import { walkOrder, type Growing } from '../patch';
import { localDateOf, type LocalDate } from '../time';

/** Seconds for a flower by tool: vibrating 3-5 s, a brush about 3 s (common practice); the others [M]. */
export const SECONDS_A_FLOWER: Readonly<Partial<Record<Tool, number>>> = {
  vibration: 4,
  shaking: 2,
  brush: 3,
  fan: 1,
  finger: 4,
  'male-flower': 15,
  swab: 6,
};

/** A plant of the kitchen round. */
export interface KitchenPlant {
  readonly growing: Growing;
  readonly tool: Tool;
  /** Flowers worked today so far. */
  readonly today: number;
  readonly lastTruss: number | null;
}

/** Plants worked for the fruit, without closures: each with its usual tool and today's tally. */
export function kitchenRound(state: State, zone: string, date: LocalDate): KitchenPlant[] {
  return walkOrder(state)
    .filter(
      ({ stand, crop }) =>
        (stand.reason === 'fruit' || (stand.goal?.kitchenFruits ?? 0) > 0) &&
        isEdible(crop) &&
        crop.family !== 'corn',
    )
    .map((growing): KitchenPlant => {
      const { tallies } = growing.plant;
      const last = tallies[tallies.length - 1];
      const today = tallies
        .filter(({ at }) => localDateOf(Date.parse(at), zone) === date)
        .reduce((sum, { flowers }) => sum + flowers, 0);
      return {
        growing,
        tool: last?.tool ?? kitchenTool(growing.crop),
        today,
        lastTruss: last?.truss ?? null,
      };
    });
}

/** The tools of a kitchen round, the usual first: a truss is vibrated, a strawberry brushed. */
export function kitchenTools(crop: Crop): readonly Tool[] {
  return crop.tools.filter((tool) => tool !== 'anthers' && tool !== 'pouring');
}

/** What a crop is usually worked with for the kitchen. */
export function kitchenTool(crop: Crop): Tool {
  return kitchenTools(crop)[0] ?? 'brush';
}
