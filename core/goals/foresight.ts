import { bloomOutlook, type DayTemperature, type VarietyOutlook } from '../bloom';
import type { Place, Stand, State } from '../ledger';
import type { LocalDate } from '../time';
import { goalSum, goalSums, type GoalSum } from './goals';
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
  /** The mornings that are foretold to be wet (`wetMornings`). */
  readonly wet?: readonly LocalDate[];
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
export function foresight({ state, place, today, from, temperatures, wet = [] }: ForesightInput): Foresight {
  const outlook = bloomOutlook({ state, zone: place.zone, from, ...(temperatures ? { temperatures } : {}) });
  return {
    outlook,
    tonight: tonightPlan(state, place, today, outlook, wet),
    goals: goalSums(state, place, today, { wet }),
    ripe: ripeSeed(state, place, today),
    lastSeason: lastSeason(state, place, today),
  };
}

/** What the sum of a goal is told from that is only being thought of: its stand, with that goal. */
export interface SumInput extends Pick<ForesightInput, 'state' | 'place' | 'today' | 'wet'> {
  readonly stand: Stand;
}

/** The sum of a goal that is only being thought of; `null` where it asks for nothing. */
export const sumOf = ({ state, place, today, stand, wet = [] }: SumInput): GoalSum | null =>
  goalSum(state, place, stand, today, { wet });
