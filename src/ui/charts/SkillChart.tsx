import { View } from 'react-native';
import Svg, { Line, Rect } from 'react-native-svg';
import type { SkillResult } from '@core/practice';
import { rem } from '../rem';
import { Txt, useColours } from '../theme';
import { skillWords } from '../words';
import { BESIDE } from '../controls';

const WIDTH = 150;

/** One line a skill: right of asked, and the interval the rate lies in. */
export function SkillChart({ results }: { results: readonly SkillResult[] }) {
  const colours = useColours();
  return (
    <View role="list" style={{ gap: 10 }}>
      {results.map(({ skill, right, asked, interval }) => {
        const share = asked === 0 ? null : right / asked;
        const label = interval
          ? `${skillWords[skill]}: ${right} of ${asked} right, between ${Math.round(interval.low * 100)} and ${Math.round(interval.high * 100)} percent`
          : `${skillWords[skill]}: not asked yet`;
        return (
          <View
            key={skill}
            role="listitem"
            aria-label={label}
            style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8, alignItems: 'center' }}
          >
            <Txt style={BESIDE}>{skillWords[skill]}</Txt>
            <Svg width={WIDTH} height={22} aria-hidden>
              <Rect x={0} y={7} width={WIDTH} height={8} rx={2} fill={colours.rule} />
              {interval ? (
                <Rect
                  x={interval.low * WIDTH}
                  y={4}
                  width={Math.max(3, (interval.high - interval.low) * WIDTH)}
                  height={14}
                  rx={2}
                  fill={colours.leafSoft}
                  stroke={colours.leaf}
                  strokeWidth={1.5}
                />
              ) : null}
              {share === null ? null : (
                <Line
                  x1={share * WIDTH}
                  x2={share * WIDTH}
                  y1={1}
                  y2={21}
                  stroke={colours.ink}
                  strokeWidth={3}
                />
              )}
            </Svg>
            <Txt
              size="label"
              style={{ minWidth: rem(62), textAlign: 'right', fontVariant: ['tabular-nums'] }}
            >
              {asked === 0 ? '–' : `${right} of ${asked}`}
            </Txt>
          </View>
        );
      })}
    </View>
  );
}
