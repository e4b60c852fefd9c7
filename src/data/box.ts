import { createAsyncStorage } from '@react-native-async-storage/async-storage';

/** What the ledger needs of a storage: small, so that memory can stand in for it in tests. Values are text. */
export interface Box {
  keys(): Promise<string[]>;
  getMany(keys: readonly string[]): Promise<Record<string, string | null>>;
  set(key: string, value: string): Promise<void>;
  remove(keys: readonly string[]): Promise<void>;
}

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

/** A box that forgets; for tests and for a browser that refuses storage. */
export function memoryBox(contents: Map<string, string> = new Map()): Box {
  return {
    keys: async () => [...contents.keys()],
    getMany: async (keys) => Object.fromEntries(keys.map((key) => [key, contents.get(key) ?? null])),
    set: async (key, value) => void contents.set(key, value),
    remove: async (keys) => keys.forEach((key) => contents.delete(key)),
  };
}
