declare module 'svg-path-bounds' {
  /** The box of a path: left, top, right, bottom. */
  export default function pathBounds(d: string): [number, number, number, number];
}
