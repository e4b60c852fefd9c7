import { useEffect } from 'react';

const TYPING = new Set(['INPUT', 'TEXTAREA', 'SELECT']);
/** What Enter presses by itself. */
const PRESSED = 'button, a, summary, [role="button"], [role="link"]';

/** Single keys while nobody types in a field and no sheet is open. Keys with Ctrl, Alt or Cmd are the browser's. */
export function useShortcuts(keys: Readonly<Record<string, (() => void) | null>>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement | null;
      if (event.ctrlKey || event.altKey || event.metaKey || event.defaultPrevented) return;
      if (target && (TYPING.has(target.tagName) || target.isContentEditable)) return;
      if (event.key === 'Enter' && target?.closest?.(PRESSED)) return;
      if (document.querySelector('[role="dialog"]')) return;
      const act = keys[event.key];
      if (!act) return;
      event.preventDefault();
      act();
    };
    // Only a browser has keys to listen to.
    window.addEventListener?.('keydown', onKey);
    return () => window.removeEventListener?.('keydown', onKey);
  }, [keys]);
}
