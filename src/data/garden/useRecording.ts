import { useCallback, useState } from 'react';
import type { Draft } from '@core/ledger';
import { useGarden } from './garden';

export interface Recording {
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
  const save = useCallback(
    async (...drafts: Draft[]) => {
      setBusy(true);
      try {
        await record(...drafts);
        setProblem(null);
        return true;
      } catch (wrong) {
        setProblem((wrong as Error).message);
        return false;
      } finally {
        setBusy(false);
      }
    },
    [record],
  );
  return { busy, problem, save };
}
