import { Pressable, View, type ViewStyle } from 'react-native';
import Svg, { Circle, Line, Path, Rect } from 'react-native-svg';
import type { SetCount } from '@core/fruitset';
import { rem } from '../rem';
import { TOUCH, Txt, useColours } from '../theme';
import { LINE_DRAWN, LINE_NAME } from './chartLine';

/** One line of the chart. */
export interface SetRow {
  readonly id: string;
  readonly name: string;
  readonly set: number;
  readonly judged: number;
  /** `null`: no verdict yet. */
  readonly share: number | null;
  readonly low: number;
  readonly high: number;
  /** Rests on one plant or tray: no range is drawn. */
  readonly oneOnly?: boolean;
  /** Drawn towards the mean of all lines; `null`: none. */
  readonly shrunken?: number | null;
}

/** A line for flowers counted up. */
export function setRow(name: string, { set, dropped, share, interval }: SetCount): SetRow {
  return { id: name, name, set, judged: set + dropped, share, ...(interval ?? { low: 0, high: 1 }) };
}

const LINE_HEIGHT = TOUCH;

const MARKED: ViewStyle = { flex: 1, flexDirection: 'row' };
const WHOLE: ViewStyle = { flexShrink: 0 };
const COUNTED = { width: rem(78) };

/**
 * Share that set, as a dot with its 95 % line, counts beside it, and a tick where the share is drawn towards that of all. One row a
 * group. Where `onPick` is given, two rows can be picked.
 */
export function SetChart({
  rows,
  picked = [],
  onPick,
  what = 'Share of worked flowers that set',
  verb = 'set',
}: {
  rows: readonly SetRow[];
  picked?: readonly string[];
  onPick?: (id: string) => void;
  what?: string;
  /** What was counted of them. */
  verb?: string;
}) {
  return (
    <View role={onPick ? 'group' : 'list'} aria-label={`${what}, with 95 % intervals`}>
      {rows.map((row) => (
        <SetLine key={row.id} row={row} verb={verb} chosen={picked.includes(row.id)} onPick={onPick} />
      ))}
      <View aria-hidden style={{ flexDirection: 'row', flexWrap: 'wrap', marginTop: 2 }}>
        <View style={LINE_NAME} />
        <View style={LINE_DRAWN}>
          <View style={[MARKED, { justifyContent: 'space-between' }]}>
            {['0', '50', '100 %'].map((tick) => (
              <Txt key={tick} size="label" tone="muted" style={WHOLE}>
                {tick}
              </Txt>
            ))}
          </View>
          <View style={COUNTED} />
        </View>
      </View>
    </View>
  );
}

const at = (share: number) => `${(share * 100).toFixed(2)}%`;
const points = (share: number) => Math.round(share * 100);

/** What a line says to those who can't see it. */
function spoken({ name, share, set, judged, low, high, oneOnly }: SetRow, verb: string): string {
  return share === null
    ? `${name}: no verdict yet`
    : `${name}: ${set} of ${judged} ${verb}, ${points(share)} percent, ${oneOnly ? 'on one plant or tray' : `between ${points(low)} and ${points(high)}`}`;
}

function SetLine({
  row,
  verb,
  chosen,
  onPick,
}: {
  row: SetRow;
  verb: string;
  chosen: boolean;
  onPick: ((id: string) => void) | undefined;
}) {
  const colours = useColours();
  const line = (
    <>
      <Txt size="label" style={[LINE_NAME, { paddingHorizontal: 6, fontWeight: chosen ? '700' : '400' }]}>
        {row.name}
      </Txt>
      <View style={LINE_DRAWN}>
        <View style={MARKED}>
          <ShareMark row={row} />
        </View>
        <Txt
          size="label"
          style={[COUNTED, { textAlign: 'right', paddingRight: 6, fontVariant: ['tabular-nums'] }]}
        >
          {row.judged === 0 ? '–' : `${row.set} of ${row.judged}`}
        </Txt>
      </View>
    </>
  );
  const style = {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    minHeight: onPick ? LINE_HEIGHT : 30,
    borderRadius: 4,
    borderWidth: 2,
    borderColor: chosen ? colours.pollen : 'transparent',
    backgroundColor: chosen ? colours.pollenSoft : 'transparent',
  } as const;
  if (!onPick)
    return (
      <View role="listitem" aria-label={spoken(row, verb)} style={style}>
        {line}
      </View>
    );
  return (
    <Pressable
      role="button"
      aria-label={spoken(row, verb)}
      {...({ 'aria-pressed': chosen } as object)}
      disabled={row.share === null}
      onPress={() => onPick(row.id)}
      style={style}
    >
      {line}
    </Pressable>
  );
}

const MARK = 30;

function ShareMark({ row: { share, low, high, shrunken, oneOnly } }: { row: SetRow }) {
  const colours = useColours();
  return (
    <Svg width="100%" height={MARK} style={{ overflow: 'visible' }} aria-hidden>
      <Rect x="0" y={MARK / 2 - 1} width="100%" height={2} fill={colours.rule} />
      <Rect x="50%" y={6} width={1} height={MARK - 12} fill={colours.rule} />
      {share === null ? null : (
        <>
          {oneOnly ? null : (
            <Line
              x1={at(low)}
              x2={at(high)}
              y1={MARK / 2}
              y2={MARK / 2}
              stroke={colours.leaf}
              strokeOpacity={0.55}
              strokeWidth={6}
              strokeLinecap="round"
            />
          )}
          <Circle
            cx={at(share)}
            cy={MARK / 2}
            r={7}
            fill={colours.leaf}
            stroke={colours.card}
            strokeWidth={2}
          />
          {shrunken == null ? null : (
            <Svg x={at(shrunken)} y={0} width={1} height={MARK} style={{ overflow: 'visible' }}>
              <Path d={`M0 4 V${MARK - 4}`} stroke={colours.ink} strokeWidth={2.5} />
            </Svg>
          )}
        </>
      )}
    </Svg>
  );
}
