import type { ReactNode } from 'react';
import Svg, { Line, Text as SvgText } from 'react-native-svg';
import { FONT, useColours } from '../theme';
import { FRAME } from './stepGeometry';
import type { Board } from './useBoard';

/** A chart's ground: shares up the side, marks along the bottom. Hidden from screen readers, who get the summary and the table. */
export function ShareFrame({
  board,
  height,
  y,
  ticks,
  children,
}: {
  board: Board;
  height: number;
  y: (share: number) => number;
  ticks: readonly { readonly x: number; readonly text: string }[];
  children: ReactNode;
}) {
  const colours = useColours();
  return (
    <Svg {...board.svg(height)} aria-hidden>
      {[0, 0.25, 0.5, 0.75, 1].map((share) => (
        <Line
          key={share}
          x1={FRAME.left}
          x2={board.width - FRAME.right}
          y1={y(share)}
          y2={y(share)}
          stroke={colours.rule}
          strokeWidth={share === 0 ? 1.5 : 1}
        />
      ))}
      {children}
      {[0, 0.5, 1].map((share) => (
        <AxisText
          key={share}
          x={FRAME.left - 6}
          y={y(share) + 5}
          anchor="end"
          text={share === 1 ? '100 %' : String(share * 100)}
        />
      ))}
      {ticks.map(({ x, text }) => (
        <AxisText key={text} x={x} y={height - 6} anchor="middle" text={text} />
      ))}
    </Svg>
  );
}

/** A word at an axis. */
export function AxisText({
  x,
  y,
  anchor,
  text,
}: {
  x: number;
  y: number;
  anchor: 'middle' | 'end';
  text: string;
}) {
  const colours = useColours();
  return (
    <SvgText x={x} y={y} fontSize={14} textAnchor={anchor} fill={colours.muted} fontFamily={FONT}>
      {text}
    </SvgText>
  );
}
