import { View } from 'react-native';
import Svg, { Circle, Line, Path } from 'react-native-svg';
import type { MeasuredSize, UsualSize } from '@core/fruitset';
import { Txt, useColours } from '../theme';
import { AxisText } from './Frame';
import { growthShapes } from './growthGeometry';
import { useBoard } from './useBoard';

const HEIGHT = 140;
const MM_PER_INCH = 25.4;

/** How one fruit grows, on the ground of the variety's usual sizes. */
export function GrowthChart({
  own,
  usual,
  us,
  variety,
}: {
  own: readonly MeasuredSize[];
  usual: readonly UsualSize[];
  us: boolean;
  variety: string;
}) {
  const colours = useColours();
  const board = useBoard();
  const { width } = board;
  const shapes = growthShapes(own, usual, width, HEIGHT);
  const written = (mm: number) =>
    us ? `${Math.round((mm / MM_PER_INCH) * 10) / 10} in` : `${Math.round(mm)} mm`;
  const summary = `Size by the day: ${own.map(({ day, sizeMm }) => `day ${day} ${written(sizeMm)}`).join(', ')}`;
  return (
    <View onLayout={board.onLayout}>
      <View role="img" aria-label={summary}>
        <Svg {...board.svg(HEIGHT)} aria-hidden>
          {shapes.sizes.map(({ y, mm }) => (
            <Line key={mm} x1={44} x2={width - 12} y1={y} y2={y} stroke={colours.rule} />
          ))}
          <Path d={shapes.usual} fill={colours.leafSoft} />
          <Path d={shapes.median} stroke={colours.leaf} strokeWidth={1.5} strokeDasharray="4 3" fill="none" />
          <Path d={shapes.own} stroke={colours.ink} strokeWidth={2} fill="none" />
          {shapes.dots.map(({ x, y }) => (
            <Circle key={`${x}/${y}`} cx={x} cy={y} r={5} fill={colours.pollen} stroke={colours.ink} />
          ))}
          {shapes.sizes.map(({ y, mm }) => (
            <AxisText
              key={mm}
              x={38}
              y={y + 5}
              anchor="end"
              text={String(us ? Math.round((mm / MM_PER_INCH) * 10) / 10 : mm)}
            />
          ))}
          {shapes.days.map(({ x, day }) => (
            <AxisText key={day} x={x} y={HEIGHT - 4} anchor="middle" text={String(day)} />
          ))}
        </Svg>
      </View>
      <Txt size="label" tone="muted">
        {usual.length > 0
          ? `Size in ${us ? 'inches' : 'mm'} by the day; the pale ground is the middle half of ${variety} that set.`
          : `Size in ${us ? 'inches' : 'mm'} by the day. What is usual shows once three fruits of ${variety} were measured.`}
      </Txt>
    </View>
  );
}
