/**
 * `work` that is not done again while nothing changed: asked with arguments for which `by` gives the very same values as the last
 * time, it gives the answer of that time. `by` names all that the answer hangs on; the first is an object, and the answer is kept
 * for as long as that lives, one answer an object. For pure work over data that never changes in place.
 *
 * @example
 *   const doubled = remembered((list: readonly number[]) => [list], (list) => list.map((n) => 2 * n));
 *   doubled(some) === doubled(some); // true: worked out once
 */
export function remembered<Args extends readonly unknown[], Result>(
  by: (...args: Args) => readonly [object, ...unknown[]],
  work: (...args: Args) => Result,
): (...args: Args) => Result {
  const known = new WeakMap<object, { readonly values: readonly unknown[]; readonly result: Result }>();
  return (...args) => {
    const values = by(...args);
    const found = known.get(values[0]);
    if (found && found.values.every((value, i) => value === values[i])) return found.result;
    const result = work(...args);
    known.set(values[0], { values, result });
    return result;
  };
}
