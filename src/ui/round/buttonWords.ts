import type { Found } from '@core/rounds';

/** What the main key of a stop says it will record, or why it can record nothing yet. */
export function buttonWords(
  found: Found | null,
  pollinating: boolean,
  noMales: boolean,
  /** Worked for the kitchen: any pollen will do, and none need be named. */
  kitchen: boolean,
  carried: string | null,
  males: number,
  work: () => string,
  /** When to come back to one that is not open yet, by the clock. */
  comeBack: string | null = null,
  /** Worked the morning before. */
  again = false,
  /** The tool in hand is damp. */
  damp = false,
): string {
  if (found === 'not-open') return comeBack ? `Come back to it about ${comeBack}` : 'Come back to it later';
  if (found === 'gone') return 'Gone';
  if (found === 'already-shut') return 'It has shut: leave it';
  if (!pollinating) return found === null ? 'First look at the closure' : 'Skip it';
  if (noMales && !kitchen) return 'No male to be had';
  if (carried) return 'Clean hands and brush first';
  if (damp) return 'Take a dry tool first';
  if (males === 0 && !kitchen) return 'Choose the males first';
  return again ? `Still fresh. ${work()}` : work();
}
