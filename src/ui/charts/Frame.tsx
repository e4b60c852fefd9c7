import type { ReactNode } from 'react';
import Svg, { Line, Text as SvgText } from 'react-native-svg';
import { FONT, useColours } from '../theme';
import { FRAME } from './stepGeometry';

/** A chart's ground: shares up the side, marks along the bottom. Hidden from screen readers, who get the summary and the table. */
export function ShareFrame({
  width,
  height,
  y,
  ticks,
  children,
}: {
  width: number;
  height: number;
  y: (share: number) => number;
  ticks: readonly { readonly x: number; readonly text: string }[];
  children: ReactNode;
}) {
  const colours = useColours();
  return (
    <Svg width={width} height={height} aria-hidden>
      {[0, 0.25, 0.5, 0.75, 1].map((share) => (
        <Line
          key={share}
          x1={FRAME.left}
          x2={width - FRAME.right}
          y1={y(share)}
          y2={y(share)}
          stroke={colours.rule}
          strokeWidth={share === 0 ? 1.5 : 1}
        />
      ))}
      {children}
      {[0, 0.5, 1].map((share) => (
        <SvgText
          key={share}
          x={FRAME.left - 6}
          y={y(share) + 5}
          fontSize={14}
          textAnchor="end"
          fill={colours.muted}
          fontFamily={FONT}
        >
          {share === 1 ? '100 %' : String(share * 100)}
        </SvgText>
      ))}
      {ticks.map(({ x, text }) => (
        <SvgText
          key={text}
          x={x}
          y={height - 6}
          fontSize={14}
          textAnchor="middle"
          fill={colours.muted}
          fontFamily={FONT}
        >
          {text}
        </SvgText>
      ))}
    </Svg>
  );
}
