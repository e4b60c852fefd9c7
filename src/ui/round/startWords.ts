import type { PollinationRound } from '@core/rounds';

/**
 * The one time of a round that matters at `now`: from when it can begin, by when it should, when the insects come or the light goes, and at
 * last till when its flowers are open.
 */
export function startWords(
  { window, startBy, end, until, kind }: PollinationRound,
  now: number,
  time: (at: number) => string,
): string {
  if (now <= startBy) return startBy <= window.opens ? `from ${time(startBy)}` : `start by ${time(startBy)}`;
  if (now < end) return `${kind === 'dawn' ? 'bees from' : 'dark from'} ${time(end)}`;
  return `shut by about ${time(until)}`;
}
