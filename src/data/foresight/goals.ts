import { useMemo } from 'react';
import type { Goal, Stand } from '@core/ledger';
import { goalSum, perMorningOf, type GoalSum } from '@core/goals';
import { useForesight } from './foresight';
import { useGarden } from '../garden/garden';
import { useOutlook } from './outlook';

/** Every stand's goal with its sum; `null` until they are worked out. */
export function useGoals(): readonly GoalSum[] | null {
  return useForesight()?.goals ?? null;
}

/** The sum of a goal that is only being thought of. */
export function useSumOf(stand: Stand | null, goal: Goal): GoalSum | null {
  const { state, place, today } = useGarden();
  const outlook = useOutlook();
  return useMemo(
    () => (stand ? goalSum(state, place, { ...stand, goal }, today, perMorningOf(outlook)(stand)) : null),
    [state, place, stand, goal, today, outlook],
  );
}
