/**
 * A piece of the app's code, fetched when it is first asked for. Once it is here it is given at once and not as a promise, for which
 * React would show an empty frame, and that for 300 ms at least.
 */
export function piece<T extends object>(fetch: () => Promise<T>): () => T | Promise<T> {
  let here: T | null = null;
  return () =>
    here ??
    fetch().then((found) => {
      here = found;
      return found;
    });
}
