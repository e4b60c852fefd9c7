import { expose } from 'comlink';
import { fromJson, type ReadFile } from '@core/formats';
import { fold, type AnyEvent, type LedgerEvent } from '@core/ledger';
import { planRound, type PlanRequest, type RoundPlan } from '@core/rounds';
import { demoLog, demoMeanwhile } from '@core/simulation';

/** The heavy work, off the interface's thread. Stopped by ending the worker. */
const trade = {
  makeDemo: (onProgress: (share: number) => void): LedgerEvent[] => demoLog(undefined, onProgress),
  demoMeanwhile: (events: readonly AnyEvent[], from: number, to: number): LedgerEvent[] =>
    demoMeanwhile(fold(events), from, to),
  plan: (request: PlanRequest): RoundPlan => planRound(request),
  readFile: (text: string, onProgress: (share: number) => void): ReadFile => fromJson(text, onProgress),
};

export type Trade = typeof trade;

expose(trade);
