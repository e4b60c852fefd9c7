import { useState } from 'react';

/** The value as it was when `key` last changed: what someone is about to act on does not change under the thumb. */
export function useKept<T>(key: string, value: T): T {
  const [kept, keep] = useState({ key, value });
  if (kept.key === key) return kept.value;
  keep({ key, value });
  return value;
}
