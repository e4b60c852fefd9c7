import type { FlowerId } from '../ids';
import type { Draft } from './events';

/** A female worked for the kitchen: stood open, any male, left open again. Says nothing about purity. */
export function workedForKitchen(flower: FlowerId): Draft {
  return {
    kind: 'pollinated',
    flower,
    fathers: [],
    tool: 'male-flower',
    shutAgain: null,
    purpose: 'kitchen',
  };
}
