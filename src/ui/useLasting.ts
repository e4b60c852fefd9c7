import { useEffect, useState } from 'react';

/** Whether something has been so for a while: what passes in a blink is not worth a word. */
export function useLasting(now: boolean, forMs: number): boolean {
  const [lasting, setLasting] = useState(false);
  useEffect(() => {
    if (!now) return;
    const timer = setTimeout(() => setLasting(true), forMs);
    return () => {
      clearTimeout(timer);
      setLasting(false);
    };
  }, [now, forMs]);
  return now && lasting;
}
