import { useMemo } from 'react';
import type { VarietyOutlook } from '@core/bloom';
import type { Goal, Stand } from '@core/ledger';
import { goalSum, goalSums, type GoalSum } from '@core/rounds';
import { useGarden } from './garden';
import { useOutlook } from './outlook';

/** Females that open on a morning in a variety's stands, as the outlook has it; `null` until it is known. */
export function perMorningOf(outlook: readonly VarietyOutlook[] | null): (stand: Stand) => number | null {
  return (stand) => {
    const view = outlook?.find(({ variety }) => variety === stand.variety);
    if (!view || view.buds.length === 0) return null;
    // The first two days are seen best: later buds do not show yet.
    const near = view.days.slice(0, 2);
    return near.reduce((sum, { females }) => sum + females.mean, 0) / Math.max(1, near.length);
  };
}

/** Every stand's goal with its sum. */
export function useGoals(): GoalSum[] {
  const { state, place, today } = useGarden();
  const outlook = useOutlook();
  return useMemo(() => goalSums(state, place, today, perMorningOf(outlook)), [state, place, today, outlook]);
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
