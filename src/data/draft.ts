import { useCallback, useEffect, useRef, useState } from 'react';
import AsyncStorage from '@react-native-async-storage/async-storage';

/**
 * A form's answers, kept on the device until `clear`: going back, a reload or a flat battery lose nothing
 * typed. `value` is null until what was kept has been read. A kept value of another shape is passed over.
 */
export function useDraft<T extends object>(
  name: string,
  initial: T,
): { value: T | null; change: (part: Partial<T>) => void; clear: () => void } {
  const key = `steady-trowel/draft/${name}`;
  const first = useRef(initial);
  const [held, setHeld] = useState<{ key: string; value: T } | null>(null);
  useEffect(() => {
    let current = true;
    const take = (value: T) => current && setHeld({ key, value });
    AsyncStorage.getItem(key)
      .then((text) => take({ ...first.current, ...(JSON.parse(text ?? '{}') as Partial<T>) }))
      .catch(() => take(first.current));
    return () => {
      current = false;
    };
  }, [key]);
  const change = useCallback(
    (part: Partial<T>) =>
      setHeld((before) => {
        const value = { ...(before?.value ?? first.current), ...part };
        void AsyncStorage.setItem(key, JSON.stringify(value)).catch(() => undefined);
        return { key, value };
      }),
    [key],
  );
  const clear = useCallback(() => {
    void AsyncStorage.removeItem(key).catch(() => undefined);
    setHeld({ key, value: first.current });
  }, [key]);
  return { value: held?.key === key ? held.value : null, change, clear };
}
