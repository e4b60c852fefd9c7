import { useState, type ReactNode } from 'react';
import { View } from 'react-native';

/** Never grows smaller while it stands: what it holds may change or go, and nothing below it jumps up under the thumb. */
export function KeepsHeight({ children }: { children: ReactNode }) {
  const [height, setHeight] = useState(0);
  // What never held anything takes no room, not even that between two things.
  if (!children && height === 0) return null;
  return (
    <View
      style={{ minHeight: height }}
      onLayout={({ nativeEvent: { layout } }) => setHeight((before) => Math.max(before, layout.height))}
    >
      {children}
    </View>
  );
}
