import { useEffect, useState } from 'react';

/** `true` when a newer version is stored and waits; `use` starts it. Never by itself, never in a round. */
export function useUpdate(): { ready: boolean; use: () => void } {
  const [waiting, setWaiting] = useState<ServiceWorker | null>(null);
  useEffect(() => {
    if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
    let current = true;
    const found = (worker: ServiceWorker | null) => {
      // A first visit has no version to replace.
      if (current && worker && navigator.serviceWorker.controller) setWaiting(worker);
    };
    navigator.serviceWorker
      .register('/sw.js')
      .then((registration) => {
        found(registration.waiting);
        registration.addEventListener('updatefound', () => {
          const worker = registration.installing;
          worker?.addEventListener('statechange', () => {
            if (worker.state === 'installed') found(worker);
          });
        });
      })
      .catch(() => undefined); // Without it the app still works while the server is there.
    return () => {
      current = false;
    };
  }, []);
  return {
    ready: waiting !== null,
    use: () => {
      navigator.serviceWorker.addEventListener('controllerchange', () => window.location.reload());
      waiting?.postMessage({ type: 'SKIP_WAITING' });
    },
  };
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
