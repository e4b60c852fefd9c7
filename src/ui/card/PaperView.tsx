import { useState, type RefObject } from 'react';
import { View } from 'react-native';
import type { Paper } from '@core/formats';
import { useColours } from '../theme';

/** Paper at 96 dots to the inch: A4, Letter, a roll of 80 mm, and a label off it. */
const SIZES: Readonly<Record<Paper | 'label', { readonly width: number; readonly height: number }>> = {
  A4: { width: 794, height: 1123 },
  Letter: { width: 816, height: 1056 },
  strip: { width: 302, height: 1123 },
  label: { width: 302, height: 220 },
};

/** The sheet as it will be printed, made to fit the width there is. */
export function PaperView({
  html,
  paper,
  frame,
  what = paper === 'label' ? 'label' : 'card',
}: {
  html: string;
  paper: Paper | 'label';
  frame: RefObject<HTMLIFrameElement | null>;
  what?: string;
}) {
  const colours = useColours();
  const [room, setRoom] = useState(366);
  const { width, height } = SIZES[paper];
  const scale = Math.min(1, room / width);
  return (
    <View onLayout={({ nativeEvent }) => setRoom(nativeEvent.layout.width)}>
      <View
        style={{
          width: width * scale,
          height: height * scale,
          overflow: 'hidden',
          borderWidth: 1,
          borderColor: colours.muted,
          backgroundColor: '#fff',
        }}
      >
        <iframe
          ref={frame}
          title={`The ${what} as it will be printed`}
          srcDoc={html}
          style={{
            flexShrink: 0,
            width,
            height,
            border: 0,
            transform: `scale(${scale})`,
            transformOrigin: '0 0',
          }}
        />
      </View>
    </View>
  );
}
