import { useCallback, useRef, useState } from 'react';
import type { Draft } from '@core/ledger';
import { useGarden } from './garden';

/** An entry stored sooner than this draws no "busy": two drawings of the screen saved for a blink. */
const SHOWN_AFTER_MS = 150;

export interface Recording {
  /** Whether an entry is taking long to be stored. A second one meanwhile is passed over, shown or not. */
  readonly busy: boolean;
  /** What was wrong with the last entry, in words that name the field. */
  readonly problem: string | null;
  /** Records one tap's facts; `false` when they were refused, and `problem` says why. */
  save(...drafts: Draft[]): Promise<boolean>;
}

/** Recording from a screen: one entry at a time, and what is refused is said, not thrown. */
export function useRecording(): Recording {
  const { record } = useGarden();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const under = useRef(false);
  const save = useCallback(
    async (...drafts: Draft[]) => {
      if (under.current) return false;
      under.current = true;
      const slow = setTimeout(() => setBusy(true), SHOWN_AFTER_MS);
      try {
        await record(...drafts);
        setProblem(null);
        return true;
      } catch (wrong) {
        setProblem((wrong as Error).message);
        return false;
      } finally {
        clearTimeout(slow);
        setBusy(false);
        under.current = false;
      }
    },
    [record],
  );
  return { busy, problem, save };
}
