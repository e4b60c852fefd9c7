import { Shards, type Flower, type State } from '../ledger';
import { mainPatch } from '../patch';
import { remembered } from '../remember';

/** Letters of marks: none that a wet pencil confuses with another (no I, O, Q, S, Z) or with a digit. */
const LETTERS = 'ABCDEFGHJKLMNPRTUVWXY';

/** How many marks one roll (number) holds. */
export const MARKS_A_ROLL = LETTERS.length;

/**
 * The nth mark, counted from 0: `1-A` .. `1-Y`, then `2-A`. Throws nothing; n is floored and not below 0.
 * @example [markAt(0), markAt(26)].join(' ') // '1-A 2-F'
 */
export function markAt(n: number): string {
  const index = Math.max(0, Math.floor(n));
  return `${Math.floor(index / LETTERS.length) + 1}-${LETTERS[index % LETTERS.length]}`;
}

function indexOf(mark: string, roll: string): number | null {
  if (!mark.startsWith(roll)) return null;
  const match = /^(\d{1,6})-([A-Z])$/.exec(mark.slice(roll.length));
  const letter = match ? LETTERS.indexOf(match[2] as string) : -1;
  return match && letter >= 0 ? (Number(match[1]) - 1) * LETTERS.length + letter : null;
}

/** How many letters name the roll of a device: one pair of devices in 160 000 would share a name. */
const ROLL_LETTERS = 4;

/**
 * The name of a device's own roll of marks, written before the number: empty for the device that began the patch, four letters for
 * every other, so that two phones that cannot hear each other never give out the same mark.
 */
export function rollOf(state: State, device: string): string {
  const begunOn = mainPatch(state)?.device;
  if (begunOn === undefined || begunOn === device) return '';
  let hash = 0x811c9dc5;
  for (let i = 0; i < device.length; i++) hash = Math.imul(hash ^ device.charCodeAt(i), 0x01000193) >>> 0;
  // What differs in the last letters only must differ everywhere.
  hash = Math.imul(hash ^ (hash >>> 15), 0x2c1b3c6d) >>> 0;
  hash = (hash ^ (hash >>> 12)) >>> 0;
  return Array.from({ length: ROLL_LETTERS }, (_, i) => LETTERS[Math.floor(hash / 20 ** i) % 20]).join('');
}

/** How many marks of a roll have been given out, in the order of `markAt`: the next one's index. */
export const markIndexIn = remembered(
  ({ flowers }: Pick<State, 'flowers'>, roll: string = '') => [flowers, roll],
  ({ flowers }, roll: string = ''): number =>
    1 + Shards.of(flowers).parts.reduce((most, part) => Math.max(most, highestIn(part, roll)), -1),
);

type Part = ReadonlyMap<unknown, Flower>;

// Years of marks are gone through with every tap: those of a part that did not change are known.
const highestIn = remembered(
  (part: Part, roll: string) => [part, roll],
  (part, roll) => {
    let highest = -1;
    for (const { mark } of part.values())
      if (mark !== null) highest = Math.max(highest, indexOf(mark, roll) ?? -1);
    return highest;
  },
);

/**
 * The mark after the highest of a roll that any flower of the log carries; `1-A` on a new patch. Others are left alone.
 * @example nextMarkIn(state) // '1-B'
 */
export function nextMarkIn(state: Pick<State, 'flowers'>, roll = ''): string {
  return roll + markAt(markIndexIn(state, roll));
}

/**
 * Whether a fruit ought to carry a mark and does not: worked for seed, growing or waiting still, and neither lost nor picked. With
 * the school that marks once it grows, only from the first look that saw it grow.
 * @example markMissing(female, false) // false
 */
export function markMissing(flower: Flower, whenGrowing: boolean): boolean {
  const { mark, lost, harvested, pollinations, looks } = flower;
  if (mark !== null || lost || harvested || pollinations.at(-1)?.purpose !== 'seed') return false;
  const grown = looks.filter(({ result }) => result === 'growing' || result === 'bent').length > 0;
  const failed = ['yellowing', 'gone'].includes(looks.at(-1)?.result ?? '');
  return !failed && (grown || !whenGrowing);
}
