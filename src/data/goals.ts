import { useMemo } from 'react';
import type { VarietyOutlook } from '@core/bloom';
import type { Goal, Stand } from '@core/ledger';
import { goalSum, goalSums, type GoalSum } from '@core/rounds';
import { useGarden } from './garden';
import { useOutlook } from './outlook';

/** Females that open on a morning in one stand, as the outlook has it; `null` until it is known. */
export function perMorningOf(outlook: readonly VarietyOutlook[] | null): (stand: Stand) => number | null {
  return (stand) => {
    const view = outlook?.find(({ variety }) => variety === stand.variety);
    const mothers = view?.buds.filter(({ sex }) => sex !== 'male') ?? [];
    if (!view || mothers.length === 0) return null;
    // The first two days are seen best: later buds do not show yet. What the buds promise is the stand's by its share of them.
    const near = view.days.slice(0, 2);
    const mean = near.reduce((sum, { females }) => sum + females.mean, 0) / Math.max(1, near.length);
    return (mean * mothers.filter(({ growing }) => growing.stand.id === stand.id).length) / mothers.length;
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
