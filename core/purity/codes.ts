import { dammCheck, dammHolds, dammTable } from './damm';

const DIGITS = '2345678';
const LETTERS = 'FHKMPRUXY';
/**
 * What marks are written with. Of every group that a wet pencil, a tag hung upside down or an ear across the fence confuses one is left at
 * most: 0 O D Q, 1 I L, 2 Z, 5 S, 6 9 G, 8 B, M N W, U V, A H J, and of the letters that rhyme (B C D E G P T V Z) one.
 */
export const MARK_ALPHABET = DIGITS + LETTERS;

const ORDER = MARK_ALPHABET.length;
const TABLE = dammTable(4);
const indexOf = new Map([...MARK_ALPHABET].map((character, i) => [character, i]));

/** How many rolls there are. One other than the first is a digit, a letter and two more, so that no mark of old is written like it. */
export const ROLLS = DIGITS.length * LETTERS.length * ORDER ** 2;
/** The shortest running part: a letter and a digit. */
const SHORTEST = 2;
/** How many there are of each length: letter, digit, and then any. */
const ofLength = (length: number) => LETTERS.length * DIGITS.length * ORDER ** (length - SHORTEST);

/** What is typed, heard or read, without hyphens and spaces, in capitals. */
export const bare = (text: string) => text.toUpperCase().replace(/[^\p{L}\p{N}]/gu, '');

const checkOf = (body: string) =>
  MARK_ALPHABET[
    dammCheck(
      TABLE,
      [...body].map((each) => indexOf.get(each) as number),
    )
  ] as string;

/** The nth roll, 0 to `ROLLS` - 1. */
export function rollAt(n: number): string {
  const [last, third] = [n % ORDER, Math.floor(n / ORDER) % ORDER];
  const second = Math.floor(n / ORDER ** 2) % LETTERS.length;
  const first = Math.floor(n / ORDER ** 2 / LETTERS.length) % DIGITS.length;
  return [DIGITS[first], LETTERS[second], MARK_ALPHABET[third], MARK_ALPHABET[last]].join('');
}

/**
 * The nth mark of a roll (`''`: the first), counted from 0; shorter ones come first. Its last character is the check. n is floored and
 * not below 0.
 * @example [markAt(0), markAt(62), markAt(63), markAt(0, '4KX3')].join(' ') // 'F2-Y Y8-7 F22-U 4KX3-F2-X'
 */
export function markAt(n: number, roll = ''): string {
  let left = Math.max(0, Math.floor(n));
  let length = SHORTEST;
  while (left >= ofLength(length)) left -= ofLength(length++);
  let running = '';
  for (let i = length; i > SHORTEST; i--) {
    running = MARK_ALPHABET[left % ORDER] + running;
    left = Math.floor(left / ORDER);
  }
  running = `${LETTERS[Math.floor(left / DIGITS.length)]}${DIGITS[left % DIGITS.length]}${running}`;
  return `${roll === '' ? '' : `${roll}-`}${running}-${checkOf(roll + running)}`;
}

/** Which mark of which roll it is, or what is wrong with it. */
export type ReadCode =
  | { readonly ok: true; readonly roll: string; readonly n: number; readonly mark: string }
  | { readonly ok: false; readonly wrong: 'shape' | 'check'; readonly stray: readonly string[] };

/** A roll or none, a letter and a digit, any others, and the check. */
const SHAPE = new RegExp(
  `^([${DIGITS}][${LETTERS}][${MARK_ALPHABET}]{2})?([${LETTERS}][${DIGITS}][${MARK_ALPHABET}]{0,6})[${MARK_ALPHABET}]$`,
);

/**
 * Reads a mark as it was keyed or said, hyphens or not. `stray` are characters that stand in no mark; without any, it has not the shape of
 * a mark, or its check does not hold: then a character is wrong, or two are swapped.
 * @example readCode('f2 y') // { ok: true, roll: '', n: 0, mark: 'F2-Y' }
 */
export function readCode(text: string): ReadCode {
  const code = bare(text);
  const stray = [...new Set([...code].filter((each) => !indexOf.has(each)))];
  const match = SHAPE.exec(code);
  if (!match) return { ok: false, wrong: 'shape', stray };
  if (
    !dammHolds(
      TABLE,
      [...code].map((each) => indexOf.get(each) as number),
    )
  )
    return { ok: false, wrong: 'check', stray };
  const [roll, running] = [match[1] ?? '', match[2] as string];
  let n = LETTERS.indexOf(running[0] as string) * DIGITS.length + DIGITS.indexOf(running[1] as string);
  for (const each of running.slice(SHORTEST)) n = n * ORDER + (indexOf.get(each) as number);
  for (let length = SHORTEST; length < running.length; length++) n += ofLength(length);
  return { ok: true, roll, n, mark: markAt(n, roll) };
}
