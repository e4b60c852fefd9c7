import type { Corner } from '@core/ledger';
import type { NeighbourShape, View } from './scene';

/** A label's size on the screen, px. */
export const LABEL = 14;

/** About how wide a letter of a label is, px. */
export const LETTER_PX = 7.2;

/** Whether a name has room along something so many metres long. */
export function hasRoom(name: string, metres: number, k: number): boolean {
  return name.length * LETTER_PX <= metres * k + 24;
}

/** A name on the plan: in the middle above a place, m. */
export interface Label {
  readonly key: string;
  readonly words: string;
  readonly x: number;
  readonly y: number;
}

/** About how high a line of a label is, px. */
const LINE_PX = 16;

/** Of the labels, the first ones first, those that would not lie over an earlier one, where `k` pixels are a metre. */
export function legible<T extends Label>(labels: readonly T[], k: number): readonly T[] {
  return labels.reduce<readonly T[]>((kept, label) => {
    const over = kept.some(
      ({ x, y, words }) =>
        Math.abs(x - label.x) * k < ((words.length + label.words.length) * LETTER_PX) / 2 &&
        Math.abs(y - label.y) * k < LINE_PX,
    );
    return over ? kept : [...kept, label];
  }, []);
}

/**
 * Where the edge of the picture lies on the way from its middle to a point outside of it, px; `null` for a point that is seen.
 */
export function edgePoint(
  { k, x, y }: View,
  [east, south]: Corner,
  width: number,
  height: number,
  margin = 26,
): { readonly x: number; readonly y: number; readonly degrees: number } | null {
  const [px, py] = [k * east + x, k * south + y];
  if (px >= 0 && px <= width && py >= 0 && py <= height) return null;
  const [dx, dy] = [px - width / 2, py - height / 2];
  const share = Math.min(
    dx === 0 ? Infinity : (width / 2 - margin) / Math.abs(dx),
    dy === 0 ? Infinity : (height / 2 - margin) / Math.abs(dy),
  );
  return {
    x: width / 2 + dx * share,
    y: height / 2 + dy * share,
    degrees: (Math.atan2(dy, dx) * 180) / Math.PI,
  };
}

/** What is written at the edge of the picture of a planting that lies beyond it: its arrow and its words, px. */
export interface EdgeLabel {
  readonly key: string;
  readonly arrow: { readonly x: number; readonly y: number; readonly degrees: number };
  readonly words: string;
  /** Where the words begin, and the line they stand on. */
  readonly left: number;
  readonly line: number;
  /** Where they lie on the ground, so that no name there is written under them. */
  readonly label: Label;
}

/** Words keep off the sides of the picture by so much, px. */
const OFF_SIDE = 4;
/** The upper right corner, in which the needle stands, px. */
export const NORTH = { wide: 44, high: 60 };

/**
 * The plantings next door that lie outside of the picture, the nearest first: their words stand in it whole (a long name is cut short),
 * beside the arrow where there is room, else above or below it. `awayText` tells a distance.
 */
export function edgeLabels(
  neighbours: readonly NeighbourShape[],
  view: View,
  width: number,
  height: number,
  awayText: (metres: number) => string,
): readonly EdgeLabel[] {
  const labels = [...neighbours]
    .sort((a, b) => a.neighbour.distanceM - b.neighbour.distanceM)
    .flatMap(({ neighbour, name, place }): EdgeLabel[] => {
      const arrow = edgePoint(view, place, width, height);
      if (!arrow) return [];
      const words = shortened(name, `, ${awayText(neighbour.distanceM)}`, width - 2 * OFF_SIDE);
      const wide = words.length * LETTER_PX;
      const middle = arrow.x >= width / 3 && arrow.x <= (2 * width) / 3;
      const wished = middle ? arrow.x - wide / 2 : arrow.x < width / 3 ? arrow.x + 12 : arrow.x - 12 - wide;
      const within = Math.max(OFF_SIDE, Math.min(wished, width - OFF_SIDE - wide));
      const beside = !middle && within === wished;
      const level = arrow.y + (beside ? 5 : arrow.y < height / 2 ? 22 : -14);
      const inCorner = level < NORTH.high + LINE_PX && within + wide > width - NORTH.wide;
      const left = inCorner ? Math.max(OFF_SIDE, width - NORTH.wide - wide) : within;
      const line = inCorner && left + wide > width - NORTH.wide ? NORTH.high + LINE_PX : level;
      const key = `edge/${neighbour.id}`;
      const label = { key, words, x: (left + wide / 2 - view.x) / view.k, y: (line - view.y) / view.k };
      return [{ key, arrow, words, left, line, label }];
    });
  const written = new Set(
    legible(
      labels.map(({ label }) => label),
      view.k,
    ).map(({ key }) => key),
  );
  return labels.map((each) => (written.has(each.key) ? each : { ...each, words: '' }));
}

/** A name with what follows it, cut to so many pixels with dots. */
function shortened(name: string, after: string, px: number): string {
  const most = Math.max(1, Math.floor(px / LETTER_PX) - after.length);
  return `${name.length > most ? `${name.slice(0, most - 1)}…` : name}${after}`;
}
