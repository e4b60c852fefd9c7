import { useCallback, useRef, useState } from 'react';
import type { Draft } from '@core/ledger';
import { useGarden } from './garden';

/** An entry stored sooner than this draws no "busy": two drawings of the screen saved for a blink. */
const SHOWN_AFTER_MS = 150;

export interface Recording {
  /** Whether an entry is taking long to be stored. The same one again meanwhile is passed over; another waits its turn. */
  readonly busy: boolean;
  /** What was wrong with the last entry, in words that name the field. */
  readonly problem: string | null;
  /** Records one tap's facts; `false` when they were refused, and `problem` says why. */
  save(...drafts: Draft[]): Promise<boolean>;
  /** The same with a time of their own: of what was seen then, and is only written down now. `null`: now. */
  saveAt(at: number | null, ...drafts: Draft[]): Promise<boolean>;
}

/** What an entry says, whatever id a flower was given that begins with it: two presses of one key say the same. */
function same(drafts: readonly Draft[]): string {
  const begun = drafts.flatMap((draft) => (draft.kind === 'flowerSeen' ? [draft.flower] : []));
  return begun.reduce((text, id) => text.replaceAll(id, 'new'), JSON.stringify(drafts));
}

/** Recording from a screen: one entry at a time, and what is refused is said, not thrown. */
export function useRecording(): Recording {
  const { record, recordAt } = useGarden();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const under = useRef<{ readonly what: string; readonly stored: Promise<unknown> } | null>(null);
  const saveAt = useCallback(
    async (at: number | null, ...drafts: Draft[]) => {
      const what = `${at ?? ''} ${same(drafts)}`;
      while (under.current) {
        if (under.current.what === what) return false;
        await under.current.stored;
      }
      let stored: () => void = () => undefined;
      under.current = { what, stored: new Promise<void>((resolve) => (stored = resolve)) };
      const slow = setTimeout(() => setBusy(true), SHOWN_AFTER_MS);
      try {
        await (at === null ? record(...drafts) : recordAt(at, ...drafts));
        setProblem(null);
        return true;
      } catch (wrong) {
        setProblem((wrong as Error).message);
        return false;
      } finally {
        clearTimeout(slow);
        setBusy(false);
        under.current = null;
        stored();
      }
    },
    [record, recordAt],
  );
  const save = useCallback((...drafts: Draft[]) => saveAt(null, ...drafts), [saveAt]);
  return { busy, problem, save, saveAt };
}
