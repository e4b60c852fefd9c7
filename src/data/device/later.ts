import { piece } from './pieces';

/** What the first screen offers and does not need to stand: practice, calendars. */
export type LaterParts = typeof import('../laterParts');

let fetchThem: (() => Promise<LaterParts>) | null = null;

/** Says where those parts come from: they lie with the other screens, in one piece of code. */
export function laterFrom(fetch: () => Promise<LaterParts>): void {
  fetchThem = fetch;
}

export const later = piece(async () => {
  if (!fetchThem) throw new Error('later: say first where it comes from (laterFrom).');
  return fetchThem();
});
