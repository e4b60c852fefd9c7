import { useDeferredValue, useMemo } from 'react';
import { tonightPlan, type TonightPlan } from '@core/rounds';
import { useGarden } from './garden';
import { useOutlook } from './outlook';

/** Tonight's plan, once the outlook is known; the one before stands while it is worked out anew. */
export function useTonight(): TonightPlan | null {
  const { state: now, place, today } = useGarden();
  const told = useOutlook();
  // After the paint: a tap is answered first, the plan follows.
  const state = useDeferredValue(now);
  const outlook = useDeferredValue(told);
  return useMemo(
    () => (outlook ? tonightPlan(state, place, today, outlook) : null),
    [state, place, today, outlook],
  );
}
