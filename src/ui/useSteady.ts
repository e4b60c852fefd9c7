import { useCallback, useInsertionEffect, useRef } from 'react';

/** One function for the life of a component that does what the latest one given does: what is handed it needs no new drawing. For presses, not for use while drawing. */
export function useSteady<Args extends unknown[], Result>(
  latest: (...args: Args) => Result,
): (...args: Args) => Result {
  const held = useRef(latest);
  useInsertionEffect(() => {
    held.current = latest;
  });
  return useCallback((...args: Args) => held.current(...args), []);
}
