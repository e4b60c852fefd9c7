import { expose } from 'comlink';
import { fromJson, type ReadFile } from '@core/formats';
import { fold, type AnyEvent, type LedgerEvent } from '@core/ledger';
import { foresight, type Foresight, type ForesightInput } from '@core/goals';
import { planRound, type PlanRequest, type RoundPlan } from '@core/planning';
import { demoLog, demoMeanwhile } from '@core/simulation';
import { stateOf } from './log';

/** The heavy work, off the interface's thread. Stopped by ending the worker. */
const trade = {
  makeDemo: (onProgress: (share: number) => void): LedgerEvent[] => demoLog(undefined, onProgress),
  demoMeanwhile: (events: readonly AnyEvent[], from: number, to: number): LedgerEvent[] =>
    demoMeanwhile(fold(events), from, to),
  plan: (request: PlanRequest): RoundPlan => planRound(request),
  foresight: async (
    box: string,
    recent: readonly AnyEvent[],
    count: number,
    input: Omit<ForesightInput, 'state'>,
  ): Promise<{ readonly count: number; readonly foresight: Foresight }> => {
    const state = await stateOf(box, recent, count);
    return { count: state.count, foresight: foresight({ ...input, state }) };
  },
  readFile: (text: string, onProgress: (share: number) => void): ReadFile => fromJson(text, onProgress),
};

export type Trade = typeof trade;

expose(trade);
