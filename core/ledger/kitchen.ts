import type { FlowerId } from '../ids';
import type { Draft } from './events';

/**
 * A female worked for the kitchen, in one tap. It says no more than that: whose pollen, with what, and shut or not, nobody said.
 * @example workedForKitchen('flower:1') // { kind: 'pollinated', flower: 'flower:1', fathers: [], purpose: 'kitchen' }
 */
export function workedForKitchen(flower: FlowerId): Draft {
  return {
    kind: 'pollinated',
    flower,
    fathers: [],
    purpose: 'kitchen',
  };
}
