import { toJson } from '@core/formats';
import type { AnyEvent } from '@core/ledger';
import type { PracticeRecord } from '@core/practice';
import { saveFile } from './files';
import { later } from './later';
import type { Space } from './prefs';

const logFile = (events: readonly AnyEvent[], practice: readonly PracticeRecord[], date: string) => ({
  name: `steady-trowel-${date}.json`,
  type: 'application/json',
  text: toJson(events, practice),
});

function exportLog(events: readonly AnyEvent[], practice: readonly PracticeRecord[], date: string): void {
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

/**
 * A space's whole record as a file: the log, and its practice. Practice records that cannot be read, or whose code cannot be had, must
 * not keep the garden's from being carried out. Gives how many records there are.
 */
export async function exportEverything(
  events: readonly AnyEvent[],
  space: Space,
  date: string,
): Promise<number> {
  const practice = await later
    .fetch()
    .then(({ practiceStore }) => practiceStore(space).all())
    .catch(() => []);
  exportLog(events, practice, date);
  return events.length + practice.length;
}
