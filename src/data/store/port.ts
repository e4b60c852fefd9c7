/** What the ledger needs of a storage: small, so that memory can stand in for it in tests. Values are text. */
export interface Box {
  keys(): Promise<string[]>;
  getMany(keys: readonly string[]): Promise<Record<string, string | null>>;
  set(key: string, value: string): Promise<void>;
  remove(keys: readonly string[]): Promise<void>;
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
