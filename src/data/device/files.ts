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

const logFile = (events: readonly AnyEvent[], practice: readonly PracticeRecord[], date: string) => ({
  name: `steady-trowel-${date}.json`,
  type: 'application/json',
  text: toJson(events, practice),
});

export function exportLog(
  events: readonly AnyEvent[],
  practice: readonly PracticeRecord[],
  date: string,
): void {
  const { name, type, text } = logFile(events, practice, date);
  saveFile(name, type, text);
}

/**
 * Hands the whole record to another phone by the system's own sheet (near-by sharing needs no network), where the browser has one for
 * files; else saves it. `left`: the person thought better of it. Practice stays: it is each person's own.
 */
export async function handOver(
  events: readonly AnyEvent[],
  date: string,
): Promise<'shared' | 'saved' | 'left'> {
  const { name, type, text } = logFile(events, [], date);
  // Some systems share no files but those of a few kinds: text is among them.
  const files = [new File([text], name, { type }), new File([text], `${name}.txt`, { type: 'text/plain' })];
  const file = files.find((each) => navigator.canShare?.({ files: [each] }));
  if (!file) {
    saveFile(name, type, text);
    return 'saved';
  }
  try {
    await navigator.share({ files: [file], title: 'Steady Trowel' });
    return 'shared';
  } catch (error) {
    if ((error as Error).name === 'AbortError') return 'left';
    saveFile(name, type, text);
    return 'saved';
  }
}

export function exportTable(state: State, table: Table, date: string): void {
  saveFile(`steady-trowel-${table}-${date}.csv`, 'text/csv;charset=utf-8', toCsv(state, table, date));
}

/** Asks for a file. Resolves with `null` when the person thinks better of it. */
export function pickFile(accept = '.json,.txt,application/json,text/plain'): Promise<File | null> {
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
