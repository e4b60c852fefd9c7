import { View } from 'react-native';
import Svg, { Circle, Line, Rect } from 'react-native-svg';
import type { SetCount } from '@core/fruitset';
import { Txt, useColours } from '../theme';

export interface SetRow {
  readonly name: string;
  readonly count: SetCount;
}

const LINE_HEIGHT = 30;

/** Share that set, as a dot with its 95 % line, counts beside it. One row a group. */
export function SetChart({ rows }: { rows: readonly SetRow[] }) {
  return (
    <View role="list" aria-label="Share of worked females that set, with 95 % intervals">
      {rows.map((row) => (
        <SetLine key={row.name} {...row} />
      ))}
      <View aria-hidden style={{ flexDirection: 'row', marginTop: 2 }}>
        <View style={{ width: '38%' }} />
        <View style={{ flex: 1, flexDirection: 'row', justifyContent: 'space-between' }}>
          {['0', '50', '100 %'].map((tick) => (
            <Txt key={tick} size="label" tone="muted">
              {tick}
            </Txt>
          ))}
        </View>
        <View style={{ width: 70 }} />
      </View>
    </View>
  );
}

function SetLine({ name, count }: SetRow) {
  const colours = useColours();
  const trials = count.set + count.dropped;
  const percent = (share: number) => `${(share * 100).toFixed(2)}%`;
  const spoken =
    count.share === null || count.interval === null
      ? `${name}: no verdict yet`
      : `${name}: ${count.set} of ${trials} set, ${Math.round(count.share * 100)} percent, between ${Math.round(count.interval.low * 100)} and ${Math.round(count.interval.high * 100)}`;
  return (
    <View
      role="listitem"
      aria-label={spoken}
      style={{ flexDirection: 'row', alignItems: 'center', minHeight: LINE_HEIGHT }}
    >
      <Txt size="label" style={{ width: '38%', paddingRight: 8 }}>
        {name}
      </Txt>
      <View style={{ flex: 1 }}>
        <Svg width="100%" height={LINE_HEIGHT} style={{ overflow: 'visible' }} aria-hidden>
          <Rect x="0" y={LINE_HEIGHT / 2 - 1} width="100%" height={2} fill={colours.rule} />
          <Rect x="50%" y={6} width={1} height={LINE_HEIGHT - 12} fill={colours.rule} />
          {count.interval && count.share !== null ? (
            <>
              <Line
                x1={percent(count.interval.low)}
                x2={percent(count.interval.high)}
                y1={LINE_HEIGHT / 2}
                y2={LINE_HEIGHT / 2}
                stroke={colours.leaf}
                strokeOpacity={0.55}
                strokeWidth={6}
                strokeLinecap="round"
              />
              <Circle
                cx={percent(count.share)}
                cy={LINE_HEIGHT / 2}
                r={7}
                fill={colours.leaf}
                stroke={colours.card}
                strokeWidth={2}
              />
            </>
          ) : null}
        </Svg>
      </View>
      <Txt size="label" style={{ width: 70, textAlign: 'right', fontVariant: ['tabular-nums'] }}>
        {trials === 0 ? '–' : `${count.set} of ${trials}`}
      </Txt>
    </View>
  );
}
