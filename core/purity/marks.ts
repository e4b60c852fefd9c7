import { Shards, type Flower, type State } from '../ledger';
import { remembered } from '../remember';

/** Letters of marks: none that a wet pencil confuses with another (no I, O, Q, S, Z) or with a digit. */
const LETTERS = 'ABCDEFGHJKLMNPRTUVWXY';

/** How many marks one roll (number) holds. */
export const MARKS_A_ROLL = LETTERS.length;

/** The nth mark, counted from 0: `1-A` .. `1-Y`, then `2-A`. Throws nothing; n is floored and not below 0. */
export function markAt(n: number): string {
  const index = Math.max(0, Math.floor(n));
  return `${Math.floor(index / LETTERS.length) + 1}-${LETTERS[index % LETTERS.length]}`;
}

function indexOf(mark: string): number | null {
  const match = /^(\d{1,6})-([A-Z])$/.exec(mark);
  const letter = match ? LETTERS.indexOf(match[2] as string) : -1;
  return match && letter >= 0 ? (Number(match[1]) - 1) * LETTERS.length + letter : null;
}

/** How many marks have been given out, in the order of `markAt`: the next one's index. */
export const markIndexIn = remembered(
  ({ flowers }: Pick<State, 'flowers'>) => [flowers],
  ({ flowers }) => 1 + Shards.of(flowers).parts.reduce((most, part) => Math.max(most, highestIn(part)), -1),
);

type Part = ReadonlyMap<unknown, Flower>;

// Years of marks are gone through with every tap: those of a part that did not change are known.
const highestIn = remembered(
  (part: Part) => [part],
  (part) => {
    let highest = -1;
    for (const { mark } of part.values()) if (mark !== null) highest = Math.max(highest, indexOf(mark) ?? -1);
    return highest;
  },
);

/**
 * The mark after the highest in use; marks written in another way are left alone. `1-A` on a new patch.
 * @example nextMark(['1-A']) // '1-B'
 */
export function nextMark(used: Iterable<string | null>): string {
  let highest = -1;
  for (const mark of used) {
    const index = mark === null ? null : indexOf(mark);
    if (index !== null && index > highest) highest = index;
  }
  return markAt(highest + 1);
}

/** The mark after the highest that any flower of the log carries. */
export function nextMarkIn(state: Pick<State, 'flowers'>): string {
  return markAt(markIndexIn(state));
}
