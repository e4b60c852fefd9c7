/**
 * A check character by H. M. Damm's scheme (Total anti-symmetrische Quasigruppen, Marburg 2004): the characters of a code are run
 * through a table of which the diagonal is 0, row by the state so far and column by the character. With a table that is totally
 * anti-symmetric every single wrong character and every swap of two neighbours is caught. The scheme knows no position, so that codes
 * of any length are checked alike.
 */
export type DammTable = readonly (readonly number[])[];

const through = (table: DammTable, digits: readonly number[]) =>
  digits.reduce((state, digit) => table[state]?.[digit] ?? NaN, 0);

/**
 * The check digit that goes after some digits, each an index into the table.
 * @example dammCheck(dammTable(4), [5, 7, 2]) // 5
 */
export function dammCheck(table: DammTable, digits: readonly number[]): number {
  // Of a state, the digit that leads back to 0 is the state itself: the diagonal is 0.
  return through(table, digits);
}

/**
 * Whether digits end with their own check digit.
 * @example dammHolds(dammTable(4), [5, 7, 2, 5]) // true
 */
export function dammHolds(table: DammTable, digits: readonly number[]): boolean {
  return digits.length > 1 && through(table, digits) === 0;
}

/** Polynomials that make the numbers below 2^n a field: x^4 + x + 1, x^3 + x + 1. */
const POLYNOMIAL: Readonly<Record<3 | 4, number>> = { 3: 0b1011, 4: 0b10011 };

/**
 * A totally anti-symmetric table of order 2^n: row r, column c hold x(r + c) of the field of that order. (r + c turned by a factor that is
 * neither 0 nor 1 is anti-symmetric, as a + 1 then has an inverse.)
 */
export function dammTable(bits: 3 | 4): DammTable {
  const order = 2 ** bits;
  const timesX = (value: number) => (value << 1 >= order ? (value << 1) ^ POLYNOMIAL[bits] : value << 1);
  return Array.from({ length: order }, (_, row) =>
    Array.from({ length: order }, (__, column) => timesX(row ^ column)),
  );
}
