import AsyncStorage from '@react-native-async-storage/async-storage';
import { useEffect } from 'react';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { readPrefs, type Prefs, type Space } from './readPrefs';

export type { Light, Prefs, Space, Units } from './readPrefs';

const KEY = 'steady-trowel/prefs';

async function loadPrefs(): Promise<Prefs> {
  // A blocked storage is told of where the records are opened.
  const { prefs, isNew } = readPrefs(await AsyncStorage.getItem(KEY).catch(() => null));
  if (isNew) await savePrefs(prefs);
  return prefs;
}

async function savePrefs(prefs: Prefs): Promise<void> {
  // A full or blocked storage must not stop a choice from taking effect in this session.
  await AsyncStorage.setItem(KEY, JSON.stringify(prefs)).catch(() => undefined);
}

/** Which patch is chosen, for what works without the screens. */
export async function spaceNow(): Promise<Space> {
  return (await loadPrefs()).space ?? 'own';
}

/** The name of a space's own storage. */
export const boxName = (space: Space) => (space === 'demo' ? 'steady-trowel-demo' : 'steady-trowel');

const prefsKey = ['prefs'] as const;

export function usePrefs(): Prefs | undefined {
  return useQuery({ queryKey: prefsKey, queryFn: loadPrefs, staleTime: Infinity }).data;
}

/** Takes over what another tab of the app chooses, so that no two show other units or another light; each keeps to its own patch. */
export function useOthersPrefs(): void {
  const client = useQueryClient();
  useEffect(() => {
    const heard = ({ key, newValue }: StorageEvent) => {
      const own = client.getQueryData<Prefs>(prefsKey);
      if (key !== KEY || newValue === null || !own) return;
      client.setQueryData(prefsKey, { ...readPrefs(newValue).prefs, space: own.space });
    };
    window.addEventListener?.('storage', heard);
    return () => window.removeEventListener?.('storage', heard);
  }, [client]);
}

export function useChangePrefs(): (part: Partial<Prefs>) => Promise<Prefs> {
  const client = useQueryClient();
  const { mutateAsync } = useMutation({
    mutationFn: async (part: Partial<Prefs>) => {
      const prefs = {
        ...((client.getQueryData(prefsKey) as Prefs | undefined) ?? (await loadPrefs())),
        ...part,
      };
      client.setQueryData(prefsKey, prefs);
      await savePrefs(prefs);
      return prefs;
    },
    networkMode: 'always',
  });
  return mutateAsync;
}
