import { createAsyncStorage } from '@react-native-async-storage/async-storage';
import type { Box } from './port';

/** A box in the browser's own database (IndexedDB behind AsyncStorage). Each name is apart from the others. */
export function deviceBox(name: string): Box {
  const storage = createAsyncStorage(name);
  return {
    keys: () => storage.getAllKeys(),
    getMany: (keys) => storage.getMany([...keys]),
    set: (key, value) => storage.setItem(key, value),
    remove: (keys) => storage.removeMany([...keys]),
  };
}
