import { useMemo } from 'react';
import { tonightPlan, type TonightPlan } from '@core/rounds';
import { useGarden } from './garden';
import { useOutlook } from './outlook';

/** Tonight's plan, once the outlook is known; the one before stands while it is worked out anew. */
export function useTonight(): TonightPlan | null {
  const { state, place, today } = useGarden();
  const outlook = useOutlook();
  return useMemo(
    () => (outlook ? tonightPlan(state, place, today, outlook) : null),
    [state, place, today, outlook],
  );
}
