import { useEffect, useRef, useState } from 'react';
import { Workbox } from 'workbox-window';

/** Held by every tab that is in the middle of work: a version taken up elsewhere would take its files away. */
const AT_WORK = 'steady-trowel-at-work';

export interface Update {
  /** A newer version is stored and waits. */
  readonly ready: boolean;
  /** Another tab is in a round, so that it cannot be used yet. */
  readonly held: boolean;
  /** Starts the newer version, unless another tab is at work. Never by itself. */
  use(): void;
}

/**
 * Watches for a newer version. With it every tab gets the new files and loses the old ones, so it is started only when no tab
 * is at work, and the others load anew then; `atWork` says that this one is.
 */
export function useUpdate(atWork: boolean): Update {
  const worker = useRef<Workbox>(null);
  const [ready, setReady] = useState(false);
  const [held, setHeld] = useState(false);
  const working = useRef(atWork);
  const stale = useRef(false);
  useEffect(() => {
    working.current = atWork;
    // A browser without locks could not be kept from the change: it loads anew as soon as the work is done.
    if (!atWork && stale.current) window.location.reload();
    if (!atWork || !navigator.locks) return;
    let release: () => void = () => undefined;
    const done = new Promise<void>((resolve) => (release = resolve));
    void navigator.locks.request(AT_WORK, { mode: 'shared' }, () => done);
    return release;
  }, [atWork]);
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    const box = new Workbox('/sw.js');
    box.addEventListener('waiting', () => setReady(true));
    // `controlling` also comes to tabs that did not ask for the change.
    box.addEventListener('controlling', ({ isUpdate, isExternal }) => {
      if (!isUpdate && !isExternal) return;
      if (working.current) stale.current = true;
      else window.location.reload();
    });
    worker.current = box;
    void box.register().catch(() => undefined); // Without it the app still works while the server is there.
  }, []);
  return {
    ready,
    held,
    use: () =>
      void othersAtWork().then((busy) => {
        setHeld(busy);
        if (!busy) worker.current?.messageSkipWaiting();
      }),
  };
}

async function othersAtWork(): Promise<boolean> {
  const locks = await navigator.locks?.query();
  return locks?.held?.some(({ name }) => name === AT_WORK) ?? false;
}

/** Whether the network is there. The app needs none; it only says so, quietly. */
export function useOnline(): boolean {
  const [online, setOnline] = useState(true);
  useEffect(() => {
    const read = () => setOnline(navigator.onLine);
    read();
    window.addEventListener('online', read);
    window.addEventListener('offline', read);
    return () => {
      window.removeEventListener('online', read);
      window.removeEventListener('offline', read);
    };
  }, []);
  return online;
}
