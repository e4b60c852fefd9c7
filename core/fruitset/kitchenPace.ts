import { kitchenSeconds, type CropId, type Tool } from '../crops';
import { plantedIn, walkOrder, type Planted } from '../patch';
import { remembered } from '../remember';

/** From one plant to the next in the kitchen round, seconds [M]. */
export const STEP_S = 12;
/** A gap this many times what the catalogue would take is a pause, not work [M]. */
const PAUSE = 4;
/** The catalogue's seconds are worth so many counts of one's own [M]. */
const WEIGHT = 4;
/** Of each crop and tool the latest so many counts are looked at. */
const MOST = 40;

interface Count {
  readonly at: number;
  readonly by: string;
  readonly tool: Tool;
  readonly flowers: number;
  readonly crop: CropId;
}

const pacesOf = remembered('paces', plantedIn, learnt);

/** Seconds a flower, from each count that followed another of the same person, crop and tool without a pause. */
function learnt(planted: Planted): ReadonlyMap<string, readonly number[]> {
  const counts: Count[] = walkOrder(planted).flatMap(({ plant, crop }) =>
    plant.tallies.map(({ at, by, tool, flowers }) => ({
      at: Date.parse(at),
      by,
      tool,
      flowers,
      crop: crop.id,
    })),
  );
  counts.sort((a, b) => a.at - b.at);
  const before = new Map<string, Count>();
  const paces = new Map<string, number[]>();
  for (const count of counts) {
    const last = before.get(count.by);
    before.set(count.by, count);
    if (!last || last.crop !== count.crop || last.tool !== count.tool || count.flowers === 0) continue;
    const gapS = (count.at - last.at) / 1000;
    const usualS = STEP_S + count.flowers * kitchenSeconds(count.tool);
    // Counts entered in a row afterwards stand a second or two apart: that is typing.
    if (gapS < count.flowers || gapS > PAUSE * usualS) continue;
    const key = `${count.crop}/${count.tool}`;
    const list = paces.get(key) ?? [];
    list.push(Math.max(0.5, (gapS - STEP_S) / count.flowers));
    paces.set(key, list);
  }
  return paces;
}

/** How long a flower takes in the kitchen round, and from how many counts of one's own that is known. */
export interface KitchenPace {
  readonly seconds: number;
  readonly from: number;
}

/**
 * Seconds a flower by a tool: the grower's own pace, drawn towards the catalogue's while there is little of it.
 * @example kitchenPace(state, 'tomato', 'vibration') // { seconds: 4, from: 0 }
 */
export function kitchenPace(state: Planted, crop: CropId, tool: Tool): KitchenPace {
  const own = (pacesOf(state).get(`${crop}/${tool}`) ?? []).slice(-MOST);
  const usual = kitchenSeconds(tool);
  if (own.length === 0) return { seconds: usual, from: 0 };
  const sorted = [...own].sort((a, b) => a - b);
  const median = sorted[Math.floor(sorted.length / 2)] as number;
  return {
    seconds: (usual * WEIGHT + median * own.length) / (WEIGHT + own.length),
    from: own.length,
  };
}
