const numbers = new WeakMap<object, number>();
let given = 0;

/** A number of its own for each thing: what stands for it in a query's key, which is written out at every drawing. */
export function numberOf(thing: object): number {
  const known = numbers.get(thing) ?? ++given;
  numbers.set(thing, known);
  return known;
}
