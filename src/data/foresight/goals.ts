import type { GoalSum } from '@core/goals';
import { useForesight } from './foresight';

/** Every stand's goal with its sum; `null` until they are worked out. */
export function useGoals(): readonly GoalSum[] | null {
  return useForesight()?.goals ?? null;
}
