/** After the first screen stands, and its own work is done. */
const BEGIN_MS = 3000;

const all: (() => unknown)[] = [];

/**
 * A piece of the app's code, fetched when it is first asked for. Once it is here it is given at once and not as a promise, for which
 * React would show an empty frame, and that for 300 ms at least.
 */
export function piece<T extends object>(fetch: () => Promise<T>): () => T | Promise<T> {
  let here: T | null = null;
  const get = () =>
    here ??
    fetch().then((found) => {
      here = found;
      return found;
    });
  all.push(get);
  return get;
}

/** Fetches all pieces one by one in idle moments, so that a screen opened for the first time opens like one seen before. */
export function fetchAhead(): void {
  const left = all.values();
  const next = () => {
    const get = left.next().value;
    if (!get) return;
    // One that can't be had now is asked for again when it is needed, and says so then.
    void Promise.resolve(get())
      .catch(() => undefined)
      .then(() => idle(next));
  };
  setTimeout(next, BEGIN_MS);
}

function idle(work: () => void): void {
  if (typeof requestIdleCallback === 'function') requestIdleCallback(work);
  else setTimeout(work, 20);
}
