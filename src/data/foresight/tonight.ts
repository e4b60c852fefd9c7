import type { TonightPlan } from '@core/goals';
import { useForesight } from './foresight';

/** Tonight's plan; `null` until it is worked out. */
export function useTonight(): TonightPlan | null {
  return useForesight()?.tonight ?? null;
}
