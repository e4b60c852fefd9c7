import { View } from 'react-native';
import Svg, {
  Circle,
  Defs,
  G,
  Line,
  LinearGradient,
  Path,
  Rect,
  Stop,
  Text as SvgText,
} from 'react-native-svg';
import type { GardenDay } from '@core/bloom';
import { clockText, offsetMsAt } from '@core/time';
import { FONT, useLight } from '../theme';
import { bandSpan, bandX, fullHours, namePlace, type Band } from './bandGeometry';
import { useBoard } from './useBoard';

export interface BandBar {
  readonly name: string;
  readonly from: number;
  /** It is at its best until then; what follows is drawn paler. */
  readonly best?: number;
  readonly to: number;
}

export interface DawnBandProps {
  readonly day: GardenDay;
  readonly zone: string;
  readonly now: number;
  readonly hour12: boolean;
  readonly windows: readonly BandBar[];
  readonly round: BandBar | null;
  readonly summary: string;
  /** dusk: the evening of the day instead of its morning. */
  readonly part: 'dawn' | 'dusk';
}

const HOUR = 3_600_000;
const TOP = 58;
const ROW = 24;
/** Width of a letter of the band's words, px: on the wide side. */
const LETTER = 8;
const NIGHT = '#23284E';
const LIGHT_INK = '#FFFFFF';
const DARK_INK = '#2A2118';

/** The strip of the morning (or evening): sky, sun, open flowers, insects, the round and now. */
export function DawnBand({ day, zone, now, hour12, windows, round, summary, part }: DawnBandProps) {
  const board = useBoard({ first: 390, least: 195 });
  const { width } = board;
  const dawn = part === 'dawn';
  const start = dawn
    ? Math.min(day.firstLight - 0.75 * HOUR, day.sunrise - 1.4 * HOUR)
    : day.sunset - 3.5 * HOUR;
  const end = dawn ? day.sunrise + 6 * HOUR : Math.max(day.lastLight + 1.5 * HOUR, day.sunset + 2.4 * HOUR);
  const band: Band = { start, end, width };
  const x = (time: number) => bandX(band, time);
  const rows = [...windows, ...(round ? [round] : [])];
  const height = TOP + rows.length * ROW + 24;
  const sun = dawn ? day.sunrise : day.sunset;
  const share = (time: number) => Math.min(1, Math.max(0, (time - start) / (end - start)));
  const sky: [number, string][] = dawn
    ? [
        [0, NIGHT],
        [share(day.firstLight), '#4A4A86'],
        [share(day.sunrise - 0.2 * HOUR), '#C06A5A'],
        [share(day.sunrise + 0.3 * HOUR), '#F3C66B'],
        [share(day.sunrise + 1.6 * HOUR), '#FBE7B4'],
        [1, '#E6F0EC'],
      ]
    : [
        [0, '#E6F0EC'],
        [share(day.sunset - 1.2 * HOUR), '#FBE7B4'],
        [share(day.sunset - 0.2 * HOUR), '#F3C66B'],
        [share(day.sunset + 0.3 * HOUR), '#C06A5A'],
        [share(day.lastLight + 0.2 * HOUR), '#4A4A86'],
        [1, NIGHT],
      ];
  const night = useLight() === 'before-dawn';
  const dark = (time: number) =>
    night || (dawn ? time < day.sunrise - 0.3 * HOUR : time > day.sunset + 0.2 * HOUR);
  const offset = offsetMsAt(day.sunrise, zone);
  const nowIn = now >= start && now <= end;
  const ofNow = nowIn ? [x(now)] : [];
  const lines = [...(dawn ? [x(day.insectsFrom)] : []), ...ofNow];
  const label = (time: number, text: string, y: number) => {
    const at = namePlace({ x: x(time), width: 0 }, text.length * LETTER, ofNow, width);
    return (
      <SvgText
        x={at.x}
        y={y}
        fontSize={14}
        fontFamily={FONT}
        fontWeight="700"
        textAnchor={at.anchor}
        fill={dark(time) ? LIGHT_INK : DARK_INK}
      >
        {text}
      </SvgText>
    );
  };
  return (
    <View onLayout={board.onLayout} role="img" aria-label={summary} style={{ height: height * board.scale }}>
      <Svg {...board.svg(height)}>
        <Defs>
          <LinearGradient id={`sky-${part}`} x1="0" y1="0" x2="1" y2="0">
            {sky.map(([at, colour]) => (
              <Stop key={at} offset={at} stopColor={night ? dimmed(colour) : colour} />
            ))}
          </LinearGradient>
        </Defs>
        <Rect x={0} y={0} width={width} height={height} fill={`url(#sky-${part})`} />
        {fullHours(band, offset).map((time) => {
          const words = clockText(time, zone, hour12)
            .replace(/:00/, '')
            .replace(/^0(?=\d)/, '');
          const half = (words.length * LETTER) / 2;
          return x(time) < half || x(time) > width - half ? null : (
            <SvgText
              key={time}
              x={x(time)}
              y={height - 7}
              fontSize={14}
              fontFamily={FONT}
              textAnchor="middle"
              fill={dark(time) ? LIGHT_INK : DARK_INK}
            >
              {words}
            </SvgText>
          );
        })}
        {day.fromSun ? (
          <G>
            <Circle cx={x(sun)} cy={TOP - 10} r={6} fill="#F0B429" stroke={DARK_INK} strokeWidth={1.4} />
            <Path d={`M${x(sun) - 10} ${TOP - 4} h20`} stroke={DARK_INK} strokeWidth={2} />
          </G>
        ) : null}
        {day.fromSun ? label(sun + 0.06 * HOUR, `sun ${clockText(sun, zone, hour12)}`, TOP - 6) : null}
        {dawn ? (
          <G>
            {
              // In two pieces: the sun's words stand between them, close to the sun.
              [
                [4, TOP - 20],
                [TOP - 1, height - 22],
              ].map(([from, to]) => (
                <Line
                  key={from}
                  x1={x(day.insectsFrom)}
                  x2={x(day.insectsFrom)}
                  y1={from}
                  y2={to}
                  stroke={night ? LIGHT_INK : DARK_INK}
                  strokeWidth={2}
                  strokeDasharray="2 4"
                />
              ))
            }
            {label(day.insectsFrom, `bees about ${clockText(day.insectsFrom, zone, hour12)}`, 35)}
          </G>
        ) : null}
        {rows.map((bar, i) => {
          const span = bandSpan(band, bar.from, bar.to);
          const own = round !== null && i === rows.length - 1;
          const y = TOP + i * ROW;
          if (!span) return null;
          const name = namePlace(span, bar.name.length * LETTER, lines, width);
          return (
            <G key={bar.name}>
              <Rect
                x={span.x}
                y={y + 2}
                width={span.width}
                height={ROW - 5}
                rx={4}
                fill={own ? '#2E6A3F' : i % 2 === 0 ? '#F7C544' : '#F6DF8A'}
                stroke={DARK_INK}
                strokeWidth={1.2}
              />
              {bar.best !== undefined ? <Late band={band} from={bar.best} to={bar.to} y={y} /> : null}
              <SvgText
                x={name.x}
                y={y + 16}
                fontSize={14}
                fontFamily={FONT}
                fontWeight={own ? '700' : '400'}
                textAnchor={name.anchor}
                fill={
                  (name.inside ? own : dark(name.anchor === 'end' ? bar.from : bar.to)) ? LIGHT_INK : DARK_INK
                }
              >
                {bar.name}
              </SvgText>
            </G>
          );
        })}
        {nowIn ? (
          <NowLine x={x(now)} width={width} height={height} text={`${clockText(now, zone, hour12)} now`} />
        ) : null}
      </Svg>
    </View>
  );
}

