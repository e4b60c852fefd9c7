const numbers = new WeakMap<object, number>();
let given = 0;

/** Gives each object a number of its own, which stands for it in a query's key: keys are written out at every render. */
export function numberOf(thing: object): number {
  const known = numbers.get(thing) ?? ++given;
  numbers.set(thing, known);
  return known;
}
