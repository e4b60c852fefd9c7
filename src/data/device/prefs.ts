import AsyncStorage from '@react-native-async-storage/async-storage';
import type { TeamWay } from '@core/rounds';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { readPrefs } from './readPrefs';

export const LIGHTS = ['by-itself', 'day', 'sun', 'before-dawn'] as const;
export type Light = (typeof LIGHTS)[number];
export type Space = 'own' | 'demo';

/** The units in which lengths, temperatures and rain are shown and typed. */
export type Units = 'metric' | 'us';

/** Choices of this device, not of the patch. Kept where the page can read them before it draws (localStorage). */
export interface Prefs {
  readonly light: Light;
  readonly units: Units;
  readonly clock: '24' | '12';
  readonly space: Space | null;
  /** Weather from the made-up station; the demo always has it. */
  readonly station: 'none' | 'simulated';
  /** Who goes along on a round, besides the one who records. */
  readonly helpers: number;
  /** How they share it. */
  readonly team: TeamWay;
  /** Who is working: written into each record. */
  readonly by: string;
  readonly device: string;
  /** When the log was last carried out in a file (ISO), to ask again. */
  readonly exportedAt: string | null;
  /** Led through one flower of the demo. */
  readonly guided: boolean;
}

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
