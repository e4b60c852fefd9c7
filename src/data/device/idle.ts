/** A page that is not drawn anew is never called idle by some browsers. */
const AT_LATEST_MS = 300;

/** Waits until the thread has nothing better to do, but not long. */
export function idle(): Promise<void> {
  return new Promise((resolve) => {
    if (typeof requestIdleCallback === 'function')
      requestIdleCallback(() => resolve(), { timeout: AT_LATEST_MS });
    else setTimeout(resolve, 0);
  });
}
