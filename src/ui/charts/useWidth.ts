import { useState } from 'react';
import type { LayoutChangeEvent } from 'react-native';

/** The width that a chart is given, from its layout. */
export function useWidth(first = 320): {
  readonly width: number;
  readonly onLayout: (event: LayoutChangeEvent) => void;
} {
  const [width, setWidth] = useState(first);
  return {
    width,
    onLayout: ({ nativeEvent }) => setWidth(Math.max(240, Math.floor(nativeEvent.layout.width))),
  };
}
