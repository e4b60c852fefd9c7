/** A screen that breaks, to see what stands in its place. */
export default function Broken(): never {
  throw new Error('broken on purpose');
}
