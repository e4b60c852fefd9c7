import { useEffect, useRef } from 'react';

/** How long a key is held before it runs, ms; then how often it steps, and how often after ten steps. */
const HELD_MS = 400;
const STEP_MS = 120;
const FAST_MS = 45;

/** What a pressable needs for a key that runs while it is held. `null`: it does not run. */
export function useHold(step: (() => void) | undefined) {
  const latest = useRef(step);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const stop = () => {
    if (timer.current !== null) clearTimeout(timer.current);
    timer.current = null;
  };
  useEffect(() => {
    latest.current = step;
    // A key that is disabled while held never hears that it was let go.
    if (!step) stop();
  });
  useEffect(() => stop, []);
  if (!step) return null;
  const run = (done: number) => {
    latest.current?.();
    timer.current = setTimeout(() => run(done + 1), done < 10 ? STEP_MS : FAST_MS);
  };
  return { delayLongPress: HELD_MS, onLongPress: () => run(0), onPressOut: stop };
}
