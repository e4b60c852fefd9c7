import { useCallback } from 'react';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { idMaker } from '@core/ids';
import type { PracticeRecord } from '@core/practice';
import { practiceHistory } from '@core/simulation';
import { toInstant } from '@core/time';
import { practiceStore } from '../device/practiceStores';
import { useGarden } from '../garden/garden';
import type { Space } from '../device/prefs';

const key = (space: Space) => ['practice', space] as const;

async function load(space: Space): Promise<PracticeRecord[]> {
  const store = practiceStore(space);
  const records = await store.all();
  // The demo's people have practised before the visitor came.
  if (space === 'demo' && records.length === 0) {
    await store.add(practiceHistory());
    return store.all();
  }
  return records;
}

type Answer = PracticeRecord extends infer Each
  ? Each extends PracticeRecord
    ? Omit<Each, 'id' | 'at' | 'by' | 'device'>
    : never
  : never;

const makeId = idMaker(() => (crypto.getRandomValues(new Uint32Array(1))[0] as number) / 4294967296);

export interface Practice {
  /** `null` while they are read. */
  readonly records: readonly PracticeRecord[] | null;
  readonly error: Error | null;
  /** Writes an answer down; rejects when storage refuses it. */
  keep(answer: Answer): Promise<void>;
}

/** The practice records of the open space, and a way to add to them. */
export function usePractice(): Practice {
  const garden = useGarden();
  const { space } = garden;
  const client = useQueryClient();
  const { data, error } = useQuery({
    queryKey: key(space),
    queryFn: () => load(space),
    staleTime: Infinity,
    gcTime: Infinity,
    retry: false,
    networkMode: 'always',
  });
  const keep = useCallback(
    async (answer: Answer) => {
      const at = garden.demo ? garden.demo.now() : Date.now();
      const record = {
        ...answer,
        id: makeId.event(at),
        at: toInstant(at),
        by: garden.prefs.by,
        device: garden.prefs.device,
      } as PracticeRecord;
      // Shown at once: the next question must not wait for the disk; a refusal comes back to the caller.
      client.setQueryData<PracticeRecord[]>(key(space), (before) => [...(before ?? []), record]);
      await practiceStore(space).add([record]);
      await garden.demo?.step();
    },
    [client, garden, space],
  );
  return { records: data ?? null, error, keep };
}
