import { MOST_BYTES, tooLarge, toCsv, toJson, type ReadFile, type Table } from '@core/formats';
import type { AnyEvent, State } from '@core/ledger';
import type { PracticeRecord } from '@core/practice';
import { inWorker, type Job } from './worker';

/** Hands something written to the browser as a file to keep. */
export function saveFile(name: string, type: string, content: string | ArrayBuffer): void {
  const url = URL.createObjectURL(new Blob([content], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  // The download reads the address a moment later.
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

export function exportLog(
  events: readonly AnyEvent[],
  practice: readonly PracticeRecord[],
  date: string,
): void {
  saveFile(`steady-trowel-${date}.json`, 'application/json', toJson(events, practice));
}

export function exportTable(state: State, table: Table, date: string): void {
  saveFile(`steady-trowel-${table}-${date}.csv`, 'text/csv;charset=utf-8', toCsv(state, table, date));
}

/** Asks for a file. Resolves with `null` when the person thinks better of it. */
export function pickFile(accept = '.json,application/json'): Promise<File | null> {
  return new Promise((resolve) => {
    const input = document.createElement('input');
    input.type = 'file';
    input.accept = accept;
    input.addEventListener('change', () => resolve(input.files?.[0] ?? null));
    input.addEventListener('cancel', () => resolve(null));
    input.click();
  });
}

/** Reads and checks a file off the main thread. Size is looked at before a byte is read. */
export function readFile(file: File, onProgress: (share: number) => void): Job<ReadFile> {
  if (file.size > MOST_BYTES)
    return { result: Promise.resolve(tooLarge(file.size)), cancel: () => undefined };
  return inWorker(async (trade, report) => trade.readFile(await file.text(), report), onProgress);
}
