import type { VarietyOutlook } from '../bloom';
import type { Stand } from '../ledger';

/** Females that open on a morning in one stand, as the outlook has it; `null` while it says nothing of the stand. */
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
