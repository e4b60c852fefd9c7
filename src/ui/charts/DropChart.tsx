import { View } from 'react-native';
import { Path } from 'react-native-svg';
import type { DropCurve } from '@core/fruitset';
import { rem, rootScale } from '../rem';
import { Txt, useColours } from '../theme';
import { ShareFrame } from './Frame';
import { levels } from './levels';
import { axisEnd, bandPath, boundsPath, dayScale, daysApart, stepPath } from './stepGeometry';
import { useBoard } from './useBoard';

const HEIGHT = 190;

/** Share still hanging by the day: a band between the two looks that a drop fell between, and 95 % bounds round it. */
export function DropChart({
  curve,
  atRisk,
  summary,
}: {
  curve: DropCurve;
  atRisk: readonly { readonly day: number; readonly count: number }[];
  summary: string;
}) {
  const colours = useColours();
  const board = useBoard();
  const { width } = board;
  const half = 24 * rootScale();
  const lastDay = axisEnd(
    atRisk.map(({ day }) => day),
    curve.latest.at(-1)?.time,
  );
  const scale = dayScale(width, HEIGHT, lastDay);
  const told = new Set(
    daysApart(
      atRisk.map(({ day }) => day),
      scale.x,
      (2 * half) / board.scale,
    ),
  );
  const marks = atRisk.filter(({ day }) => told.has(day));
  const [latest, earliest] = [levels(curve.latest, lastDay), levels(curve.earliest, lastDay)];
  return (
    <View role="img" aria-label={summary} onLayout={board.onLayout}>
      <ShareFrame
        board={board}
        height={HEIGHT}
        y={scale.y}
        ticks={marks.map(({ day }) => ({ x: scale.x(day), text: String(day) }))}
      >
        <Path d={boundsPath(curve.latest, lastDay, scale)} fill={colours.leafSoft} />
        <Path d={boundsPath(curve.earliest, lastDay, scale)} fill={colours.leafSoft} fillOpacity={0.6} />
        <Path d={bandPath(earliest, latest, scale)} fill={colours.pollen} fillOpacity={0.55} />
        <Path
          d={stepPath(earliest, scale)}
          stroke={colours.leaf}
          strokeWidth={1.5}
          strokeDasharray="4 3"
          fill="none"
        />
        <Path d={stepPath(latest, scale)} stroke={colours.leaf} strokeWidth={2.5} fill="none" />
      </ShareFrame>
      <View aria-hidden style={{ height: rem(20) }}>
        {marks.map(({ day, count }) => (
          <Txt
            key={day}
            size="label"
            tone="muted"
            style={{
              position: 'absolute',
              // The last stands within the chart.
              left: Math.min(scale.x(day) * board.scale - half, width * board.scale - 2 * half),
              width: 2 * half,
              textAlign: 'center',
              fontVariant: ['tabular-nums'],
            }}
          >
            {count}
          </Txt>
        ))}
      </View>
    </View>
  );
}
