import { useLayoutEffect, useRef, useState } from 'react';
import { afterPause, IN_WINDOW, isPressed, isUnderThumb, PAUSE_MS } from './pause';

/**
 * Whether a main key sleeps: it means something new since the thumb came down on its place, and a second tap would do what nobody
 * meant. It also sleeps where its meaning changed by itself, under no press. It wakes a pause after the thumb was let go. What a tap
 * elsewhere on the screen changed was meant, and does not send it to sleep.
 */
export function useAsleep(id: string, meaning: string, main: boolean): boolean {
  const [asleep, setAsleep] = useState(false);
  const before = useRef<string | null>(null);
  useLayoutEffect(() => {
    const was = before.current;
    before.current = meaning;
    const element = IN_WINDOW ? document.getElementById(id) : null;
    if (!main || !element || was === meaning || PAUSE_MS === 0) return;
    const byItself = was !== null && !isPressed();
    if (!byItself && !isUnderThumb(element)) return;
    setAsleep(true);
    // Said to those who can't see it, without taking the focus from it as `disabled` would.
    element.setAttribute('aria-disabled', 'true');
    const wake = () => {
      setAsleep(false);
      element.removeAttribute('aria-disabled');
    };
    if (!byItself) {
      const callOff = afterPause(wake);
      return () => {
        callOff();
        wake();
      };
    }
    const timer = setTimeout(wake, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      wake();
    };
  }, [id, meaning, main]);
  return asleep;
}
