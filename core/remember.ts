/** All that an answer depends on, by name. */
export type Named = Readonly<Record<string, unknown>>;

/** An answer that is remembered, as the test that asks all of them sees it. */
export interface Remembered {
  readonly name: string;
  readonly answer: (...args: never[]) => unknown;
}

const registered: Remembered[] = [];

/** Every answer that is remembered in the folders loaded so far: `remembered.test.ts` asks each of them. */
export const everyRemembered = (): readonly Remembered[] => registered;

/**
 * `work` that is not done again while nothing changed. `of` names all that it depends on, and `work` is handed just that, so it can't
 * read more than is compared. Two values are the same when they are identical; a list or a plain map also when it holds the very same
 * things in the same order. The first named value that is an object holds the answer: one answer for each such object, kept as long as
 * that lives. For pure work over data that never changes in place. Throws where none of the named is an object.
 *
 * @example
 *   const doubled = remembered('doubled', (list: readonly number[]) => ({ list }), ({ list }) => list.map((n) => 2 * n));
 *   doubled(some) === doubled(some); // true: worked out once
 */
export function remembered<Args extends readonly unknown[], Of extends object, Result>(
  name: string,
  of: (...args: Args) => Of,
  work: (of: Of) => Result,
): (...args: Args) => Result {
  const known = new WeakMap<object, { readonly of: Of; readonly result: Result }>();
  const answer = (...args: Args): Result => {
    const now = of(...args);
    const holder = holderIn(name, now as Named);
    const before = known.get(holder);
    if (before && sameNamed(before.of as Named, now as Named)) return before.result;
    const result = work(now);
    known.set(holder, { of: now, result });
    return result;
  };
  registered.push({ name, answer });
  return answer;
}

function holderIn(name: string, of: Named): object {
  for (const key in of) {
    const value = of[key];
    if (typeof value === 'object' && value !== null) return value;
  }
  throw new Error(`remembered: "${name}" names no object that could hold its answer.`);
}

function sameNamed(before: Named, now: Named): boolean {
  for (const key in now) if (!same(before[key], now[key])) return false;
  return true;
}

function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b))
    return a.length === b.length && a.every((each, i) => Object.is(each, b[i]));
  return a instanceof Map && b instanceof Map && sameEntries(a, b);
}

function sameEntries(a: ReadonlyMap<unknown, unknown>, b: ReadonlyMap<unknown, unknown>): boolean {
  if (a.size !== b.size) return false;
  const others = b.entries();
  for (const [key, value] of a) {
    const [otherKey, otherValue] = others.next().value as [unknown, unknown];
    if (key !== otherKey || !Object.is(value, otherValue)) return false;
  }
  return true;
}

/**
 * The few entries of a table that an answer depends on, those missing left out: the same while they are, whatever else the table holds.
 * @example some(state.plants, [mother.plant.id]).size // 1
 */
export function some<K, V>(table: ReadonlyMap<K, V>, keys: Iterable<K>): ReadonlyMap<K, V> {
  const few = new Map<K, V>();
  for (const key of keys) {
    const value = table.get(key);
    if (value !== undefined) few.set(key, value);
  }
  return few;
}

/**
 * Gives the object of last time for as long as what it says is the same, so that what depends on it is not worked out anew: a plant
 * looked over moves no plant to another bed.
 */
export function steady<T extends object>(saysTheSame: (a: T, b: T) => boolean): (now: T) => T {
  let last: T | null = null;
  return (now) => (last !== null && saysTheSame(last, now) ? last : (last = now));
}

/** For `steady`: two maps that say the same under the same keys, in whatever order. */
export function sameUnder<K, V>(
  saysTheSame: (a: V, b: V) => boolean,
): (a: ReadonlyMap<K, V>, b: ReadonlyMap<K, V>) => boolean {
  return (a, b) => {
    if (a.size !== b.size) return false;
    for (const [key, value] of a) {
      const other = b.get(key);
      if (other === undefined || !saysTheSame(value, other)) return false;
    }
    return true;
  };
}
