import { useCallback, useInsertionEffect, useRef } from 'react';

/** One function for the life of a component that does what the latest one given would do, so that whatever takes it need not render again. For presses, not for use while rendering. */
export function useSteady<Args extends unknown[], Result>(
  latest: (...args: Args) => Result,
): (...args: Args) => Result {
  const held = useRef(latest);
  useInsertionEffect(() => {
    held.current = latest;
  });
  return useCallback((...args: Args) => held.current(...args), []);
}
