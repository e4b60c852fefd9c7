import { useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';
import { rootScale } from '../rem';
import { boardOf } from './boardOf';

/** What a chart is drawn on. */
export interface Board {
  /** Its width in units of the drawing. */
  readonly width: number;
  /** Pixels a unit. */
  readonly scale: number;
  readonly onLayout: (event: LayoutChangeEvent) => void;
  /** What an `Svg` takes for a drawing this many units high. */
  readonly svg: (height: number) => {
    readonly width: number;
    readonly height: number;
    readonly viewBox: string;
  };
}

/**
 * The room that a chart is given, in units that follow the browser's letters: who set larger ones gets a larger chart with fewer units
 * across. Where they would be fewer than `least`, the whole of it is drawn smaller: nothing of a chart lies off the screen.
 */
export function useBoard({ first = 320, least = 240 } = {}): Board {
  const [{ width, scale }, setBoard] = useState({ width: first, scale: 1 });
  return {
    width,
    scale,
    onLayout: ({ nativeEvent }) => setBoard(boardOf(nativeEvent.layout.width, rootScale(), least)),
    svg: (height) => ({
      width: width * scale,
      height: height * scale,
      viewBox: `0 0 ${width} ${height}`,
    }),
  };
}