/** A colour at two fifths of its brightness, for eyes that are used to the dark. */
function dimmed(hex: string): string {
  const part = (at: number) => Math.round(parseInt(hex.slice(at, at + 2), 16) * 0.4);
  return `rgb(${part(1)},${part(3)},${part(5)})`;
}

/** The hours in which a flower is still open and past its best: hatched, as colour alone says nothing. */
function Late({ band, from, to, y }: { band: Band; from: number; to: number; y: number }) {
  const span = bandSpan(band, from, to);
  if (!span) return null;
  const lines = Array.from({ length: Math.floor(span.width / 7) }, (_, i) => span.x + 4 + i * 7);
  return (
    <G>
      <Rect x={span.x} y={y + 3} width={span.width - 1} height={ROW - 7} fill="#FFFDF7" opacity={0.55} />
      {lines.map((x) => (
        <Line
          key={x}
          x1={x}
          x2={x + 4}
          y1={y + ROW - 5}
          y2={y + 4}
          stroke={DARK_INK}
          strokeWidth={0.8}
          opacity={0.5}
        />
      ))}
    </G>
  );
}

const CHIP = 84;

/** The line of this moment, its time on a chip that keeps it legible over any sky. */
function NowLine({ x, width, height, text }: { x: number; width: number; height: number; text: string }) {
  const left = Math.min(width - CHIP - 2, Math.max(2, x - CHIP / 2));
  return (
    <G>
      <Line x1={x} x2={x} y1={20} y2={height - 20} stroke={DARK_INK} strokeWidth={5} />
      <Line x1={x} x2={x} y1={20} y2={height - 20} stroke={LIGHT_INK} strokeWidth={2.4} />
      <Rect
        x={left}
        y={2}
        width={CHIP}
        height={20}
        rx={4}
        fill="#FFFDF7"
        stroke={DARK_INK}
        strokeWidth={1.2}
      />
      <SvgText
        x={left + CHIP / 2}
        y={17}
        fontSize={14}
        fontFamily={FONT}
        fontWeight="700"
        textAnchor="middle"
        fill={DARK_INK}
      >
        {text}
      </SvgText>
    </G>
  );
}
