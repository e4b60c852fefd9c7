import { View } from 'react-native';
import Svg, { G, Line, Path, Rect, Text as SvgText } from 'react-native-svg';
import type { DayExpected, OutlookDay } from '@core/bloom';
import { weekdayText } from '@core/time';
import { FONT, useColours } from '../theme';
import { OUTLOOK, rangeBar, rangeText } from './outlookGeometry';
import { useBoard } from './useBoard';

/** Females (solid) and males (hollow) to open on each of the next days: a bar for the 80 % range, a tick for the mean. */
export function OutlookChart({ name, days }: { name: string; days: readonly OutlookDay[] }) {
  const colours = useColours();
  const board = useBoard({ least: 260 });
  const { width } = board;
  const most = Math.max(1, ...days.map(({ females, males }) => Math.max(females.high80, males?.high80 ?? 0)));
  const bars = days.flatMap(({ females, males }, i) => {
    const of = (day: DayExpected, side: -1 | 0 | 1, male: boolean) => ({
      male,
      empty: day.high80 === 0,
      bar: rangeBar(day, i, days.length, width, most, side),
    });
    return males ? [of(females, -1, false), of(males, 1, true)] : [of(females, 0, false)];
  });
  const summary = `${name}: ${days
    .map(({ date, females, males }) =>
      males
        ? `${weekdayText(date)} ${rangeText(females)} female, ${rangeText(males)} male`
        : `${weekdayText(date)} ${rangeText(females)} flowers`,
    )
    .join('; ')}`;
  return (
    <View role="img" aria-label={summary} onLayout={board.onLayout}>
      <Svg {...board.svg(OUTLOOK.height + 20)} aria-hidden>
        <Line x1={0} x2={width} y1={OUTLOOK.base} y2={OUTLOOK.base} stroke={colours.rule} strokeWidth={1.5} />
        {bars.map(({ male, empty, bar }, i) => (
          <G key={i}>
            {empty ? null : (
              <Rect
                x={bar.x}
                y={bar.y + bar.height}
                width={bar.width}
                height={Math.max(0, OUTLOOK.base - bar.y - bar.height)}
                fill={male ? colours.leafSoft : colours.pollenSoft}
                stroke={male ? colours.leaf : colours.pollen}
                strokeWidth={1}
              />
            )}
            {empty ? null : (
              <Rect
                x={bar.x}
                y={bar.y}
                width={bar.width}
                height={bar.height}
                rx={2}
                fill={male ? colours.card : colours.pollen}
                stroke={male ? colours.leaf : colours.ink}
                strokeWidth={male ? 2.5 : 1}
              />
            )}
            {empty ? null : (
              <Path
                d={`M${bar.x - 3} ${bar.markY} H${bar.x + bar.width + 3}`}
                stroke={colours.ink}
                strokeWidth={2}
              />
            )}
            <SvgText
              x={bar.labelX}
              y={OUTLOOK.base + 17}
              fontSize={14}
              textAnchor="middle"
              fill={empty ? colours.muted : colours.ink}
              fontWeight={empty ? '400' : '700'}
              fontFamily={FONT}
            >
              {empty ? '–' : bar.label}
            </SvgText>
          </G>
        ))}
        {days.map(({ date }, i) => (
          <SvgText
            key={date}
            x={(width / days.length) * (i + 0.5)}
            y={OUTLOOK.height + 14}
            fontSize={14}
            textAnchor="middle"
            fill={colours.muted}
            fontFamily={FONT}
          >
            {weekdayText(date)}
          </SvgText>
        ))}
      </Svg>
    </View>
  );
}
