import { expose } from 'comlink';
import { fromJson, type ReadFile } from '@core/formats';
import type { AnyEvent, LedgerEvent } from '@core/ledger';
import { demoLog } from '@core/simulation';

/** The heavy work, off the interface's thread. Stopped by ending the worker. */
const trade = {
  makeDemo: (onProgress: (share: number) => void): LedgerEvent[] => demoLog(undefined, onProgress),
  readFile: (text: string, onProgress: (share: number) => void): ReadFile => fromJson(text, onProgress),
};

export type Trade = typeof trade;
export type { AnyEvent };

expose(trade);
