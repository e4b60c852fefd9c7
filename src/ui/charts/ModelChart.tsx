import { View } from 'react-native';
import { Circle, Line, Path } from 'react-native-svg';
import type { SetModel } from '@core/study';
import { useColours } from '../theme';
import { ShareFrame } from './Frame';
import { modelShapes } from './modelGeometry';
import { useBoard } from './useBoard';

const HEIGHT = 190;

/** Set against one number: the fitted curve with its band, and the flowers as dots with plain bounds. */
export function ModelChart({
  model,
  tick,
  summary,
}: {
  model: SetModel;
  tick: (value: number) => string;
  summary: string;
}) {
  const colours = useColours();
  const board = useBoard();
  const { width } = board;
  const { curve, band, dots, ticks, y } = modelShapes(model, width, HEIGHT);
  return (
    <View role="img" aria-label={summary} onLayout={board.onLayout}>
      <ShareFrame
        board={board}
        height={HEIGHT}
        y={y}
        ticks={ticks.map(({ x, value }) => ({ x, text: tick(value) }))}
      >
        <Path d={band} fill={colours.leafSoft} />
        <Path d={curve} stroke={colours.leaf} strokeWidth={2.5} fill="none" />
        {dots.map((dot) => (
          <Line
            key={`${dot.x} line`}
            x1={dot.x}
            x2={dot.x}
            y1={dot.low}
            y2={dot.high}
            stroke={colours.muted}
            strokeWidth={2}
          />
        ))}
        {dots.map((dot) => (
          <Circle
            key={dot.x}
            cx={dot.x}
            cy={dot.y}
            r={dot.r}
            fill={colours.pollen}
            stroke={colours.ink}
            strokeWidth={1.5}
          />
        ))}
      </ShareFrame>
    </View>
  );
}
