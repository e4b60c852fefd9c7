import type { Bed, Corner, Draft } from '../ledger';
import { middleOfBed } from '../patch';

/** Closer than this a thing of a map lies where it lay, m. */
export const SAME_M = 0.02;

/** Whole millimetres. */
export const round = (metres: number) => Math.round(metres * 1000) / 1000;
/** Metres between two points of the plan. */
export const apart = (a: Corner, b: Corner) => Math.hypot(a[0] - b[0], a[1] - b[1]);
/** Whether two outlines have the same corners, wherever they begin and whichever way they run. */
export const alike = (a: readonly Corner[], b: readonly Corner[]) =>
  a.length === b.length && a.every((corner) => b.some((other) => apart(corner, other) <= SAME_M));

/** How far a corner may be from square, m: surveyed with a phone. */
const SQUARE_M = 0.1;

/** A bed as it lies. */
export type Lying = Pick<Bed, 'xM' | 'yM' | 'turnedDeg' | 'lengthM' | 'widthM'>;

/** Of the four ways in which a rectangle can be the bed, the one that keeps its length and turns it least. */
export function movedBed(bed: Bed, lying: Lying): Draft[] {
  const { lengthM, widthM, turnedDeg } = lying;
  const [middleX, middleY] = middleOfBed(lying);
  const ways = [0, 90, 180, 270].map((more) => {
    const [long, wide] = more % 180 === 0 ? [lengthM, widthM] : [widthM, lengthM];
    const turned = Math.round(((turnedDeg + more) % 360) * 100) / 100;
    const by = Math.abs(((turned - bed.turnedDeg + 540) % 360) - 180);
    const off = Math.abs(long - bed.lengthM) + Math.abs(wide - bed.widthM);
    return { long, wide, turned, by, off };
  });
  const best = ways.reduce((a, b) =>
    b.off < a.off - SAME_M || (b.off < a.off + SAME_M && b.by < a.by) ? b : a,
  );
  const { long, wide, turned, off } = best;
  const other = off > SAME_M;
  return [
    ...(other && !bed.sized
      ? [
          {
            kind: 'corrected' as const,
            subject: bed.id,
            target: bed.event,
            changes: { lengthM: long, widthM: wide },
          },
        ]
      : []),
    {
      kind: 'bedPlaced',
      bed: bed.id,
      xM: round(middleX - long / 2),
      yM: round(middleY - wide / 2),
      turnedDeg: turned,
      // What was given another size since is not put right where it was first written.
      ...(other && bed.sized
        ? { sized: { lengthM: long, widthM: wide, firstXM: bed.first.xM, firstYM: bed.first.yM } }
        : {}),
    },
  ];
}

/** A rectangle as a bed lies: its length along the side that points most nearly east; `null` where it is none. */
export function rectangleOf(ring: readonly Corner[]): Lying | null {
  const [a, b, c, d] = ring as [Corner, Corner, Corner, Corner];
  const middle: Corner = [(a[0] + b[0] + c[0] + d[0]) / 4, (a[1] + b[1] + c[1] + d[1]) / 4];
  const far = ring.map((corner) => apart(corner, middle));
  if (Math.max(...far) - Math.min(...far) > SQUARE_M) return null;
  const slope = (from: Corner, to: Corner) => Math.abs(to[1] - from[1]) / (apart(from, to) || 1);
  const [from, to] = slope(a, b) <= slope(b, c) ? [a, b] : [b, c];
  const lengthM = round(apart(from, to));
  const widthM = round(from === a ? apart(b, c) : apart(a, b));
  if (!(lengthM > 0 && widthM > 0)) return null;
  const [west, east] = from[0] <= to[0] ? [from, to] : [to, from];
  const degrees = (Math.atan2(east[1] - west[1], east[0] - west[0]) * 180) / Math.PI;
  const turnedDeg = (Math.round(((degrees + 360) % 360) * 100) / 100) % 360;
  return {
    xM: round(middle[0] - lengthM / 2),
    yM: round(middle[1] - widthM / 2),
    turnedDeg,
    lengthM,
    widthM,
  };
}
