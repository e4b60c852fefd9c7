import { bloomOutlook, type DayTemperature, type VarietyOutlook } from '../bloom';
import type { Place, Stand, State } from '../ledger';
import type { LocalDate } from '../time';
import { goalSums, type GoalSum } from './goals';
import { lastSeason, type LastSeason } from './lastSeason';
import { ripeSeed, type RipeSeed } from './ripeSeed';
import { tonightPlan, type TonightPlan } from './tonight';

/** What everything foretold is told from. */
export interface ForesightInput {
  readonly state: State;
  readonly place: Place;
  readonly today: LocalDate;
  /** The first day whose openings are still to come. */
  readonly from: LocalDate;
  readonly temperatures?: readonly DayTemperature[];
}

/** All that is foretold: plain data, so that it can be worked out on another thread. */
export interface Foresight {
  readonly outlook: readonly VarietyOutlook[];
  readonly tonight: TonightPlan;
  readonly goals: readonly GoalSum[];
  /** Seed fruit to be taken in. */
  readonly ripe: readonly RipeSeed[];
  /** What has had its season and still stands on record. */
  readonly lastSeason: LastSeason;
}

/** What opens in the next days, what to shut tonight, how each goal stands by it, what is ripe and what is over. */
export function foresight({ state, place, today, from, temperatures }: ForesightInput): Foresight {
  const outlook = bloomOutlook({ state, zone: place.zone, from, ...(temperatures ? { temperatures } : {}) });
  return {
    outlook,
    tonight: tonightPlan(state, place, today, outlook),
    goals: goalSums(state, place, today, perMorningOf(outlook)),
    ripe: ripeSeed(state, place, today),
    lastSeason: lastSeason(state, place, today),
  };
}

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
