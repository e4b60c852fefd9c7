import type { Stand, State } from '../ledger';
import { flowersOn, plantsOfStand } from '../patch';

/** How a stand stands with the flowers it leaves to the insects. */
export interface Leaving {
  readonly every: number;
  /** Females worked, and left, since it was said. */
  readonly worked: number;
  readonly left: number;
  /** Whether the next open female is to be left. */
  readonly next: boolean;
}

/**
 * Which open female is left to the insects: with one in `every`, the next is, as soon as fewer were left than its share of those worked
 * and left so far and itself. The count says which, so that nobody picks the ones that would have set anyway. `null`: the stand leaves
 * none.
 * @example leavingOf(state, stand) // null
 */
export function leavingOf(state: State, { id, leaving }: Stand): Leaving | null {
  if (leaving === null) return null;
  const { at: since, every } = leaving;
  let [worked, left] = [0, 0];
  for (const { id: plant } of plantsOfStand(state, id))
    for (const flower of flowersOn(state, plant)) {
      if (flower.sex === 'male') continue;
      const first = flower.pollinations[0];
      if (first) worked += Number(first.at >= since);
      else if (flower.left && flower.left.at >= since) left++;
    }
  return { every, worked, left, next: left < Math.floor((worked + left + 1) / every) };
}
