import { View } from 'react-native';
import Svg, { Line, Rect, Text as SvgText } from 'react-native-svg';
import type { WeatherDay } from '@core/sky';
import { dayText, weekdayText, type LocalDate } from '@core/time';
import { useBoard } from '../charts/useBoard';
import { FONT, Txt, useColours } from '../theme';
import { degrees, rainText, sourceWords } from './words';
import type { Units } from '@/data/device/prefs';

const HEIGHT = 190;
const TOP = 22;
const FOOT = 46;

/** Coldest to warmest of each day as a bar; measured solid, foretold hatched by an outline, usual only dotted. Rain as a number. */
export function WeatherChart({
  days,
  today,
  units,
}: {
  days: readonly WeatherDay[];
  today: LocalDate;
  units: Units;
}) {
  const colours = useColours();
  const board = useBoard({ first: 340 });
  const { width } = board;
  const low = Math.min(...days.map(({ minC }) => minC)) - 4;
  const high = Math.max(...days.map(({ maxC }) => maxC)) + 2;
  const y = (c: number) => TOP + ((high - c) / (high - low)) * (HEIGHT - TOP - FOOT);
  const step = width / Math.max(1, days.length);
  const words = days
    .map(
      (day) =>
        `${dayText(day.date)}: ${degrees(day.minC, units, false)} to ${degrees(day.maxC, units)}${day.rainMm === null ? '' : `, ${rainText(day.rainMm, units)}`} (${sourceWords[day.source]})`,
    )
    .join('; ');
  return (
    <View role="img" aria-label={words} onLayout={board.onLayout}>
      <Svg {...board.svg(HEIGHT)}>
        <Line x1={0} x2={width} y1={HEIGHT - FOOT + 2} y2={HEIGHT - FOOT + 2} stroke={colours.rule} />
        {days.map((day, i) => {
          const x = i * step + step / 2;
          const known = day.source !== 'climate';
          const foretold = day.source === 'forecast';
          const half = Math.min(11, step / 4);
          return [
            <Rect
              key={`b${day.date}`}
              x={x - half}
              y={y(day.maxC)}
              width={half * 2}
              height={Math.max(4, y(day.minC) - y(day.maxC))}
              rx={4}
              fill={known && !foretold ? colours.pollen : colours.card}
              stroke={known ? colours.pollen : colours.muted}
              strokeWidth={2}
              strokeDasharray={known ? undefined : '3 4'}
            />,
            <SvgText
              key={`h${day.date}`}
              x={x}
              y={y(day.maxC) - 6}
              fontSize={14}
              fontFamily={FONT}
              textAnchor="middle"
              fill={colours.ink}
            >
              {degrees(day.maxC, units, false)}
            </SvgText>,
            <SvgText
              key={`l${day.date}`}
              x={x}
              y={y(day.minC) + 16}
              fontSize={14}
              fontFamily={FONT}
              textAnchor="middle"
              fill={colours.ink}
            >
              {degrees(day.minC, units, false)}
            </SvgText>,
            <SvgText
              key={`d${day.date}`}
              x={x}
              y={HEIGHT - 24}
              fontSize={14}
              fontFamily={FONT}
              fontWeight={day.date === today ? '700' : '400'}
              textAnchor="middle"
              fill={colours.ink}
            >
              {width < 420 ? weekdayText(day.date).split(' ')[1] : weekdayText(day.date)}
            </SvgText>,
            <SvgText
              key={`r${day.date}`}
              x={x}
              y={HEIGHT - 6}
              fontSize={13}
              fontFamily={FONT}
              textAnchor="middle"
              fill={colours.muted}
            >
              {rainShort(day.rainMm, units)}
            </SvgText>,
          ];
        })}
      </Svg>
      <Txt size="label" tone="muted">
        Coldest to warmest in °{units === 'us' ? 'F' : 'C'}; rain in {units === 'us' ? 'inches' : 'mm'} below.
        Full: measured or noted. Outline: foretold. Dashed: only usual for here.
      </Txt>
    </View>
  );
}

function rainShort(mm: number | null, units: Units): string {
  if (mm === null) return '';
  return mm < 0.05 ? '0' : units === 'us' ? (mm / 25.4).toFixed(1) : String(Math.round(mm));
}
