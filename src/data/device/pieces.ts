import { useEffect, useState } from 'react';

/** A piece of the app's code that is fetched when it is first asked for. */
export interface Piece<T> {
  /** `null` until it was fetched. */
  readonly here: T | null;
  fetch(): Promise<T>;
}

export function piece<T extends object>(fetch: () => Promise<T>): Piece<T> {
  let here: T | null = null;
  return {
    get here() {
      return here;
    },
    fetch: async () => (here ??= await fetch()),
  };
}

/**
 * The piece, or `null` until it is here. Not by Suspense: React holds what was suspended back for 300 ms, however soon it comes. One
 * that can't be had is thrown to the page that tells of faults; with `spare` it stays away, and the screen does without.
 */
export function usePiece<T extends object>(of: Piece<T>, spare = false): T | null {
  const [found, setFound] = useState(of.here);
  useEffect(() => {
    if (found) return;
    let left = false;
    of.fetch().then(
      (module) => {
        if (!left) setFound(module);
      },
      (fault: unknown) => {
        if (!left && !spare)
          setFound(() => {
            throw fault;
          });
      },
    );
    return () => {
      left = true;
    };
  }, [of, found, spare]);
  return found;
}
