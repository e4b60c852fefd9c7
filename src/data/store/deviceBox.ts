import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { Entry } from './journal';
import { keepLeft, withLeft, type Refuge } from './onLeaving';
import type { Box } from './port';

/** `null` where there is none (a worker) or the browser refuses it. */
function refuge(): Refuge | null {
  try {
    return typeof localStorage === 'undefined' ? null : localStorage;
  } catch {
    return null;
  }
}

/** A box in the browser's own database (IndexedDB behind AsyncStorage). Each name is apart from the others. */
export function deviceBox(name: string): Box {
  const storage = createAsyncStorage(name);
  return withLeft(
    {
      keys: () => storage.getAllKeys(),
      getMany: (keys) => storage.getMany([...keys]),
      set: (key, value) => storage.setItem(key, value),
      remove: (keys) => storage.removeMany([...keys]),
    },
    name,
    refuge(),
  );
}

/** When the page is left or hidden, keeps the entries that are still on their way into the box of this name. */
export function keepOnLeaving(name: string, unstored: () => readonly Entry[]): void {
  const place = refuge();
  if (!place || typeof window === 'undefined') return;
  const keep = () => keepLeft(place, name, unstored());
  window.addEventListener('pagehide', keep);
  // A hidden page may be ended without a word.
  document.addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && keep());
}
