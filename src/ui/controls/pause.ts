import { Platform } from 'react-native';

/** Pages are also drawn where there is no window. */
export const IN_WINDOW = Platform.OS === 'web' && typeof window !== 'undefined';

/** Where journeys keep a shorter pause; nothing in the app writes it. */
const SHORTER = 'steady-trowel/pause-ms';

/** So long after it was let go a press may still be followed by one that was meant for the same key: a cold thumb taps twice [M]. */
export const PAUSE_MS = ((): number => {
  const kept = IN_WINDOW ? localStorage.getItem(SHORTER) : null;
  return kept === null ? 1000 : Number(kept);
})();

/** Where the last press was, in window pixels, until the pause after it has passed. */
let last: { readonly x: number; readonly y: number } | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
const waiting = new Set<() => void>();

const pressed = (x: number, y: number) => {
  clearTimeout(timer);
  last = { x, y };
};

const letGo = () => {
  clearTimeout(timer);
  // By a timer, not by the clock: the demo's stands still.
  timer = setTimeout(() => {
    last = null;
    for (const wake of [...waiting]) wake();
  }, PAUSE_MS);
};

/** Letters and arrows press nothing, but what they change was meant. */
const NOWHERE = -1;
const presses = ({ key }: KeyboardEvent) => key === 'Enter' || key === ' ';

if (IN_WINDOW) {
  document.addEventListener('pointerdown', ({ clientX, clientY }) => pressed(clientX, clientY), true);
  for (const over of ['pointerup', 'pointercancel'] as const) document.addEventListener(over, letGo, true);
  document.addEventListener(
    'keydown',
    (event) => {
      if (event.repeat) return;
      const at = presses(event) ? document.activeElement?.getBoundingClientRect() : undefined;
      if (at) pressed(at.left + at.width / 2, at.top + at.height / 2);
      else pressed(NOWHERE, NOWHERE);
    },
    true,
  );
  document.addEventListener('keyup', letGo, true);
}

/** Whether the last press was on this element's place, and may not be over. */
export function isUnderThumb(element: Element): boolean {
  if (!last || PAUSE_MS === 0) return false;
  const { left, right, top, bottom } = element.getBoundingClientRect();
  return last.x >= left && last.x <= right && last.y >= top && last.y <= bottom;
}

/** Whether any press may not be over. */
export const isPressed = (): boolean => last !== null;

/** Calls once the pause after the last press has passed; gives the way to call it off. */
export function afterPause(wake: () => void): () => void {
  const once = () => {
    waiting.delete(once);
    wake();
  };
  waiting.add(once);
  return () => waiting.delete(once);
}
