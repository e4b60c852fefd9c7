import type { VarietyOutlook } from '@core/bloom';
import { useForesight } from './foresight';

/** What opens in the next days; `null` until it is worked out. */
export function useOutlook(): readonly VarietyOutlook[] | null {
  return useForesight()?.outlook ?? null;
}
