import { useCallback, useEffect, useState } from 'react';
import AsyncStorage from '@react-native-async-storage/async-storage';

export interface KeptDraft<T> {
  readonly value: T;
  /** What was kept has been read; until then `value` is as at the beginning. */
  readonly ready: boolean;
  change(part: Partial<T>): void;
  clear(): void;
}

/**
 * A form's answers, kept on the device until `clear`: going back, a reload or a flat battery lose nothing
 * typed. A kept value of another shape is passed over.
 */
export function useDraft<T extends object>(name: string, initial: T): KeptDraft<T> {
  const key = `steady-trowel/draft/${name}`;
  const [first] = useState(initial);
  const [held, setHeld] = useState<{ key: string; value: T } | null>(null);
  useEffect(() => {
    let current = true;
    const take = (kept: Partial<T>) => {
      // An answer given before the kept ones were read wins over them.
      if (current) setHeld((now) => (now?.key === key ? now : { key, value: { ...first, ...kept } }));
    };
    AsyncStorage.getItem(key)
      .then((text) => take(JSON.parse(text ?? '{}') as Partial<T>))
      .catch(() => take({}));
    return () => {
      current = false;
    };
  }, [key, first]);
  const change = useCallback(
    (part: Partial<T>) =>
      setHeld((before) => {
        const value = { ...(before?.key === key ? before.value : first), ...part };
        void AsyncStorage.setItem(key, JSON.stringify(value)).catch(() => undefined);
        return { key, value };
      }),
    [key, first],
  );
  const clear = useCallback(() => {
    void AsyncStorage.removeItem(key).catch(() => undefined);
    setHeld({ key, value: first });
  }, [key, first]);
  const ready = held?.key === key;
  return { value: ready ? held.value : first, ready, change, clear };
}
